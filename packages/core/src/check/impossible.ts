import type { Check, Subject } from './check.js';

const ringOf = (path: string): number | null => {
  const match = /^rings\.(\d+)/.exec(path);
  return match ? Number(match[1]) : null;
};

/** Rings that cannot be made, and pieces that no strip or board can give. */
export const impossibleChecks = ({ rings, lumber }: Subject): Check[] => [
  ...rings.flatMap(({ index, reasons }) =>
    reasons.map(({ code, message }) => ({ code, ring: index, message: `Ring ${index + 1}: ${message}` })),
  ),
  ...lumber.reasons.map(({ code, path, message }) => ({ code, ring: ringOf(path), message })),
];
