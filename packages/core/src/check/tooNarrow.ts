import { say, sayList, sayMm } from '../measure/said.js';
import { shortfall } from '../ring/need.js';
import { ringOwner } from '../ring/owner.js';
import { eachRing } from './eachRing.js';

/** A ring that comes this near to its wall still holds it (mm): nobody measures closer. */
const NEAR_ENOUGH = 0.01;

/** Rings whose size stands and that do not hold the wall of the form. */
export const tooNarrowChecks = eachRing(({ index, id, gives, wallAlong, fixed }) => {
  if (!gives) return [];
  const { outsideMm, insideMm } = shortfall(gives, wallAlong);
  const wrong = [
    outsideMm > NEAR_ENOUGH && say`is ${sayMm(outsideMm)} short of the wall outside`,
    insideMm > NEAR_ENOUGH && say`has a hole that is ${sayMm(insideMm)} too large in radius`,
  ].filter((part) => part !== false);
  if (wrong.length === 0) return [];
  return [
    {
      code: 'too-narrow',
      owners: [ringOwner(id)],
      message: say`Ring ${index + 1} ${sayList(wrong, ' and ')}.`,
      remedies: fixed ? [{ does: 'follow-form' as const, ring: index }] : [],
    },
  ];
});
