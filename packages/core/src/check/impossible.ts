import { say } from '../measure/said.js';
import { ringOwner } from '../ring/owner.js';
import type { Check, Subject } from './check.js';

/** Rings that cannot be made (those above the form are a matter of the stack), and pieces that no strip or board can give. */
export const impossibleChecks = ({ rings, lumber, roll }: Subject): Check[] => [
  ...rings.flatMap(({ index, id, reasons, instead }) =>
    reasons.map(({ code, message }) => ({
      code,
      owners: [ringOwner(id)],
      message: say`Ring ${index + 1}: ${message}`,
      remedies: instead ? [{ does: 'make-as' as const, ring: index, making: instead }] : [],
    })),
  ),
  ...lumber.reasons.map(({ code, path, message }) => {
    const owner = roll.ownerAt(path);
    return { code, owners: owner ? [owner] : [], message, remedies: [] };
  }),
];
