import type { RingPlan } from '../lumber/ringPlan.js';
import { type Said, say } from '../measure/said.js';
import { ringOwner } from '../ring/owner.js';
import type { Check, Subject } from './check.js';
import type { CheckCode } from './codes.js';

/** Less glue than this holds next to nothing (mm²). */
const NEXT_TO_NOTHING = 1;

/** Rings with gaps: each wants a closed ring somewhere below and above, and contact with the rings next to it. */
export const openWorkChecks = ({ rings }: Subject): Check[] => {
  const open = (ring: RingPlan | undefined) => ring !== undefined && ring.gives !== null && !ring.closed;
  return rings.flatMap((ring, i): Check[] => {
    const checks: Check[] = [];
    const tell = (code: CheckCode, message: Said) =>
      checks.push({
        code,
        owners: [ringOwner(ring.id)],
        message: say`Ring ${ring.index + 1} ${message}`,
        remedies: [],
      });
    if (open(ring) && i === 0)
      tell(
        'open-below',
        'has gaps and nothing under it: the first open row sits on a disc or a closed ring.',
      );
    if (open(ring) && i === rings.length - 1)
      tell('open-above', 'has gaps and nothing on it: a closed ring on top ties the open rows together.');
    if (ring.contactMm2 !== null && ring.contactMm2 < NEXT_TO_NOTHING)
      tell(
        'no-contact',
        say`has segments with an end that is not glued to ring ${ring.index}: turn one of the two by half a segment, or make the gaps smaller.`,
      );
    return checks;
  });
};
