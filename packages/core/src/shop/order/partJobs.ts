import type { Step } from '../../making/step.js';
import { type Purpose, quantitiesOf, type Said, say, sayMm } from '../../measure/said.js';
import { type Owner, ownerKey } from '../../ring/owner.js';
import type { Workshop } from '../../settings/workshop.js';
import type { Job, Need, Takes } from './job.js';
import { gluing, handwork } from './takes.js';

/** What is glued up of its own: a ring, a slanted band, a blank. */
export interface Part {
  readonly owner: Owner;
  readonly title: string;
  readonly steps: readonly Step[];
}

/** Id of the job of a step: of the glue-up that several rings come from, where it is done once for all of them. */
export const stepJob = (owner: Owner, { id, once }: Pick<Step, 'id' | 'once'>): string =>
  once === undefined ? `${ownerKey(owner)}/${id}` : `${once}/${id}`;

/** Id of the job that flattens a ring, and of the one that closes the joint between it and the ring below it: another below is another joint. */
export const flattenJob = (owner: Owner): string => `${ownerKey(owner)}/flatten`;
export const jointJob = (upper: Owner, lower: Owner): string => `${ownerKey(upper)}/joint/${lower.id}`;

/** Where the steps of a part stand in the order of work: at the planer, at the saw, or with the part itself. */
export type Bay = 'mill' | 'saw' | 'part';

const TITLES: Readonly<Record<string, string>> = {
  rip: 'plane and rip',
  saw: 'cut segments',
  plane: 'plane',
  disc: 'saw round',
  spacers: 'plane spacers',
  staves: 'cut staves',
  bevel: 'bevel the edges',
  'glue-halves': 'glue each half',
  'dry-fit': 'dry-fit',
  glue: 'glue up',
  board: 'plane and glue the board',
  slices: 'cut slices',
  trim: 'trim',
  blocks: 'glue blocks',
  measure: 'measure',
  clean: 'clean up',
  base: 'plane and saw the base',
  'base-holes': 'drill the base',
  rods: 'cut rods',
  'foot-holes': 'drill the foot',
  halve: 'saw in two',
  'sawn-faces': 'flatten the sawn faces',
  mount: 'stand it on its rods',
};
const BY_TOOL: Readonly<Record<Step['tool'], string>> = {
  planer: 'plane',
  saw: 'saw',
  bandsaw: 'bandsaw',
  drill: 'drill',
  router: 'rout',
  sander: 'sand',
  clamps: 'glue',
  lathe: 'turn',
  bench: 'lay out',
};

/** The number by which steps for several kinds of pieces are told apart. */
const NUMBERED = /-\d+$/;

/** What a step is set to for a purpose; null where nothing is. */
export const setFor = (says: Said, purpose: Purpose): number | null =>
  quantitiesOf(says).find(({ sets }) => sets === purpose)?.value ?? null;

/** What is counted off in a step: pieces that are cut, where it says how many; else it is done once. */
const timesOf = ({ says, tool }: Step): number =>
  tool === 'saw' || tool === 'planer' ? Math.max(1, setFor(says, 'make') ?? 1) : 1;

function takesOf(step: Step, workshop: Workshop): Takes {
  if (step.tool === 'clamps') return gluing(workshop, { step: 1 }, 'bands');
  if (step.id === 'rip') return handwork(workshop, { rip: 1 });
  if (step.tool === 'saw') return handwork(workshop, { cut: timesOf(step) });
  return handwork(workshop, { step: 1 });
}

/** A job of a part and where it stands. */
export interface PartJob {
  readonly bay: Bay;
  readonly job: Job;
}

/** The steps of a part as jobs, each after the one before; the last makes it glued. Steps that put it on the stack are left to the joint. */
export function jobsOfPart({ owner, title, steps }: Part, workshop: Workshop): PartJob[] {
  const own = steps.filter((step) => !isStacking(step));
  const lastCut = own.findLastIndex(({ tool }) => tool === 'saw' || tool === 'bandsaw');
  let bay: Bay = 'mill';
  return own.map((step, i) => {
    if (bay === 'mill' && step.tool !== 'planer') bay = 'saw';
    if (bay === 'saw' && ((step.tool !== 'saw' && step.tool !== 'bandsaw') || step.once !== undefined))
      bay = 'part';
    const before = own[i - 1];
    const needs: Need[] = before ? [{ id: stepJob(owner, before), after: 'clamps' }] : [];
    const job: Job = {
      id: stepJob(owner, step),
      also: [],
      stage: bay,
      owners: [owner],
      title: say`${title}: ${TITLES[step.id.replace(NUMBERED, '')] ?? BY_TOOL[step.tool]}`,
      says: [step.says],
      because: null,
      tool: step.tool,
      times: timesOf(step),
      cautions: step.cautions,
      needs,
      takes: takesOf(step, workshop),
      makes: i === own.length - 1 ? 'glued' : i === lastCut ? 'cut' : null,
    };
    return { bay, job };
  });
}

/** A step that puts a ring on the one below it, and is the joint itself. */
export const isStacking = ({ id, once }: Pick<Step, 'id' | 'once'>): boolean =>
  id === 'stack' && once === undefined;

/** A ring's faces flattened after it was glued, so many of them. */
export function flatten(
  { owner, title }: Pick<Part, 'owner' | 'title'>,
  faces: number,
  heightMm: number,
  last: Job | undefined,
  workshop: Workshop,
): Job {
  return {
    id: flattenJob(owner),
    also: [],
    stage: 'part',
    owners: [owner],
    title: say`${title}: flatten`,
    says: [
      say`Flatten ${faces === 2 ? 'both faces' : 'one face'} down to ${sayMm(heightMm, 'thickness')} on a flat sanding board or on the lathe, and measure what it came out at.`,
    ],
    because: null,
    tool: 'sander',
    times: 1,
    cautions: ['dust'],
    needs: last ? [{ id: last.id, after: 'clamps' }] : [],
    takes: handwork(workshop, { flatten: faces / 2 }),
    makes: 'flattened',
  };
}
