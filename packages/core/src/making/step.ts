import { type Quantity, quantitiesOf, type Said } from '../measure/said.js';
import type { CautionId } from '../settings/cautions.js';

/** What a step is done with, as a shop names it. */
export const TOOLS = {
  planer: 'Planer or thicknesser',
  saw: 'Saw with a mitre fence or sled',
  bandsaw: 'Bandsaw',
  drill: 'Drill press',
  router: 'Router',
  sander: 'Disc or flat sanding board',
  clamps: 'Glue and clamps',
  lathe: 'Lathe',
  bench: 'Bench',
} as const;
export type Tool = keyof typeof TOOLS;

/**
 * One step of a glue-up. Its sentence is the only place where its figures stand: those that a machine is set to, and how
 * many are made, are marked in it (`setOf`).
 */
export interface Step {
  /** The same for the same step of the same glue-up, whatever is edited elsewhere: progress is kept by it. */
  readonly id: string;
  readonly says: Said;
  readonly tool: Tool;
  readonly cautions: readonly CautionId[];
  /** Done to the piece when it is turned, or when its finish is on; left out of what is done beside the lathe. */
  readonly when?: 'turned' | 'finished';
  /** The glue-up that several rings are sawn from, where it is done once for all of them. */
  readonly once?: string;
}

export const step = (id: string, tool: Tool, says: Said, cautions: readonly CautionId[] = []): Step => ({
  id,
  says,
  tool,
  cautions,
});

/** The same steps told apart by a number, where they are done for several kinds of pieces. */
export const numbered = (of: Step, number: number): Step => ({ ...of, id: `${of.id}-${number}` });

/** Steps that are done once for all rings sawn from one glue-up; those that are done once for more than that stay so. */
export const onceFor = (body: string, steps: readonly Step[]): Step[] =>
  steps.map((of) => ({ once: body, ...of }));

/** What is set for a step: lengths, angles and numbers with what each is for. */
export const setOf = ({ says }: Step): readonly Quantity[] =>
  quantitiesOf(says).filter(({ sets }) => sets !== undefined);

/** The cautions of several steps, each once, in the order of the work. */
export const cautionsOf = (steps: readonly Pick<Step, 'cautions'>[]): readonly CautionId[] => [
  ...new Set(steps.flatMap(({ cautions }) => cautions)),
];
