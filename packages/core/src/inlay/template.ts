import { slopeLength } from '../form/slope.js';
import type { Vessel } from '../form/vessel.js';
import type { Point } from '../ring/plane.js';
import type { Frame } from './frame.js';
import type { WallCorner } from './placed.js';

/** Below this slope (sine) a cone is a cylinder to within a hair. */
const UPRIGHT = 1e-6;
/**
 * A corner on the surface as it lies on a paper that is laid round the piece at the inlay's middle: the paper bends to the
 * cone that touches there, and unrolled it is a sector about the cone's point. True on a cone (and a cylinder); on a
 * curved wall lengths along the slope are kept. x to the right of the middle, y up, mm.
 */
export function onPaper(vessel: Vessel, frame: Frame, { angle, z }: WallCorner): Point {
  const along = Math.sign(z - frame.heightMm) * slopeLength(vessel.outside, frame.heightMm, z);
  const sine = frame.up.r;
  if (Math.abs(sine) < UPRIGHT) return { x: frame.radiusMm * angle, y: along };
  const apex = frame.radiusMm / sine;
  const turn = angle * sine;
  // From the cone's point: (apex + along)·(sin, cos), less the middle; half angles keep what is small exact.
  const half = Math.sin(turn / 2);
  return { x: (apex + along) * Math.sin(turn), y: along * Math.cos(turn) - 2 * apex * half * half };
}
