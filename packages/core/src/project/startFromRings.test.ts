import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { extremes } from '../form/curve.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { between } from '../testing/numbers.js';
import { run } from './commands/command.js';
import * as edit from './commands/edits.js';
import { plan } from './plan.js';
import { prepare } from './prepare.js';
import type { Project } from './schema.js';
import { type RingSize, startFromRings } from './startFromRings.js';

const size = (outer: number, inner: number, height: number, rings: number): RingSize => ({
  outerDiameterMm: mm(outer),
  innerDiameterMm: mm(inner),
  heightMm: mm(height),
  rings,
});
const begin = (sizes: readonly RingSize[], change: Partial<Parameters<typeof startFromRings>[0]> = {}) =>
  startFromRings({
    name: 'Stack',
    sizes,
    wallMm: mm(6),
    count: 12,
    woods: ['sugar-maple'],
    fit: 'smoothest',
    truingMm: mm(4),
    ...change,
  });

/** The wall lies in every ring's wood, allowances besides: outside and inside, over the ring's whole height. */
function expectWithin(project: Project) {
  const prepared = prepare(project);
  if (!prepared.ok) throw new Error(plain(prepared.reasons[0]!.message));
  const { outsideMm, insideMm } = project.allowances;
  for (const { made, course } of prepared.value.rings) {
    if (!made.ok) throw new Error(plain(made.reasons[0]!.message));
    const { outside, inside } = prepared.value.vessel;
    expect(extremes(outside, course.bottomMm, course.topMm).most).toBeLessThanOrEqual(
      made.value.gives.outerRadiusMm - outsideMm + 1e-6,
    );
    if (made.value.gives.innerRadiusMm > 0 && inside)
      expect(extremes(inside, course.bottomMm, course.topMm).least).toBeGreaterThanOrEqual(
        made.value.gives.innerRadiusMm + insideMm - 5e-3,
      );
  }
}

const anySizes = fc
  .record({
    base: between(90, 140),
    steps: fc.array(between(-14, 14), { minLength: 1, maxLength: 5 }),
    width: between(24, 34),
    rings: fc.integer({ min: 1, max: 4 }),
  })
  .map(({ base, steps, width, rings }) => {
    let across = base;
    const rows = steps.map((step) => {
      across = Math.max(80, across + step);
      return size(across, across - 2 * width, 15, rings);
    });
    return [size(base, 0, 19, 1), ...rows];
  });

describe('rings first', () => {
  test('the curve found lies in every ring it is given, smoothest or tightest, and nothing is called out', () => {
    fc.assert(
      fc.property(anySizes, fc.constantFrom('smoothest' as const, 'tightest' as const), (sizes, fit) => {
        const started = begin(sizes, { fit });
        if (!started.ok) throw new Error(plain(started.reasons[0]!.message));
        expectWithin(started.value);
        const planned = plan(started.value, DEFAULT_SHOP);
        expect(planned.ok && planned.value.checks.filter(({ code }) => code === 'too-narrow')).toEqual([]);
      }),
      { numRuns: 40 },
    );
  });

  test('reordered and fitted again it fits again; the form has the height of the stack', () => {
    const started = begin([size(120, 0, 19, 1), size(130, 80, 19, 3), size(140, 90, 15, 2)]);
    if (!started.ok) throw new Error(plain(started.reasons[0]!.message));
    const moved = run(started.value, edit.moveRings([5], 1));
    const fitted = moved.ok && run(moved.value.project, edit.fitForm('tightest'));
    if (fitted === false || !fitted.ok) throw new Error('fit');
    expectWithin(fitted.value.project);
    expect(fitted.value.project.form.points.at(-1)!.heightMm).toBeCloseTo(19 + 3 * 19 + 2 * 15, 9);
  });

  test.each<[string, readonly RingSize[], Parameters<typeof begin>[1], RegExp]>([
    ['no rings', [], {}, /at least one size/],
    ['half a ring', [size(120, 0, 19, 0.5)], {}, /number of rings is 0.5/],
    ['no floor', [size(120, 80, 19, 2)], {}, /lowest ring has a hole/],
    ['a hole as wide as the ring', [size(120, 0, 19, 1), size(120, 120, 19, 2)], {}, /inner radius is 60 mm/],
    ['rings too narrow for the wall', [size(120, 0, 19, 1), size(120, 100, 19, 2)], {}, /no curve fits/],
    ['two segments', [size(120, 0, 19, 1), size(120, 70, 19, 2)], { count: 2 }, /Segment count is 2/],
  ])('%s: refused with a sentence', (_, sizes, change, sentence) => {
    const started = begin(sizes, change);
    expect(started.ok ? '' : started.reasons.map(({ message }) => plain(message)).join(' ')).toMatch(
      sentence,
    );
  });

  test('a form-first piece can be fitted to its rings too; an inside of its own is not moved by that', () => {
    const started = begin([size(120, 0, 19, 1), size(130, 80, 19, 3)]);
    if (!started.ok) throw new Error('start');
    const own = run(started.value, edit.freeInside());
    const fitted = own.ok && run(own.value.project, edit.fitForm('tightest'));
    expect(fitted).toMatchObject({ ok: false, reasons: [{ code: 'own-inside' }] });
    const back = own.ok && run(own.value.project, edit.followWall());
    expect(back !== false && back.ok && back.value.project.form.inside).toMatchObject({ by: 'wall' });
  });
});

