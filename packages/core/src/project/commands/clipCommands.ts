import { bodyOf, ofBody } from '../../making/registry.js';
import { say } from '../../measure/said.js';
import type { Clip } from '../clip.js';
import type { Project, Ring } from '../schema.js';
import type { Command } from './command.js';
import { named, type Rings } from './each.js';
import { freshMotifId } from './motifCommands.js';
import { freshKey } from './paletteCommands.js';
import { copyOf, freshId, spread } from './stack.js';
import { keysFor } from './stashCommands.js';
import { freshBody } from './wayCommands.js';

/** Palette keys of this piece for the woods of copied rings. */
function keysIn(draft: Project, { palette }: Clip, woods: readonly string[]): string[] {
  const species = new Map(palette.map(({ key, wood }) => [key, wood]));
  return keysFor(
    draft,
    woods.map((key) => species.get(key) ?? key),
  );
}

/** Puts copied rings above one of the piece, painted as they were; what was sawn from one glue-up is so again, from one of its own. */
export const pasteRings = (above: number, clip: Clip): Command => ({
  label: `Paste ${clip.rings.length === 1 ? 'a ring' : `${clip.rings.length} rings`} above ring ${above + 1}`,
  apply(draft) {
    const bodies = new Map<string, string>();
    clip.rings.forEach((copied, i) => {
      const { motif: _, ...ring } = copyOf(copied, { id: freshId(draft.rings) });
      const body = bodyOf(ring.making);
      if (body !== null && !bodies.has(body)) bodies.set(body, freshBody(draft));
      const making = body === null ? ring.making : ofBody(ring.making, bodies.get(body)!);
      draft.rings.splice(above + 1 + i, 0, { ...ring, making, woods: keysIn(draft, clip, copied.woods) });
    });
    return undefined;
  },
});

/** Whether the tones of a motif mean the same woods here; those that mean nothing yet are put on the palette. */
function tonesGo(draft: Project, { palette }: Clip, tones: readonly string[]): boolean {
  const meant = tones.map((tone) => palette.find((entry) => entry.tone === tone));
  const here = meant.map((entry) => entry && draft.palette.find(({ tone }) => tone === entry.tone));
  if (meant.some((entry, i) => !entry || (here[i] && here[i]!.wood !== entry.wood))) return false;
  meant.forEach((entry, i) => {
    if (!here[i] && entry) draft.palette.push({ ...entry, key: freshKey(draft.palette, entry.wood) });
  });
  return true;
}

/**
 * Gives rings the look of copied ones, these over and over from the bottom up: their motif where its tones mean the same
 * woods here, else their woods place by place.
 */
export const pasteLook = (rings: Rings, clip: Clip): Command => ({
  label: `Look of the copied ${clip.rings.length === 1 ? 'ring' : 'rings'} on ${named(rings)}`,
  apply(draft) {
    const motifs = new Map<string, string>();
    for (const { id, use } of clip.motifs)
      if (tonesGo(draft, clip, use.tones)) {
        const fresh = freshMotifId(draft.motifs);
        draft.motifs.push({ id: fresh, use: { ...use, tones: [...use.tones], values: { ...use.values } } });
        motifs.set(id, fresh);
      }
    let stock = 0;
    [...rings]
      .sort((a, b) => a - b)
      .forEach((index, i) => {
        const ring = draft.rings[index]!;
        if (ring.making.way === 'stock') stock++;
        else dress(draft, ring, clip, clip.rings[i % clip.rings.length]!, motifs);
      });
    return stock > 0 ? { note: say`${stock} from the stash stay as they are: they are glued.` } : undefined;
  },
});

function dress(
  draft: Project,
  ring: Ring,
  clip: Clip,
  copied: Ring,
  motifs: ReadonlyMap<string, string>,
): void {
  const motif = copied.motif === undefined ? undefined : motifs.get(copied.motif);
  if (motif !== undefined) ring.motif = motif;
  else {
    delete ring.motif;
    ring.woods = spread(keysIn(draft, clip, copied.woods), ring.woods.length);
  }
}
