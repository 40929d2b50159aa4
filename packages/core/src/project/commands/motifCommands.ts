import { motifOf } from '../../pattern/motifs/registry.js';
import type { MotifUse } from '../../pattern/motifUse.js';
import type { Project } from '../schema.js';
import type { Command } from './command.js';
import { named, type Rings } from './each.js';
import { freeze } from './freeze.js';

const called = (use: MotifUse): string => motifOf(use.kind)?.name ?? use.kind;

const plain = ({ kind, tones, values }: MotifUse) => ({ kind, tones: [...tones], values: { ...values } });

export function freshMotifId(motifs: Project['motifs']): string {
  const taken = new Set(motifs.map(({ id }) => id));
  for (let n = motifs.length + 1; ; n++) if (!taken.has(`m${n}`)) return `m${n}`;
}

/** Lays a motif over rings; what they were painted with stays underneath. */
export const layMotif = (rings: Rings, use: MotifUse): Command => ({
  label: `${called(use)} over ${named(rings)}`,
  apply(draft) {
    const id = freshMotifId(draft.motifs);
    for (const index of rings) {
      const ring = draft.rings[index]!;
      if (ring.making.way !== 'stock') ring.motif = id;
    }
    draft.motifs.push({ id, use: plain(use) });
    return undefined;
  },
});

/** Other tones or numbers for a motif, or another motif in its place. */
export const changeMotif = (id: string, use: MotifUse): Command => ({
  label: `Change ${called(use).toLowerCase()}`,
  apply(draft) {
    const motif = draft.motifs.find((other) => other.id === id);
    if (motif) motif.use = plain(use);
    return undefined;
  },
});

/** The rings that a motif lies over; those that it leaves show again what they were painted with. */
export const spreadMotif = (id: string, rings: Rings): Command => ({
  label: `Motif over ${named(rings)}`,
  apply(draft) {
    draft.rings.forEach((ring, index) => {
      if (rings.includes(index) && ring.making.way !== 'stock') ring.motif = id;
      else if (ring.motif === id) delete ring.motif;
    });
    return undefined;
  },
});

/** A motif becomes painted places and follows no more. */
export const freezeMotif = (id: string): Command => ({
  label: 'Freeze a motif',
  apply(draft) {
    freeze(draft, new Set([id]));
    return undefined;
  },
});

/** Takes a motif off: its rings show again what they were painted with. */
export const removeMotif = (id: string): Command => ({
  label: 'Take a motif off',
  apply(draft) {
    for (const ring of draft.rings) if (ring.motif === id) delete ring.motif;
    draft.motifs = draft.motifs.filter((motif) => motif.id !== id);
    return undefined;
  },
});
