import type { RingPlan } from '../../lumber/ringPlan.js';
import type { Mm } from '../../measure/quantity.js';
import { type Said, say, sayMm } from '../../measure/said.js';
import type { Workshop } from '../../settings/workshop.js';
import { speedSaid } from '../speeds.js';
import type { Assembly } from './assembly.js';
import { acrossOf, ownerOf } from './atLathe.js';
import type { Job, JobStage, Need } from './job.js';
import { jointJob } from './partJobs.js';
import { placingSaid } from './placing.js';
import { gluing, handwork } from './takes.js';

/** What the work on the whole piece is worked out from. */
export interface Closing {
  readonly rings: readonly RingPlan[];
  readonly workshop: Workshop;
  readonly assembly: Assembly;
  /** The last job of each section, in its order. */
  readonly ends: readonly (Job | undefined)[];
  /** Rings, by their place, that give too much for the tool: they are left to the last. */
  readonly slender: readonly number[];
  readonly reversed: Said;
  readonly underFootMm: Mm;
  /** Something is to be screwed or glued off centre of gravity: the force at speed is felt. */
  readonly shakes: boolean;
  readonly letIn: DiscLetIn | null;
}

/** A disc let into the bottom: it hides the grip, and carries what is written on it; mm. */
export interface DiscLetIn {
  readonly radiusMm: number;
  readonly depthMm: number;
  readonly says: string;
}

/** A stub under a foot is sawn off no thicker than this (mm; 1 in: common practice). */
const MOST_STUB = 25.4;

const base = { also: [], because: null, times: 1, makes: null, owners: [] } as const;

/** Joining, outside, finish, foot: what is done once the sections stand. `more` are jobs on the whole stack before it is turned, as slanted bands are. */
export function closingJobs(
  of: Closing,
  more: readonly Job[],
): { readonly jobs: Job[]; readonly stages: JobStage[] } {
  const { rings, workshop, assembly, ends, slender } = of;
  const jobs: Job[] = [];
  const add = (job: Job): Need[] => {
    jobs.push(job);
    return [{ id: job.id, after: 'cure' }];
  };
  let needs: Need[] = ends.flatMap((end): Need[] => (end ? [{ id: end.id, after: 'cure' }] : []));
  const [lower, upper] = assembly.sections;
  if (assembly.stacking === 'halves' && lower && upper) needs = add(joinJob(of, lower.rings.at(-1)!, needs));
  more.forEach((job, i) => {
    // A band is cut through what the one before it left.
    const begins = job.owners[0]?.id !== more[i - 1]?.owners[0]?.id;
    jobs.push(begins ? { ...job, needs: [...job.needs, ...needs] } : job);
    needs = [{ id: job.id, after: 'cure' }];
  });
  const late =
    slender.length > 0
      ? [
          say`Leave ring${slender.length > 1 ? 's' : ''} ${slender.map((ring) => ring + 1).join(', ')} thick until the rest is done: slender parts come last.`,
        ]
      : [];
  needs = add({
    ...base,
    id: 'outside',
    stage: 'outside',
    owners: rings.map(ownerOf),
    title: 'Turn the outside',
    says: [
      'Tailstock up as long as anything else can be done. True it slowly first, then to the curve: hold the templates of the outside against it.',
      say`True it: ${speedSaid('fresh', acrossOf(rings))}`,
      say`To the curve: ${speedSaid('turning', acrossOf(rings))}`,
      ...late,
    ],
    tool: 'lathe',
    cautions: ['lathe', ...(of.shakes ? (['imbalance'] as const) : []), 'dust'],
    needs,
    takes: handwork(workshop, { mount: 0.5, turn: rings.length }, 'lathes'),
    makes: 'outside',
  });
  needs = add({
    ...base,
    id: 'sand-outside',
    stage: 'outside',
    title: 'Sand the outside',
    says: [
      speedSaid('sanding', acrossOf(rings)),
      'Through the grits, lathe slow; take the dust of the dark woods off before the next grit, it fills pale pores.',
    ],
    tool: 'lathe',
    cautions: ['lathe', 'dust'],
    needs,
    takes: handwork(workshop, { sand: rings.length }, 'lathes'),
  });
  needs = add({
    ...base,
    id: 'reverse',
    stage: 'foot',
    title: 'Turn it round',
    says: [of.reversed],
    tool: 'lathe',
    cautions: ['lathe'],
    needs,
    takes: handwork(workshop, { mount: 1 }, 'lathes'),
  });
  needs = add({
    ...base,
    id: 'foot',
    stage: 'foot',
    title: 'Part off and finish the foot',
    says: [
      say`Part the waste block down to a stub no thicker than ${sayMm(MOST_STUB)} and saw that, lathe off.`,
      of.underFootMm > 0
        ? say`Hollow the bottom ${sayMm(of.underFootMm, 'depth')} deep so that it stands on its rim, and sand it.`
        : 'Hollow the bottom slightly so that it stands on its rim, and sand it.',
    ],
    tool: 'lathe',
    cautions: ['lathe', 'parting', 'dust'],
    needs,
    takes: handwork(workshop, { turn: 1, sand: 1 }, 'lathes'),
  });
  if (of.letIn) needs = add(letInJob(of.letIn, workshop, needs));
  const { coats, coatHours } = workshop.finish;
  for (let coat = 1; coat <= coats; coat++)
    needs = add({
      ...base,
      id: `coat-${coat}`,
      stage: 'finish',
      title: say`Coat ${coat} of ${coats}`,
      says: [
        coat === 1
          ? 'Wipe the dust off dry, without spirits where a strongly coloured wood lies beside a pale one.'
          : 'Rub down lightly when the last coat is dry, then the next.',
      ],
      tool: 'bench',
      cautions: ['finishing'],
      needs,
      takes: { ...handwork(workshop, { coat: 1 }), cure: coatHours * 60, breaks: false },
    });
  return { jobs, stages: stagesOf(jobs, assembly) };
}

