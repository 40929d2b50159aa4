import { z } from 'zod';
import { type Result, refuse } from '../measure/reason.js';
import { frozen } from './frozen.js';
import { judged } from './judged.js';
import {
  laidMotifSchema,
  MOST_RINGS,
  type Project,
  paletteEntrySchema,
  type Ring,
  ringSchema,
} from './schema.js';

/** Rings that were copied, to be put into this piece or another: with the woods that show, and the motifs that lie over them. */
export const clipSchema = z.strictObject({
  fellside: z.literal('rings', { error: () => 'These are no rings of a Fellside piece.' }),
  palette: z.array(paletteEntrySchema).min(1).max(40),
  motifs: z.array(laidMotifSchema).max(MOST_RINGS),
  rings: z
    .array(ringSchema)
    .min(1, { error: () => 'No ring was copied.' })
    .max(MOST_RINGS),
});
export type Clip = z.infer<typeof clipSchema>;

/** Copies rings, from the bottom up: what was measured, cut or fixed stays behind, as does being from the stash. */
export function clipOf(project: Project, indices: readonly number[]): Clip {
  const shown = frozen(project);
  const order = [...indices].sort((a, b) => a - b);
  const rings = order.map((index): Ring => {
    const { id, heightMm, making, turn, woods } = shown[index]!;
    const { motif } = project.rings[index]!;
    return {
      id,
      heightMm,
      making: making.way === 'stock' ? making.of : making,
      turn,
      woods: [...woods],
      ...(motif !== undefined && { motif }),
    };
  });
  const laid = new Set(rings.map(({ motif }) => motif));
  return {
    fellside: 'rings',
    palette: project.palette,
    motifs: project.motifs.filter(({ id }) => laid.has(id)),
    rings,
  };
}

/** Reads copied rings out of a text, as the clipboard has it. */
export function readClip(text: string): Result<Clip> {
  let given: unknown;
  try {
    given = JSON.parse(text);
  } catch {
    return refuse(
      'no-clip',
      '',
      'There are no copied rings: select rings, and copy them with Ctrl or ⌘ and C.',
    );
  }
  return judged(clipSchema, given);
}
