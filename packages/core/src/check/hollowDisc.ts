import { isRound } from '../making/stock.js';
import { say, sayMm } from '../measure/said.js';
import { ringOwner } from '../ring/owner.js';
import { eachRing } from './eachRing.js';

/** Solid discs and plugs where the form is hollow all the way through: wood that is only turned away. */
export const hollowDiscChecks = eachRing(({ index, id, need, pieces }) => {
  const solid = pieces.some(({ kind: { stock } }) => isRound(stock));
  if (need.innerRadiusMm === 0 || !solid) return [];
  const message = say`Ring ${index + 1} is solid where a ring would do: a hole of ${sayMm(2 * need.innerRadiusMm)} is turned away.`;
  return [
    {
      code: 'hollow-disc',
      owners: [ringOwner(id)],
      message,
      remedies: [{ does: 'make-segments', ring: index }],
    },
  ];
});
