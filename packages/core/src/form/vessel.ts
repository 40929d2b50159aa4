import { rememberedWhenFrozen } from '../measure/memo.js';
import { done, type Reason, type Result, refuse, refused } from '../measure/reason.js';
import { say, sayMm } from '../measure/said.js';
import { smallest } from '../measure/smallest.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import {
  type Curve,
  curveThrough,
  extremes,
  pieceRadius,
  piecesBetween,
  radiusAt,
  sameCurve,
  topOf,
} from './curve.js';
import { hollowOf } from './hollow.js';
import { insideOrder, outsideOrder, wallOrder } from './order.js';
import { type Cap, capOf, recessReasons } from './recess.js';
import type { Form } from './shape.js';
import { stretches, wallOf } from './wall.js';

/** A form made ready to be asked: its outside, and its inside where it is open. All mm. */
export interface Vessel {
  readonly outside: Curve;
  readonly heightMm: number;
  /** Radius of the hollow from its floor to its top; null for a solid piece. */
  readonly inside: Curve | null;
  /** Lowest height of the inside; equal to `heightMm` for a solid piece. */
  readonly hollowFromMm: number;
  /** Highest height of the inside: the lip, or under the roof of a lid. */
  readonly hollowToMm: number;
  /** The hollow turned into the bottom. */
  readonly recess: Cap | null;
  /** Height of the lid line. */
  readonly lidMm: number | null;
  /** Two halves are joined at that line for good: the hollow has no mouth. */
  readonly joined: boolean;
}

/** Inside radius at one height; null where the piece is solid. Heights that differ by rounding alone are the same. */
export function insideAt({ inside, hollowFromMm, hollowToMm }: Vessel, z: number): number | null {
  if (inside === null || z < hollowFromMm - SAME_LENGTH || z > hollowToMm + SAME_LENGTH) return null;
  return Math.max(0, radiusAt(inside, z));
}

/** Whether the piece is solid at some height between two: there a ring of segments would meet in points. */
export function solidSomewhere(
  { hollowFromMm, hollowToMm, heightMm }: Vessel,
  from: number,
  to: number,
): boolean {
  return from < hollowFromMm - SAME_LENGTH || Math.min(to, heightMm) > hollowToMm + SAME_LENGTH;
}

/** Whether two forms are the very same between two heights, whatever they are above and below. */
export function sameBetween(a: Vessel, b: Vessel, from: number, to: number): boolean {
  if (a === b) return true;
  const within = (z: number) => Math.min(Math.max(z, from), to);
  return (
    within(a.heightMm) === within(b.heightMm) &&
    within(a.hollowFromMm) === within(b.hollowFromMm) &&
    within(a.hollowToMm) === within(b.hollowToMm) &&
    sameRecess(a.recess, b.recess, from) &&
    sameCurve(a.outside, b.outside, from, to) &&
    (a.inside === null || b.inside === null ? a.inside === b.inside : sameCurve(a.inside, b.inside, from, to))
  );
}

/** Recesses that end below a height are nothing there. */
const sameRecess = (a: Cap | null, b: Cap | null, from: number): boolean =>
  Math.max(a?.depthMm ?? 0, b?.depthMm ?? 0) <= from ||
  (a?.depthMm === b?.depthMm && a?.radiusMm === b?.radiusMm);

/** Height up to which the body is open: its lip, or where two halves are joined. */
export const brimOf = ({ lidMm, hollowToMm }: Vessel): number =>
  lidMm === null ? hollowToMm : Math.min(lidMm, hollowToMm);

/** Least thickness of the wall at a height of the inside, square to the outside (mm); null where it is solid. */
export function wallAt(vessel: Vessel, z: number): number | null {
  const inside = insideAt(vessel, z);
  if (inside === null) return null;
  const level = radiusAt(vessel.outside, z) - inside;
  const [from, to] = [Math.max(0, z - level), Math.min(vessel.heightMm, z + level)];
  const found = piecesBetween(vessel.outside, from, to).flatMap((piece) => {
    const away = (height: number) => Math.hypot(Math.max(0, pieceRadius(piece, height) - inside), height - z);
    return stretches(piece, from, to, z).map(([low, high]) => smallest(away, low, high).value);
  });
  return Math.min(level, ...found);
}

/**
 * Makes a form ready, or says what cannot be: points that do not rise, a floor above the top, a wall that closes the
 * inside or pinches it, an inside that crosses the outside, a recess or a lid that do not go with them.
 */