test('fitting keeps a lid and a recess that still go with the curve, and says what it leaves out', () => {
  const started = begin([size(120, 0, 19, 1), size(130, 80, 19, 3)]);
  if (!started.ok) throw new Error('start');
  const parts = (project: Project, lidMm: number) => {
    let now = project;
    for (const command of [
      edit.setRecess(edit.usualRecess(project.form)),
      edit.setLid({ heightMm: mm(lidMm), roofMm: mm(6) }),
      edit.removeRings([2, 3]),
      edit.fitForm('smoothest'),
    ]) {
      const change = run(now, command);
      if (!change.ok) throw new Error(plain(change.reasons[0]!.message));
      now = change.value.project;
      if (change.value.note) notes.push(plain(change.value.note));
    }
    return now.form;
  };
  const notes: string[] = [];
  expect(parts(started.value, 26)).toMatchObject({ lid: { heightMm: 26 }, recess: expect.anything() });
  expect(notes.join()).not.toMatch(/left out/);
  expect(parts(started.value, 60)).toMatchObject({ lid: null, recess: expect.anything() });
  expect(notes.join()).toMatch(/The lid did not go with the new curve/);
});

describe('the form’s parts', () => {
  const started = begin([size(120, 0, 19, 1), size(130, 80, 19, 3)]);
  const project = () => {
    if (!started.ok) throw new Error('start');
    return started.value;
  };
  const form = (...commands: ReturnType<typeof edit.setWall>[]) => {
    let now = project();
    for (const command of commands) {
      const change = run(now, command);
      if (!change.ok) throw new Error(plain(change.reasons[0]!.message));
      now = change.value.project;
    }
    return now.form;
  };
  test('another height or diameter scales inside, walls, lid and recess along', () => {
    const { recess, lid } = { recess: edit.usualRecess(project().form), lid: edit.usualLid(project().form) };
    const tall = form(edit.setRecess(recess), edit.setLid(lid), edit.setFormHeight(mm(152)));
    expect(tall.lid!.heightMm).toBeCloseTo(lid.heightMm * 2, 6);
    expect(tall.recess!.depthMm).toBeCloseTo(recess.depthMm * 2, 6);
    const wide = form(edit.setRecess(recess), edit.setDiameter(mm(244)));
    expect(wide.recess!.radiusMm / recess.radiusMm).toBeCloseTo(
      122 / Math.max(...project().form.points.map((p) => p.radiusMm)),
      6,
    );
  });
  test('an inside of its own keeps its end at the lip when the lip moves', () => {
    const raised = form(
      edit.freeInside(),
      edit.setPoint(project().form.points.length - 1, { heightMm: mm(80) }),
    );
    expect(raised.inside.by === 'curve' && raised.inside.points.at(-1)!.heightMm).toBe(80);
  });
  test('walls are put in order by height; a wall of an own inside is refused', () => {
    const walls = [70, 20].map((z) => ({ heightMm: mm(z), wallMm: mm(z / 10) }));
    const { inside } = form(edit.setWalls(walls));
    expect(inside.by === 'wall' && inside.walls.map(({ heightMm }) => heightMm)).toEqual([20, 70]);
    const own = run(project(), edit.freeInside());
    expect(own.ok && run(own.value.project, edit.setWall(mm(5)))).toMatchObject({
      ok: false,
      reasons: [{ code: 'no-wall' }],
    });
  });
});
