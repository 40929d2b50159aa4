import { sayMm } from '../measure/format.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import type { Check, Subject } from './check.js';

/** A stack that ends below the top of the form, and rings that stand wholly above it. */
export function stackChecks({ rings, vessel: { heightMm } }: Subject): Check[] {
  const ends = rings.at(-1)!.topMm;
  if (ends < heightMm - SAME_LENGTH)
    return [
      {
        code: 'stack-short',
        ring: rings.length - 1,
        message: `The rings end at height ${sayMm(ends)}, ${sayMm(heightMm - ends)} below the top of the form.`,
        remedies: [{ does: 'top-up' }, { does: 'form-to-stack' }],
      },
    ];
  const above = rings.filter(({ bottomMm }) => bottomMm >= heightMm - SAME_LENGTH);
  const first = above[0];
  if (!first) return [];
  const which =
    above.length === 1
      ? `Ring ${first.index + 1} stands`
      : `Rings ${first.index + 1} to ${rings.length} stand`;
  return [
    {
      code: 'ring-above-form',
      ring: first.index,
      message: `${which} wholly above the form, which ends at ${sayMm(heightMm)}.`,
      remedies: [{ does: 'remove', rings: above.map(({ index }) => index) }, { does: 'form-to-stack' }],
    },
  ];
}
