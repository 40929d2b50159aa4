import type { Check, Subject } from './check.js';

/** What the way in which a ring is made has to say about it. */
export const ringWarningChecks = ({ rings }: Subject): Check[] =>
  rings.flatMap(({ index, warnings }) =>
    warnings.map(({ code, message }) => ({
      code,
      ring: index,
      message: `Ring ${index + 1}: ${message}`,
      remedies: [],
    })),
  );
