import { type Mm, mm } from '../measure/quantity.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import {
  type Curve,
  type CurvePoint,
  curveThrough,
  pieceAt,
  pieceSlope,
  piecesBetween,
  radiusAt,
} from './curve.js';
import { MIN_RISE } from './order.js';
import type { Form } from './shape.js';
import { insideAt, type Vessel, vesselOf } from './vessel.js';

/** Slopes that differ by less are the same. */
const SAME_SLOPE = 1e-9;
/** An inside that would come out otherwise by more than this (mm) is written down as it is. */
const SAME_INSIDE = 5e-4;
const LOOKS = 400;

/**
 * A part of a curve as points of its own, heights counted from its lower end: r′(z) = r(z + from). A piece of a cubic is the same cubic through
 * its ends with its slopes there, so that nothing is lost; slopes are written down only where the curve through the points alone would
 * have others. `isCorner` tells where the curve turns sharply.
 */
export function croppedCurve(
  curve: Curve,
  from: number,
  to: number,
  isCorner: (z: number) => boolean,
): CurvePoint[] {
  const ends = piecesBetween(curve, from, to).map(({ z1 }) => z1);
  const heights = [from];
  for (const z of ends) if (z - heights.at(-1)! >= MIN_RISE && to - z >= MIN_RISE) heights.push(z);
  heights.push(to);
  const pieceOver = (i: number) => pieceAt(curve, (heights[i]! + heights[i + 1]!) / 2);
  const plain = heights.map((z, i): CurvePoint => {
    const inner = i > 0 && i < heights.length - 1;
    return {
      radiusMm: mm(radiusAt(curve, z)),
      heightMm: mm(z - from),
      kind: inner && isCorner(z) ? 'corner' : 'smooth',
    };
  });
  const usual = curveThrough(plain).pieces;
  return plain.map((point, i) => {
    const z = heights[i]!;
    const slope = {
      ...kept('below', i > 0 ? pieceSlope(pieceOver(i - 1), z) : undefined, usual[i - 1]?.d1),
      ...kept('above', i < usual.length ? pieceSlope(pieceOver(i), z) : undefined, usual[i]?.d0),
    };
    return Object.keys(slope).length > 0 ? { ...point, slope } : point;
  });
}

const kept = (side: 'below' | 'above', is: number | undefined, usual: number | undefined) =>
  is !== undefined && usual !== undefined && Math.abs(is - usual) > SAME_SLOPE ? { [side]: is } : {};

/**
 * What stands of a form between two heights, counted from the lower one: its outside, and its inside where it is hollow. The foot recess
 * stays where the foot does, the lid where its line is within.
 */
export function croppedForm(form: Form, vessel: Vessel, from: number, to: number): Form {
  const corner = (points: readonly CurvePoint[]) => (z: number) =>
    points.some(({ kind, heightMm }) => kind === 'corner' && Math.abs(heightMm - z) < SAME_LENGTH);
  const high = to - from;
  const lid =
    form.lid && form.lid.heightMm > from && to > vessel.heightMm - SAME_LENGTH
      ? { ...form.lid, heightMm: mm(form.lid.heightMm - from) }
      : null;
  const cropped: Form = {
    points: croppedCurve(vessel.outside, from, to, corner(form.points)),
    inside: form.inside,
    recess: from > SAME_LENGTH ? null : form.recess,
    lid,
  };
  const inside = vessel.inside;
  const [floor, top] = [Math.max(from, vessel.hollowFromMm), Math.min(to, vessel.hollowToMm)];
  if (!inside || top - floor < SAME_LENGTH)
    return {
      ...cropped,
      inside: { by: 'wall', walls: [{ heightMm: mm(0), wallMm: mm(6) }], floorMm: mm(high) },
    };
  if (form.inside.by === 'wall') {
    const { walls } = form.inside;
    const floorMm = mm(Math.max(0, vessel.hollowFromMm - from));
    const followed: Form = { ...cropped, inside: { by: 'wall', walls: shifted(walls, from, high), floorMm } };
    if (sameInside(followed, vessel, from, floor, top)) return followed;
  }
  const own = form.inside.by === 'curve' ? corner(form.inside.points) : () => false;
  const points = croppedCurve(inside, floor, top, own).map((point) => ({
    ...point,
    heightMm: mm(point.heightMm + floor - from) as Mm,
  }));
  return { ...cropped, inside: { by: 'curve', points } };
}

/** Thicknesses at their heights, counted from another; below it the one that is there. */
function shifted(walls: Extract<Form['inside'], { by: 'wall' }>['walls'], from: number, high: number) {
  const at = (z: number): number => {
    const above = walls.findIndex(({ heightMm }) => heightMm >= z);
    if (above <= 0) return walls.at(above < 0 ? -1 : 0)!.wallMm;
    const [low, next] = [walls[above - 1]!, walls[above]!];
    return low.wallMm + ((z - low.heightMm) / (next.heightMm - low.heightMm)) * (next.wallMm - low.wallMm);
  };
  const within = walls.filter(({ heightMm }) => heightMm > from + 0.1 && heightMm < from + high);
  return [
    { heightMm: mm(0), wallMm: mm(at(from)) },
    ...within.map(({ heightMm, wallMm }) => ({ heightMm: mm(heightMm - from), wallMm })),
    ...(walls.length > 1 ? [{ heightMm: mm(high), wallMm: mm(at(from + high)) }] : []),
  ];
}

function sameInside(form: Form, was: Vessel, from: number, floor: number, top: number): boolean {
  const made = vesselOf(form);
  if (!made.ok) return false;
  return Array.from({ length: LOOKS + 1 }, (_, i) => floor + (i / LOOKS) * (top - floor)).every(
    (z) => Math.abs((insideAt(made.value, z - from) ?? 0) - (insideAt(was, z) ?? 0)) < SAME_INSIDE,
  );
}
