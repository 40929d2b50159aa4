import type { LaidPiece, Made } from '../making/contract.js';
import { laidAt, outlineAtHeight } from '../making/layOut.js';
import { type Point, turned, wrapped } from '../ring/plane.js';
import type { Arc } from './arcs.js';
import { arcsInside } from './arcs.js';

/** Which place shows along a stretch of the ring, seen from outside. */
export interface PlaceArc extends Arc {
  readonly place: number;
}

/**
 * The places met by a circle of a radius at a height of a ring (mm above its bottom), turned by `turn` radians, in order
 * round the ring. This is what drawings show. Worked out for one repeat of the ring, and turned for the others.
 */
export function placesRound(made: Made, radius: number, turn: number, z = made.heightMm / 2): PlaceArc[] {
  const arcs: PlaceArc[] = [];
  let first = 0;
  for (const { count } of made.groups) {
    const laps = count % made.repeats === 0 ? made.repeats : 1;
    const period = count / laps;
    for (let place = first; place < first + period; place++)
      for (const arc of arcsOf(laidAt(made.lay(place), z), radius, z))
        for (let lap = 0; lap < laps; lap++) {
          const from = wrapped(arc.from + turn + (lap * 2 * Math.PI) / made.repeats);
          arcs.push({ place: place + lap * period, from, to: from + (arc.to - arc.from) });
        }
    first += count;
  }
  return arcs.sort((a, b) => a.from - b.from);
}

/** The same of a ring that has been moved aside: its pieces are asked one by one, since none is like another any more. */
export function placesAside(made: Made, radius: number, turn: number, z: number, aside: Point): PlaceArc[] {
  if (aside.x === 0 && aside.y === 0) return placesRound(made, radius, turn, z);
  const places = made.groups.reduce((sum, { count }) => sum + count, 0);
  return Array.from({ length: places }, (_, place) =>
    arcsOf(
      laidAt(made.lay(place), z).map((part) => movedPiece(part, turn, aside)),
      radius,
      z,
    ).map((arc) => ({ ...arc, place })),
  )
    .flat()
    .sort((a, b) => a.from - b.from);
}

/** A piece, or a part of one, turned about the axis and then moved aside. */
export function movedPiece(part: LaidPiece, turn: number, { x, y }: Point): LaidPiece {
  const moved = (outline: readonly Point[]) => turned(outline, turn).map((p) => ({ x: p.x + x, y: p.y + y }));
  const bottom = moved(part.bottom);
  return { ...part, bottom, top: part.top === part.bottom ? bottom : moved(part.top) };
}

/** Stretches of a circle that lie in parts of one piece; those that meet are one. */
function arcsOf(parts: readonly LaidPiece[], radius: number, z: number): Arc[] {
  const arcs = parts
    .flatMap((part) => arcsInside(outlineAtHeight(part, z), radius))
    .sort((a, b) => a.from - b.from);
  if (parts.length < 2) return arcs;
  const joined: Arc[] = [];
  for (const arc of arcs) {
    const last = joined.at(-1);
    if (last && arc.from <= last.to + SAME_PLACE) {
      if (arc.to > last.to) joined[joined.length - 1] = { from: last.from, to: arc.to };
    } else joined.push(arc);
  }
  return joined;
}

/** Stretches nearer to each other than this touch (radians). */
const SAME_PLACE = 1e-7;

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
