import { degrees, rad } from '../../measure/quantity.js';
import { type Result, refuse } from '../../measure/reason.js';
import { say, sayMm, sayRad } from '../../measure/said.js';
import type { Warning } from '../warnings.js';
import type { Faces } from '../wedge.js';
import { nearestBalanced } from './balanced.js';
import { misfit } from './closing.js';
import type { Jointing } from './jointing.js';
import { type Leaning, leanOf, TILT_FIELD } from './lean.js';

/** The refusal of things in the joints that do not close, with the misfit and the nearest set that does. */
export function doesNotClose({ thicknesses, wood }: Jointing): Result<never> {
  const air = thicknesses.some((s, joint) => s > 0 && wood[joint] === 0);
  const [one, many] = !air
    ? ['spacer', 'spacers']
    : wood.every((s) => s === 0)
      ? ['gap', 'gaps']
      : ['spacer or gap', 'spacers and gaps'];
  const off = misfit(thicknesses);
  const number = thicknesses.filter((s) => s > 0).length;
  const near = nearestBalanced(thicknesses);
  const joints = near?.flatMap((s, joint) => (s > 0 ? [joint + 1] : [])) ?? [];
  const proposal =
    joints.length > 0
      ? say` The nearest set that closes has ${many} of ${sayMm(Math.max(...thicknesses))} at joints ${joints.join(', ')}.`
      : '';
  return refuse(
    'does-not-close',
    'between',
    say`${number === 1 ? `One ${one} alone does` : `These ${number} ${many} do`} not close: the last joint is ${sayMm(off)} out.${proposal}`,
    { misfit: off },
  );
}

/** Spacers that leave little of the segments. */
export function thickWarning(thicknesses: readonly number[], outerRadiusMm: number, half: number): Warning[] {
  const thickest = Math.max(...thicknesses);
  const edge = 2 * outerRadiusMm * Math.tan(half);
  return thickest < edge / 2
    ? []
    : [
        {
          code: 'thick-spacer',
          message: say`A spacer is ${sayMm(thickest)} thick, and a segment’s edge without it would be ${sayMm(edge)}: little is left of the segments.`,
        },
      ];
}

/** An oval less than this is lost in truing (mm). */
export const OVAL_NOTICED = 0.5;

/** A ring that is stretched more one way than another. */
export const ovalWarning = (oval: number): Warning[] =>
  oval < OVAL_NOTICED
    ? []
    : [
        {
          code: 'oval',
          message: say`It closes, but is stretched by ${sayMm(oval)} more one way than another; the segments are cut that much larger, and it turns unevenly until it is true.`,
        },
      ];

/** The refusal of wedges glued alternately upside down whose narrow face comes to nothing; null where it does not. */
export function tooNarrowInTurn(
  lean: Leaning,
  half: number,
  { innerRadiusMm }: Faces,
  heightMm: number,
): Result<never> | null {
  const { tau, inTurn } = leanOf(lean);
  const short = 2 * innerRadiusMm * Math.tan(half);
  if (!inTurn || short > (heightMm * Math.tan(tau)) / Math.cos(half)) return null;
  return refuse(
    'tilt-eats-segment',
    TILT_FIELD,
    say`A tilt of ${sayRad(tau)} leaves nothing of the short edge of ${sayMm(short)} on the narrow face of a wedge. Tilt less or take fewer segments.`,
    { most: degrees(rad(Math.atan((short * Math.cos(half)) / heightMm))) },
  );
}
