import { say, sayMm } from '../measure/said.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import type { Check, Subject } from './check.js';
import { ownersOf, ringsSaid } from './said.js';

/** A stack that ends below the top of the form, and rings that stand wholly above it. */
export function stackChecks({ rings, vessel: { heightMm } }: Subject): Check[] {
  const ends = rings.at(-1)!.topMm;
  if (ends < heightMm - SAME_LENGTH)
    return [
      {
        code: 'stack-short',
        owners: ownersOf([rings.at(-1)!]),
        message: say`The rings end at height ${sayMm(ends)}, ${sayMm(heightMm - ends)} below the top of the form.`,
        remedies: [{ does: 'top-up' }, { does: 'form-to-stack' }],
      },
    ];
  const above = rings.filter(({ bottomMm }) => bottomMm >= heightMm - SAME_LENGTH);
  if (above.length === 0) return [];
  const which = say`${ringsSaid(above)} ${above.length === 1 ? 'stands' : 'stand'}`;
  return [
    {
      code: 'ring-above-form',
      owners: ownersOf(above),
      message: say`${which} wholly above the form, which ends at ${sayMm(heightMm)}.`,
      remedies: [{ does: 'remove', rings: above.map(({ index }) => index) }, { does: 'form-to-stack' }],
    },
  ];
}
