import type { Stage } from './assembly.js';
import { after, base, ownerOf, type Stacked } from './atLathe.js';
import type { Job } from './job.js';
import { handwork } from './takes.js';

/** Rings set dry on a rod through discs in their holes, turned outside and only then glued. */
export function rodJobs(stage: Stage, { rings, workshop, ready }: Stacked, id: string): Job[] {
  const all = stage.rings.map((ring) => rings[ring]!);
  const discs: Job = {
    ...base,
    id: 'rod/discs',
    stage: id,
    owners: all.map(ownerOf),
    title: 'Discs for the rod',
    says: [
      'Saw a disc that fits the hole of every ring, as thick as the ring or a little less, and drill all of them alike in the middle for the rod.',
      'Thread rings and discs on the rod, marks in line as the turns have them, and draw the stack together with the nut.',
    ],
    tool: 'drill',
    cautions: ['drill', 'bandsaw', 'dust'],
    needs: all.flatMap(({ index }) => after(ready[index])),
    takes: handwork(workshop, { step: Math.ceil(all.length / 3) }),
  };
  const turned: Job = {
    ...base,
    id: 'rod/outside',
    stage: id,
    owners: all.map(ownerOf),
    title: 'Turn the outside on the rod, unglued',
    says: [
      'Turn the outside with light cuts, the nut tight; number the rings and draw a line up the side before they come apart.',
      'Take it apart, turn the inside of each ring while it is open on both faces, and sand it.',
    ],
    tool: 'lathe',
    cautions: ['lathe', 'dust'],
    needs: after(discs),
    takes: handwork(workshop, { mount: 1, turn: all.length, hollow: all.length }, 'lathes'),
    makes: 'inside',
  };
  return [discs, turned];
}
