import { describe, expect, test } from 'vitest';
import { demoJournal, demoProjects } from '../demo/index.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { newFoot } from '../project/commands/latheCommands.js';
import { keepAsMade } from '../project/commands/madeCommands.js';
import { setMeasured } from '../project/commands/ringCommands.js';
import { sawOff } from '../project/commands/sawOffCommand.js';
import { workOf } from '../project/ordered.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import type { Tick } from '../shop/order/ticks.js';
import { after } from '../testing/pieces.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { happenedBetween } from './happened.js';
import { hoursIn, hoursTold, spanSaid } from './hours.js';
import { journalOf, journalText } from './journal.js';
import { handEntrySchema, type JournalEntry, journalEntrySchema, type Written } from './journalEntry.js';
import { workKindOf } from './workKind.js';

const cup = demoProjects().find(({ name }) => name === 'Fell Race Cup')!;
const work = workOf(cup, DEFAULT_SHOP, SHIPPED_WOODS);
const order = work.ok ? work.value : { jobs: [] };

let count = 0;
const id = () => `00000000-0000-4000-8000-${String(++count).padStart(12, '0')}`;
const tick = (job: string, amount: number, at: string): Tick => ({
  id: id(),
  job,
  amount,
  at,
  device: 'tablet',
});
const entry = (at: string, written: Written): JournalEntry => ({
  id: id(),
  at,
  device: 'computer',
  ...written,
});
const dayOf = (at: string) => at.slice(0, 10);
const nameOf = (wood: string) => wood.toUpperCase();
const days = (ticks: readonly Tick[], entries: readonly JournalEntry[] = []) =>
  journalOf(order, ticks, entries, dayOf, nameOf).map(({ day, lines }) => [
    day,
    ...lines.map(({ says }) => plain(says)),
  ]);

describe('the journal', () => {
  test('counts of one job on one day are one line, from the first to the last; what was taken back is not there', () => {
    const ticks = [
      tick('ring-r9/saw', 10, '2026-11-02T09:00:00Z'),
      tick('ring-r9/saw', 14, '2026-11-02T09:20:00Z'),
      tick('ring-r9/glue', 1, '2026-11-03T08:00:00Z'),
      tick('ring-r10/saw', 2, '2026-11-03T08:30:00Z'),
      tick('ring-r10/saw', -2, '2026-11-03T08:31:00Z'),
      tick('nowhere', 1, '2026-11-03T09:00:00Z'),
    ];
    expect(days(ticks)).toEqual([
      ['2026-11-03', 'Ring 9: glue up', 'Work that is no longer in the plan: 1 done'],
      ['2026-11-02', 'Ring 9: cut segments: 24 done'],
    ]);
    const [, first] = journalOf(order, ticks, [], dayOf, nameOf);
    expect(first!.lines[0]).toMatchObject({ at: '2026-11-02T09:00:00Z', until: '2026-11-02T09:20:00Z' });
  });
  test('a batch that is marked as done in one moment is one line', () => {
    const ticks = order.jobs.slice(0, 5).map((job) => tick(job.id, job.times, '2026-11-02T09:00:00Z'));
    expect(days(ticks)).toEqual([['2026-11-02', '5 jobs were marked as done.']]);
  });
  test('what is written stands between, in the order of its time, with its lengths in the reader’s units', () => {
    const entries = [
      entry('2026-11-02T09:30:00Z', {
        kind: 'trouble',
        text: 'A corner broke out.',
        mended: 'Glued and bound.',
      }),
      entry('2026-11-02T08:00:00Z', {
        kind: 'boards',
        boards: [{ wood: 'maple', lengthMm: 254, widthMm: 127, thicknessMm: 25.4, note: 'rack 2' }],
      }),
      entry('2026-11-02T10:00:00Z', { kind: 'hours', work: 'segments', minutes: 125 }),
    ];
    const ticks = [tick('ring-r9/saw', 24, '2026-11-02T09:00:00Z')];
    const told = journalOf(order, ticks, entries, dayOf, nameOf);
    expect(journalText('Cup', told, (at) => at.slice(11, 16), 'inch-fraction').split('\n')).toEqual([
      'Cup',
      '',
      '2026-11-02',
      '08:00  Sawn from MAPLE 10" × 5" × 1" (rack 2).',
      '09:00  Ring 9: cut segments: 24 done',
      '09:30  Went wrong: A corner broke out. Mended: Glued and bound.',
      '10:00  Cutting segments: 2 h 05 min',
    ]);
  });
});