const letInJob = (
  { radiusMm, depthMm, says }: DiscLetIn,
  workshop: Workshop,
  needs: readonly Need[],
): Job => ({
  ...base,
  id: 'let-in',
  stage: 'foot',
  title: 'Let the disc into the bottom',
  says: [
    say`Turn a seat of ${sayMm(2 * radiusMm, 'diameter')}, ${sayMm(depthMm, 'depth')} deep, into the bottom, fit the disc to it and glue it in, its grain with the floor’s; it hides where the work was gripped.`,
    ...(says ? [say`Write on it: ${says}`] : []),
  ],
  tool: 'lathe',
  cautions: ['lathe', 'dust'],
  needs,
  takes: gluing(workshop, { step: 1 }, null),
});

const TITLES: readonly (readonly [id: string, title: string])[] = [
  ['join', 'Join the halves'],
  ['bands', 'Slanted bands'],
  ['outside', 'Outside'],
  ['foot', 'Reverse, foot'],
  ['finish', 'Finish'],
];

function stagesOf(jobs: readonly Job[], { stacking }: Assembly): JobStage[] {
  return TITLES.filter(([id]) => jobs.some(({ stage }) => stage === id)).map(([id, title]) => ({
    id,
    title,
    because:
      id === 'join' && stacking === 'halves'
        ? 'The last joint cannot be cleaned inside: use little glue there.'
        : null,
  }));
}

function joinJob({ rings, workshop }: Closing, joint: number, needs: readonly Need[]): Job {
  const [lower, upper] = [rings[joint]!, rings[joint + 1]!];
  return {
    ...base,
    id: jointJob(ownerOf(upper), ownerOf(lower)),
    stage: 'join',
    owners: [lower, upper].map(ownerOf),
    title: say`Join the halves, ring ${upper.index + 1} on ring ${lower.index + 1}`,
    says: placingSaid(upper, lower),
    tool: 'clamps',
    cautions: ['lathe'],
    needs,
    takes: gluing(workshop, { stack: 1, mount: 1 }, 'lathes'),
    makes: 'stacked',
  };
}
