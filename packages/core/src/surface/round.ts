import type { Made } from '../making/contract.js';
import { layOut, outlineAt } from '../making/layOut.js';
import { wrapped } from '../ring/plane.js';
import type { Arc } from './arcs.js';
import { arcsInside } from './arcs.js';

/** Which place shows along a stretch of the ring, seen from outside. */
export interface PlaceArc extends Arc {
  readonly place: number;
}

/**
 * The places met by a circle of a radius at a height of a ring (mm above its bottom), turned by `turn` radians, in order
 * round the ring. This is what drawings show.
 */
export function placesRound(made: Made, radius: number, turn: number, z = made.heightMm / 2): PlaceArc[] {
  const arcs = layOut(made).flatMap((piece) =>
    arcsInside(outlineAt(piece, z / made.heightMm), radius).map((arc) => {
      const from = wrapped(arc.from + turn);
      return { place: piece.place, from, to: from + (arc.to - arc.from) };
    }),
  );
  return arcs.sort((a, b) => a.from - b.from);
}

/**
 * A figure of every place, worked out for one repeat of the ring only: `of` is asked for the first places of each group
 * and its answer goes for all that are alike.
 */
export function overPlaces(made: Made, of: (place: number) => number): number[] {
  const figures: number[] = [];
  for (const { count } of made.groups) {
    const first = figures.length;
    const period = count % made.repeats === 0 ? count / made.repeats : count;
    for (let i = 0; i < period; i++) figures.push(of(first + i));
    for (let i = period; i < count; i++) figures.push(figures[first + i - period]!);
  }
  return figures;
}
