import { say, sayMm } from '../measure/said.js';
import { ringOwner } from '../ring/owner.js';
import { eachRing } from './eachRing.js';

/** Glue joints between rings that are narrower than the shop wants. */
export const overlapChecks = eachRing(({ index, id, overlapMm }, shop) => {
  if (overlapMm === null || overlapMm >= shop.leastOverlapMm) return [];
  const joint = say`Ring ${index + 1} and ring ${index}`;
  const message =
    overlapMm <= 0
      ? say`${joint} do not meet: ${sayMm(-overlapMm)} of air lies between them. Make the rings there thinner or the wall thicker.`
      : say`${joint} are glued over only ${sayMm(overlapMm)}; you want at least ${sayMm(shop.leastOverlapMm)}.`;
  return [{ code: 'overlap', owners: [ringOwner(id)], message, remedies: [] }];
});
