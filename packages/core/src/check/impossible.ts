import type { Check, Subject } from './check.js';

const ringOf = (path: string): number | null => {
  const match = /^rings\.(\d+)/.exec(path);
  return match ? Number(match[1]) : null;
};

/** Rings that cannot be made (those above the form are a matter of the stack), and pieces that no strip or board can give. */
export const impossibleChecks = ({ rings, lumber }: Subject): Check[] => [
  ...rings.flatMap(({ index, reasons, instead }) =>
    reasons
      .filter(({ code }) => code !== 'ring-above-form')
      .map(({ code, message }) => ({
        code,
        ring: index,
        message: `Ring ${index + 1}: ${message}`,
        remedies: instead ? [{ does: 'make-as' as const, ring: index, making: instead }] : [],
      })),
  ),
  ...lumber.reasons.map(({ code, path, message }) => ({ code, ring: ringOf(path), message, remedies: [] })),
];
