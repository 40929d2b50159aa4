import { say, sayMm } from '../../measure/said.js';
import type { Workshop } from '../../settings/workshop.js';
import { base } from './atLathe.js';
import type { Closing, DiscLetIn } from './closing.js';
import { MOST_STUB, turnedRoundSaid } from './held.js';
import type { Job, Need } from './job.js';
import { gluing, handwork } from './takes.js';

/** The work turned round, its foot finished, and a disc let into it. */
export function footJobs(
  { workshop, reversed, underFootMm, spareMm, letIn }: Closing,
  needs: readonly Need[],
): Job[] {
  const round: Job = {
    ...base,
    id: 'reverse',
    stage: 'foot',
    owners: [],
    title: 'Turn it round',
    says: [turnedRoundSaid(reversed)],
    tool: 'lathe',
    cautions: ['lathe'],
    needs,
    takes: handwork(workshop, { mount: 1 }, 'lathes'),
  };
  const foot: Job = {
    ...base,
    id: 'foot',
    stage: 'foot',
    owners: [],
    title: 'Part off and finish the foot',
    says: [
      spareMm > 0
        ? say`Part the spare foot, ${sayMm(spareMm, 'thickness')} thick, down to a stub no thicker than ${sayMm(MOST_STUB)} and saw that, lathe off.`
        : say`Part the waste block down to a stub no thicker than ${sayMm(MOST_STUB)} and saw that, lathe off.`,
      underFootMm > 0
        ? say`Hollow the bottom ${sayMm(underFootMm, 'depth')} deep so that it stands on its rim, and sand it.`
        : 'Hollow the bottom slightly so that it stands on its rim, and sand it.',
    ],
    tool: 'lathe',
    cautions: ['lathe', 'parting', 'dust'],
    needs: [{ id: round.id, after: 'cure' }],
    takes: handwork(workshop, { turn: 1, sand: 1 }, 'lathes'),
  };
  return [round, foot, ...(letIn ? [letInJob(letIn, workshop, [{ id: foot.id, after: 'cure' }])] : [])];
}

const letInJob = (
  { radiusMm, depthMm, says }: DiscLetIn,
  workshop: Workshop,
  needs: readonly Need[],
): Job => ({
  ...base,
  id: 'let-in',
  stage: 'foot',
  owners: [],
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
