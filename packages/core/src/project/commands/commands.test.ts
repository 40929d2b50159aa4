import fc from 'fast-check';
import { applyPatches } from 'immer';
import { describe, expect, test } from 'vitest';
import { demoProjects } from '../../demo/index.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { DEFAULT_SHOP } from '../../settings/shop.js';
import { anyProject } from '../../testing/random.js';
import { readProject } from '../inspect.js';
import { plan } from '../plan.js';
import type { Project } from '../schema.js';
import { type Command, run } from './command.js';
import * as edit from './edits.js';

const cup = () => structuredClone(demoProjects()[0]!);
const sentences = (given: unknown) => {
  const result = readProject(given);
  return result.ok ? [] : result.reasons.map(({ message }) => message);
};
const changed = (project: Project, command: Command) => {
  const result = run(project, command);
  if (!result.ok) throw new Error(plain(result.reasons[0]!.message));
  return result.value;
};
const checksOf = (project: Project) => {
  const planned = plan(project, DEFAULT_SHOP);
  if (!planned.ok) throw new Error(plain(planned.reasons[0]!.message));
  return planned.value.checks;
};

describe('commands', () => {
  const anyCommand: fc.Arbitrary<Command> = fc.oneof(
    fc.integer({ min: 10, max: 400 }).map((h) => edit.setFormHeight(mm(h))),
    fc.integer({ min: 60, max: 400 }).map((d) => edit.setDiameter(mm(d))),
    fc.integer({ min: 1, max: 30 }).map((w) => edit.setWall(mm(w))),
    fc.integer({ min: 2, max: 400 }).map((n) => edit.setCount([0], n)),
    fc.integer({ min: 1, max: 60 }).map((h) => edit.setRingHeight([0], mm(h))),
    fc.constant(edit.duplicateRings([0])),
    fc.constant(edit.splitRing(0)),
    fc.constant(edit.mergeRings([0, 1])),
    fc.constant(edit.setLocked([0], true)),
    fc.integer({ min: 4, max: 50 }).map((h) => edit.sliceBy([mm(h)])),
    fc.integer({ min: 0, max: 60 }).map((z) => edit.moveEdge(0, z)),
    fc
      .integer({ min: 40, max: 200 })
      .map((r) => edit.setFixed([0], { outerRadiusMm: mm(r), innerRadiusMm: mm(20) })),
    fc.integer({ min: 1, max: 40 }).map((h) => edit.setMeasured([0], { heightMm: mm(h) })),
    fc.integer({ min: 60, max: 300 }).map((d) => edit.setMeasured([0], { diameterMm: mm(d) })),
    fc.constant(edit.freeInside()),
    fc.constant(edit.followWall()),
    fc.constantFrom('tightest' as const, 'smoothest' as const).map(edit.fitForm),
    fc.integer({ min: 1, max: 9 }).map((h) => edit.setLid({ heightMm: mm(h * 20), roofMm: mm(5) })),
    fc.integer({ min: 5, max: 40 }).map((r) => edit.setRecess({ radiusMm: mm(r), depthMm: mm(2) })),
    fc.constant(edit.setWood([0], 'dark')),
    fc.constant(edit.setBond([0], { kind: 'brick' })),
    fc.integer({ min: 1, max: 9 }).map((seed) => edit.scatterTurns([0], seed)),
    fc.constant(edit.thickenSpacers([0], 1.5)),
    fc.constantFrom(edit.setFinish('oil'), edit.setFinish(null)),
  );

  test('any run of commands leaves a sound project with finite figures, and undoing them all leads back to the start', () => {
    fc.assert(
      fc.property(anyProject, fc.array(anyCommand, { maxLength: 8 }), (start, commands) => {
        let project = start;
        const inverses = [];
        for (const command of commands) {
          const result = run(project, command);
          if (!result.ok) {
            expect(plain(result.reasons[0]!.message)).toMatch(/[.]$/);
            continue;
          }
          expect(sentences(result.value.project)).toEqual([]);
          project = result.value.project;
          inverses.unshift(result.value.inverse);
        }
        const planned = plan(project, DEFAULT_SHOP);
        expect(planned.ok).toBe(true);
        expect(JSON.stringify(planned)).not.toMatch(/null,"(?:outerRadiusMm|cornerMm|boardFeet)|NaN/);
        for (const inverse of inverses) project = applyPatches(project, [...inverse]);
        expect(project).toEqual(start);
      }),
      { numRuns: 60 },
    );
  });

  test('a taller form gets rings on top and says so; a lower one loses them', () => {
    const taller = changed(cup(), edit.setFormHeight(mm(330)));
    expect(plain(taller.note ?? '')).toMatch(/4 rings added on top/);
    expect(plain(changed(cup(), edit.setFormHeight(mm(150))).note ?? '')).toMatch(
      /rings above the lip taken away/,
    );
  });

  test('a ring made thinner leaves the stack short; the check says so, and either remedy puts it right', () => {
    const short = changed(cup(), edit.setRingHeight([3], mm(5))).project;
    const [check] = checksOf(short);
    expect(check!.code).toBe('stack-short');
    expect(plain(check!.message)).toMatch(/below the top of the form/);
    for (const remedy of check!.remedies) {
      const codes = checksOf(changed(short, edit.remedyOf(remedy)).project).map(({ code }) => code);
      expect(codes).not.toContain('stack-short');
    }
  });

  test('another count keeps each colour’s share of the ring', () => {
    const half = changed(cup(), edit.repeatWoods([8], ['sugar-maple', 'purpleheart'])).project;
    const more = changed(half, edit.setCount([8], 48)).project.rings[8]!;
    expect(more.woods.filter((wood) => wood === 'purpleheart')).toHaveLength(24);
  });

  test('swapping a palette wood moves its board feet; a wood in use is not removed; the ends of the curve stay', () => {
    const swapped = changed(cup(), edit.setPaletteWood('purpleheart', 'padauk')).project;
    const planned = plan(swapped, DEFAULT_SHOP);
    expect(planned.ok && planned.value.lumber.woods.map(({ wood }) => wood)).toContain('padauk');
    expect(run(cup(), edit.removePaletteWood('purpleheart'))).toMatchObject({
      ok: false,
      reasons: [{ code: 'wood-in-use' }],
    });
    expect(run(cup(), edit.removePoint(0))).toMatchObject({ ok: false, reasons: [{ code: 'end-point' }] });
    expect(run(cup(), edit.setPaletteWood('purpleheart', 'jade')).ok).toBe(true);
    const unknown = plan(changed(cup(), edit.setPaletteWood('purpleheart', 'jade')).project, DEFAULT_SHOP);
    expect(unknown).toMatchObject({ ok: false, reasons: [{ code: 'species-unknown' }] });
  });
});
