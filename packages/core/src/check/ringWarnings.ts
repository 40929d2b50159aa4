import { plain, say } from '../measure/said.js';
import type { Check, Subject } from './check.js';
import { alike, ownersOf, ringsSaid } from './said.js';

/** What the way in which a ring is made has to say about it. */
export const ringWarningChecks = ({ rings }: Subject): Check[] =>
  alike(
    rings,
    ({ warnings }) => warnings,
    ({ code, message }) => `${code} ${plain(message)}`,
  ).map(({ of: { code, message }, rings }) => ({
    code,
    owners: ownersOf(rings),
    message: say`${ringsSaid(rings)}: ${message}`,
    remedies: [],
  }));
