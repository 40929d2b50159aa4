import type { Tool } from '../making/step.js';
import type { Job } from '../shop/order/job.js';

/** Kinds of work that hours are told by, in the order in which they come up. */
export const WORK_KINDS = {
  planning: 'Drawing and planning',
  boards: 'Boards and strips',
  segments: 'Cutting segments',
  gluing: 'Gluing up',
  flattening: 'Flattening',
  turning: 'Turning',
  sanding: 'Sanding',
  finishing: 'Finishing',
  other: 'Other',
} as const;
export type WorkKind = keyof typeof WORK_KINDS;

export const WORK_KIND_IDS = Object.keys(WORK_KINDS) as [WorkKind, ...WorkKind[]];

const BY_TOOL: Readonly<Record<Tool, WorkKind>> = {
  planer: 'boards',
  bandsaw: 'boards',
  saw: 'segments',
  drill: 'segments',
  router: 'segments',
  clamps: 'gluing',
  sander: 'flattening',
  lathe: 'turning',
  bench: 'other',
};

/** Jobs at the lathe that are sanding, by the beginning of their id. */
const SANDING = /^(sand-|inside\/)/;

/** What kind of work a job is. */
export function workKindOf({ id, tool, stage }: Pick<Job, 'id' | 'tool' | 'stage'>): WorkKind {
  if (stage === 'finish') return 'finishing';
  return SANDING.test(id) ? 'sanding' : BY_TOOL[tool];
}
