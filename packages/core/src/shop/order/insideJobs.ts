import { type Said, say, sayMm } from '../../measure/said.js';
import { speedSaid } from '../speeds.js';
import { type Flex, LIGHT_CUT } from '../stiffness.js';
import type { Stage } from './assembly.js';
import { after, base, ownerOf, ringsSaid, type Stacked } from './atLathe.js';
import type { Job, Need } from './job.js';
import { handwork } from './takes.js';

/** Hollowing of a stage, and what is done inside before it closes. */
export function insideJobs(
  stage: Stage,
  { rings, workshop, finish, assembly }: Stacked,
  id: string,
  onto: readonly Need[],
  acrossMm: number,
  flex: readonly Flex[],
): Job[] {
  const all = stage.hollow.map((ring) => rings[ring]!);
  const last = all.at(-1);
  if (!last) return [];
  const hollow: Job = {
    ...base,
    id: `hollow/${last.id}`,
    stage: id,
    owners: all.map(ownerOf),
    title: say`Hollow ${ringsSaid(all)}`,
    says: [
      say`True it first: ${speedSaid('fresh', acrossMm)}`,
      say`Then to hollow: ${speedSaid('turning', acrossMm)}`,
      ...steadySaid(flex),
      stage.because
        ? 'Measure the wall at every joint with callipers before you go on; what goes on next is best left uncut until then.'
        : 'Measure the wall at every joint with callipers before you go on.',
    ],
    because: stage.because,
    tool: 'lathe',
    cautions: ['lathe', 'fresh-glue', 'dust'],
    needs: [...onto].map(({ id }): Need => ({ id, after: 'cure' })),
    takes: handwork(workshop, { mount: 0.25, hollow: all.length }, 'lathes'),
    makes: 'inside',
  };
  const sand: Job = {
    ...base,
    id: `inside/${last.id}`,
    stage: id,
    owners: [],
    title: say`Sand and seal ${ringsSaid(all)} inside`,
    says: [
      speedSaid('sanding', acrossMm),
      stage.sanded
        ? 'Sand through the grits with the lathe slow or off, then seal: later nobody gets at it.'
        : 'Neither hand nor fingers get at all of it: sand with paper on a stick, lathe off, as far as it goes, then seal.',
    ],
    tool: 'lathe',
    cautions: ['lathe', 'dust'],
    needs: after(hollow),
    takes: handwork(workshop, { sand: all.length }, 'lathes'),
  };
  const closes = stage.because !== null || assembly.stacking === 'halves';
  if (!closes || finish.coats === 0) return [hollow, sand];
  const { name, coats, coatHours } = finish;
  const coat: Job = {
    ...base,
    id: `coat-inside/${last.id}`,
    stage: id,
    owners: [],
    title: say`Finish ${ringsSaid(all)} inside`,
    says: [
      say`${name}, ${coats} ${coats === 1 ? 'coat' : 'coats'}, each dry before the next: later nobody gets at it.`,
      'Keep every drop off the face that is glued next: cover it with tape, and true it lightly before the glue.',
    ],
    tool: 'bench',
    cautions: ['finishing'],
    needs: after(sand),
    takes: { ...handwork(workshop, { coat: coats }), cure: coats * coatHours * HOUR, breaks: false },
  };
  return [hollow, sand, coat];
}

const HOUR = 60;

/** What is done where the work gives too much at its top, with by how much. */
function steadySaid(flex: readonly Flex[]): Said[] {
  const top = flex.at(-1);
  if (!top || top.steady === 'none') return [];
  const gives = (perNewton: number): Said =>
    Number.isFinite(perNewton) ? say`${sayMm(perNewton * LIGHT_CUT)}` : 'all the way';
  return top.steady === 'always'
    ? [
        say`Put a steady to the work before it is hollowed: under a light cut its top gives ${gives(top.solid)}, as it is.`,
      ]
    : [
        say`Once it is hollow its top gives ${gives(top.hollowed)} under a light cut, ${gives(top.solid)} before: a steady, or leave the wall below thicker until the top is done.`,
      ];
}
