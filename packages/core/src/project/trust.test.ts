import { describe, expect, test } from 'vitest';
import { blankPieces, makeBlank } from '../blank/registry.js';
import { demoProjects } from '../demo/index.js';
import { csvOf } from '../exchange/csv.js';
import { cutListCsv } from '../exchange/cutListCsv.js';
import { readOutline } from '../exchange/outlineFile.js';
import { readPatternFile } from '../exchange/patternFile.js';
import { readProfile } from '../exchange/profile/formats.js';
import { readProjectFile, writeProjectFile } from '../exchange/projectFile.js';
import { begun, makingSchema, START_IDS } from '../making/registry.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { mangled, mangledFile, probed, probedFile, strangeNumber } from '../testing/fuzz.js';
import { anyVessel } from '../testing/pieces.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { changesBetween } from './changes.js';
import { run } from './commands/command.js';
import * as edit from './commands/edits.js';
import { copyOf } from './copy.js';
import { elevationPicture } from './elevation.js';
import { readProject } from './inspect.js';
import { plan } from './plan.js';
import { prepare } from './prepare.js';
import type { Project } from './schema.js';
import { stashedRingSchema } from './stash.js';

const cup = (): Project => structuredClone(demoProjects()[0]!);
const edited = (project: Project, command: Parameters<typeof run>[1]): Project => {
  const change = run(project, command);
  if (!change.ok) throw new Error(plain(change.reasons[0]!.message));
  return change.value.project;
};
const messagesOf = (given: unknown) => {
  const read = readProject(given);
  return read.ok ? [] : read.reasons.map(({ message }) => plain(message));
};

describe('what is given is judged before anything loops over it', () => {
  // One number at a time, out of every range: a refinement that ran on it would not come back.
  const OUT = [3e8, 1e300, -1, 5e-324, Number.MAX_SAFE_INTEGER];
  test.each(START_IDS.filter((start) => start !== 'stock'))(
    '%s: numbers out of range are refused, not tried',
    (start) => {
      const usual = begun(start, { segments: 12, body: 'a' });
      if (!usual) return;
      for (const [key, value] of Object.entries(usual))
        if (typeof value === 'number')
          for (const out of OUT) {
            const given = { ...usual, [key]: out };
            makingSchema.safeParse(given);
            stashedRingSchema.safeParse({
              name: 'x',
              outerRadiusMm: 60,
              innerRadiusMm: 40,
              heightMm: 18,
              species: ['a'],
              of: given,
            });
          }
      expect(makingSchema.safeParse({ ...usual, count: 3e8 }).success).toBe(false);
    },
  );

  test('nesting, long lists and many values are told with their limits', () => {
    const deep = JSON.parse(`${'['.repeat(20_000)}${']'.repeat(20_000)}`);
    expect(messagesOf({ ...cup(), form: deep })).toEqual([expect.stringMatching(/more than 40 deep/)]);
    expect(readPatternFile(`${'['.repeat(20_000)}${']'.repeat(20_000)}`)).toMatchObject({ ok: false });
    expect(plain(messagesOf({ ...cup(), rings: Array(70_000).fill(1) })[0] ?? '')).toMatch(
      /list of 70000; 60000 is the most/,
    );
    const many = Array(400).fill(Array(10_000).fill(0));
    expect(plain(messagesOf({ ...cup(), rings: many })[0] ?? '')).toMatch(/more than 2000000 values/);
  });

  test('however much is wrong, a few dozen reasons are told and the others counted', () => {
    const rings = Array.from({ length: 400 }, () => ({ woods: Array(2000).fill(7) }));
    const told = messagesOf({ ...cup(), rings });
    expect(told.length).toBeLessThan(70);
    expect(plain(told.at(-1) ?? '')).toMatch(/^And \d+ more things are wrong\.$/);
    const unknown = Object.fromEntries(Array.from({ length: 50_000 }, (_, i) => [`k${i}`, 0]));
    expect(messagesOf({ ...cup(), ...unknown })[0]!.length).toBeLessThan(300);
  });

  test('blanks of thousands of pieces are counted without being made, and limited together', () => {
    const bent = {
      kind: 'bent',
      outerRadiusMm: 30,
      innerRadiusMm: 20,
      segments: 60,
      wedges: 360,
      curveMm: 100,
      sweepDeg: 360,
      linkAsideMm: 0,
    };
    const woods = Array(21_600).fill(cup().palette[0]!.key);
    const blank = (id: string) => ({ id, making: bent, woods });
    expect(messagesOf({ ...cup(), blanks: [blank('a')] })).toEqual([]);
    expect(plain(messagesOf({ ...cup(), blanks: [blank('a'), blank('b')] })[0] ?? '')).toMatch(
      /43200 pieces in all; 30000 are allowed/,
    );
    const made = makeBlank(bent as never, anyVessel());
    if (!made.ok) throw new Error();
    const [pieces] = blankPieces(made.value, 'a', () => 'x');
    expect(pieces!.count).toBe(21_600);
  });
});