describe('what happens at work', () => {
  const cut = after(cup, keepAsMade({ cut: [2, 3], stacked: [0, 1] }));
  const kinds = (before: typeof cup, now: typeof cup) => happenedBetween(before, now).map(({ kind }) => kind);
  test('a measurement is told with what was planned, and told when it goes', () => {
    const measured = after(cut, setMeasured([2], { heightMm: mm(18) }));
    expect(happenedBetween(cut, measured)).toEqual([
      { kind: 'measured', ring: 2, what: 'heightMm', mm: 18, plannedMm: cup.rings[2]!.heightMm },
    ]);
    expect(happenedBetween(measured, cut)).toMatchObject([{ kind: 'measured', mm: null }]);
  });
  test('sawn off and a new foot: told once each, and nothing of what was only planned', () => {
    const sawn = after(cut, sawOff(mm(10), 'below'));
    expect(kinds(cut, sawn)).toEqual(['sawn-off']);
    expect(kinds(sawn, cut)).toEqual(['put-back']);
    const foot = after(sawn, newFoot(mm(12), mm(40), cup.palette[0]!.key, null));
    expect(happenedBetween(sawn, foot)).toMatchObject([{ kind: 'glued-on', end: 'foot', heightMm: 12 }]);
    expect(kinds(cup, cut)).toEqual([]);
    expect(kinds(cup, after(cup, newFoot(mm(12), mm(40), cup.palette[0]!.key, null)))).toEqual([]);
  });
  test('everything that happens can be kept as an entry', () => {
    const sawn = after(cut, sawOff(mm(10), 'below'));
    for (const happened of happenedBetween(cut, sawn))
      expect(
        journalEntrySchema.safeParse({ id: id(), at: '2026-11-02T09:00:00Z', device: '', ...happened })
          .success,
      ).toBe(true);
  });
});

test('hours by kind of work, and what stands on a passport', () => {
  const at = '2026-11-02T09:00:00Z';
  const entries = [
    entry(at, { kind: 'hours', work: 'gluing', minutes: 50 }),
    entry(at, { kind: 'hours', work: 'segments', minutes: 40 }),
    entry(at, { kind: 'hours', work: 'gluing', minutes: 10 }),
    entry(at, { kind: 'note', text: 'Nothing.' }),
  ];
  expect(hoursIn(entries)).toEqual({
    minutes: 100,
    byWork: [
      { work: 'segments', minutes: 40 },
      { work: 'gluing', minutes: 60 },
    ],
  });
  expect(hoursTold(hoursIn(entries))).toBe(1.75);
  expect(hoursTold(hoursIn([]))).toBeNull();
  expect([spanSaid(0.2), spanSaid(59.6), spanSaid(61)]).toEqual(['1 min', '1 h 00 min', '1 h 01 min']);
});

test('every job has its kind of work', () => {
  const of = (job: string) => workKindOf(order.jobs.find(({ id }) => id === job)!);
  expect(['ring-r1/plane', 'ring-r9/saw', 'ring-r9/glue', 'ring-r9/flatten'].map(of)).toEqual([
    'boards',
    'segments',
    'gluing',
    'flattening',
  ]);
  expect(['outside', 'sand-outside', 'inside/r15', 'coat-1', 'polish'].map(of)).toEqual([
    'turning',
    'sanding',
    'sanding',
    'finishing',
    'finishing',
  ]);
});

test.each([
  [{ kind: 'hours', work: 'gluing', minutes: -5 }, /Less than a minute/],
  [{ kind: 'hours', work: 'gluing', minutes: 1500 }, /at most 24 hours/],
  [{ kind: 'hours', work: 'juggling', minutes: 5 }, /Work is one of/],
  [{ kind: 'note', text: '  ' }, /nothing is written/],
  [{ kind: 'measured', ring: 0, what: 'heightMm', mm: 3, plannedMm: 3 }, /An entry is a note/],
])('%o is refused with a sentence', (written, sentence) => {
  const read = handEntrySchema.safeParse({ id: id(), at: '2026-11-02T09:00:00Z', device: 'x', ...written });
  expect(read.success).toBe(false);
  expect(read.error!.issues.map(({ message }) => message).join(' ')).toMatch(sentence);
});

test('the demo’s journal is one of a demo piece, and every entry could have been written', () => {
  const { piece, entries } = demoJournal();
  expect(demoProjects().map(({ name }) => name)).toContain(piece);
  for (const each of entries) expect(journalEntrySchema.safeParse(each).success).toBe(true);
});
