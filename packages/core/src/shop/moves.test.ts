import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { plain } from '../measure/said.js';
import { setSchools } from '../project/commands/madeCommands.js';
import { setTurn } from '../project/commands/ringCommands.js';
import { startFrom } from '../project/commands/wayCommands.js';
import { workOf } from '../project/ordered.js';
import type { Project } from '../project/schema.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { DEFAULT_WORKSHOP } from '../settings/workshop.js';
import { after, planned } from '../testing/pieces.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { movingOf } from './moves.js';
import { finishJobs, finishOf } from './order/finishJobs.js';

const WOODS = new Map(SHIPPED_WOODS.map((wood) => [wood.id, wood]));
const bowl = demoProjects().find(({ name }) => name.startsWith('Best Fleece'))!;
/** All of hard maple: its tangential change coefficient is 0.00353 for each % (Wood Handbook, ch. 13, table 13-5). */
const MAPLE = 0.00353;
const maple: Project = { ...bowl, palette: bowl.palette.map((entry) => ({ ...entry, wood: 'sugar-maple' })) };
const moving = (project: Project, percent = 4) => movingOf(planned(project).rings, WOODS, percent);

describe('what moves against what', () => {
  test('a disc on a ring of segments moves by its radius times the coefficient and the change', () => {
    const [disc] = moving(maple);
    expect(disc).toMatchObject({ what: 'disc', ring: 0, against: 1, wood: 'sugar-maple' });
    expect(disc!.sideMm / (disc!.radiusMm * MAPLE * 4)).toBeCloseTo(1, 2);
    expect(moving(maple, 2)[0]!.sideMm).toBeCloseTo(disc!.sideMm / 2, 9);
  });
  test('two discs with their grain the same way do not; across each other they move as one against a ring', () => {
    const two = after(maple, startFrom([1], 'disc'));
    const between = (project: Project) =>
      moving(project).find(({ ring, against }) => ring + against === 1)?.sideMm ?? 0;
    expect(between(two)).toBeCloseTo(0, 9);
    const crossed = after(two, setTurn([1], 0.25));
    const radius = planned(crossed).rings[0]!.wall.outerRadiusMm;
    const at = Math.min(radius, planned(crossed).rings[1]!.wall.outerRadiusMm);
    expect(between(crossed) / (at * MAPLE * 4)).toBeCloseTo(1, 2);
  });
  test('staves move all round; thin spacers with their grain outwards hardly do; segments not at all', () => {
    const staves = after(maple, startFrom([3], 'staved'));
    expect(
      moving(staves)
        .filter(({ what }) => what === 'staves')
        .map(({ ring }) => ring),
    ).toEqual([3, 3]);
    const spaced = moving(after(maple, startFrom([3], 'spaced'))).filter(({ ring }) => ring === 3);
    const stave = moving(staves).find(({ ring }) => ring === 3)!;
    expect(spaced.length).toBe(2);
    expect(spaced[0]!.sideMm).toBeLessThan(0.35 * stave.sideMm);
    expect(moving(maple).every(({ what }) => what === 'disc')).toBe(true);
  });
});

describe('a finish as jobs', () => {
  test('sealer, coats, polish, each after the one before; the last says when it may be used', () => {
    const jobs = finishJobs('lacquer', DEFAULT_WORKSHOP, [{ id: 'foot', after: 'cure' }]);
    expect(jobs.map(({ id }) => id)).toEqual(['seal', 'coat-1', 'coat-2', 'coat-3', 'polish']);
    expect(jobs.map(({ needs }) => needs[0]!.id)).toEqual(['foot', 'seal', 'coat-1', 'coat-2', 'coat-3']);
    // Polished when it has hardened for a week.
    expect(jobs[3]!.takes.cure).toBe(7 * 24 * 60);
    expect(jobs[1]!.takes.cure).toBe(DEFAULT_WORKSHOP.finish.coatHours * 60);
    expect(jobs.at(-1)!.says.map(plain).join(' ')).toContain('14 days before it is used');
    expect(finishJobs('shellac', DEFAULT_WORKSHOP, []).at(-1)!.says.map(plain).join(' ')).toContain(
      'not meant for food',
    );
  });
  test('the shop’s own coats hold for what it usually does, a piece’s own finish has its own', () => {
    const workshop = { ...DEFAULT_WORKSHOP, finish: { coats: 6, coatHours: 1, usual: 'oil' as const } };
    expect(finishOf(undefined, workshop)).toMatchObject({ id: 'oil', coats: 6, coatHours: 1 });
    expect(finishOf('shellac', workshop)).toMatchObject({ id: 'shellac', coats: 4 });
    expect(finishJobs('none', workshop, []).map(({ id }) => id)).toEqual(['polish']);
  });
  test('an inside that closes gets all its coats before, dry when the next ring is glued over it; an open one does not', () => {
    const coated = (project: Project, finish?: 'none') => {
      const work = workOf({ ...project, ...(finish && { finish }) }, DEFAULT_SHOP, SHIPPED_WOODS);
      if (!work.ok) throw new Error('work');
      const { jobs } = work.value;
      return jobs
        .filter(({ id }) => id.startsWith('coat-inside/'))
        .map(({ id, takes }) => ({
          id,
          cure: takes.cure,
          over: jobs.flatMap((job) =>
            job.needs.filter((need) => need.id === id).map(({ after }) => [job.id, after]),
          ),
        }));
    };
    const { coats, coatHours } = DEFAULT_WORKSHOP.finish;
    const jar = demoProjects().find(({ name }) => name === 'Honey Class Jar')!;
    expect(coated(jar)).toEqual([
      { id: 'coat-inside/r8', cure: coats * coatHours * 60, over: [['ring-r9/joint/r8', 'cure']] },
    ]);
    expect(coated(jar, 'none')).toEqual([]);
    expect(coated(demoProjects()[0]!)).toEqual([]);
    // In halves both insides are hidden by the last joint.
    const halves = after(demoProjects()[0]!, setSchools({ stacking: 'halves' }));
    expect(coated(halves).map(({ over }) => over.length)).toEqual([1, 1]);
  });
});
