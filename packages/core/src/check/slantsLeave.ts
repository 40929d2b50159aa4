import { say, sayMm } from '../measure/said.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import type { Check, Subject } from './check.js';

/** Slanted bands that run out of the work at its lip or its foot: there is no wood there. */
export function slantsLeaveChecks({ over: { topMm, footMm } }: Subject): Check[] {
  const said = [
    topMm > SAME_LENGTH && (['lip', topMm, 'lower or flatter'] as const),
    footMm > SAME_LENGTH && (['foot', footMm, 'higher or flatter'] as const),
  ].filter((part) => part !== false);
  return said.map(([where, byMm, help]) => ({
    code: 'slant-leaves',
    owners: [],
    message: say`A slanted band runs out at the ${where}: up to ${sayMm(byMm)} of the wall has no wood there. Put the band ${help}, or give the work more height.`,
    remedies: [],
  }));
}
