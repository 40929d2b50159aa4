import { extremes, type Lean } from '../form/curve.js';
import type { RingPlan } from '../lumber/ringPlan.js';
import type { LayerLine } from '../making/contract.js';
import { type Said, say, sayMm } from '../measure/said.js';
import type { Subject } from './check.js';

/** How near turning comes to a line between two woods of a ring, over all heights at which the line lies; mm. Of staves that lean radii are those at half the ring's height, along the lean. */
export interface LayerMargin {
  readonly name: LayerLine['name'];
  /** Radii of the line: where it is nearest to the axis, and farthest. */
  readonly nearMm: number;
  readonly farMm: number;
  /** Least radius outside and greatest inside that turning comes to there. */
  readonly outsideMm: number;
  readonly insideMm: number;
  /** What turning takes off the blank there, from outside. */
  readonly deepMm: number;
  /** What is left over the line on either side; less than nothing where turning breaks through. */
  readonly outsideLeftMm: number;
  readonly insideLeftMm: number;
}

/** The margins of all layer lines and bottoms of plugs of a ring that the finished wall meets. */
export const layerMargins = (
  { layers, course, reaches, gives }: Pick<RingPlan, 'layers' | 'course' | 'reaches' | 'gives'>,
  vessel: Subject['vessel'],
): LayerMargin[] =>
  layers.flatMap(
    ({ name, nearMm, farMm, lean: slope = 0, fromMm = 0, toMm = course.topMm - course.bottomMm }) => {
      const walls = reaches.flatMap(({ region: { shift }, ...reach }) => {
        const base = course.bottomMm + shift.z;
        const [low, top] = [Math.max(reach.fromMm, base + fromMm), Math.min(reach.toMm, base + toMm)];
        const aside = Math.hypot(shift.x, shift.y);
        const lean = { slope, about: base + (course.topMm - course.bottomMm) / 2 };
        return low > top ? [] : [leftBetween(vessel, Math.min(low, vessel.heightMm), top, aside, lean)];
      });
      if (walls.length === 0) return [];
      const outsideMm = Math.min(...walls.map((wall) => wall.outside));
      const insideMm = Math.max(...walls.map((wall) => wall.inside));
      return [
        {
          name,
          nearMm,
          farMm,
          outsideMm,
          insideMm,
          deepMm: (gives?.outerRadiusMm ?? outsideMm) - outsideMm,
          outsideLeftMm: outsideMm - farMm,
          insideLeftMm: nearMm - insideMm,
        },
      ];
    },
  );

/** What is left over a line on one side, or by how much turning breaks through it there. */
export const leftSaid = (side: 'outside' | 'inside', leftMm: number): Said =>
  leftMm < 0
    ? say`turning breaks through it ${side} by ${sayMm(-leftMm)}`
    : say`${sayMm(leftMm)} is left ${side}`;

/** A margin in words: how deep turning goes there, and what is left on either side. */
export const marginSaid = ({ deepMm, outsideLeftMm, insideLeftMm }: LayerMargin): Said =>
  say`turned ${sayMm(deepMm)} deep; ${leftSaid('outside', outsideLeftMm)}, ${leftSaid('inside', insideLeftMm)}`;

/** Radii between which wood is left at every height along a lean, of a ring that has been moved aside. */
const leftBetween = (vessel: Subject['vessel'], low: number, top: number, aside: number, lean: Lean) => ({
  outside: extremes(vessel.outside, low, top, lean).least - aside,
  inside: boreBetween(vessel, low, top, lean) + aside,
});

/** Greatest radius of the inside between two heights; 0 where it is solid all the way. */
function boreBetween(
  { inside, hollowFromMm, hollowToMm }: Subject['vessel'],
  from: number,
  to: number,
  lean: Lean,
): number {
  const [low, high] = [Math.max(from, hollowFromMm), Math.min(to, hollowToMm)];
  return inside && high > low ? Math.max(0, extremes(inside, low, high, lean).most) : 0;
}
