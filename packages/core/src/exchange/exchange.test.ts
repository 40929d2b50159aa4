import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { radiusAt } from '../form/curve.js';
import { slopeLength } from '../form/slope.js';
import { INCH } from '../measure/format.js';
import { motifOf } from '../pattern/motifs/registry.js';
import { begunMotif } from '../pattern/motifUse.js';
import { plan } from '../project/plan.js';
import { prepare } from '../project/prepare.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { anyProject } from '../testing/random.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { cutListCsv } from './cutListCsv.js';
import { type Pattern, readPatternFile, writePatternFile } from './patternFile.js';
import { MOST_FILE_BYTES, readProjectFile, writeProjectFile } from './projectFile.js';
import { wallPages, wallSvg } from './wallSvg.js';

const own = { ...SHIPPED_WOODS[0]!, id: 'garden-plum', name: 'Garden plum' };

test('a project file comes back as it went out, with the woods that do not ship', () => {
  fc.assert(
    fc.property(anyProject, (random) => {
      const project = {
        ...random,
        palette: random.palette.map((entry, i) => (i === 0 ? { ...entry, wood: own.id } : entry)),
      };
      expect(readProjectFile(writeProjectFile(project, [...SHIPPED_WOODS, own]))).toEqual({
        ok: true,
        value: { project, woods: [own] },
      });
    }),
    { numRuns: 20 },
  );
});

test.each([
  ['{"a":', 'not-json'],
  ['[1]', 'not-a-project'],
  ['{"fellside":"recipe","woods":[],"project":{}}', 'invalid_value'],
  [' '.repeat(MOST_FILE_BYTES + 1), 'too-large'],
  ['{"__proto__":{"fellside":1}}', 'not-a-project'],
])('%#: what is no project file is refused', (text, code) => {
  expect(readProjectFile(text)).toMatchObject({ ok: false, reasons: [{ code }] });
});

test('the cut list tells spacers, hands, tilts and thicknesses of every way', () => {
  const planned = plan(demoProjects()[3]!, DEFAULT_SHOP);
  if (!planned.ok) throw new Error('plan');
  const { data } = Papa.parse<Record<string, string>>(
    cutListCsv(planned.value, SHIPPED_WOODS, { ...DEFAULT_SHOP, units: 'mm' }),
    {
      header: true,
    },
  );
  const spacer = data.find(({ piece }) => piece === 'Spacer')!;
  expect([spacer.count, spacer['width mm'], spacer['cut angle °']]).toEqual(['12', '3.17', '']);
  const leaning = data.filter(({ hand }) => hand === 'left');
  expect(leaning.map((row) => row['blade tilt °'])).toEqual(['25', '25', '25', '25']);
  expect(data.filter(({ from }) => from !== 'strip').map(({ piece }) => piece)).toEqual(['Disc']);
});

test('the cut list reads back with another CSV reader’s rules: counts and inches as planned', () => {
  const project = demoProjects()[0]!;
  const planned = plan(project, DEFAULT_SHOP);
  if (!planned.ok) throw new Error('plan');
  const text = cutListCsv(planned.value, SHIPPED_WOODS, DEFAULT_SHOP);
  const { data, errors } = Papa.parse<Record<string, string>>(text, { header: true });
  expect(errors).toEqual([]);
  expect(data.reduce((sum, row) => sum + Number(row.count), 0)).toBe(planned.value.pieces);
  const ring = planned.value.rings[8]!.pieces[0]!.kind.stock;
  const row = data.find((candidate) => candidate.for === 'ring 9')!;
  expect(Number(row['long edge in']) * INCH).toBeCloseTo(
    ring.from === 'strip' ? ring.longEdgeMm : Number.NaN,
    1,
  );
});

describe('pattern files', () => {
  const motif: Pattern = { holds: 'motif', name: 'Key', motif: begunMotif(motifOf('key')!) };
  const block: Pattern = {
    holds: 'block',
    name: 'Corner',
    block: {
      widthTurns: 0.25,
      rows: [[{ from: 0, to: 0.5, tone: 'dark' }], [{ from: 0, to: 1, tone: 'accent-2' }]],
    },
  };
  test.each([motif, block])('$name comes back as it went out', (pattern) => {
    expect(readPatternFile(writePatternFile(pattern))).toEqual({ ok: true, value: pattern });
  });
  test.each([
    ['no JSON', '{', /not JSON/],
    ['a project', writeProjectFile(demoProjects()[0]!, []), /not a Fellside pattern file/],
    ['a motif that is none', writePatternFile(motif).replace('"key"', '"rope"'), /no motif "rope"/],
    [
      'a number too large',
      writePatternFile(motif).replace('"repeats": 8', '"repeats": 8000'),
      /has to be a whole number/,
    ],
    ['a wood for a tone', writePatternFile(block).replace('accent-2', 'walnut'), /./],
  ])('%s is refused with a sentence', (_, text, sentence) => {
    const read = readPatternFile(text);
    expect(read.ok ? '' : read.reasons.map(({ message }) => message).join(' ')).toMatch(sentence);
  });
});

