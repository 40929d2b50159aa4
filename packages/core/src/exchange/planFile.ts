import type { Plan } from '../project/plan.js';

/** Counted up whenever a field of the plan changes its meaning or goes; docs/plan-format.md says what is in it. */
export const PLAN_VERSION = 1;

/** Everything computed from a project, as JSON with its format and version at the top: lengths in mm, angles in radians, volumes in mm³. */
export const planFile = (plan: Plan): string =>
  `${JSON.stringify({ format: 'fellside-plan', version: PLAN_VERSION, ...plan }, null, 2)}\n`;
