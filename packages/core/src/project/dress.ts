import type { Made } from '../making/contract.js';
import { bodyOf, oneWoodOf } from '../making/registry.js';
import { sameAsBefore } from '../measure/memo.js';
import type { Result } from '../measure/reason.js';
import { motifOf } from '../pattern/motifs/registry.js';
import { middlesOf } from '../pattern/spots.js';
import { keyOfTone } from '../pattern/tones.js';
import type { Project, Ring } from './schema.js';

/** A ring of the stack and what is made of it, if it can be made. */
interface Stacked {
  readonly ring: Ring;
  readonly made: Result<Made>;
  readonly turn: number;
}

export type Patterned = Pick<Project, 'motifs' | 'palette'>;

/**
 * The rings with the woods that show: segments under a motif take those of its tones, all other places keep what they
 * were painted with, and so do rings that are cut. Rings from the stash are what they are; slices of one glue-up show what the lowest of them does.
 */
export function dressed<R extends Stacked>(
  prepared: readonly R[],
  { motifs, palette }: Patterned,
): readonly R[] {
  if (motifs.length === 0) return prepared;
  const shown = new Map<string, string[]>();
  for (const { id, use } of motifs) {
    const motif = motifOf(use.kind)!;
    const keys = use.tones.map((tone) => keyOfTone(palette, tone));
    const members = prepared.filter(({ ring }) => ring.motif === id && ring.making.way !== 'stock');
    members.forEach(({ ring, made, turn }, row) => {
      if (ring.cut) return;
      const middles = middlesOf(ring.making, made.ok ? made.value : null, turn);
      const tones = motif.ring({ row, rows: members.length, middles }, use.values, keys.length);
      shown.set(
        ring.id,
        withSegments(
          ring,
          tones.map((tone) => keys[tone]!),
        ),
      );
    });
  }
  const bodies = new Map<string, string[]>();
  return prepared.map((each) => {
    const body = bodyOf(each.ring.making);
    const own = shown.get(each.ring.id);
    const woods = body === null ? own : (bodies.get(body) ?? own);
    if (body !== null && !bodies.has(body)) bodies.set(body, own ?? each.ring.woods);
    return woods && woods !== each.ring.woods ? (shownBefore(each, inWoods(each, woods)) as R) : each;
  });
}

const inWoods = <R extends Stacked>(each: R, woods: string[]): R => ({
  ...each,
  ring: { ...each.ring, woods },
});

/** A ring that shows what it showed before is the same ring as before. */
const shownBefore = sameAsBefore<Stacked, Stacked>(
  ({ ring: { woods: a } }, { ring: { woods: b } }) =>
    a.length === b.length && a.every((key, i) => key === b[i]),
);

/** A ring's woods with those of its segments changed; places sawn from one piece keep to one wood. */
function withSegments({ woods, making }: Ring, segments: readonly string[]): string[] {
  const next = [...segments, ...woods.slice(segments.length)];
  for (const [first, ...others] of oneWoodOf(making)) for (const place of others) next[place] = next[first!]!;
  return next;
}
