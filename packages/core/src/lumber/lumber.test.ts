import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { layOut, volumeOf } from '../making/layOut.js';
import { INCH } from '../measure/format.js';
import { fromDegrees, mm, rad } from '../measure/quantity.js';
import { plan } from '../project/plan.js';
import { prepare } from '../project/prepare.js';
import { rippingOf } from '../project/ripping.js';
import { DEFAULT_SHOP, type Shop } from '../settings/shop.js';
import { between } from '../testing/numbers.js';
import { accounts } from '../testing/pieces.js';
import { anyProject, formOf } from '../testing/random.js';
import { accountRows, woodShares } from './accountRows.js';
import { kerfAlong, lengthFor, meanLength, wedgeAlong } from './cutting.js';
import { quarterFor } from './quarters.js';

const shop: Shop = { ...DEFAULT_SHOP, testPieces: 0, sparePercent: 0 };

const flat = { thicknessMm: 19, bladeTilt: rad(0), cutting: 'turned-over' as const };

describe('one strip', () => {
  test('12 segments of a 100/80 ring by hand: long edge 53.59, width 22.73, kerf 3.175', () => {
    const setting = { ...flat, widthMm: 22.7259, cutAngle: fromDegrees(15), kerfMm: 3.175 };
    // mean (53.590 + 41.411)/2 = 47.5005; κ 3.287; wedge 6.089: 12 × 47.5005 + 13 × 3.287 + 6.089 = 618.83
    expect(meanLength(setting, 53.5898)).toBeCloseTo(47.5005, 3);
    expect(lengthFor(setting, 12, 12 * 47.5005)).toBeCloseTo(618.83, 1);
    expect(lengthFor(setting, 0, 0)).toBe(0);
  });

  test('drawn one after another and turned over, the pieces just fit the length that is given', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 48 }),
        fc.integer({ min: 1, max: 20 }),
        between(5, 40),
        (segments, count, widthMm) => {
          const setting = { ...flat, widthMm, cutAngle: Math.PI / segments, kerfMm: 3 };
          const longEdge = 2 * wedgeAlong(setting) + 7;
          // walk along both edges of the strip; every cut is a parallelogram κ wide, leaning the other way each time
          let [lower, upper] = [0, wedgeAlong(setting)];
          for (let i = 0; i < count; i++) {
            [lower, upper] = [lower + kerfAlong(setting), upper + kerfAlong(setting)];
            const [long, short] = [longEdge, longEdge - 2 * wedgeAlong(setting)];
            [lower, upper] = i % 2 === 0 ? [lower + long, upper + short] : [lower + short, upper + long];
          }
          const end = Math.max(lower, upper) + kerfAlong(setting);
          expect(lengthFor(setting, count, count * meanLength(setting, longEdge))).toBeCloseTo(end, 8);
        },
      ),
    );
  });
});

describe('spares', () => {
  const strips = (change: Partial<Shop>) => {
    const project = demoProjects()[0]!;
    const made = plan(project, { ...DEFAULT_SHOP, ...change });
    if (!made.ok) throw new Error('plan');
    const cuts = made.value.lumber.strips.flatMap((list) =>
      list.cuts.map((cut) => ({ ...cut, wood: list.wood, angle: list.cutAngle })),
    );
    return {
      rings: made.value.rings,
      cuts,
      count: (purpose: string) =>
        cuts.reduce((sum, cut) => sum + (cut.purpose === purpose ? cut.count : 0), 0),
    };
  };
  test('per cent of every ring and wood, rounded up; one test piece a setting, of its commonest wood', () => {
    const { rings, cuts, count } = strips({ sparePercent: 5, testPieces: 2 });
    // By hand from the pieces of the rings: every wood of a ring once, however many lengths it is cut in.
    const woods = rings.flatMap(({ pieces }) => {
      const sawn = pieces.filter(({ kind }) => kind.stock.from === 'strip');
      return [...new Set(sawn.map(({ wood }) => wood))].map((wood) =>
        sawn.filter((of) => of.wood === wood).reduce((sum, of) => sum + of.count, 0),
      );
    });
    expect(count('spare')).toBe(woods.reduce((sum, pieces) => sum + Math.ceil(pieces / 20), 0));
    const angles = new Set(cuts.filter(({ angle }) => angle > 0).map(({ angle }) => angle.toFixed(6)));
    expect(count('test')).toBe(2 * angles.size);
    for (const test of cuts.filter(({ purpose }) => purpose === 'test')) {
      const of = (wood: string) =>
        cuts.reduce((sum, cut) => sum + (cut.wood === wood && cut.purpose === 'piece' ? cut.count : 0), 0);
      expect(of(test.wood)).toBe(Math.max(...cuts.map(({ wood }) => of(wood))));
    }
  });
  test('none where the shop wants none', () => {
    const { count } = strips({ sparePercent: 0, testPieces: 0 });
    expect([count('spare'), count('test'), count('piece') > 0]).toEqual([0, 0, true]);
  });
});

