import { type Said, say } from '../../measure/said.js';
import type { Section } from './assembly.js';
import { acrossOf, after, base, ownerOf, ringsSaid, type Stacked } from './atLathe.js';
import { glueJobs } from './glueJobs.js';
import { insideJobs } from './insideJobs.js';
import type { Job, JobStage, Need } from './job.js';
import { rodJobs } from './rodJobs.js';
import { stageId } from './stageView.js';
import { gluing } from './takes.js';

const SECTIONS: Readonly<Record<Section['id'], string>> = {
  body: 'The stack',
  lower: 'Lower half',
  upper: 'Upper half, upside down',
  lid: 'Lid, upside down',
};

/** Jobs of all sections, and the heads that they stand under. */
export function stackJobs(of: Stacked): { readonly jobs: Job[]; readonly stages: JobStage[] } {
  const jobs: Job[] = [];
  const stages: JobStage[] = [];
  of.assembly.sections.forEach((section, at) => {
    const mount = mountJob(section, of, of.held[at]!);
    let onto: Need[] = [{ id: mount.id, after: 'clamps' }];
    section.stages.forEach((stage, i) => {
      const id = stageId(section.id, i);
      const rings = stage.rings.map((ring) => of.rings[ring]!);
      stages.push({
        id,
        title: say`${SECTIONS[section.id]}: ${ringsSaid(rings)}`,
        because: stage.because,
      });
      if (i === 0) jobs.push({ ...mount, stage: id });
      if (of.assembly.stacking === 'rod') {
        const rod = rodJobs(stage, of, id);
        jobs.push(...rod);
        onto = after(rod.at(-1));
      }
      const stacked = glueJobs(stage, of, id, onto);
      jobs.push(...stacked.jobs);
      // The widest of all that turns counts, not only of what is hollowed now.
      const onLathe = section.stages
        .slice(0, i + 1)
        .flatMap((each) => each.rings.map((ring) => of.rings[ring]!));
      const inside = insideJobs(stage, of, id, stacked.onto, acrossOf(onLathe));
      jobs.push(...inside);
      const last = inside.at(-1);
      onto = last ? [{ id: last.id, after: 'clamps' }] : stacked.onto;
    });
  });
  return { jobs, stages };
}

/** The waste block is glued on, and the lowest ring with it. */
function mountJob(section: Section, { rings, workshop, ready }: Stacked, held: Said): Job {
  const first = rings[section.rings[0]!]!;
  return {
    ...base,
    id: `mount/${first.id}`,
    stage: '',
    owners: [ownerOf(first)],
    title: say`Mount ring ${first.index + 1}`,
    says: [
      held,
      'True the face of the block first; a sheet of paper in the joint lets it be split off, a full joint is parted.',
    ],
    tool: 'lathe',
    cautions: ['lathe', 'fresh-glue'],
    needs: after(ready[first.index]),
    takes: gluing(workshop, { mount: 1 }, 'lathes'),
    makes: 'stacked',
  };
}
