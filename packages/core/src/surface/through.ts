import type { Point } from '../ring/plane.js';
import { type Cuts, type HalfSpace, stretchesRound } from '../ring/slant.js';
import { type PlaceArc, placesAside } from './round.js';
import type { Standing } from './standing.js';

const TURN = 2 * Math.PI;
/** Arcs shorter than this are nothing, and ends nearer to each other than this meet (radians). */
const NOTHING = 1e-9;

/**
 * Where a ring, or a band, that slanted cuts go through is met by a circle about the axis of the piece, at a height of
 * it: where its region is met, the ring is asked as far aside as the region has moved.
 */
export function arcsThrough(
  { made, turn, bottomMm, band }: Standing,
  cuts: Cuts,
  radius: number,
  z: number,
): PlaceArc[] {
  const arcs: PlaceArc[] = [];
  for (const { from, to, region } of stretchesRound(cuts, radius, z)) {
    const height = z - region.shift.z - bottomMm;
    if (region.band !== (band ?? null) || height < 0 || height > made.heightMm) continue;
    for (const arc of placesAside(made, radius, turn, height, region.shift))
      for (const lap of [-TURN, 0, TURN]) {
        const [start, end] = [Math.max(from, arc.from + lap), Math.min(to, arc.to + lap)];
        if (end - start > NOTHING) arcs.push({ place: arc.place, from: start, to: end });
      }
  }
  return joined(arcs.sort((a, b) => a.from - b.from));
}

/** All points of a plane with x·px + y·py ≤ most. */
export interface HalfPlane {
  readonly x: number;
  readonly y: number;
  readonly most: number;
}

/** The part of an outline that lies within half-planes (Sutherland and Hodgman, CACM 17, 1974). */
export const withinLines = (outline: readonly Point[], sides: readonly HalfPlane[]): readonly Point[] =>
  sides.reduce(withinLine, outline);

function withinLine(outline: readonly Point[], { x, y, most }: HalfPlane): readonly Point[] {
  const count = outline.length;
  if (count === 0) return outline;
  const kept: Point[] = [];
  let p = outline[count - 1]!;
  let a = x * p.x + y * p.y - most;
  for (let i = 0; i < count; i++) {
    const q = outline[i]!;
    const b = x * q.x + y * q.y - most;
    if (a <= 0 !== b <= 0) {
      const t = a / (a - b);
      kept.push({ x: p.x + t * (q.x - p.x), y: p.y + t * (q.y - p.y) });
    }
    if (b <= 0) kept.push(q);
    p = q;
    a = b;
  }
  return kept;
}

/** The part of an outline, at a height of the piece, that lies within half-spaces. */
export const within = (outline: readonly Point[], sides: readonly HalfSpace[], z: number): readonly Point[] =>
  withinLines(
    outline,
    sides.map(({ normal, most }) => ({ x: normal.x, y: normal.y, most: most - normal.z * z })),
  );

/** Arcs of one place that meet are one, across the index mark as well. */
function joined(arcs: readonly PlaceArc[]): PlaceArc[] {
  const all: PlaceArc[] = [];
  for (const arc of arcs) {
    const last = all.at(-1);
    if (last && last.place === arc.place && arc.from - last.to < NOTHING)
      all[all.length - 1] = { ...last, to: arc.to };
    else all.push(arc);
  }
  const [first, last] = [all[0], all.at(-1)];
  if (!first || !last || first === last || first.place !== last.place) return all;
  if (first.from > NOTHING || last.to < TURN - NOTHING) return all;
  return [...all.slice(1, -1), { ...last, to: first.to + TURN }];
}
