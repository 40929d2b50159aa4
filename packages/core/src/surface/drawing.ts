import { type Curve, knotsBetween, radiusAt } from '../form/curve.js';
import { recessAt } from '../form/recess.js';
import { insideAt, type Vessel } from '../form/vessel.js';

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