// Hardwood trade grading rules, written down from memory.
test.each([
  [13 / 16, '4/4'],
  [0.9, '5/4'],
  [1 + 1 / 16, '5/4'],
  [1.3, '6/4'],
  [1.75, '8/4'],
  [0.2, '4/4'],
])('wood planed to %f in comes out of %s', (planed, name) =>
  expect(quarterFor(planed * INCH)?.name).toBe(name),
);

test('a disc 9.875 in across by hand, on a board of 10 by 12 in: what goes where, to the last shaving', () => {
  const project = fc.sample(anyProject, { numRuns: 1, seed: 3 })[0]!;
  const radius = (9.875 / 2) * INCH;
  const disc = {
    ...project,
    form: formOf(
      [0, 12].map((z) => ({ radiusMm: mm(radius), heightMm: mm(z), kind: 'smooth' as const })),
      5,
      12,
    ),
    rings: [{ id: 'a', heightMm: mm(12), making: { way: 'disc' as const }, turn: 0, woods: ['light'] }],
    allowances: { outsideMm: mm(0), insideMm: mm(0) },
  };
  const yard = [{ widthMm: mm(10 * INCH), lengthMm: mm(12 * INCH) }];
  const none = { endTrimMm: mm(0), edgeJointMm: mm(0), ripStepMm: mm(0) };
  const [account] = accounts(disc, { ...shop, ...none, yard, ripKerfMm: mm(INCH / 8) });
  const { ledger, boughtFeet } = account!;
  // NIST SP 811: a board foot is 144 cubic inches; 10 × 12 × 1 in are 120 of them.
  expect(boughtFeet).toBeCloseTo(120 / 144, 9);
  const inches = (volume: number) => volume / INCH ** 3;
  const thick = 13.5 / INCH;
  expect(inches(ledger.strips)).toBeCloseTo(9.875 * 12 * thick, 6);
  // A square of 9.875 in is crosscut with a kerf on either side; behind it a strip is left over, too short to keep.
  expect(inches(ledger.kerf)).toBeCloseTo((2 * 9.875 * thick * shop.kerfMm) / INCH, 6);
  expect(inches(ledger.corners)).toBeCloseTo(((1 - Math.PI / 4) * 9.875 ** 2 * 12) / INCH, 6);
  expect(inches(ledger.ripping)).toBeCloseTo((1 / 8) * 12, 6);
  expect(inches(ledger.planing)).toBeCloseTo(9.875 * 12 * (1 - thick), 6);
  expect(ledger.shavings).toBeCloseTo(0, 6);
});

test('the ledger adds up for any project: finished → segments → strips → boards, nothing lost, nothing below zero', () => {
  fc.assert(
    fc.property(anyProject, (project) => {
      const prepared = prepare(project, rippingOf(DEFAULT_SHOP));
      const planned = plan(project, DEFAULT_SHOP, undefined, prepared);
      if (!planned.ok || !prepared.ok) throw new Error('plan');
      const all = accounts(project);
      for (const { ledger: w } of all) {
        for (const [name, volume] of Object.entries(w)) expect(volume, name).toBeGreaterThanOrEqual(-1e-3);
        const rows = accountRows(w);
        let sum = 0;
        for (const { name, is, mm3 } of rows) {
          if (is === 'total') expect(mm3, name).toBeCloseTo(sum + (name === rows[0]!.name ? mm3 : 0), 1);
          sum = is === 'total' ? mm3 : sum + mm3;
        }
        const shares = woodShares(w).reduce((total, { mm3 }) => total + mm3, 0);
        expect(shares).toBeCloseTo(w.boards, 1);
      }
      if (planned.value.lumber.reasons.length > 0) return;
      const pieces = prepared.value.rings.flatMap(({ made }) =>
        made.ok ? layOut(made.value).map((piece) => volumeOf(piece)) : [],
      );
      if (pieces.length === 0) return;
      // Drilled pieces are counted as they are sawn, whole: a little more than what lies in the ring.
      const segments = all.reduce((n, { ledger }) => n + ledger.segments, 0);
      const share = segments / pieces.reduce((a, b) => a + b, 0);
      const bored = project.rings.some(
        ({ making }) =>
          'plug' in making ||
          ('sawnFrom' in making && ['plugs', 'letters'].includes(making.sawnFrom?.is ?? '')),
      );
      expect(share).toBeGreaterThan(0.998);
      if (!bored) expect(share).toBeCloseTo(1, 2);
    }),
    { numRuns: 40, endOnFailure: true },
  );
});
