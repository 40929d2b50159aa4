import { say } from '../measure/said.js';
import { blankOwner } from '../ring/owner.js';
import type { Check, Subject } from './check.js';

/** What blanks beside the stack have to say: why one cannot be made, and what is odd about one that can. */
export const blankChecks = ({ blanks, roll }: Subject): Check[] =>
  blanks.flatMap(({ id, made }) => {
    const owner = blankOwner(id);
    const said = made.ok ? made.value.warnings : made.reasons;
    return said.map(({ code, message }) => ({
      code,
      owners: [owner],
      message: say`${roll.titleOf(owner)}: ${message}`,
      remedies: [],
    }));
  });
