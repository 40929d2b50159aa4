import { type Said, say, sayList } from '../../measure/said.js';
import { speedSaid } from '../speeds.js';
import { acrossOf, base, ownerOf } from './atLathe.js';
import type { Closing } from './closing.js';
import { finishOf, sandingSaid } from './finishJobs.js';
import type { Job, Need } from './job.js';
import { handwork } from './takes.js';

/** The outside turned and sanded; what gives too much for the tool is a part of its own, after all the rest. */
export function outsideJobs(of: Closing, needs: readonly Need[]): Job[] {
  const { rings, slender } = of;
  const late = new Set(slender.length < rings.length ? slender : []);
  const first = turned(
    of,
    rings.map((_, i) => i).filter((ring) => !late.has(ring)),
    needs,
    null,
  );
  if (late.size === 0) return first;
  const after: Need[] = [{ id: first.at(-1)!.id, after: 'clamps' }];
  return [...first, ...turned(of, [...late], after, late.size)];
}

/** Some of the rings turned and sanded; `slender` says how many are left to the last, null where these are not. */
function turned(of: Closing, own: readonly number[], needs: readonly Need[], slender: number | null): Job[] {
  const { workshop } = of;
  const rings = own.map((ring) => of.rings[ring]!);
  const [name, across] = [slender === null ? '' : '-slender', acrossOf(of.rings)];
  const which = sayList(own.map((ring) => ring + 1));
  const turn: Job = {
    ...base,
    id: `outside${name}`,
    stage: 'outside',
    owners: rings.map(ownerOf),
    title:
      slender === null
        ? 'Turn the outside'
        : say`Turn what is slender: ring${slender > 1 ? 's' : ''} ${which}`,
    says: slender === null ? wholeSaid(of, across) : SLENDER,
    because:
      slender === null
        ? null
        : 'It would give under the tool while the rest is turned: slender parts come last, with all their wood until then.',
    tool: 'lathe',
    cautions: ['lathe', ...(of.shakes ? (['imbalance'] as const) : []), 'dust'],
    needs,
    takes: handwork(workshop, { mount: slender === null ? 0.5 : 0, turn: rings.length }, 'lathes'),
    makes: 'outside',
  };
  const sand: Job = {
    ...base,
    id: `sand-outside${name}`,
    stage: 'outside',
    owners: [],
    title: slender === null ? 'Sand the outside' : 'Sand what is slender',
    says: [speedSaid('sanding', across), sandingSaid(finishOf(of.finish, workshop))],
    tool: 'lathe',
    cautions: ['lathe', 'dust'],
    needs: [{ id: turn.id, after: 'cure' }],
    takes: handwork(workshop, { sand: rings.length }, 'lathes'),
  };
  return [turn, sand];
}

const wholeSaid = ({ rings, slender }: Closing, acrossMm: number): Said[] => [
  'Tailstock up as long as anything else can be done. True it slowly first, then to the curve: hold the templates of the outside against it.',
  say`True it: ${speedSaid('fresh', acrossMm)}`,
  say`To the curve: ${speedSaid('turning', acrossMm)}`,
  ...(slender.length === rings.length ? SLENDER.slice(0, 1) : []),
];

const SLENDER: readonly Said[] = [
  'A steady or a hand behind it, light cuts from the tailstock towards the headstock, sharp tools.',
  'Nothing above it is touched again once it is thin.',
];
