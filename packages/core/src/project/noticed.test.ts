import { describe, expect, test } from 'vitest';
import { latheChecks } from '../check/lathe.js';
import { sawn } from '../demo/build.js';
import { demoProjects } from '../demo/index.js';
import { edit } from '../index.js';
import { accountsOf } from '../lumber/layout/account.js';
import { laidAtOnce } from '../lumber/layout/atOnce.js';
import { crosscuts, partsOf } from '../lumber/layout/crosscuts.js';
import { leavesOf, onHand } from '../lumber/layout/stock.js';
import { mm } from '../measure/quantity.js';
import { motifOf } from '../pattern/motifs/registry.js';
import type { MotifUse } from '../pattern/motifUse.js';
import { rollOf } from '../ring/owner.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { leastContact } from '../surface/contact.js';
import { after, change, planned } from '../testing/pieces.js';
import { madeRing } from '../testing/rings.js';
import { NO_HISTORY, recorded, redone, undone } from './history.js';
import { plan } from './plan.js';
import { prepare } from './prepare.js';

const [cup] = demoProjects() as [ReturnType<typeof demoProjects>[number]];

test('undone steps are redone in the order in which they were made', () => {
  const start = { project: cup, history: NO_HISTORY };
  const named = ['A', 'B', 'C'].reduce(
    (now, name) => recorded(now, change(now.project, edit.rename(name))),
    start as ReturnType<typeof recorded>,
  );
  let now = undone(undone(undone(named)));
  expect(now.project.name).toBe(cup.name);
  const names = ['A', 'B', 'C'].map(() => {
    now = redone(now);
    return now.project.name;
  });
  expect(names).toEqual(['A', 'B', 'C']);
  expect(now.history.past.map(({ label }) => label)).toEqual(named.history.past.map(({ label }) => label));
});

test('slices of one glue-up follow the one that was changed, whichever it is', () => {
  const thick = after(cup, edit.startFrom([8, 9], 'resawn'));
  const key = cup.palette.at(-1)!.key;
  for (const index of [8, 9]) {
    const painted = after(thick, edit.setWood([index], key));
    expect(new Set(painted.rings[8]!.woods)).toEqual(new Set([key]));
    expect(painted.rings[9]!.woods).toEqual(painted.rings[8]!.woods);
  }
});

describe('motifs', () => {
  const tonesOf = (kind: string, segments: number, row: number, values: MotifUse['values']) => {
    const motif = motifOf(kind)!;
    const middles = Array.from({ length: segments }, (_, i) => (i + 0.5) / segments);
    return motif.ring({ row, rows: 12, middles } as never, values, 3);
  };
  test('honeycomb wants six segments a repeat: only then is every cell two segments wide, all the way round', () => {
    const values = { repeats: 4, high: 2 };
    const runs = (segments: number) => {
      const tones = tonesOf('honeycomb', segments, 0, values);
      const starts = tones.flatMap((tone, i) => (tone !== tones.at(i - 1) ? [i] : []));
      return new Set(
        starts.map((from, i) => (starts[(i + 1) % starts.length]! - from + segments) % segments),
      );
    };
    const wanted = motifOf('honeycomb')!.divides!(values, 3);
    expect(wanted).toBe(24);
    expect(runs(wanted)).toEqual(new Set([2]));
    expect(runs(wanted / 2)).not.toEqual(new Set([2]));
  });
  test('every other tier of diamonds moves by half a diamond', () => {
    const at = (row: number, offset: number) =>
      tonesOf('diamonds', 48, row, { repeats: 6, high: 4, offset, size: 1 });
    for (const row of [0, 1, 2, 3]) {
      const below = at(row, 1);
      const above = at(row + 4, 1);
      expect(at(row + 4, 0)).toEqual(at(row, 0));
      // Eight segments a diamond: half of one is four.
      expect(above).toEqual(below.map((_, i) => below[(i + 4) % 48]));
      expect(below).toEqual(at(row, 0));
    }
  });
});

