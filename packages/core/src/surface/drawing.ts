import { type Curve, knotsBetween, radiusAt } from '../form/curve.js';
import { recessAt } from '../form/recess.js';
import { insideAt, type Vessel } from '../form/vessel.js';
import type { Made } from '../making/contract.js';
import { type Standing, type WallPatch, wallPatches } from './wall.js';

/** A point of a half-section: radius and height, mm. */
export interface SectionPoint {
  readonly r: number;
  readonly z: number;
}

/** Distance between drawn points of a curve, mm: under a pixel's sagitta at bench scale. */
const DRAWN_STEP = 2;

/** Heights at which a curve is drawn: every couple of millimetres up or across, and its own points. */
function drawnHeights(curve: Curve, from: number, to: number): number[] {
  const knots = knotsBetween(curve, from, to);
  return knots.flatMap((z, i) => {
    const next = knots[i + 1];
    if (next === undefined) return [z];
    const across = Math.abs(radiusAt(curve, next) - radiusAt(curve, z));
    const parts = Math.max(1, Math.ceil(Math.max(next - z, across) / DRAWN_STEP));
    return Array.from({ length: parts }, (_, k) => z + ((next - z) * k) / parts);
  });
}

/** The outside of the turned piece, foot to lip. */
export const outsideLine = ({ outside, heightMm }: Vessel, from = 0, to = heightMm): SectionPoint[] =>
  drawnHeights(outside, from, to).map((z) => ({ r: radiusAt(outside, z), z }));

/** The inside, from the middle of the floor to the lip, or to the middle of a lid's roof; empty for a solid piece. */
export function insideLine(vessel: Vessel): SectionPoint[] {
  const { inside, hollowFromMm, hollowToMm, heightMm } = vessel;
  if (!inside) return [];
  const wall = drawnHeights(inside, hollowFromMm, hollowToMm).map((z) => ({
    r: insideAt(vessel, z) ?? 0,
    z,
  }));
  const roof = hollowToMm < heightMm ? [{ r: 0, z: hollowToMm }] : [];
  return [{ r: 0, z: hollowFromMm }, ...wall, ...roof];
}

/** Points drawn on a foot recess. */
const RECESS_POINTS = 16;

/**
 * The half-section of the wood that is left, as a closed outline: up the outside, across the top, down the inside to the
 * axis (or down the axis where it is solid) and out round the foot recess.
 */
export function woodOutline(vessel: Vessel): SectionPoint[] {
  const { recess, heightMm, hollowToMm } = vessel;
  const inside = insideLine(vessel).reverse();
  const closed = inside.length === 0 || hollowToMm < heightMm;
  const depth = recess?.depthMm ?? 0;
  const under = Array.from({ length: RECESS_POINTS + 1 }, (_, i) => {
    const z = depth * (1 - i / RECESS_POINTS);
    return { r: recessAt(recess, z), z };
  });
  return [...outsideLine(vessel), ...(closed ? [{ r: 0, z: heightMm }] : []), ...inside, ...under];
}

/** A point of a drawing seen from the front: x to the right of the axis, z up, mm. */
export interface FrontPoint {
  readonly x: number;
  readonly z: number;
}

/** A place as the eye sees it on the outside of the turned piece: its outline, and the one of its sides that is a joint. */
export interface OutsidePatch {
  readonly place: number;
  readonly outline: readonly FrontPoint[];
  readonly joint: readonly FrontPoint[];
}

/**
 * The places of a ring that the eye sees, `view` radians round from the index mark: on the right-hand quarter, or on the
 * whole front half. `line` is the outside of the ring, bottom to top.
 */
