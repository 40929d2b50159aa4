import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { STARTING_SHAPES } from '../form/starting.js';
import { plain } from '../measure/said.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { started } from '../testing/pieces.js';
import { readProject } from './inspect.js';
import { plan } from './plan.js';
import { SCHEMA_VERSION } from './schema.js';
import { UPGRADES } from './upgrade.js';

const cup = () => structuredClone(demoProjects()[0]!);
const sentences = (given: unknown) => {
  const result = readProject(given);
  return result.ok ? [] : result.reasons.map(({ message }) => plain(message));
};

test.each(demoProjects())('the demo’s $name is a sound project with nothing to look at', (project) => {
  expect(sentences(project)).toEqual([]);
  const planned = plan(project, DEFAULT_SHOP);
  expect(planned.ok && planned.value.checks.filter(({ note }) => !note)).toEqual([]);
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
        p.form.inside.walls[0].wallMm = -1;
      },
      /Wall thickness 1: Wall thickness is -1 mm; it has to be a length from 0.5 mm to 500 mm/,
    ],
    [
      'NaN',
      (p) => {
        p.form.inside.floorMm = Number.NaN;
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
        p.form.inside.walls[0].wallMm = 90;
      },
      /wall thickness, 90 mm, fills the form/i,
    ],
    [
      'a fixed ring with a hole wider than itself',
      (p) => {
        p.rings[7].fixed = { outerRadiusMm: 50, innerRadiusMm: 60 };
      },
      /Ring 8: The ring's inner radius is 60 mm; it has to be smaller than the outer one of 50 mm/,
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
        p.schema = SCHEMA_VERSION + 1;
      },
      new RegExp(`newer Fellside \\(version ${SCHEMA_VERSION + 1}\\)`),
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
    expect(plain(sentences(given)[0] ?? '')).toMatch(/not a Fellside project/),
  );

  test('all that is wrong is told at once', () => {
    expect(sentences({ ...cup(), name: '', rings: [], extra: 1 })).toHaveLength(3);
  });
});

test.each(STARTING_SHAPES)('a new $id can be planned as it comes', ({ id }) => {
  const planned = plan(started(id), DEFAULT_SHOP);
  expect(planned.ok && planned.value.pieces).toBeGreaterThan(0);
});

describe('files of older versions', () => {
  /** A whole piece as version 1 wrote it. */
  const VERSION_1 = {
    schema: 1,
    name: 'Old box',
    form: {
      points: [
        { radiusMm: 50, heightMm: 0, kind: 'smooth' },
        { radiusMm: 55, heightMm: 40, kind: 'smooth' },
      ],
      wallMm: 6,
      floorMm: 8,
    },
    rings: [{ id: 'a', heightMm: 40, making: { way: 'disc' }, turn: 0, woods: ['oak'] }],
    palette: [{ key: 'oak', tone: 'light', wood: 'white-oak' }],
    allowances: { outsideMm: 4, insideMm: 4 },
  };
  test('a version 1 piece comes in with its wall as the inside', () => {
    const read = readProject(VERSION_1);
    expect(read.ok && read.value).toMatchObject({
      schema: SCHEMA_VERSION,
      form: { inside: { by: 'wall', walls: [{ wallMm: 6 }], floorMm: 8 }, recess: null, lid: null },
      motifs: [],
      underlay: null,
    });
    expect(sentences({ ...VERSION_1, form: 7 }).length).toBeGreaterThan(0);
  });
  test('a version 2 piece, flat rings and discs, comes in as it was', () => {
    const cup = JSON.parse(JSON.stringify(demoProjects()[0]!));
    const read = readProject({ ...cup, schema: 2 });
    expect(read).toEqual({ ok: true, value: cup });
  });
  test('there is a step from every version to the next', () => {
    const versions = Array.from({ length: SCHEMA_VERSION - 1 }, (_, i) => i + 1);
    expect(Object.keys(UPGRADES).map(Number)).toEqual(versions);
  });
});
