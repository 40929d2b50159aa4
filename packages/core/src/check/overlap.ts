import { sayMm } from '../measure/format.js';
import type { Check, Subject } from './check.js';

/** Glue joints between rings that are narrower than the shop wants. */
export const overlapChecks = ({ rings, shop }: Subject): Check[] =>
  rings.flatMap(({ index, overlapMm }) => {
    if (overlapMm === null || overlapMm >= shop.leastOverlapMm) return [];
    const joint = `Ring ${index + 1} and ring ${index}`;
    const message =
      overlapMm <= 0
        ? `${joint} do not meet: ${sayMm(-overlapMm)} of air lies between them. Make the rings there thinner or the wall thicker.`
        : `${joint} are glued over only ${sayMm(overlapMm)}; you want at least ${sayMm(shop.leastOverlapMm)}.`;
    return [{ code: 'overlap', ring: index, message, remedies: [] }];
  });