describe('what is accepted is planned, whatever its numbers', () => {
  test('a strip step wider than a solid ring leaves its pieces a length', () => {
    const pie = {
      way: 'segmented',
      toCentre: true,
      count: 12,
      plug: { diameterMm: mm(20), drillMm: mm(20) },
    } as const;
    const wood = cup().palette[0]!.key;
    const rings = cup().rings.map((ring, i) =>
      i === 0 ? { ...ring, making: pie, woods: Array(13).fill(wood) } : ring,
    );
    for (const ripStepMm of [12.7, 40, 5e-324, 1e-9]) {
      const planned = plan({ ...cup(), rings } as Project, { ...DEFAULT_SHOP, ripStepMm: mm(ripStepMm) });
      if (!planned.ok) throw new Error(plain(planned.reasons[0]!.message));
      for (const list of planned.value.lumber.strips) {
        // A piece's short edge Lo − 2·w·tan θ is never less than nothing.
        for (const { longEdgeMm } of list.cuts)
          expect(longEdgeMm - 2 * list.widthMm * Math.tan(list.cutAngle)).toBeGreaterThan(-0.01);
        expect(Number.isFinite(list.widthMm) && Number.isFinite(list.thicknessMm)).toBe(true);
      }
    }
  });

  test('a ring of which nothing is left has no NaN in its wood', () => {
    // The lowest rings lie below a form that begins with its least radius: what is left of some places is exactly nothing.
    const thin = edited(cup(), edit.setFormHeight(mm(20)));
    const planned = plan(thin, DEFAULT_SHOP);
    if (!planned.ok) throw new Error();
    expect(strangeNumber(planned.value)).toBeNull();
  });

  test.each([1, 2, 3, 4].map((batch) => [batch]))(
    'mangled documents, batch %i: refused or planned, never NaN, never a throw',
    (batch) => {
      const outcomes = new Set(Array.from({ length: 100 }, (_, i) => probed(mangled(1000 * batch + i))));
      expect(outcomes).toContain('refused');
      expect(outcomes).toContain('planned');
    },
  );
});