describe('wood', () => {
  test('a rip kerf is sawn off along every strip of a board, through its whole rough thickness', () => {
    const shop = { ...DEFAULT_SHOP, ripKerfMm: mm(4) };
    const made = plan(cup, shop);
    if (!made.ok) throw new Error('plan');
    const { lumber } = made.value;
    const layouts = laidAtOnce(lumber, [], shop, rollOf(made.value));
    // NHLA rough thicknesses in quarters of an inch: 4/4 is 1 in, 5/4 is 1.25 in.
    const rough = (quarter: string) => (Number(quarter.split('/')[0]) / 4) * 25.4;
    for (const { wood, ledger } of accountsOf(lumber, layouts, shop)) {
      const boards = layouts.find((layout) => layout.wood === wood)!.boards;
      const sawn = boards.reduce(
        (sum, { stock, strips }) =>
          sum + strips.reduce((all, { lengthMm }) => all + 4 * lengthMm, 0) * rough(stock.quarter!.name),
        0,
      );
      // The last rip of a full board may run out beyond its edge.
      expect(ledger.ripping).toBeLessThanOrEqual(sawn + 1e-6);
      expect(ledger.ripping).toBeGreaterThan(0.5 * sawn);
    }
  });
  const board = {
    id: 'b',
    wood: 'sugar-maple',
    lengthMm: mm(1000),
    widthMm: mm(150),
    surfaced: true,
    price: null,
    moisturePercent: null,
    note: '',
    defects: [],
  };
  // By hand: a leaf takes 10 + 1 to clean, and a kerf of 2 between two: 11 + 2 + 11 = 24.
  test.each([
    [12, 1],
    [23.9, 1],
    [24, 2],
    [36.9, 2],
    [37, 3],
  ])('a board planed to %s mm gives %s leaves of 10', (thick, leaves) => {
    const shop = { ...DEFAULT_SHOP, resaws: true, resawKerfMm: mm(2), resawCleanMm: mm(1) };
    const stock = { ...onHand({ ...board, thicknessMm: mm(thick) }, shop), thicknessMm: mm(thick) };
    expect(leavesOf({ thicknessMm: mm(10) } as never, stock, shop)).toBe(leaves);
  });
  // By hand: 1000 = 331.33 + 3 + 331.33 + 3 + 331.33; parts of 333 would need 1005.
  test('crosscutting a board loses a kerf between two parts', () => {
    const shop = { ...DEFAULT_SHOP, kerfMm: mm(3), lengthStepMm: mm(0) };
    const whole = [{ xMm: 10, yMm: 0, lengthMm: 1000, widthMm: 100 }];
    const three = (leastMm: number) =>
      crosscuts(whole, [], leastMm, shop)
        .map((way) => partsOf(whole, way, shop)!)
        .find((parts) => parts.length === 3);
    expect(three(331)!.map(({ xMm, lengthMm }) => [xMm, lengthMm])).toEqual(
      [10, 344.333, 678.667].map((x) => [expect.closeTo(x, 2), expect.closeTo(331.333, 2)]),
    );
    expect(three(333)).toBeUndefined();
  });
});

test('reach is asked for from the rim down to the floor, and not from the bench', () => {
  const prepared = prepare(cup);
  if (!prepared.ok) throw new Error('prepare');
  const { vessel } = prepared.value;
  const depth = vessel.heightMm - vessel.hollowFromMm;
  expect(vessel.hollowFromMm).toBeGreaterThan(2);
  const codes = (reachMm: number) =>
    latheChecks({
      vessel,
      rings: planned(cup).rings,
      shop: { ...DEFAULT_SHOP, reachMm: mm(reachMm) },
    } as never).map(({ code }) => code);
  expect(codes(depth + 0.5)).not.toContain('reach');
  expect(codes(depth - 0.5)).toContain('reach');
});

test('only what lies on a ring below is glued to it: layers farther up in the same segment add nothing', () => {
  const need = { outerRadiusMm: mm(100), innerRadiusMm: mm(80), heightMm: mm(30) };
  const flat = madeRing({ way: 'segmented', count: 12 }, need);
  const striped = madeRing(
    sawn('laminated', 12, { figure: 'stripes', layersMm: [10, 10, 10].map(mm), angleDeg: 0 }),
    need,
  );
  const left = { outerRadiusMm: 98, innerRadiusMm: 82 };
  const turn = Math.PI / 12;
  const plain = leastContact({ made: flat, turn: 0 }, { made: flat, turn }, left);
  expect(leastContact({ made: flat, turn: 0 }, { made: striped, turn }, left)).toBeCloseTo(plain, 3);
});
