import { say } from '../measure/said.js';
import type { Check, Subject } from './check.js';
import { ownersOf, ringsSaid } from './said.js';

/** Runs of rings too few to read as what they are meant for: weaving, blocks. Told once a run, at its lowest ring. */
export const readsChecks = ({ rings }: Subject): Check[] => {
  const checks: Check[] = [];
  let from = 0;
  rings.forEach(({ reads }, i) => {
    if (i > from && rings[i - 1]!.reads?.as !== reads?.as) from = i;
    const last = rings[i + 1]?.reads?.as !== reads?.as;
    const many = i - from + 1;
    if (!reads || !last || many >= reads.rings) return;
    const run = rings.slice(from, i + 1);
    checks.push({
      code: 'too-few-to-read',
      owners: ownersOf(run),
      message: say`${ringsSaid(run)} ${many === 1 ? 'alone is' : 'are'} too few to read as ${reads.as}; it takes ${reads.rings} on top of each other.`,
      remedies: [],
    });
  });
  return checks;
};