describe('files from outside', () => {
  const dxf = '0\nSECTION\n2\nENTITIES\n0\nLWPOLYLINE\n90\n1000000000\n10\n0\n20\n0\n0\nENDSEC\n0\nEOF\n';
  test.each([
    [
      'a DXF that claims a thousand million vertices',
      () => readOutline('a.dxf', dxf),
      /says that it has 1000000000 points/,
    ],
    ['the same as a profile', () => readProfile(dxf, 'a.dxf', 'mm'), /says that it has 1000000000 points/],
    ['paths that never end', () => readOutline('a.svg', '<path '.repeat(300_000)), /no path/],
    ['the same as a profile, SVG', () => readProfile('<path '.repeat(300_000), 'a.svg', 'mm'), /no path/],
    [
      'thousands of groups',
      () => readProfile(`<svg>${'<g>'.repeat(30_000)}</svg>`, 'a.svg', 'mm'),
      /no path/,
    ],
    [
      'thousands of moves',
      () => readOutline('a.svg', `<svg><path d="${'M0 0L1 0L1 1z'.repeat(30_000)}"/></svg>`),
      /points/,
    ],
    [
      'a path of a million letters',
      () => readOutline('a.svg', `<svg><path d="M0 0${'L1 1 '.repeat(200_000)}"/></svg>`),
      /points/,
    ],
    [
      'hundreds of closed lines',
      () =>
        readOutline(
          'a.svg',
          `<svg>${Array.from({ length: 500 }, (_, i) => `<path d="M${i} 0L${i + 2} 0L${i} 3z"/>`).join('')}</svg>`,
        ),
      /500 closed lines; 120 are allowed/,
    ],
    [
      'a zigzag of a hundred thousand points',
      () =>
        readProfile(
          Array.from({ length: 90_000 }, (_, i) => `${20 + (i % 2)},${i / 1000}`).join('\n'),
          'a.csv',
          'mm',
        ),
      /more than|points/,
    ],
  ])('%s', (_, read, sentence) => {
    const answer = read();
    expect(answer.ok ? '' : plain(answer.reasons[0]!.message)).toMatch(sentence);
  });

  test('mangled files are read or refused, never a throw', () => {
    const outcomes = new Set(Array.from({ length: 300 }, (_, seed) => probedFile(mangledFile(seed))));
    expect([...outcomes].sort()).toEqual(['read', 'refused']);
  });

  // Found by the trials: loops of one point, points beyond all numbers, an edge that doubles back and never ended.
  test.each([1_000_161, 1_000_910, 1_003_014, 1_006_998])(
    'the mangled file %s is read or refused',
    (seed) => {
      expect(['read', 'refused']).toContain(probedFile(mangledFile(seed)));
    },
  );

  test('an outline whose edge doubles back on itself is tidied, and never endless', () => {
    const there = Array.from({ length: 30 }, (_, i) => `L${80 + 20 * Math.sin(i / 3)} 60`).join('');
    const answer = readOutline('a.svg', `<svg><path d="M0 0L40 90L80 60${there}L100 60L0 0z"/></svg>`);
    expect(answer.ok).toBe(true);
  });

  test('five hundred equal triangles are one', () => {
    const answer = readOutline('a.svg', `<svg>${'<path d="M0 0L10 0L5 8z"/>'.repeat(500)}</svg>`);
    expect(answer.ok && answer.value.loops).toHaveLength(1);
  });

  // What spreadsheets take as formulas: common practice, as OWASP lists it (from memory).
  test.each([
    '=1+1',
    '+cmd',
    '-2+3',
    '@SUM(A1)',
    '\t=1',
    '\r=1',
    '=1\n+2',
    '\n=HYPERLINK("x")',
    ' =1',
    '＝1',
  ])('a cell %j never starts a formula', (cell) => {
    const [, row] = csvOf([{ a: cell }]).split('a\r\n');
    expect(row!.replace(/^"/, '')).toMatch(/^'/);
  });
  test.each(['-5', '-0.25', '+3', '12', '1,5', 'maple', "O'Brien"])(
    'a plain cell %j stays as it is',
    (cell) => {
      expect(csvOf([{ a: cell }])).toContain(cell);
      expect(csvOf([{ a: cell }])).not.toContain(`'${cell}`);
    },
  );
  test('names of woods are cells, too', () => {
    const woods = SHIPPED_WOODS.map((wood) => ({ ...wood, name: `=2\n${wood.name}` }));
    const planned = plan(cup(), DEFAULT_SHOP, woods);
    expect(planned.ok && cutListCsv(planned.value, woods, DEFAULT_SHOP)).toMatch(/,"'=2\n/);
  });

  test('a project file carries its picture; one that is too large is told by its true limit', () => {
    const picture = { key: 'a'.repeat(64), base64: 'AAAA' };
    const own = { ...SHIPPED_WOODS[0]!, id: 'own-plum', own: true };
    const project = { ...cup(), palette: cup().palette.map((entry) => ({ ...entry, wood: 'own-plum' })) };
    const read = readProjectFile(writeProjectFile(project, [own], picture));
    expect(read).toMatchObject({ ok: true, value: { picture, woods: [{ id: 'own-plum' }] } });
    const large = writeProjectFile(project, [], { ...picture, base64: 'A'.repeat(17 * 1024 * 1024) });
    expect(readProjectFile(large)).toMatchObject({ reasons: [{ message: expect.stringMatching(/12 MB/) }] });
  });
});

describe('what changed, in words', () => {
  const cases: readonly [string, (project: Project) => Project, readonly RegExp[]][] = [
    ['nothing', (project) => project, []],
    [
      'a name',
      (project) => edited(project, edit.rename('Other')),
      [/^Named “Other”, before “Fell Race Cup”\.$/],
    ],
    [
      'the height',
      (project) => edited(project, edit.setFormHeight(mm(300))),
      [/Height 300 mm, before 266\.7 mm/, /./, /./],
    ],
    ['the wall', (project) => edited(project, edit.setWall(mm(6))), [/^Wall 6 mm, before 7\.14 mm\.$/]],
    ['a count', (project) => edited(project, edit.setCount([8], 12)), [/^Ring 9: 12 segments, before 24\.$/]],
    ['a way', (project) => edited(project, edit.startFrom([8], 'staved')), [/^Ring 9: made as “/]],
    [
      'many counts',
      (project) => edited(project, edit.setCount([5, 6, 7, 8], 12)),
      [/rings? .*segments|4 rings changed|4 rings from ring/],
    ],
    [
      'rings gone',
      (project) => ({ ...project, rings: project.rings.slice(0, -2) }),
      [/^2 rings taken away\.$/],
    ],
    ['the order', (project) => ({ ...project, rings: [...project.rings].reverse() }), [/another order/]],
    [
      'a wood',
      (project) => ({
        ...project,
        palette: project.palette.map((e, i) => (i ? e : { ...e, wood: 'wenge' })),
      }),
      [/^Palette with wenge, without sugar-maple\.$/],
    ],
  ];
  test.each(cases)('%s', (_, change, sentences) => {
    const told = changesBetween(cup(), change(cup()));
    expect(told).toHaveLength(sentences.length);
    sentences.forEach((sentence, i) => {
      expect(plain(told[i] ?? '')).toMatch(sentence);
    });
  });

  test('an earlier version taken back is one edit, and is undone to the letter', () => {
    const later = edited(edited(cup(), edit.rename('Later')), edit.setCount([8], 12));
    const back = run(later, edit.becomes(cup(), 'Back'));
    expect(back.ok && back.value.project).toEqual(cup());
    expect(back.ok && back.value.patches.length).toBeGreaterThan(0);
  });
});

test('a copy has rings of the stash planned anew, of their sizes and woods', () => {
  const ring = {
    way: 'stock',
    item: 'one',
    name: 'Ring',
    outerRadiusMm: 60,
    innerRadiusMm: 40,
    heightMm: 18,
    species: Array(12).fill('sugar-maple'),
    of: { way: 'segmented', count: 12 },
  };
  const project = {
    ...cup(),
    rings: cup().rings.map((each, i) =>
      i === 8 ? { ...each, making: ring, woods: Array(12).fill('m') } : each,
    ),
  } as Project;
  const copy = copyOf(project, 'x'.repeat(100));
  expect(copy.name).toHaveLength(80);
  expect(copy.rings[8]).toMatchObject({
    making: { way: 'segmented', count: 12 },
    fixed: { outerRadiusMm: 60, innerRadiusMm: 40 },
  });
  expect(copy.rings[7]).toBe(project.rings[7]);
});

test('the small drawing shows every wood where it is, and as wide as the form at every height', () => {
  const project = cup();
  const prepared = prepare(project);
  if (!prepared.ok) throw new Error();
  const palette = new Map(
    project.palette.map(({ key, wood }) => [key, SHIPPED_WOODS.find(({ id }) => id === wood)!]),
  );
  const { width, height, rgba } = elevationPicture(prepared.value, palette, 200);
  expect(Math.max(width, height)).toBe(200);
  const points = project.form.points;
  const scale = 200 / points.at(-1)!.heightMm;
  const inked = (row: number) =>
    Array.from({ length: width }, (_, x) => rgba[4 * (row * width + x) + 3]! > 0).filter(Boolean).length;
  // At the lip and the foot the width is twice the radius of the first and last curve point.
  expect(Math.abs(inked(height - 1) - 2 * points[0]!.radiusMm * scale)).toBeLessThan(4);
  expect(Math.abs(inked(0) - 2 * points.at(-1)!.radiusMm * scale)).toBeLessThan(4);
});
