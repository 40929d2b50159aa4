import { knotsBetween } from '../form/curve.js';
import { recessAt } from '../form/recess.js';
import { insideAt, type Vessel } from '../form/vessel.js';
import type { LaidPiece } from '../making/contract.js';
import { layOut, outlineAtHeight } from '../making/layOut.js';
import { integrate } from '../measure/quadrature.js';
import type { Point } from '../ring/plane.js';
import { type Cuts, type HalfSpace, sidesOf } from '../ring/slant.js';
import { movedPiece } from '../surface/round.js';
import { within } from '../surface/through.js';
import type { PreparedBand } from './preparedBand.js';

/** Slices in which pieces are measured (mm). */
export const SLICE = 2;

/** Radius of what is hollow at a height, from above or as the recess under the foot (mm). */
export const hollowAt = (vessel: Vessel, z: number): number =>
  Math.max(insideAt(vessel, z) ?? 0, recessAt(vessel.recess, z));

/**
 * The integral over heights, between the knots of the outside, where the hollow begins and ends and what further `bends` there
 * are, in slices.
 */
export function overHeights(
  of: (z: number) => number,
  vessel: Vessel,
  [low, high]: readonly [low: number, high: number],
  slice = SLICE,
  bends: readonly number[] = [],
): number {
  if (high <= low) return 0;
  const { hollowFromMm, hollowToMm, recess } = vessel;
  const floors = [hollowFromMm, hollowToMm, recess?.depthMm ?? 0, ...bends].filter(
    (z) => z > low && z < high,
  );
  const knots = [...knotsBetween(vessel.outside, low, high), ...floors].sort((a, b) => a - b);
  let sum = 0;
  for (let k = 1; k < knots.length; k++) {
    const [from, to] = [knots[k - 1]!, knots[k]!];
    const slices = Math.max(1, Math.ceil((to - from) / slice));
    for (let i = 0; i < slices; i++)
      sum += integrate(of, from + ((to - from) * i) / slices, from + ((to - from) * (i + 1)) / slices);
  }
  return sum;
}

/** A ring or a band where it lies in the piece. */
export type Lying = Pick<PreparedBand, 'made' | 'turn' | 'bottomMm' | 'reaches'>;

/** A part of a piece within one region: its place, between which heights of the piece it lies, and its outline at one of them. */
export interface Part {
  readonly place: number;
  readonly heightsMm: readonly [low: number, high: number];
  /** Heights at which a cut enters it or leaves it: its area falls off between them, and steeply where the cut is nearly level. */
  readonly bendsMm: readonly number[];
  outline(z: number): readonly Point[];
}

/** All parts of a ring or a band, as slanted cuts have moved and divided them, up to the lip. */
export function partsOf({ made, turn, bottomMm, reaches }: Lying, vessel: Vessel, cuts: Cuts): Part[] {
  return layOut(made).flatMap((piece) =>
    reaches.flatMap(({ region, fromMm, toMm }): Part[] => {
      const { shift } = region;
      const part = movedPiece(piece, turn, shift);
      const base = bottomMm + shift.z;
      const sides = sidesMet(part, base, sidesOf(cuts, region));
      if (!sides) return [];
      let lowMm = Math.max(fromMm, base + piece.fromMm);
      let highMm = Math.min(toMm, base + piece.toMm, vessel.heightMm);
      const bendsMm: number[] = [];
      for (const side of sides) {
        const [enters, leaves] = crossed(part, side);
        bendsMm.push(enters, leaves);
        if (side.normal.z > 0) highMm = Math.min(highMm, leaves);
        else lowMm = Math.max(lowMm, enters);
      }
      const outline = (z: number) => within(outlineAtHeight(part, z - base), sides, z);
      return highMm > lowMm ? [{ place: piece.place, heightsMm: [lowMm, highMm], bendsMm, outline }] : [];
    }),
  );
}

/** Between which heights the plane of a side crosses the outlines of a piece. */
function crossed({ bottom, top }: LaidPiece, { normal, most }: HalfSpace): [low: number, high: number] {
  let [low, high] = [Infinity, -Infinity];
  for (const corners of [bottom, top])
    for (const { x, y } of corners) {
      const z = (most - normal.x * x - normal.y * y) / normal.z;
      low = Math.min(low, z);
      high = Math.max(high, z);
    }
  return [low, high];
}

/** The sides of a region that go through a piece, by its corners; null where it lies without one of them altogether. */
function sidesMet(part: LaidPiece, base: number, sides: readonly HalfSpace[]): HalfSpace[] | null {
  const met: HalfSpace[] = [];
  for (const side of sides) {
    const { normal, most } = side;
    let [within, without] = [false, false];
    const look = (corners: readonly Point[], z: number) => {
      for (const { x, y } of corners)
        if (normal.x * x + normal.y * y + normal.z * z <= most) within = true;
        else without = true;
    };
    look(part.bottom, base + part.fromMm);
    look(part.top, base + part.toMm);
    if (!within) return null;
    if (without) met.push(side);
  }
  return met;
}
