import { type Mm, mm } from '../measure/quantity.js';
import type { WrongRing } from './wrongAngle.js';

/** A ring glued as two halves whose dry joints are sanded straight. Radii in mm from the ring's new centre. */
export interface Halves {
  /** Taken off the end of each half that stands out, tapering to nothing along the joint. */
  readonly sandedMm: Mm;
  /** The least distance of an outer flat: the largest circle that can still be turned. */
  readonly leastFlatMm: Mm;
  readonly mostFlatMm: Mm;
  readonly outOfRoundMm: Mm;
  /** The farthest inner corner: the smallest hole without a flat left in it. */
  readonly holeMm: Mm;
}

/**
 * The half-ring way round a wrong angle, for an even count: each half of N/2 segments spans π + N·ε. With φ = N·|ε|/2, too small an
 * angle leaves the ends φ short on either side: they are sanded to a line through the outer corners, `c = (ao′/cos θ′)·sin φ` from the
 * halves' centre; too large lets them stand out, down to a line through the inner corners, `c = −(ai′/cos θ′)·sin φ`. The flats' normals stand at
 * `ψj = ±φ + (2j + 1)·θ′`, a flat lies at `ao′ − c·sin ψj`. Null for an odd count, or where the halves do not reach.
 */
export function halvesOf({ count, error, cutAngle, outerFlatMm, innerFlatMm }: WrongRing): Halves | null {
  if (count % 2 === 1 || innerFlatMm < 0) return null;
  const phi = (count * error) / 2;
  const [outerCorner, innerCorner] = [outerFlatMm, innerFlatMm].map((flat) => flat / Math.cos(cutAngle));
  const short = error < 0;
  const lift = short ? outerCorner! * Math.sin(-phi) : -innerCorner! * Math.sin(phi);
  // Sanded as far as the second inner flat there is hardly a joint left.
  if (short && innerCorner! * Math.sin(2 * cutAngle - phi) <= lift) return null;
  const normals = Array.from({ length: count / 2 }, (_, j) => -phi + (2 * j + 1) * cutAngle);
  const flats = normals.map((psi) => outerFlatMm - lift * Math.sin(psi));
  const corners = Array.from({ length: count / 2 - 1 }, (_, j) => {
    const at = -phi + 2 * (j + 1) * cutAngle;
    return Math.hypot(innerCorner! * Math.cos(at), innerCorner! * Math.sin(at) - lift);
  });
  // On the joint itself: where the line that is sanded to meets the inner flat next to it, or the corner that it goes through.
  const first = normals[0]!;
  const onJoint = short
    ? (innerFlatMm - lift * Math.sin(first)) / Math.cos(first)
    : innerCorner! * Math.cos(phi);
  return {
    sandedMm: mm((outerCorner! - innerCorner!) * Math.sin(Math.abs(phi))),
    leastFlatMm: mm(Math.min(...flats)),
    mostFlatMm: mm(Math.max(...flats)),
    outOfRoundMm: mm(Math.max(...flats) - Math.min(...flats)),
    holeMm: mm(Math.max(onJoint, ...corners)),
  };
}
