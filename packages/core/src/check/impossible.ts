import { say } from '../measure/said.js';
import { ringOwner } from '../ring/owner.js';
import type { Check, Subject } from './check.js';
import { eachRing } from './eachRing.js';

/** Rings that cannot be made; those above the form are a matter of the stack. */
export const unmadeChecks = eachRing(({ index, id, reasons, instead }) =>
  reasons.map(({ code, message }) => ({
    code,
    owners: [ringOwner(id)],
    message: say`Ring ${index + 1}: ${message}`,
    remedies: instead ? [{ does: 'make-as' as const, ring: index, making: instead }] : [],
  })),
);

/** Pieces that no strip or board can give. */
export const unsawnChecks = ({ lumber, roll }: Subject): Check[] =>
  lumber.reasons.map(({ code, path, message }) => {
    const owner = roll.ownerAt(path);
    return { code, owners: owner ? [owner] : [], message, remedies: [] };
  });
