import fc from 'fast-check';
import { applyPatches } from 'immer';
import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { STARTING_SHAPES } from '../form/starting.js';
import { mm } from '../measure/quantity.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { anyProject } from '../testing/random.js';
import { type Command, run } from './commands/command.js';
import * as edit from './commands/edits.js';
import { readProject } from './inspect.js';
import { plan } from './plan.js';
import type { Project } from './schema.js';
import { startProject } from './start.js';

const cup = () => structuredClone(demoProjects()[0]!);
const sentences = (given: unknown) => {
  const result = readProject(given);
  return result.ok ? [] : result.reasons.map(({ message }) => message);
};
const changed = (project: Project, command: Command) => {
  const result = run(project, command);
  if (!result.ok) throw new Error(result.reasons[0]!.message);
  return result.value;
};

test.each(demoProjects())('the demo’s $name is a sound project with nothing to look at', (project) => {
  expect(sentences(project)).toEqual([]);
  const planned = plan(project, DEFAULT_SHOP);
  expect(planned.ok && planned.value.checks).toEqual([]);
});

/** A project that may be spoilt in any way. */
// biome-ignore lint/suspicious/noExplicitAny: what is spoilt has no type any more
type Loose = any;

describe('what is refused, by name and with what is allowed', () => {
  const spoilt = (spoil: (project: Loose) => void) => {
    const project = cup();
    spoil(project as unknown as Loose);
    return sentences(project).join(' ');
  };
  test.each<[string, (project: Loose) => void, RegExp]>([
    [
      '2 segments',
      (p) => {
        p.rings[6].making.count = 2;
      },
      /Ring 7: Segment count is 2; it has to be a whole number from 3 to 360/,
    ],
    [
      '361 segments',
      (p) => {
        p.rings[6].making.count = 361;
      },
      /Ring 7: Segment count is 361/,
    ],
    [
      'a negative wall',
      (p) => {
        p.form.wallMm = -1;
      },
      /Wall thickness is -1 mm; it has to be a length from 0.5 mm to 500 mm/,
    ],
    [
      'NaN',
      (p) => {
        p.form.floorMm = Number.NaN;
      },
      /Floor thickness is NaN/,
    ],
    [
      'infinity',
      (p) => {
        p.rings[0].heightMm = Number.POSITIVE_INFINITY;
      },
      /Ring 1: Ring height is Infinity/,
    ],
    [
      'a text for a number',
      (p) => {
        p.form.points[1].radiusMm = '5';
      },
      /Curve point 2: Radius is "5"/,
    ],
    [
      'a wall thicker than the form',
      (p) => {
        p.form.wallMm = 90;
      },
      /wall thickness, 90 mm, fills the form/i,
    ],
    [
      'rings that do not reach',
      (p) => {
        p.rings.pop();
        p.rings.pop();
      },
      /do not reach the form's height of 266.7 mm/,
    ],
    [
      'a ring above the form',
      (p) => {
        p.rings.push({ ...p.rings[0], id: 'x' }, { ...p.rings[0], id: 'y' });
      },
      /above the form, which ends at 266.7 mm/,
    ],
    [
      'unknown keys',
      (p) => {
        p.form.glitter = 1;
      },
      /Unknown key “glitter” in form/,
    ],
    [
      'an unknown way',
      (p) => {
        p.rings[3].making = { way: 'woven' };
      },
      /Ring 4: Way of making is not known/,
    ],
    [
      'woods that do not count',
      (p) => {
        p.rings[7].woods.pop();
      },
      /Ring 8 has 24 places and 23 woods/,
    ],
    [
      'a wood off the palette',
      (p) => {
        p.rings[7].woods[0] = 'jade';
      },
      /Ring 8 uses “jade”, which is not in the palette/,
    ],
    [
      'a newer version',
      (p) => {
        p.schema = 9;
      },
      /newer Fellside \(version 9\)/,
    ],
    [
      'an older version than any',
      (p) => {
        p.schema = 0;
      },
      /File version 0 is not known/,
    ],
    [
      'no rings',
      (p) => {
        p.rings = [];
      },
      /no ring/,
    ],
  ])('%s', (_, spoil, sentence) => expect(spoilt(spoil)).toMatch(sentence));

  test.each([null, 7, 'text', [], {}])('%j is not a project', (given) =>
    expect(sentences(given)[0]).toMatch(/not a Fellside project/),
  );

  test('all that is wrong is told at once', () => {
    expect(sentences({ ...cup(), name: '', rings: [], extra: 1 })).toHaveLength(3);
  });
});

describe('commands', () => {
  const anyCommand: fc.Arbitrary<Command> = fc.oneof(
    fc.integer({ min: 10, max: 400 }).map((h) => edit.setFormHeight(mm(h))),
    fc.integer({ min: 60, max: 400 }).map((d) => edit.setDiameter(mm(d))),
    fc.integer({ min: 1, max: 30 }).map((w) => edit.setWall(mm(w))),
    fc.integer({ min: 2, max: 400 }).map((n) => edit.setCount([0], n)),
    fc.integer({ min: 1, max: 60 }).map((h) => edit.setRingHeight([0], mm(h), true)),
    fc.constant(edit.duplicateRing(0)),
    fc.constant(edit.setWood([0], 'dark')),
    fc.constant(edit.setBond([0], 'brick')),
  );

  test('any run of commands leaves a sound project with finite figures, and undoing them all leads back to the start', () => {
    fc.assert(
      fc.property(anyProject, fc.array(anyCommand, { maxLength: 8 }), (start, commands) => {
        let project = start;
        const inverses = [];
        for (const command of commands) {
          const result = run(project, command);
          if (!result.ok) {
            expect(result.reasons[0]!.message).toMatch(/[.]$/);
            continue;
          }
          expect(sentences(result.value.project)).toEqual([]);
          project = result.value.project;
          inverses.unshift(result.value.inverse);
        }
        const planned = plan(project, DEFAULT_SHOP);
        expect(planned.ok).toBe(true);
        expect(JSON.stringify(planned)).not.toMatch(/null,"(?:outerMm|cornerMm|boardFeet)|NaN/);
        for (const inverse of inverses) project = applyPatches(project, [...inverse]);
        expect(project).toEqual(start);
      }),
      { numRuns: 40 },
    );
  });

  test('a taller form gets rings on top and says so; a lower one loses them', () => {
    const taller = changed(cup(), edit.setFormHeight(mm(330)));
    expect(taller.note).toMatch(/4 rings added on top/);
    expect(changed(cup(), edit.setFormHeight(mm(150))).note).toMatch(/rings above the lip taken away/);
  });

  test('a ring made thinner is refused when the stack comes short, and filled up when asked', () => {
    expect(run(cup(), edit.setRingHeight([3], mm(5)))).toMatchObject({
      ok: false,
      reasons: [{ code: 'stack-short' }],
    });
    expect(changed(cup(), edit.setRingHeight([3], mm(5), true)).note).toMatch(/1 ring added/);
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

test.each(STARTING_SHAPES)('a new $id can be planned as it comes', (shape) => {
  const started = startProject({
    name: 'New piece',
    shape: shape.id,
    heightMm: mm(shape.proportion * 200),
    diameterMm: mm(200),
    wallMm: mm(8),
    ringHeightMm: mm(19.05),
    count: 12,
    woods: ['sugar-maple', 'black-walnut'],
  });
  if (!started.ok) throw new Error(started.reasons[0]!.message);
  const planned = plan(started.value, DEFAULT_SHOP);
  expect(planned.ok && planned.value.pieces).toBeGreaterThan(0);
});
