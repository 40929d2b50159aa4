import { extremes } from '../form/curve.js';
import { sayMm } from '../measure/format.js';
import type { Check, Subject } from './check.js';

/** A layer left thinner than this is soon sanded through (mm). */
const LEAST_LAYER = 1;

/** Lines between layers that turning breaks through at some height, or nearly: with the margin on either side. */
export const layerChecks = ({ rings, vessel }: Subject): Check[] =>
  rings.flatMap(({ index, layers, bottomMm, topMm }) => {
    const highest = Math.min(topMm, vessel.heightMm);
    return layers.flatMap(({ name, nearMm, farMm, fromMm = 0, toMm = topMm - bottomMm }): Check[] => {
      const [low, top] = [Math.min(highest, bottomMm + fromMm), Math.min(highest, bottomMm + toMm)];
      const outside = extremes(vessel.outside, low, top).least;
      const inside = boreBetween(vessel, low, top);
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
      const message = `Ring ${index + 1}: ${name} between two woods is too near the wall: ${said.join('; ')}.`;
      return [{ code: 'layer-line', ring: index, message, remedies: [] }];
    });
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
