import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoProjects } from '../../demo/index.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { between } from '../../testing/numbers.js';
import { anyProject } from '../../testing/random.js';
import { prepare } from '../prepare.js';
import type { Project } from '../schema.js';
import { type Command, run } from './command.js';
import * as edit from './edits.js';

const [cup, , jar] = demoProjects() as [Project, Project, Project];
const after = (project: Project, ...commands: Command[]): Project =>
  commands.reduce((now, command) => {
    const change = run(now, command);
    if (!change.ok) throw new Error(plain(change.reasons[0]!.message));
    return change.value.project;
  }, project);
const refusal = (project: Project, command: Command) => {
  const change = run(project, command);
  return change.ok ? '' : plain(change.reasons[0]!.message);
};
const heights = ({ rings }: Project) => rings.map(({ heightMm }) => Math.round(heightMm * 1e4) / 1e4);
const total = (project: Project) => heights(project).reduce((a, b) => a + b, 0);

describe('slicing', () => {
  test('by one height: woods and counts are kept height by height, solid stays disc, hollow becomes segments', () => {
    const sliced = after(cup, edit.sliceBy([mm(12)]));
    expect(new Set(heights(sliced))).toEqual(new Set([12]));
    expect(sliced.rings).toHaveLength(23);
    // The floor is at 84.1: seven rings and a bit are solid.
    expect(sliced.rings.map(({ making }) => making.way)).toEqual([
      ...Array(8).fill('disc'),
      ...Array(15).fill('segmented'),
    ]);
    expect(sliced.rings.at(-1)!.woods).toEqual(Array(24).fill('purpleheart'));
    expect(
      sliced.rings
        .slice(8)
        .map(({ turn }) => turn)
        .slice(0, 4),
    ).toEqual([0, 0.5, 0, 0.5]);
  });

  test('a locked ring keeps its height and its place; what lies below fills up to it exactly', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 8 }), between(5, 40), (index, height) => {
        const locked = after(jar, edit.setLocked([index], true));
        const before = locked.rings.slice(0, index).reduce((sum, ring) => sum + ring.heightMm, 0);
        const sliced = after(locked, edit.sliceBy([mm(height)]));
        const at = sliced.rings.findIndex((ring) => ring.locked);
        expect(sliced.rings[at]!.id).toBe(jar.rings[index]!.id);
        expect(sliced.rings.slice(0, at).reduce((sum, ring) => sum + ring.heightMm, 0)).toBeCloseTo(
          before,
          4,
        );
        expect(total(sliced)).toBeGreaterThan(jar.form.points.at(-1)!.heightMm - 0.01);
      }),
      { numRuns: 30 },
    );
  });

  test('by the boards on hand uses no more than there are, and says when they do not reach', () => {
    const sliced = after(
      jar,
      edit.sliceFromBoards([
        { heightMm: 20, rings: 6 },
        { heightMm: 10, rings: 5 },
      ]),
    );
    const count = (height: number) => heights(sliced).filter((h) => h === height).length;
    expect(count(20) + count(10)).toBe(sliced.rings.length);
    expect([count(20) <= 6, count(10) <= 5, total(sliced) >= 155.575]).toEqual([true, true, true]);
    expect(refusal(jar, edit.sliceFromBoards([{ heightMm: 20, rings: 3 }]))).toMatch(
      /rings of 60 mm in all; 155.5/,
    );
    expect(refusal(jar, edit.sliceBy([]))).toMatch(/missing/);
    expect(refusal(jar, edit.sliceBy([mm(0.4)]))).toMatch(/at least 0.5 mm/);
    expect(refusal({ ...jar, name: 'x' }, edit.sliceBy([mm(0.35), mm(0.5)]))).toMatch(/0.5 mm/);
  });
});

