import { type Point, polar } from '../../ring/plane.js';

/** A star of P points, each a rhomb of side e with one corner on the axis, and the P-gon through its tips. Lengths in mm. */
export interface Star {
  readonly points: number;
  readonly sideMm: number;
  /** The tips' distance from the axis: the rhombs' long diagonal, 2e·cos(180°/P). */
  readonly tipMm: number;
  /** Short diagonal of the rhombs, 2e·sin(180°/P). */
  readonly shortMm: number;
  /** Radius of the disc that the P-gon through the tips holds, 2e·cos²(180°/P). */
  readonly holdsMm: number;
}

/** The star whose P-gon holds a disc of a radius; derived in docs/how-it-computes.md, “Medallion floors”. */
export function starHolding(points: number, radiusMm: number): Star {
  const cos = Math.cos(Math.PI / points);
  const sideMm = radiusMm / (2 * cos * cos);
  return {
    points,
    sideMm,
    tipMm: 2 * sideMm * cos,
    shortMm: 2 * sideMm * Math.sin(Math.PI / points),
    holdsMm: radiusMm,
  };
}

const tip = ({ points, tipMm }: Star, i: number): Point => polar(tipMm, (2 * Math.PI * i) / points);
const valley = ({ points, sideMm }: Star, i: number): Point =>
  polar(sideMm, ((2 * i + 1) * Math.PI) / points);

const AXIS: Point = { x: 0, y: 0 };

/** The half of point i clockwise of its middle, and the one counter-clockwise of it. */
export const clockwiseHalf = (star: Star, i: number): Point[] => [AXIS, valley(star, i - 1), tip(star, i)];
export const counterHalf = (star: Star, i: number): Point[] => [AXIS, tip(star, i), valley(star, i)];

/** What fills the valley between points i and i + 1, out to the line between their tips; apex 720°/P in the valley. */
export const infill = (star: Star, i: number): Point[] => [valley(star, i), tip(star, i), tip(star, i + 1)];
