import type { Tool } from '../../making/step.js';
import type { Said } from '../../measure/said.js';
import type { Owner } from '../../ring/owner.js';
import type { CautionId } from '../../settings/cautions.js';
import type { Equipment } from '../../settings/workshop.js';

/** How far a ring has come, in the order in which that is reached. */
export const RING_STATES = {
  planned: 'planned',
  cut: 'cut',
  glued: 'glued',
  flattened: 'flattened',
  stacked: 'on the stack',
  inside: 'turned inside',
  outside: 'turned outside',
} as const;
export type RingState = keyof typeof RING_STATES;

/** What has to be done before: what waits for a glue-up either waits for its clamps alone, or until it may be turned. */
export interface Need {
  readonly id: string;
  readonly after: 'clamps' | 'cure';
}

/** What a job takes, in minutes. */
export interface Takes {
  readonly hands: number;
  /** What it keeps while hands are at it and it is clamped; null where there is enough of it. */
  readonly on: Equipment | null;
  readonly clamp: number;
  /** From the end of the clamps until what waits for the cure may begin. */
  readonly cure: number;
  /** Whether it may be left and taken up again: not where glue is open. */
  readonly breaks: boolean;
}

/** One thing to be done, in the order of the work: a step of the plan, or work at the lathe. */
export interface Job {
  /** The same for the same work, whatever is edited elsewhere and whatever school is chosen: progress is kept by it. */
  readonly id: string;
  /** Other jobs that are done with it: of a batch, the joints besides the first. */
  readonly also: readonly string[];
  readonly stage: string;
  readonly owners: readonly Owner[];
  readonly title: Said;
  readonly says: readonly Said[];
  /** Why it is done here and so. */
  readonly because: Said | null;
  readonly tool: Tool;
  /** How many are counted off; 1 where it is done once. */
  readonly times: number;
  readonly cautions: readonly CautionId[];
  readonly needs: readonly Need[];
  readonly takes: Takes;
  /** What the work stands on from then on, until another job is done: a section on its faceplate. */
  readonly holds?: { readonly of: Equipment; readonly until: string };
  /** What its rings are when it is done. */
  readonly makes: RingState | null;
}

/** Jobs that stand together in the order of work. */
export interface JobStage {
  readonly id: string;
  readonly title: Said;
  readonly because: Said | null;
}

/** Id of a stage of a section in the order of work. */
export const stageId = (section: string, at: number): string => `${section}-${at + 1}`;

/** All that is done, in order. A need stands always before what needs it. */
export interface Order {
  readonly stages: readonly JobStage[];
  readonly jobs: readonly Job[];
}