describe('the unrolled wall at full size', () => {
  const cup = demoProjects()[0]!;
  const prepared = prepare(cup);
  if (!prepared.ok) throw new Error('prepare');
  const palette = new Map(
    cup.palette.map(({ key, wood }) => [key, SHIPPED_WOODS.find(({ id }) => id === wood)!] as const),
  );
  const numbersIn = (text: string, name: string) =>
    [...text.matchAll(new RegExp(`<svg[^>]* ${name}="([\\d.]+)`, 'g'))].map(([, number]) => Number(number));
  test('is as wide as the widest ring is round and as high as the wall is along its slope', () => {
    const { vessel, rings } = prepared.value;
    const text = wallSvg(prepared.value, palette, 'Cup & <saucer>');
    const round = rings.map(({ course }) => {
      const middle = (course.bottomMm + Math.min(course.topMm, vessel.heightMm)) / 2;
      return 2 * Math.PI * radiusAt(vessel.outside, middle);
    });
    expect(numbersIn(text, 'width')[0]).toBeCloseTo(Math.max(...round) + 10, 1);
    // The form's length along the slope, by Simpson's rule over its height.
    const n = 2000;
    const slope = (z: number) =>
      (radiusAt(vessel.outside, z + 1e-4) - radiusAt(vessel.outside, Math.max(0, z - 1e-4))) / 2e-4;
    let length = 0;
    for (let i = 0; i < n; i++)
      length += Math.hypot(1, slope(((i + 0.5) * vessel.heightMm) / n)) * (vessel.heightMm / n);
    expect(numbersIn(text, 'height')[0]! / length).toBeCloseTo(1, 2);
    expect(text).toContain('Cup &amp; &lt;saucer&gt;');
  });
  test('its coloured areas are those of the woods', () => {
    const areas = new Map<string, number>();
    for (const [, points, fill] of wallSvg(prepared.value, palette, 'x').matchAll(
      /points="([^"]+)" fill="([^"]+)"/g,
    )) {
      const corners = points!.split(' ').map((pair) => pair.split(',').map(Number) as [number, number]);
      const area = corners.reduce((sum, [x, y], i) => {
        const [u, v] = corners[(i + 1) % corners.length]!;
        return sum + (x * v - u * y) / 2;
      }, 0);
      areas.set(fill!, (areas.get(fill!) ?? 0) + Math.abs(area));
    }
    const exact = new Map<string, number>();
    for (const { ring, course } of prepared.value.rings) {
      const { vessel } = prepared.value;
      const top = Math.min(course.topMm, vessel.heightMm);
      const round = 2 * Math.PI * radiusAt(vessel.outside, (course.bottomMm + top) / 2);
      const area = round * slopeLength(vessel.outside, course.bottomMm, top);
      for (const key of ring.woods) {
        const { colour } = palette.get(key)!;
        exact.set(colour, (exact.get(colour) ?? 0) + area / ring.woods.length);
      }
    }
    for (const [colour, area] of exact) expect(areas.get(colour)! / area).toBeCloseTo(1, 2);
  });
  test('pages of a paper cover it, and lap over each other', () => {
    const [wide, tall] = ['width', 'height'].map(
      (name) => numbersIn(wallSvg(prepared.value, palette, 'x'), name)[0]!,
    );
    const pages = wallPages(prepared.value, palette, 'x', 'a4');
    const windows = pages.map(({ svg }) =>
      /viewBox="([\d.]+) ([\d.]+) 190 271"/.exec(svg)!.slice(1).map(Number),
    );
    expect(Math.max(...windows.map(([x]) => x! + 190))).toBeGreaterThanOrEqual(wide!);
    expect(Math.max(...windows.map(([, y]) => y! + 271))).toBeGreaterThanOrEqual(tall!);
    expect(new Set(pages.map(({ name }) => name)).size).toBe(pages.length);
    expect(windows[1]![0]).toBe(182);
  });
});