export const vesselOf = rememberedWhenFrozen((form: Form): Result<Vessel> => {
  const wrong = [...outsideOrder(form.points), ...insideOrder(form.inside), ...wallOrder(form.inside)];
  if (wrong.length > 0) return refused(...wrong);
  const outside = curveThrough(form.points);
  const heightMm = topOf(outside);
  const bulge = bulgeReasons(form, outside, heightMm);
  if (bulge.length > 0) return refused(...bulge);
  const lid = lidReasons(form, heightMm);
  if (lid.length > 0) return refused(...lid);
  const inside = insideOf(form, outside, heightMm);
  if (!inside.ok) return inside;
  const vessel: Vessel = {
    outside,
    heightMm,
    inside: inside.value,
    hollowFromMm: inside.value ? inside.value.pieces[0]!.z0 : heightMm,
    hollowToMm: inside.value ? topOf(inside.value) : heightMm,
    recess: form.recess && capOf(form.recess),
    lidMm: form.lid?.heightMm ?? null,
    joined: form.lid?.joined === true,
  };
  const recess = form.recess ? recessReasons(form.recess, outside, vessel.hollowFromMm) : [];
  return recess.length > 0 ? refused(...recess) : done(vessel);
});

function insideOf({ inside, lid }: Form, outside: Curve, heightMm: number): Result<Curve | null> {
  if (inside.by === 'curve') return ownInside(inside.points, outside, heightMm, lid !== null);
  const { floorMm, walls } = inside;
  if (floorMm > heightMm)
    return refuse(
      'floor-above-lip',
      'form.inside.floorMm',
      say`The floor, ${sayMm(floorMm)}, is thicker than the form is tall, ${sayMm(heightMm)}.`,
      { most: heightMm },
    );
  const topMm = heightMm - (lid?.roofMm ?? 0);
  if (topMm - floorMm < SAME_LENGTH) return done(null);
  const room = { floorMm, topMm, lineMm: lid?.heightMm ?? null };
  return hollowOf(outside, wallOf(walls), room);
}

/** Least thickness, measured level, of a wall between two curves (mm): less would not hold together. */
export const LEAST_WALL = 0.5;

function ownInside(
  points: Parameters<typeof curveThrough>[0],
  outside: Curve,
  heightMm: number,
  lidded: boolean,
): Result<Curve> {
  const inside = curveThrough(points);
  const [floor, top] = [inside.pieces[0]!.z0, topOf(inside)];
  const topPath = `form.inside.points.${points.length - 1}.heightMm`;
  if (lidded ? top > heightMm - LEAST_WALL : Math.abs(top - heightMm) > 1e-9)
    return refuse(
      'inside-top',
      topPath,
      lidded
        ? say`The inside ends at height ${sayMm(top)}; with a lid it has to end below the top of the piece at ${sayMm(heightMm)}.`
        : say`The inside ends at height ${sayMm(top)}; it has to end at the lip, at ${sayMm(heightMm)}.`,
    );
  const heights = [...inside.pieces.map(({ z0 }) => z0), ...outside.pieces.map(({ z0 }) => z0), top]
    .filter((z) => z >= floor && z <= top)
    .sort((a, b) => a - b);
  const between = (z: number) => radiusAt(outside, z) - radiusAt(inside, z);
  for (let i = 1; i < heights.length; i++) {
    const thin = smallest(between, heights[i - 1]!, heights[i]!);
    if (thin.value >= LEAST_WALL - 1e-9) continue;
    return refuse(
      'curves-cross',
      'form.inside',
      say`At height ${sayMm(thin.at)} the inside comes to ${sayMm(radiusAt(inside, thin.at))} from the axis and the outside to ${sayMm(radiusAt(outside, thin.at))}; at least ${sayMm(LEAST_WALL)} of wood has to stay between the curves.`,
    );
  }
  return done(inside);
}

/** A curve that keeps slopes may swing past its points where these were moved since: never to the axis. */
function bulgeReasons({ points }: Form, outside: Curve, heightMm: number): Reason[] {
  if (points.every(({ slope }) => slope === undefined)) return [];
  const { least } = extremes(outside, 0, heightMm);
  if (least >= LEAST_WALL) return [];
  const message = say`Between its points the outside comes to ${sayMm(least)} from the axis; at least ${sayMm(LEAST_WALL)} has to stay. Put another point there.`;
  return [{ code: 'curves-cross', path: 'form.points', message }];
}

function lidReasons({ lid, inside }: Form, heightMm: number): Reason[] {
  if (!lid) return [];
  const floor = inside.by === 'wall' ? inside.floorMm : inside.points[0]!.heightMm;
  const ceiling = inside.by === 'wall' ? heightMm - lid.roofMm : inside.points.at(-1)!.heightMm;
  if (lid.heightMm > floor && lid.heightMm < ceiling) return [];
  const [line, roof] = lid.joined ? ['joint of the halves', 'upper end'] : ['lid line', "lid's roof"];
  const message = say`The ${line} is at height ${sayMm(lid.heightMm)}; it has to lie in the hollow, above the floor at ${sayMm(floor)} and below the ${roof} at ${sayMm(ceiling)}.`;
  return [{ code: 'lid-line', path: 'form.lid.heightMm', message, limits: { least: floor, most: ceiling } }];
}
