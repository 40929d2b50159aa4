import type { Made } from '../making/contract.js';
import { type PlaceArc, placesRound } from './round.js';

/** A ring as it stands in the piece, for drawing its turned wall. */
export interface Standing {
  readonly made: Made;
  /** Radians from the index mark. */
  readonly turn: number;
  /** Height of its bottom in the piece, mm. */
  readonly bottomMm: number;
}

/**
 * A place on the turned wall between two heights of the piece: where it begins and ends round the piece at either,
 * radians counter-clockwise from the index mark; 0 ≤ `from` < 2π at the lower one.
 */
export interface WallPatch {
  readonly place: number;
  readonly low: { readonly z: number; readonly from: number; readonly to: number };
  readonly high: { readonly z: number; readonly from: number; readonly to: number };
}

/** Heights at which a wall with leaning joints or layer lines is followed, in one ring. */
const LEVELS = 8;

/** Which places show on a wall between two heights; `radius` gives the wall's radius at a height of the piece. */
export function wallPatches(
  { made, turn, bottomMm }: Standing,
  radius: (z: number) => number,
  from: number,
  to: number,
): WallPatch[] {
  const levels = made.radial ? 1 : LEVELS;
  const at = (i: number) => from + ((to - from) * i) / levels;
  const round = (z: number) =>
    placesRound(made, radius(z), turn, Math.min(made.heightMm, Math.max(0, z - bottomMm)));
  if (made.radial) {
    const middle = round((from + to) / 2);
    return middle.map((arc) => patchOf(arc, arc, from, to));
  }
  const rounds = Array.from({ length: levels + 1 }, (_, i) => round(at(i)));
  return Array.from({ length: levels }, (_, i) =>
    between(rounds[i]!, rounds[i + 1]!, at(i), at(i + 1), () => round((at(i) + at(i + 1)) / 2)),
  ).flat();
}

const patchOf = (low: PlaceArc, high: PlaceArc, from: number, to: number): WallPatch => ({
  place: low.place,
  low: { z: from, from: low.from, to: low.to },
  high: { z: to, from: high.from, to: high.to },
});

/** Joins what shows at two heights where each place shows as often at both; elsewhere takes what shows between. */
function between(
  low: readonly PlaceArc[],
  high: readonly PlaceArc[],
  from: number,
  to: number,
  middle: () => readonly PlaceArc[],
): WallPatch[] {
  const above = byPlace(high);
  const below = byPlace(low);
  const alike =
    above.size === below.size &&
    [...below].every(([place, arcs]) => above.get(place)?.length === arcs.length);
  if (!alike) return middle().map((arc) => patchOf(arc, arc, from, to));
  return [...below].flatMap(([place, arcs]) =>
    arcs.map((arc) => {
      const mates = above.get(place)!.map((mate) => nearLap(mate, arc));
      const mate = mates.reduce((a, b) => (away(b, arc) < away(a, arc) ? b : a));
      return patchOf(arc, mate, from, to);
    }),
  );
}

function byPlace(arcs: readonly PlaceArc[]): Map<number, PlaceArc[]> {
  const map = new Map<number, PlaceArc[]>();
  for (const arc of arcs) map.set(arc.place, [...(map.get(arc.place) ?? []), arc]);
  return map;
}

const middleOf = ({ from, to }: PlaceArc) => (from + to) / 2;
const away = (a: PlaceArc, b: PlaceArc) => Math.abs(middleOf(a) - middleOf(b));

/** The same stretch, counted in the lap in which it lies nearest to another. */
function nearLap(arc: PlaceArc, other: PlaceArc): PlaceArc {
  const lap = 2 * Math.PI * Math.round((middleOf(other) - middleOf(arc)) / (2 * Math.PI));
  return { ...arc, from: arc.from + lap, to: arc.to + lap };
}
