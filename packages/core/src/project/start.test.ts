import { expect, test } from 'vitest';
import { edit, type Project, recorded, redone, run, undone } from '../index.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { NO_HISTORY } from './history.js';
import { plan } from './plan.js';
import { type Beginning, startProject } from './start.js';

const box: Beginning = {
  name: 'Box',
  shape: 'cylinder',
  heightMm: mm(95.25),
  diameterMm: mm(192),
  wallMm: mm(8),
  ringHeightMm: mm(19.05),
  count: 12,
  woods: ['sugar-maple', 'black-walnut'],
};

const wallIn = ({ form: { inside } }: Project) => mm(inside.by === 'wall' ? inside.walls[0]!.wallMm : 0);
const begun = (change: Partial<Beginning> = {}): Project => {
  const started = startProject({ ...box, ...change });
  if (!started.ok) throw new Error(plain(started.reasons[0]!.message));
  return started.value;
};

test('a straight box by hand: four rings share their strips, every figure worked out on paper', () => {
  const exact = { ...DEFAULT_SHOP, ripStepMm: mm(0), shareWidthMm: mm(0) };
  const planned = plan(begun(), exact);
  if (!planned.ok) throw new Error('plan');
  const { rings, lumber, pieces } = planned.value;
  // Outside 96 + 4 = 100; inside 96 − 8 − 4 = 84; tan 15° = 0.267949, sin 15° = 0.258819, cos 15° = 0.965926
  expect(rings[2]!.need).toMatchObject({ outerRadiusMm: 100, innerRadiusMm: expect.closeTo(84, 9) });
  const stock = rings[2]!.pieces[0]!.kind.stock;
  if (stock.from !== 'strip') throw new Error('strip');
  expect(stock.longEdgeMm).toBeCloseTo(53.5898, 4);
  expect(stock.shortEdgeMm).toBeCloseTo(43.4816, 4);
  expect(stock.widthMm).toBeCloseTo(18.8622, 4);
  expect(rings[2]!.cornerMm).toBeCloseTo(103.5276, 4);
  expect(rings[2]!.overlapMm).toBeCloseTo(16, 9);
  expect(pieces).toBe(1 + 4 * 12);
  // Twelve for each ring, one to try the setting, and 5 % of 12, rounded up, to spare for each.
  const counts = (purpose: string) =>
    lumber.strips[0]!.cuts.filter((cut) => cut.purpose === purpose).map(({ count }) => count);
  expect(lumber.strips).toHaveLength(1);
  expect([counts('piece'), counts('test'), counts('spare')]).toEqual([[12, 12, 12, 12], [1], [1, 1, 1, 1]]);
  expect(lumber.strips[0]).toMatchObject({ thicknessMm: expect.closeTo(20.55, 9), quarter: '4/4' });
  // Up to the next 1/32 in: 18.8622 is 24/32, 20.55 is 26/32, just what 4/4 gives.
  const stepped = plan(begun(), DEFAULT_SHOP);
  if (!stepped.ok) throw new Error('plan');
  expect(stepped.value.lumber.strips).toMatchObject([
    { widthMm: expect.closeTo((24 / 32) * 25.4, 6), thicknessMm: expect.closeTo((26 / 32) * 25.4, 6) },
  ]);
});

test.each<[string, Partial<Beginning>, RegExp]>([
  ['two segments', { count: 2 }, /Segment count is 2/],
  ['no number of segments', { count: Number.NaN }, /Segment count is NaN/],
  ['half a segment', { count: 12.5 }, /Segment count is 12.5; it has to be a whole number/],
  ['very many segments', { count: 1e9 }, /Segment count is 1000000000/],
  ['a wall as thick as the box', { wallMm: mm(96) }, /fills the form/],
  ['a thousand rings', { ringHeightMm: mm(0.05) }, /Ring height is 0.05|too many rings/],
  ['a very tall box', { heightMm: mm(9000) }, /Height is 9000/],
  ['no name', { name: '  ' }, /Name is empty/],
  ['an unknown shape', { shape: 'teapot' }, /no starting shape “teapot”/],
])('%s: refused with a sentence', (_, change, sentence) => {
  const started = startProject({ ...box, ...change });
  expect(started.ok ? '' : started.reasons.map(({ message }) => plain(message)).join(' ')).toMatch(sentence);
});

test('history: steps back and forth, a new edit drops what was undone, only so many steps are kept', () => {
  const start = { project: begun(), history: NO_HISTORY };
  const after = (from: typeof start, wall: number) => {
    const change = run(from.project, edit.setWall(mm(wall)));
    if (!change.ok) throw new Error('edit');
    return recorded(from, change.value) as typeof start;
  };
  const twice = after(after(start, 9), 10);
  expect(undone(undone(twice)).project).toEqual(start.project);
  expect(redone(undone(twice)).project).toEqual(twice.project);
  expect(undone(start)).toBe(start);
  expect(redone(start)).toBe(start);
  const other = after(undone(twice) as typeof start, 7);
  expect(other.history.future).toEqual([]);
  expect(other.history.past.map(({ label }) => label)).toEqual(['Wall thickness', 'Wall thickness']);
  let many = start;
  for (let i = 0; i < 250; i++) many = after(many, 5 + (i % 2));
  expect(many.history.past).toHaveLength(200);
  const same = run(start.project, edit.setWall(wallIn(start.project)));
  expect(same.ok && recorded(start, same.value).history.past).toEqual([]);
});

test('history of a large piece stays small enough to be saved with it, and its last step can always be undone', () => {
  const large = begun({ heightMm: mm(1900), ringHeightMm: mm(10), count: 240, diameterMm: mm(900) });
  let edited: { project: Project; history: typeof NO_HISTORY } = { project: large, history: NO_HISTORY };
  for (let i = 0; i < 12; i++) {
    const every = edited.project.rings.map((_, index) => index);
    const change = run(edited.project, edit.setWood(every, i % 2 ? 'sugar-maple' : 'black-walnut'));
    if (!change.ok) throw new Error('edit');
    edited = recorded(edited, change.value) as typeof edited;
  }
  const size = JSON.stringify(edited.history).length;
  expect(edited.history.past.length).toBeGreaterThan(0);
  expect(edited.history.past.length === 1 || size < 4.1e6).toBe(true);
  expect(new Set(undone(edited).project.rings[5]!.woods)).toEqual(new Set(['black-walnut']));
});
