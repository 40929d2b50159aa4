import { type Mm, TURN } from '../../measure/quantity.js';
import { done, type Result, refuse } from '../../measure/reason.js';
import { say, sayRad } from '../../measure/said.js';
import { SAME_ANGLE } from '../../measure/tolerance.js';
import type { RingNeed } from '../../ring/need.js';
import type { Band } from '../../ring/overlap.js';
import type { PieceKind } from '../contract.js';
import { segmentStock, WIDEST, withoutWidth } from '../segments.js';
import { LYING, type Stance, tooSteep } from '../staves/staves.js';
import type { StripStock } from '../stock.js';
import { asAsked, bandOf, type Faces, leastOuter, mostInner, radialWedge, type Wedge } from '../wedge.js';

/**
 * A closed ring of mitred segments whose apexes lie on the axis. All outer flats touch the circle Ro, so that a flat's
 * middle is the nearest point outside; the farthest corners of the hole, those of the widest segment, touch the circle
 * Ri: `ao = Ro`, `ai = Ri·cos(βmax/2)`. With β = 2π/N for all it is the ring of N equal segments: Lo = 2·Ro·tan(π/N),
 * Li = 2·Ri·sin(π/N). Derived in docs/how-it-computes.md, "The flat ring".
 */
export interface FlatRing {
  readonly faces: Faces;
  readonly gives: Band;
  readonly cornerMm: Mm;
  readonly repeats: number;
  readonly kinds: readonly (PieceKind & { readonly stock: StripStock })[];
  wedge(place: number): Wedge;
}

/** Included angles of equal or unequal segments that are repeated round a ring of `count`, from the index mark. */
export function anglesOf(count: number, parts: readonly number[] = [1]): number[] {
  const round = parts.reduce((a, b) => a + b, 0) * (count / parts.length);
  return parts.map((part) => (TURN * part) / round);
}

/**
 * `count` segments of the angles of `pattern`, again and again; `count` is a multiple of the pattern's length. Radii are those
 * at half the height.
 */
export function flatRing(
  count: number,
  pattern: readonly number[],
  need: RingNeed,
  { slope, called }: Stance = LYING,
): Result<FlatRing> {
  const widest = Math.max(...pattern);
  if (widest > WIDEST)
    return refuse(
      'segment-wide',
      'parts',
      say`The widest segment takes ${sayRad(widest)} of the circle; ${sayRad(WIDEST)} is the most that can be mitred.`,
    );
  const narrow = withoutWidth(need.outerRadiusMm, need.innerRadiusMm);
  if (narrow) return narrow;
  let sum = 0;
  const wedges = pattern.map((angle) => {
    sum += angle;
    return radialWedge(sum - angle / 2, angle / 2);
  });
  const repeat = sum;
  const { heightMm } = need;
  const inner = mostInner(wedges, need.innerRadiusMm, heightMm, slope);
  const steep = tooSteep(slope, inner, widest / 2, need);
  if (steep) return steep;
  const faces: Faces = {
    outerRadiusMm: leastOuter(wedges, need.outerRadiusMm, heightMm, slope),
    innerRadiusMm: inner!,
    lean: slope,
  };
  const wedge = (place: number): Wedge => {
    const member = wedges[place % pattern.length]!;
    return { ...member, middle: member.middle + Math.floor(place / pattern.length) * repeat };
  };
  const { gives, cornerMm } = bandOf(wedges, faces, heightMm);
  const alike = sameAngles(pattern);
  return done({
    gives: asAsked(gives, need),
    cornerMm,
    faces,
    repeats: count / pattern.length,
    kinds: alike.map((members) => ({
      name: alike.length === 1 ? called : say`${called} of ${sayRad(pattern[members[0]!]!)}`,
      heightMm,
      grain: 'along',
      stock: segmentStock(faces, wedges[members[0]!]!.half, heightMm),
      places: placesOfMembers(count, pattern.length, members),
    })),
    wedge,
  });
}

/** Members of a pattern that have the same angle, in the order they are met. */
function sameAngles(pattern: readonly number[]): number[][] {
  const groups: number[][] = [];
  pattern.forEach((angle, i) => {
    const group = groups.find(([first]) => Math.abs(pattern[first!]! - angle) < SAME_ANGLE);
    if (group) group.push(i);
    else groups.push([i]);
  });
  return groups;
}

function placesOfMembers(count: number, period: number, members: readonly number[]): number[] {
  const places: number[] = [];
  for (let lap = 0; lap < count; lap += period) for (const member of members) places.push(lap + member);
  return places;
}

/** The most by which outside corners of neighbours differ: Ro·|sec(βi/2) − sec(βj/2)|; it is turned away. */
export function stepBetween(angles: readonly number[], outerRadiusMm: number): number {
  const corners = angles.map((angle) => outerRadiusMm / Math.cos(angle / 2));
  return Math.max(...corners.map((corner, i) => Math.abs(corner - corners[(i + 1) % corners.length]!)));
}
