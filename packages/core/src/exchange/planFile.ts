import { type Step, setOf } from '../making/step.js';
import { quantitiesOf, type Said } from '../measure/said.js';
import type { Plan } from '../project/plan.js';

/** Counted up whenever a field of the plan changes its meaning or goes; docs/plan-format.md says what is in it. */
export const PLAN_VERSION = 3;

/** Geometry of blanks that drawings are made of; a plan of thousands of pieces would be nothing else. */
const LEFT_OUT = new Set(['solids', 'beside', 'flat', 'pictures', 'fullSize']);

/** Sentences stay here: what is told goes out as its code with its quantities, a step with what is set for it. */
function keyed(value: unknown): unknown {
  if (typeof value !== 'object' || value === null) return value;
  if ('message' in value) {
    const { message, ...told } = value as { message: Said };
    return { ...told, quantities: quantitiesOf(message) };
  }
  if ('says' in value && 'tool' in value) {
    const { says, ...done } = value as Step;
    return {
      ...done,
      sets: setOf(value as Step),
      quantities: quantitiesOf(says).filter(({ sets }) => !sets),
    };
  }
  return value;
}

/**
 * Everything computed from a project, as JSON with its format and version at the top: lengths in mm, angles in radians,
 * volumes in mm³; codes, keys and quantities instead of sentences.
 */
export const planFile = (plan: Plan): string =>
  `${JSON.stringify({ format: 'fellside-plan', version: PLAN_VERSION, ...plan }, (key, value) => (LEFT_OUT.has(key) ? undefined : keyed(value)), 2)}\n`;
