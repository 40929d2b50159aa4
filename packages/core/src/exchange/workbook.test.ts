import Papa from 'papaparse';
import { expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { mm } from '../measure/quantity.js';
import { setPassport } from '../project/commands/passportCommands.js';
import { startFrom } from '../project/commands/wayCommands.js';
import type { JournalEntry } from '../record/journalEntry.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { after, planned } from '../testing/pieces.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { ALL_ROWS, choicesIn, foundIn, workbookCsv, workbookOf, workbookTotals } from './workbook.js';

const [cup, bowl] = demoProjects() as [
  ReturnType<typeof demoProjects>[0],
  ReturnType<typeof demoProjects>[0],
];
const told = after(
  cup!,
  setPassport({ number: '=7', made: 'May 2026', hours: 12 }),
  startFrom([8], 'spaced'),
);
const worked: JournalEntry[] = [
  {
    id: '00000000-0000-4000-8000-000000000001',
    at: '2026-11-30T09:00:00Z',
    device: '',
    kind: 'hours',
    work: 'turning',
    minutes: 90,
  },
];
const rows = workbookOf(
  [told, bowl!].map((document, i) => ({
    id: `p${i}`,
    savedAt: '2026-11-30T10:00:00Z',
    document,
    journal: i === 1 ? worked : [],
  })),
  SHIPPED_WOODS,
  DEFAULT_SHOP,
);

test('a row has the figures of its plan, its woods and ways; a form that cannot be has none', () => {
  expect(rows.map(({ pieces }) => pieces)).toEqual([planned(told).pieces, planned(bowl!).pieces]);
  expect(rows[0]!.ways).toContain('Spaced segments');
  const [point, ...rest] = cup!.form.points;
  const broken = { ...cup!, form: { ...cup!.form, points: [{ ...point!, heightMm: mm(900) }, ...rest] } };
  expect(
    workbookOf([{ id: 'x', savedAt: '', document: broken, journal: [] }], SHIPPED_WOODS, DEFAULT_SHOP),
  ).toEqual([]);
});

test('found by a word of a wood, a way, a date; totals add up', () => {
  expect(foundIn(rows, { ...ALL_ROWS, text: ' spaced ' }).map(({ id }) => id)).toEqual(['p0']);
  expect(foundIn(rows, { ...ALL_ROWS, text: 'may 2026' }).map(({ id }) => id)).toEqual(['p0']);
  expect(foundIn(rows, { ...ALL_ROWS, text: '' })).toEqual(rows);
  expect(foundIn(rows, { ...ALL_ROWS, text: 'no such wood' })).toEqual([]);
  const by = (asked: Partial<typeof ALL_ROWS>) =>
    foundIn(rows, { ...ALL_ROWS, ...asked }).map(({ id }) => id);
  const { woods, ways, years } = choicesIn(rows);
  expect(years).toEqual(['2026']);
  for (const wood of woods)
    expect(by({ wood })).toEqual(
      rows.filter((row) => row.woods.some(({ name }) => name === wood)).map(({ id }) => id),
    );
  expect(ways.flatMap((way) => by({ way })).length).toBe(rows.reduce((sum, row) => sum + row.ways.length, 0));
  const size = rows.map(({ heightMm, diameterMm }) => Math.max(heightMm, diameterMm));
  expect(by({ leastMm: size[0]!, mostMm: size[0]! })).toEqual(size[0] === size[1] ? ['p0', 'p1'] : ['p0']);
  expect(by({ year: '1999' })).toEqual([]);
  const largest = Math.max(...size);
  expect(by({ leastMm: largest })).toEqual(rows.filter((_, i) => size[i] === largest).map(({ id }) => id));
  expect(by({ leastMm: largest + 1 })).toEqual([]);
  expect(by({ leastMm: 1 }).length).toBe(2);
  const totals = workbookTotals(rows);
  expect(totals.pieces).toBe(rows[0]!.pieces + rows[1]!.pieces);
  // Twelve were entered for the one; the journal has an hour and a half of the other.
  expect(totals.hours).toBe(13.5);
  expect(totals.woods.reduce((sum, { pieces }) => sum + pieces, 0)).toBe(totals.pieces);
});

test('as CSV it reads back; what looks like a formula is none', () => {
  const { data } = Papa.parse<Record<string, string>>(workbookCsv(rows, 'mm'), { header: true });
  expect(data.length).toBe(2);
  expect(Number(data[0]!['height mm'])).toBeCloseTo(rows[0]!.heightMm, 2);
  expect(data[0]!.number).toBe("'=7");
  expect(data[1]!.hours).toBe('1.5');
});
