import type { Wall } from './reach.js';
import { overlapping } from './showing.js';

/** What the borders of a ring measure on the turned outside, mm. */
export interface RingBorders {
  /** Along the wall from the ring's bottom to its top. */
  readonly slantMm: number;
  /** Radius at its top, where the next ring begins. */
  readonly topRadiusMm: number;
}

/** How much border two woods share on the outside, mm. */
export interface Border {
  readonly a: string;
  readonly b: string;
  readonly lengthMm: number;
}

/** Neighbours touch where the one ends within this of the other's beginning, in turns; farther apart is a gap. */
const TOUCH = 1e-6;

/** For every two different woods that touch on the outside, how long the border between them is; longest first. */
export function bordersOf(
  wall: Wall,
  sizes: readonly RingBorders[],
  woodAt: (ring: number, place: number) => string,
): Border[] {
  const lengths = new Map<string, number>();
  const add = (a: string, b: string, mm: number) => {
    if (a === b) return;
    const name = a < b ? `${a}\n${b}` : `${b}\n${a}`;
    lengths.set(name, (lengths.get(name) ?? 0) + mm);
  };
  wall.forEach((shown, ring) => {
    if (!shown) return;
    const { stretches } = shown;
    stretches.forEach((stretch, i) => {
      const last = i === stretches.length - 1;
      const next = stretches[last ? 0 : i + 1]!;
      if (Math.abs(next.from + (last ? 1 : 0) - stretch.to) < TOUCH && stretches.length > 1)
        add(woodAt(ring, stretch.place), woodAt(ring, next.place), sizes[ring]!.slantMm);
      const above = wall[ring + 1];
      if (!above) return;
      for (const over of overlapping(above, stretch))
        add(
          woodAt(ring, stretch.place),
          woodAt(ring + 1, over.stretch.place),
          over.turns * 2 * Math.PI * sizes[ring]!.topRadiusMm,
        );
    });
  });
  return [...lengths]
    .map(([name, lengthMm]) => {
      const [a, b] = name.split('\n') as [string, string];
      return { a, b, lengthMm };
    })
    .sort((x, y) => y.lengthMm - x.lengthMm);
}
