import { say, sayMm } from '../measure/said.js';
import { ringOwner } from '../ring/owner.js';
import type { Check, Subject } from './check.js';

/** Rings thinner than this on one side of the lid line are no rings of their own (mm). */
const ON_THE_LINE = 0.05;

/** A ring that runs across the lid line: the lid is parted off between two rings, or one of them is sawn apart. */
export function lidChecks({ rings, vessel: { lidMm } }: Subject): Check[] {
  if (lidMm === null) return [];
  return rings.flatMap(({ index, id, bottomMm, topMm, course }) => {
    if (bottomMm > lidMm - ON_THE_LINE || topMm < lidMm + ON_THE_LINE) return [];
    return [
      {
        code: 'lid-across',
        owners: [ringOwner(id)],
        message: say`The lid line at ${sayMm(lidMm)} runs through ring ${index + 1}; body and lid part best between two rings.`,
        remedies: [{ does: 'split' as const, ring: index, atMm: lidMm - (bottomMm - course.bottomMm) }],
      },
    ];
  });
}
