import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { layOut, volumeOf } from '../making/layOut.js';
import { INCH } from '../measure/format.js';
import { fromDegrees, mm, rad } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { plan } from '../project/plan.js';
import { prepare } from '../project/prepare.js';
import { ringOwner, rollOf } from '../ring/owner.js';
import { DEFAULT_SHOP, type Shop } from '../settings/shop.js';
import { NOBODY } from '../testing/pieces.js';
import { anyProject, formOf } from '../testing/random.js';
import { kerfAlong, lengthFor, meanLength, wedgeAlong } from './cutting.js';
import type { WoodLedger } from './ledger.js';
import { quarterFor } from './quarters.js';
import { cutIntoStrips, type StripWant, withSpares } from './strips.js';

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
        fc.double({ min: 5, max: 40, noNaN: true }),
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

const want = (count: number, longEdge = 40): StripWant => ({
  wood: 'sugar-maple',
  widthMm: mm(20),
  thicknessMm: mm(19),
  cutAngle: fromDegrees(15),
  bladeTilt: rad(0),
  cutting: 'turned-over',
  cuts: [
    {
      owner: ringOwner('a'),
      purpose: 'piece',
      longEdgeMm: mm(longEdge),
      count,
      keptMm: mm(17),
      resawMm: mm(0),
    },
  ],
});

describe('strips', () => {
  test('whole segments only, every one cut once, none longer than the shop’s strips, the tail never cut', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 300 }),
        fc.double({ min: 12, max: 200, noNaN: true }),
        (count, longEdge) => {
          const list = cutIntoStrips(want(count, longEdge), shop, NOBODY);
          if (!list.ok) throw new Error('strips');
          const setting = { ...want(1), kerfMm: shop.kerfMm };
          let cut = 0;
          for (const strip of list.value.strips) {
            const pieces = strip.cuts.reduce((n, { count: some }) => n + some, 0);
            const used = lengthFor(setting, pieces, pieces * meanLength(setting, longEdge));
            expect(pieces).toBeGreaterThan(0);
            expect(strip.lengthMm).toBeLessThanOrEqual(shop.stripLengthMm + 1e-9);
            expect(strip.lengthMm - used - shop.endTrimMm).toBeGreaterThanOrEqual(shop.holdBackMm - 1e-4);
            cut += pieces;
          }
          expect(cut).toBe(count);
        },
      ),
    );
  });

  test('a segment longer than a strip is refused with both lengths', () => {
    const refused = cutIntoStrips(want(4, 900), shop, rollOf({ rings: [{ id: 'a' }] }));
    expect(refused).toMatchObject({
      ok: false,
      reasons: [{ code: 'segment-longer-than-strip', path: 'rings.0' }],
    });
  });

  test('spares: one test piece a setting and 5 %, rounded up', () => {
    const spares = withSpares([...want(24).cuts, ...want(12, 30).cuts], DEFAULT_SHOP).filter(
      ({ owner }) => owner === null,
    );
    expect(spares.map(({ count }) => count)).toEqual([3, 2]);
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

test('a board foot by hand: one disc 9.875 in square from 4/4, kerf 1/8, no allowance, is 100/144', () => {
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
  const planned = plan(disc, { ...shop, wastePercent: 0, ripKerfMm: mm(INCH / 8) });
  if (!planned.ok) throw new Error(plain(planned.reasons[0]!.message));
  expect(planned.value.lumber.woods[0]!.boardFeet).toBeCloseTo(100 / 144, 9);
  expect(planned.value.lumber.woods[0]!.ledger.shavings).toBeCloseTo(0, 6);
});

test('the ledger adds up for any project: finished → segments → strips → bought, nothing lost, nothing below zero', () => {
  fc.assert(
    fc.property(anyProject, (project) => {
      const prepared = prepare(project);
      const planned = plan(project, DEFAULT_SHOP, undefined, prepared);
      if (!planned.ok || !prepared.ok) throw new Error('plan');
      if (planned.value.lumber.reasons.length > 0) return;
      const sum: (of: keyof WoodLedger) => number = (of) =>
        planned.value.lumber.woods.reduce((n, { ledger }) => n + ledger[of], 0);
      for (const { ledger: w } of planned.value.lumber.woods) {
        for (const [name, volume] of Object.entries(w)) expect(volume, name).toBeGreaterThanOrEqual(-1e-3);
        expect(w.finished + w.shavings).toBeCloseTo(w.segments, 3);
        const pieces = w.faceSanding + w.spares + w.otherHand + w.resawing + w.corners;
        const wasted = pieces + w.kerf + w.wedges + w.endTrim + w.tails;
        expect((w.segments - w.stash + wasted) / w.strips).toBeCloseTo(1, 9);
        expect((w.strips + w.planing + w.allowance) / w.bought).toBeCloseTo(1, 9);
      }
      const pieces = prepared.value.rings.flatMap(({ made }) =>
        made.ok ? layOut(made.value).map((piece) => volumeOf(piece)) : [],
      );
      if (pieces.length === 0) return;
      // Drilled pieces are counted as they are sawn, whole: a little more than what lies in the ring.
      const share = sum('segments') / pieces.reduce((a, b) => a + b, 0);
      const bored = project.rings.some(({ making }) => 'plug' in making);
      expect(share).toBeGreaterThan(0.998);
      if (!bored) expect(share).toBeCloseTo(1, 2);
    }),
    { numRuns: 40 },
  );
});
