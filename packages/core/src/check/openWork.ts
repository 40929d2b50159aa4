import type { RingPlan } from '../lumber/ringPlan.js';
import { type Said, say } from '../measure/said.js';
import { ringOwner } from '../ring/owner.js';
import type { Check, Subject } from './check.js';
import type { CheckCode } from './codes.js';
import { eachRing } from './eachRing.js';

/** Less glue than this holds next to nothing (mm²). */
const NEXT_TO_NOTHING = 1;

const isOpen = ({ gives, closed }: RingPlan): boolean => gives !== null && !closed;

const told = (code: CheckCode, { index, id }: RingPlan, message: Said): Check => ({
  code,
  owners: [ringOwner(id)],
  message: say`Ring ${index + 1} ${message}`,
  remedies: [],
});

const BELOW = 'has gaps and nothing under it: the first open row sits on a disc or a closed ring.';
const ABOVE = 'has gaps and nothing on it: a closed ring on top ties the open rows together.';

/** Rings with gaps at either end of the stack: each wants a closed ring somewhere below and above. */
export const openEndChecks = ({ rings }: Subject): Check[] => [
  ...rings
    .slice(0, 1)
    .filter(isOpen)
    .map((lowest) => told('open-below', lowest, BELOW)),
  ...rings
    .slice(-1)
    .filter(isOpen)
    .map((highest) => told('open-above', highest, ABOVE)),
];

/** Rings with gaps of which an end is glued to nothing. */
export const noContactChecks = eachRing((ring) =>
  ring.contactMm2 !== null && ring.contactMm2 < NEXT_TO_NOTHING
    ? [
        told(
          'no-contact',
          ring,
          say`has segments with an end that is not glued to ring ${ring.index}: turn one of the two by half a segment, or make the gaps smaller.`,
        ),
      ]
    : [],
);
