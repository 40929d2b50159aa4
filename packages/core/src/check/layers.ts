import { extremes } from '../form/curve.js';
import { sayMm } from '../measure/format.js';
import type { Check, Subject } from './check.js';
import { alike, ownersOf, ringsSaid } from './said.js';

/** A layer left thinner than this is soon sanded through (mm). */
const LEAST_LAYER = 1;

/** Lines between layers that turning breaks through at some height, or nearly: with the margin on either side. */
export const layerChecks = ({ rings, vessel }: Subject): Check[] =>
  alike(
    rings,
    (ring) => tooNear(ring, vessel),
    (said) => said,
  ).map(({ of, rings }) => ({
    code: 'layer-line',
    owners: ownersOf(rings),
    message: `${ringsSaid(rings)}: ${of}.`,
    remedies: [],
  }));

/** What is wrong with the layer lines of one ring. */
const tooNear = (
  { layers, course, reaches }: Subject['rings'][number],
  vessel: Subject['vessel'],
): string[] =>
  layers.flatMap(({ name, nearMm, farMm, fromMm = 0, toMm = course.topMm - course.bottomMm }): string[] => {
    const walls = reaches.flatMap(({ region: { shift }, ...reach }) => {
      const base = course.bottomMm + shift.z;
      const [low, top] = [Math.max(reach.fromMm, base + fromMm), Math.min(reach.toMm, base + toMm)];
      const aside = Math.hypot(shift.x, shift.y);
      return low > top ? [] : [leftBetween(vessel, Math.min(low, vessel.heightMm), top, aside)];
    });
    if (walls.length === 0) return [];
    const outside = Math.min(...walls.map((wall) => wall.outside));
    const inside = Math.max(...walls.map((wall) => wall.inside));
    const margins = [
      {
        side: 'outside',
        left: outside - farMm,
        at: `outside is ${sayMm(outside)} there and the line reaches ${sayMm(farMm)}`,
      },
      {
        side: 'inside',
        left: nearMm - inside,
        at: `bore is ${sayMm(inside)} there and the line comes in to ${sayMm(nearMm)}`,
      },
    ];
    if (margins.every(({ left }) => left >= LEAST_LAYER)) return [];
    const said = margins.map(({ side, left, at }) =>
      left < 0
        ? `turning breaks through it ${side} by ${sayMm(-left)} (the ${at})`
        : `${sayMm(left)} is left ${side}`,
    );
    return [`${name} between two woods is too near the wall: ${said.join('; ')}`];
  });

/** Radii between which wood is left at every height, of a ring that has been moved aside. */
const leftBetween = (vessel: Subject['vessel'], low: number, top: number, aside: number) => ({
  outside: extremes(vessel.outside, low, top).least - aside,
  inside: boreBetween(vessel, low, top) + aside,
});

/** Greatest radius of the inside between two heights; 0 where it is solid all the way. */
function boreBetween(
  { inside, hollowFromMm, hollowToMm }: Subject['vessel'],
  from: number,
  to: number,
): number {
  const [low, high] = [Math.max(from, hollowFromMm), Math.min(to, hollowToMm)];
  return inside && high > low ? Math.max(0, extremes(inside, low, high).most) : 0;
}
