import { isRound } from '../making/stock.js';
import { say } from '../measure/said.js';
import { ringOwner } from '../ring/owner.js';
import type { Remedy } from './check.js';
import { eachRing } from './eachRing.js';

/** Rings solid to the centre that are made of segments: the points never meet well. */
export const meetingPointChecks = eachRing(({ index, id, gives, pieces }) => {
  const filled = pieces.some(({ kind: { stock } }) => isRound(stock));
  // Floors and twisted slices are glued up from blocks; what meets in their middle is part of the picture.
  const floor = pieces.some(
    ({ kind: { stock } }) =>
      (stock.from === 'panel' && stock.shape === 'block') || (stock.from === 'slice' && stock.cutAngle === 0),
  );
  const made = pieces.some(({ kind: { stock } }) => stock.from !== 'stash');
  if (!gives || gives.innerRadiusMm > 0 || filled || floor || !made) return [];
  const message = say`Ring ${index + 1} is solid to the centre, where the points of its segments meet and never meet well. Use a solid disc there, or drill and plug it.`;
  const remedies: Remedy[] = [
    { does: 'make-disc', ring: index },
    { does: 'make-plugged', ring: index },
  ];
  return [{ code: 'meeting-points', owners: [ringOwner(id)], message, remedies }];
});
