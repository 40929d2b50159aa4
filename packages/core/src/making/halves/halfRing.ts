import { done, type Result, refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import type { RingNeed } from '../../ring/need.js';
import { outerForSlab } from '../joints/slab.js';
import { type Faces, leastOuter, mostInner, radialWedge, type Wedge } from '../wedge.js';
import type { Half } from './params.js';

/** The segments of one half. */
export interface HalfRing {
  readonly wedges: readonly Wedge[];
  readonly faces: Faces;
}

/**
 * A half of n segments, θ = 90°/n, with spacers of s between them: the apex of the first is moved by (s·cot θ / 2) along
 * the dividing line, that of the last as much the other way, and all by half the divider away from it.
 */
export function sizedHalf(
  { count, spacerMm }: Half,
  side: number,
  divider: number,
  need: RingNeed,
): Result<HalfRing> {
  const half = Math.PI / (2 * count);
  const turn = side * Math.PI;
  let [x, y] = [spacerMm / Math.tan(half) / 2, divider / 2];
  const wedges = Array.from({ length: count }, (_, i) => {
    if (i > 0) {
      x -= spacerMm * Math.sin(2 * i * half);
      y += spacerMm * Math.cos(2 * i * half);
    }
    return radialWedge((2 * i + 1) * half + turn, half, side === 0 ? { x, y } : { x: -x, y: -y });
  });
  const { outerRadiusMm, innerRadiusMm, heightMm } = need;
  const slabs = wedges.map((wedge) => outerForSlab(wedge.middle - wedge.half, wedge, outerRadiusMm));
  const outer = Math.max(leastOuter(wedges, outerRadiusMm, heightMm), ...slabs);
  const inner = mostInner(wedges, innerRadiusMm, heightMm);
  const name = side === 0 ? 'first' : 'second';
  if (outer <= SAME_LENGTH)
    return refuse(
      'no-edge-left',
      `inHalves.spacersMm.${side}`,
      say`Spacers of ${sayMm(spacerMm)} leave nothing of the segments of the ${name} half.`,
    );
  if (inner === null) {
    const least = 2 * Math.max(...wedges.map(({ shift }) => Math.hypot(shift.x, shift.y)));
    return refuse(
      'hole-too-small',
      'innerRadiusMm',
      say`The hole of the ${name} half cannot be smaller than ${sayMm(least)} across with what lies between its segments, and ${sayMm(2 * innerRadiusMm)} is asked for.`,
      { least: least / 2 },
    );
  }
  if (outer - inner <= SAME_LENGTH)
    return refuse(
      'ring-no-width',
      'innerRadiusMm',
      say`The ring has no width: its outer radius is ${sayMm(outerRadiusMm)}, its inner one ${sayMm(innerRadiusMm)}.`,
    );
  return done({ wedges, faces: { outerRadiusMm: outer, innerRadiusMm: inner, lean: 0 } });
}
