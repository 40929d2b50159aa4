import type { Made, PieceKind } from '../making/contract.js';
import { layOut } from '../making/layOut.js';
import { wrapped } from '../ring/plane.js';
import type { Arc } from './arcs.js';
import { arcsInside } from './arcs.js';

/** Which place shows along a stretch of the ring, seen from outside. */
export interface PlaceArc extends Arc {
  readonly place: number;
}

/**
 * The places met by a circle of a radius in a ring's lay-out, turned by `turn` radians, in order round the ring. This
 * is what drawings show and what shares of wood are counted from.
 */
export function placesRound(made: Made, radius: number, turn: number): PlaceArc[] {
  const arcs = layOut(made).flatMap((piece) =>
    arcsInside(piece.bottom, radius).map((arc) => {
      const from = wrapped(arc.from + turn);
      return { place: piece.place, from, to: from + (arc.to - arc.from) };
    }),
  );
  return arcs.sort((a, b) => a.from - b.from);
}

/**
 * Share of the circle of a radius that one piece of a kind holds; pieces of a kind are alike when turned about the axis.
 * Where joints are radial, as in every way of making so far, it is the share of the turned ring's volume as well.
 */
export function shareOf(made: Made, kind: PieceKind, radius: number): number {
  const arcs = arcsInside(made.lay(kind.places[0]!).bottom, radius);
  return arcs.reduce((sum, { from, to }) => sum + to - from, 0) / (2 * Math.PI);
}
