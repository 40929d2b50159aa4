import { done, type Result, refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import type { Point } from '../../ring/plane.js';
import { withoutWidth } from '../segments.js';
import { outerForSlab } from '../slab.js';
import { type Faces, leastOuter, mostInner, radialWedge, type Wedge } from '../wedge.js';

/** Equal segments pushed from the axis by what lies between them. */
export interface PushedRing {
  readonly wedges: readonly Wedge[];
  readonly faces: Faces;
}

/** Segments of a ring of N whose apexes are moved by `shifts`. */
export const pushed = (shifts: readonly Point[]): Wedge[] =>
  shifts.map((shift, i) =>
    radialWedge(((2 * i + 1) * Math.PI) / shifts.length, Math.PI / shifts.length, shift),
  );

export const largestShift = (wedges: readonly Wedge[]): number =>
  Math.max(...wedges.map(({ shift }) => Math.hypot(shift.x, shift.y)));

/**
 * The faces of segments with thin parallel things of these thicknesses between them (or air), so that the round ring
 * Ri..Ro is held: all have the same apothems, measured from their own apexes. `joints` is true where a spacer has to
 * reach the circle as well. Gives exactly the formulas for evenly spread spacers of docs/how-it-computes.md.
 */
export function pushedRing(
  thicknesses: readonly number[],
  shifts: readonly Point[],
  outerRadiusMm: number,
  innerRadiusMm: number,
  heightMm: number,
  filled: boolean,
): Result<PushedRing> {
  const narrow = withoutWidth(outerRadiusMm, innerRadiusMm);
  if (narrow) return narrow;
  const wedges = pushed(shifts);
  const step = (2 * Math.PI) / wedges.length;
  const slabs = thicknesses.flatMap((s, joint) =>
    s > 0 && filled ? [outerForSlab(joint * step, wedges[joint]!, outerRadiusMm)] : [],
  );
  const outer = Math.max(leastOuter(wedges, outerRadiusMm, heightMm), ...slabs);
  const thick = Math.max(...thicknesses);
  const edge = 2 * outerRadiusMm * Math.tan(step / 2);
  if (outer <= SAME_LENGTH || 2 * outer * Math.tan(step / 2) <= SAME_LENGTH)
    return refuse(
      'no-edge-left',
      'thicknessMm',
      say`What lies between the segments is ${sayMm(thick)} thick and the edge that it is taken from ${sayMm(edge)}; nothing is left of the segments.`,
      { most: edge },
    );
  const inner = mostInner(wedges, innerRadiusMm, heightMm);
  if (inner === null) {
    const least = 2 * largestShift(wedges);
    return refuse(
      'hole-too-small',
      'innerRadiusMm',
      say`The hole cannot be smaller than ${sayMm(least)} across with ${sayMm(thick)} between the segments, and ${sayMm(2 * innerRadiusMm)} is asked for. ${filled ? 'Put in a plug at least that large, or take thinner or fewer spacers.' : 'An open ring has to have a hole; make this one another way, or the gaps narrower.'}`,
      { least: least / 2 },
    );
  }
  if (outer - inner <= SAME_LENGTH)
    return refuse(
      'no-edge-left',
      'thicknessMm',
      say`With ${sayMm(thick)} between the segments nothing is left of their width.`,
    );
  return done({ wedges, faces: { outerRadiusMm: outer, innerRadiusMm: inner, lean: 0 } });
}
