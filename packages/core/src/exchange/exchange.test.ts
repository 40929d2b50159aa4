import fc from 'fast-check';
import Papa from 'papaparse';
import { expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { INCH } from '../measure/format.js';
import { plan } from '../project/plan.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { anyProject } from '../testing/random.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { cutListCsv } from './cutListCsv.js';
import { MOST_BYTES, readProjectFile, writeProjectFile } from './projectFile.js';

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
  [' '.repeat(MOST_BYTES + 1), 'too-large'],
  ['{"__proto__":{"fellside":1}}', 'not-a-project'],
])('%#: what is no project file is refused', (text, code) => {
  expect(readProjectFile(text)).toMatchObject({ ok: false, reasons: [{ code }] });
});

test('the cut list tells spacers, hands, tilts and thicknesses of every way', () => {
  const planned = plan(demoProjects()[3]!, DEFAULT_SHOP);
  if (!planned.ok) throw new Error('plan');
  const { data } = Papa.parse<Record<string, string>>(cutListCsv(planned.value, SHIPPED_WOODS, 'mm'), {
    header: true,
  });
  const spacer = data.find(({ piece }) => piece === 'Spacer')!;
  expect([spacer.count, spacer['width mm'], spacer['cut angle °']]).toEqual(['12', '3.18', '0']);
  const leaning = data.filter(({ hand }) => hand === 'left');
  expect(leaning.map((row) => row['blade tilt °'])).toEqual(['25', '25', '25', '25']);
  expect(data.filter(({ from }) => from !== 'strip').map(({ piece }) => piece)).toEqual(['Disc']);
});

test('the cut list reads back with another CSV reader’s rules: counts and inches as planned', () => {
  const project = demoProjects()[0]!;
  const planned = plan(project, DEFAULT_SHOP);
  if (!planned.ok) throw new Error('plan');
  const text = cutListCsv(planned.value, SHIPPED_WOODS, 'inch-fraction');
  const { data, errors } = Papa.parse<Record<string, string>>(text, { header: true });
  expect(errors).toEqual([]);
  expect(data.reduce((sum, row) => sum + Number(row.count), 0)).toBe(planned.value.pieces);
  const ring = planned.value.rings[8]!.pieces[0]!.kind.stock;
  const row = data.find((candidate) => candidate.ring === '9')!;
  expect(Number(row['long edge in']) * INCH).toBeCloseTo(
    ring.from === 'strip' ? ring.longEdgeMm : Number.NaN,
    1,
  );
});
