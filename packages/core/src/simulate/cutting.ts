import { fromDegrees } from '../measure/quantity.js';
import { turnedPoint } from '../ring/plane.js';
import type { Errors } from '../settings/errors.js';
import type { Draws, Settings } from './draws.js';
import type { Frame, Unit } from './frame.js';
import { along, crossing, lengthOf, minus, type Quad, toward } from './quad.js';

/** By how much a unit was cut wrong: both mitres (radians, more than 0: too steep), its outer edge and the width of its strip (mm). */
export interface CutError {
  readonly from: number;
  readonly to: number;
  readonly lengthMm: number;
  readonly widthMm: number;
}

export const NO_CUT_ERROR: CutError = { from: 0, to: 0, lengthMm: 0, widthMm: 0 };

/** A millionth of a radian, or a hundredth of a millimetre, is the same setting. */
const angleName = (angle: number, tilt: number) =>
  `mitre ${Math.round(angle * 1e6)} ${Math.round(tilt * 1e6)}`;
const stopName = (lengthMm: number) => `stop ${Math.round(lengthMm * 100)}`;

/** Cut angles less than this are square: a parallel spacer is planed, and its length does not matter. */
const MITRED = 1e-9;

/**
 * What the cuts of a ring are out by. A mitre has the error of its setting and its own; a stop likewise; a strip is ripped
 * once for the ring. A spacer has no mitre: it is out by what its planer is, as a ring's thickness is.
 */
export function cutErrors(
  { units, tilt }: Frame,
  errors: Errors,
  settings: Settings,
  draws: Draws,
): CutError[] {
  const widthMm = errors.widthMm * draws.normal();
  const planed = errors.thicknessMm * draws.normal();
  return units.map(({ cutFrom, cutTo, quad }) => {
    const [first, second, length] = [draws.normal(), draws.normal(), draws.normal()];
    if (Math.abs(cutFrom) < MITRED && Math.abs(cutTo) < MITRED)
      return { ...NO_CUT_ERROR, lengthMm: planed, widthMm };
    const mitre = (angle: number, own: number) =>
      fromDegrees(errors.settingDeg * settings.of(angleName(Math.abs(angle), tilt)) + errors.cutDeg * own);
    const edge = lengthOf(minus(quad.outerTo, quad.outerFrom));
    return {
      from: mitre(cutFrom, first),
      to: mitre(cutTo, second),
      lengthMm: errors.stopMm * settings.of(stopName(edge)) + errors.pieceMm * length,
      widthMm,
    };
  });
}

/**
 * A unit as it was cut: its outer edge lies where it should, longer at its counter-clockwise end; each mitre turns about its
 * outer corner, too steep towards the middle; the inner edge is that much farther in.
 */
export function cutQuad({ quad }: Pick<Unit, 'quad'>, { from, to, lengthMm, widthMm }: CutError): Quad {
  const { outerFrom, innerFrom, innerTo } = quad;
  const edge = toward(outerFrom, quad.outerTo);
  const outerTo = along(quad.outerTo, edge, lengthMm);
  const fromFace = turnedPoint(toward(outerFrom, innerFrom), -from);
  const toFace = turnedPoint(toward(quad.outerTo, innerTo), to);
  if (innerFrom === innerTo || lengthOf(minus(innerFrom, innerTo)) === 0) {
    const point = crossing(outerTo, toFace, outerFrom, fromFace);
    return { outerFrom, outerTo, innerTo: point, innerFrom: point };
  }
  const inner = toward(innerFrom, innerTo);
  const onInner = along(innerFrom, { x: -edge.y, y: edge.x }, widthMm);
  return {
    outerFrom,
    outerTo,
    innerTo: crossing(outerTo, toFace, onInner, inner),
    innerFrom: crossing(outerFrom, fromFace, onInner, inner),
  };
}