export function outsidePatches(
  ring: Standing,
  line: readonly SectionPoint[],
  view: number,
  seen: 'right' | 'front' = 'right',
): OutsidePatch[] {
  const [least, most] = [seen === 'right' ? 0 : -Math.PI / 2, Math.PI / 2];
  const [foot, top] = [line[0]!.z, line[line.length - 1]!.z];
  const shown = (angle: number) => Math.sin(Math.min(most, Math.max(least, angle)));
  const patches = wallPatches({ ...ring, turn: ring.turn - view }, (z) => radiusOn(line, z), foot, top);
  return patches.flatMap(({ place, low, high }) =>
    [0, 2 * Math.PI, 4 * Math.PI].flatMap((lap) => {
      const farthest = Math.max(low.to, high.to) - lap;
      const nearest = Math.min(low.from, high.from) - lap;
      if (farthest <= least + 1e-6 || nearest >= most - 1e-6) return [];
      const side = (of: 'from' | 'to') =>
        between(line, low.z, high.z).map(({ r, z }) => {
          const share = (z - low.z) / (high.z - low.z);
          return { x: r * shown(low[of] + share * (high[of] - low[of]) - lap), z };
        });
      const joint = side('from');
      return [{ place, joint, outline: [...joint, ...side('to').reverse()] }];
    }),
  );
}

/** The points of a line between two heights, with its points at these. */
function between(line: readonly SectionPoint[], low: number, high: number): SectionPoint[] {
  const inside = line.filter(({ z }) => z > low && z < high);
  return [{ r: radiusOn(line, low), z: low }, ...inside, { r: radiusOn(line, high), z: high }];
}

/** Radius of a drawn line at a height. */
function radiusOn(line: readonly SectionPoint[], z: number): number {
  const above = line.findIndex((point) => point.z >= z);
  if (above <= 0) return line[above < 0 ? line.length - 1 : 0]!.r;
  const [a, b] = [line[above - 1]!, line[above]!];
  return a.r + ((z - a.z) / (b.z - a.z)) * (b.r - a.r);
}

/** A place on the unrolled wall: its corners as shares of the way round (they may lie a little beyond 0 and 1) and heights. */
export interface UnrolledPart {
  readonly place: number;
  readonly low: { readonly z: number; readonly from: number; readonly to: number };
  readonly high: { readonly z: number; readonly from: number; readonly to: number };
}

/** The wall of a ring laid flat between two heights; a place across 0° comes twice, once at either end. */
export function unrolledParts(
  ring: Standing,
  radius: (z: number) => number,
  from: number,
  to: number,
): UnrolledPart[] {
  return wallPatches(ring, radius, from, to).flatMap(({ place, low, high }) =>
    [-1, 0, 1, 2].flatMap((lap) => {
      const share = ({ z, from: a, to: b }: WallPatch['low']) => ({
        z,
        from: a / (2 * Math.PI) - lap,
        to: b / (2 * Math.PI) - lap,
      });
      const [lower, upper] = [share(low), share(high)];
      const outside = Math.max(lower.to, upper.to) <= 1e-9 || Math.min(lower.from, upper.from) >= 1 - 1e-9;
      return outside ? [] : [{ place, low: lower, high: upper }];
    }),
  );
}

/** The place that a level direction (radians from the index mark) meets at a radius and a height of the ring; null in air. */
export const placeToward = (
  made: Made,
  turn: number,
  radius: number,
  direction: number,
  z = made.heightMm / 2,
): number | null => {
  const angle = direction - turn;
  return made.placeAt(radius * Math.cos(angle), radius * Math.sin(angle), z);
};

/** A stretch of a level line from the axis outwards, and the place that it runs through (null in air), mm. */
export interface CutPart {
  readonly place: number | null;
  readonly innerMm: number;
  readonly outerMm: number;
}

/** Stretches of a cut are told apart to this (mm). */
const CUT_STEP = 0.5;

/** What a cut through the axis meets in a ring at half its height, in a direction from the index mark, inside out. */
export function cutParts(made: Made, turn: number, direction: number): CutPart[] {
  const { innerMm, outerMm } = made.gives;
  const steps = Math.max(1, Math.ceil((outerMm - innerMm) / CUT_STEP));
  const parts: CutPart[] = [];
  for (let i = 0; i < steps; i++) {
    const [from, to] = [i, i + 1].map((k) => innerMm + ((outerMm - innerMm) * k) / steps) as [number, number];
    const place = placeToward(made, turn, (from + to) / 2, direction);
    const last = parts[parts.length - 1];
    if (last && last.place === place) parts[parts.length - 1] = { ...last, outerMm: to };
    else parts.push({ place, innerMm: from, outerMm: to });
  }
  return parts;
}
