import type { Plan } from '../project/plan.js';

/** Counted up whenever a field of the plan changes its meaning or goes; docs/plan-format.md says what is in it. */
export const PLAN_VERSION = 2;

/** Geometry of blanks that drawings are made of; a plan of thousands of pieces would be nothing else. */
const LEFT_OUT = new Set(['solids', 'beside', 'flat']);

/** Everything computed from a project, as JSON with its format and version at the top: lengths in mm, angles in radians, volumes in mm³. */
export const planFile = (plan: Plan): string =>
  `${JSON.stringify({ format: 'fellside-plan', version: PLAN_VERSION, ...plan }, (key, value) => (LEFT_OUT.has(key) ? undefined : value), 2)}\n`;
