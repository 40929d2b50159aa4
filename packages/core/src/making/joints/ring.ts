import { degrees, rad } from '../../measure/quantity.js';
import { done, type Result, refuse } from '../../measure/reason.js';
import { say, sayMm, sayRad } from '../../measure/said.js';
import { SAME_ANGLE, SAME_LENGTH } from '../../measure/tolerance.js';
import type { RingNeed } from '../../ring/need.js';
import type { Point } from '../../ring/plane.js';
import { withoutWidth } from '../segments.js';
import { tooSteep } from '../staves/staves.js';
import { type Faces, leastOuter, mostInner, radialWedge, type Wedge } from '../wedge.js';
import type { Jointing } from './jointing.js';
import { type Lean, TILT_FIELD } from './lean.js';
import { outerForSlab } from './slab.js';

/** Equal segments pushed from the axis by what lies between them. */
export interface PushedRing {
  readonly wedges: readonly Wedge[];
  readonly faces: Faces;
}

/** Segments of a ring of N whose apexes are moved by `shifts`; tapered gaps take a share of every segment's angle. */
export const pushed = (shifts: readonly Point[], share = 0): Wedge[] =>
  shifts.map((shift, i) =>
    radialWedge(((2 * i + 1) * Math.PI) / shifts.length, ((1 - share) * Math.PI) / shifts.length, shift),
  );

export const largestShift = (wedges: readonly Wedge[]): number =>
  Math.max(...wedges.map(({ shift }) => Math.hypot(shift.x, shift.y)));

/** How far the wedge that is pushed out least is pushed out along its middle. */
const leastOut = (wedges: readonly Wedge[]): number =>
  Math.min(...wedges.map(({ middle, shift }) => shift.x * Math.cos(middle) + shift.y * Math.sin(middle)));

/**
 * The faces of segments with things of these (level) thicknesses between them, or air, so that the round ring Ri..Ro is
 * held: all have the same apothems, measured from their own apexes. Where `wood` lies between it has to reach the circle as
 * well. Gives exactly the formulas for evenly spread spacers of docs/how-it-computes.md; joints that
 * lean are moved at top and bottom by h·tan τ / 2. Of staves the radii grow by `slope` for every mm of height.
 */
export function pushedRing(
  wedges: readonly Wedge[],
  level: readonly number[],
  need: RingNeed,
  { wood, lean, slope = 0 }: Pick<Jointing, 'wood' | 'lean' | 'slope'>,
): Result<PushedRing> {
  const { outerRadiusMm, innerRadiusMm, heightMm } = need;
  const narrow = withoutWidth(outerRadiusMm, innerRadiusMm);
  if (narrow) return narrow;
  const { half } = wedges[0]!;
  // As it is planed, square to its faces.
  const thick = Math.max(...level) * (lean ? Math.cos(lean.tau) : 1);
  const aside = lean ? ((heightMm / 2) * Math.tan(lean.tau)) / Math.cos(half) : 0;
  const spread = (Math.abs(slope) * heightMm) / 2;
  const inner = mostInner(wedges, innerRadiusMm, heightMm, slope);
  const steep = tooSteep(slope, inner, half, need);
  if (steep) return steep;
  const edge = 2 * (outerRadiusMm - spread) * Math.tan(half);
  const left = edge - 2 * leastOut(wedges) * Math.tan(half);
  if (left <= SAME_LENGTH) return nothingLeft(thick, edge);
  if (lean && 2 * aside >= left) return eaten(lean, aside, left, half, heightMm);
  const slabs = level.flatMap((s, joint) =>
    s > 0 && wood[joint]! > 0
      ? [outerForSlab((joint * 2 * Math.PI) / wedges.length, wedges[joint]!, outerRadiusMm, spread)]
      : [],
  );
  const outer = Math.max(leastOuter(wedges, outerRadiusMm, heightMm, slope), ...slabs);
  if (2 * outer * Math.tan(half) <= SAME_LENGTH) return nothingLeft(thick, edge);
  if (inner === null)
    return holeTooSmall(largestShift(wedges) + aside, thick, innerRadiusMm, openIn(level, wood, half), lean);
  if (outer - inner <= SAME_LENGTH)
    return thick > 0
      ? refuse(
          'no-edge-left',
          'between',
          say`With ${sayMm(thick)} between the segments nothing is left of their width.`,
        )
      : withoutWidth(outerRadiusMm, outerRadiusMm)!;
  return done({ wedges, faces: { outerRadiusMm: outer, innerRadiusMm: inner, lean: slope } });
}

const nothingLeft = (thick: number, edge: number) =>
  refuse(
    'no-edge-left',
    'between',
    say`What lies between the segments is ${sayMm(thick)} thick and the edge that it is taken from ${sayMm(edge)}; nothing is left of the segments.`,
    { most: edge },
  );

const eaten = ({ tau }: Lean, aside: number, edge: number, half: number, heightMm: number) =>
  refuse(
    'tilt-eats-segment',
    TILT_FIELD,
    say`A tilt of ${sayRad(tau)} moves each joint by ${sayMm(2 * aside)} from bottom to top; the long edge is only ${sayMm(edge)}. Tilt less, make the ring thinner or take fewer segments.`,
    { most: degrees(rad(Math.atan((edge * Math.cos(half)) / heightMm))) },
  );

/** Whether any joint holds air: between two of them there is a gap, or segments take less than the circle. */
const openIn = (level: readonly number[], wood: readonly number[], half: number): boolean =>
  level.some((s, joint) => s > 0 && wood[joint] === 0) || 2 * half * level.length < 2 * Math.PI - SAME_ANGLE;

function holeTooSmall(least: number, thick: number, innerRadiusMm: number, open: boolean, lean?: Lean) {
  const tilted = lean ? say`Tilted by ${sayRad(lean.tau)}, the` : 'The';
  const between = thick > 0 ? say` with ${sayMm(thick)} between the segments` : '';
  const instead = open
    ? `An open ring has to have a hole; make this one another way, or ${lean ? 'lean it less' : 'the gaps narrower'}.`
    : thick === 0
      ? 'Put in a plug at least that large.'
      : 'Put in a plug at least that large, or take thinner or fewer spacers.';
  return refuse(
    'hole-too-small',
    'innerRadiusMm',
    say`${tilted} hole cannot be smaller than ${sayMm(2 * least)} across${between}, and ${sayMm(2 * innerRadiusMm)} is asked for. ${instead}`,
    { least },
  );
}