describe('the stack', () => {
  test('an edge moved: the ring above gives what the ring below takes, and no ring is lost to nothing', () => {
    const moved = after(cup, edit.moveEdge(6, 115));
    expect(total(moved)).toBeCloseTo(total(cup), 9);
    expect(heights(moved)[6]! - heights(cup)[6]!).toBeCloseTo(heights(cup)[7]! - heights(moved)[7]!, 9);
    expect(refusal(cup, edit.moveEdge(6, 300))).toMatch(/Ring height is -/);
    expect(refusal(after(cup, edit.setLocked([7], true)), edit.moveEdge(6, 115))).toMatch(
      /Ring 8 is locked at 17.46 mm/,
    );
    expect(refusal(after(cup, edit.setMeasured([6], { heightMm: mm(17) })), edit.moveEdge(6, 115))).toMatch(
      /Ring 7 was measured at 17 mm/,
    );
  });

  test('split and merged again it is as it was; rings that do not lie on each other are not merged', () => {
    const split = after(cup, edit.splitRing(8, 150));
    expect(total(split)).toBeCloseTo(total(cup), 9);
    expect(heights(after(split, edit.mergeRings([8, 9])))).toEqual(heights(cup));
    expect(refusal(cup, edit.mergeRings([3, 5]))).toMatch(/lie on each other/);
  });

  test('moved rings keep their order; moving them back is the piece that was', () => {
    fc.assert(
      fc.property(anyProject, fc.nat(), fc.nat(), (project, a, b) => {
        const n = project.rings.length;
        const [from, before] = [a % n, b % (n + 1)];
        const moved = after(project, edit.moveRings([from], before));
        expect(moved.rings.map(({ id }) => id).sort()).toEqual(project.rings.map(({ id }) => id).sort());
        const to = moved.rings.findIndex(({ id }) => id === project.rings[from]!.id);
        const back = after(moved, edit.moveRings([to], from > to ? from + 1 : from));
        expect(back).toEqual(project);
      }),
      { numRuns: 40 },
    );
  });

  test('an inserted ring follows the form, a duplicated one keeps what it gives; neither was measured', () => {
    const made = after(
      cup,
      edit.setFixed([8], { outerRadiusMm: mm(90), innerRadiusMm: mm(60) }),
      edit.setMeasured([8], { heightMm: mm(17) }),
    );
    const inserted = after(made, edit.insertRing(8, 'above')).rings[9]!;
    const doubled = after(made, edit.duplicateRings([8])).rings[9]!;
    expect([inserted.fixed, inserted.measured]).toEqual([undefined, undefined]);
    expect([doubled.fixed, doubled.measured]).toEqual([{ outerRadiusMm: 90, innerRadiusMm: 60 }, undefined]);
  });
});

describe('measured and fixed', () => {
  test('a measured thickness shifts the rings above by the difference, and theirs alone', () => {
    const thin = after(cup, edit.setMeasured([6], { heightMm: mm(17) }));
    const [was, is] = [prepare(cup), prepare(thin)];
    if (!was.ok || !is.ok) throw new Error('prepare');
    is.value.rings.forEach(({ course }, i) => {
      const shift = was.value.rings[i]!.course.bottomMm - course.bottomMm;
      expect(shift).toBeCloseTo(i > 6 ? 0.4625 : 0, 9);
    });
    expect(after(thin, edit.setMeasured([6], { heightMm: undefined }))).toEqual(cup);
  });

  test('a ring measured across gives what its width leaves; a fixed one what it was cut to', () => {
    const made = after(
      cup,
      edit.setMeasured([8], { diameterMm: mm(150) }),
      edit.setFixed([9], { outerRadiusMm: mm(80), innerRadiusMm: mm(55) }),
    );
    const prepared = prepare(made);
    const gives = (i: number) =>
      prepared.ok && prepared.value.rings[i]!.made.ok && prepared.value.rings[i]!.made.value.gives;
    const planned = prepare(cup);
    const need = planned.ok ? planned.value.rings[8]!.need : null;
    const width = need!.outerRadiusMm - need!.innerRadiusMm * Math.cos(Math.PI / 24);
    expect(gives(8)).toMatchObject({
      outerRadiusMm: 75,
      innerRadiusMm: expect.closeTo((75 - width) / Math.cos(Math.PI / 24), 9),
    });
    expect(gives(9)).toMatchObject({ outerRadiusMm: 80, innerRadiusMm: 55 });
  });

  test('several rings are fixed each at its own size; a change goes to all of them', () => {
    const prepared = prepare(cup);
    const own = (i: number) => prepared.ok && prepared.value.rings[i]!.need;
    const fixed = after(cup, edit.fixSizes([8, 9])).rings;
    for (const i of [8, 9]) expect({ ...own(i) }).toMatchObject({ ...fixed[i]!.fixed });
    const narrow = after(cup, edit.fixSizes([8, 9], { innerRadiusMm: mm(40) })).rings;
    expect([8, 9].map((i) => narrow[i]!.fixed)).toEqual(
      [8, 9].map((i) => ({ outerRadiusMm: fixed[i]!.fixed!.outerRadiusMm, innerRadiusMm: 40 })),
    );
  });
});
