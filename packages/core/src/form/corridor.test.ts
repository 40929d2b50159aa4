import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { plain } from '../measure/said.js';
import { between } from '../testing/numbers.js';
import { worded } from '../testing/rings.js';
import { fitCorridor, type Gate } from './corridor.js';
import { type CurvePoint, curveThrough, extremes, pieceAt, pieceSlope, radiusAt, topOf } from './curve.js';

const stacked = (rings: readonly (readonly [height: number, least: number, most: number])[]): Gate[] => {
  let z = 0;
  return rings.map(([height, least, most]) => {
    z += height;
    return { z0: z - height, z1: z, least, most };
  });
};
const fitted = (gates: readonly Gate[], fit: 'tightest' | 'smoothest'): CurvePoint[] => {
  const points = fitCorridor(gates, fit);
  if (!points.ok) throw new Error(plain(points.reasons[0]!.message));
  return points.value;
};
/** ∫ (slope' )² by differences: how much a curve bends. */
const bending = (points: readonly CurvePoint[]): number => {
  const curve = curveThrough(points);
  const n = 2000;
  const step = topOf(curve) / n;
  const slope = (i: number) => pieceSlope(pieceAt(curve, i * step), i * step);
  return Array.from({ length: n }, (_, i) => (slope(i + 1) - slope(i)) ** 2 / step).reduce(
    (a, b) => a + b,
    0,
  );
};
const anyGates = fc
  .array(
    fc.record({
      height: between(5, 30),
      step: between(-6, 6),
      width: between(13, 25),
    }),
    { minLength: 1, maxLength: 20 },
  )
  .map((rings) => {
    let outer = 120;
    return stacked(
      rings.map(({ height, step, width }) => {
        outer = Math.max(40, outer + step);
        return [height, outer - width, outer] as const;
      }),
    );
  });

describe('a curve in the rings', () => {
  test('keeps inside every ring over its whole height, the tightest and the smoothest alike', () => {
    fc.assert(
      fc.property(anyGates, fc.constantFrom('tightest' as const, 'smoothest' as const), (gates, fit) => {
        const curve = curveThrough(fitted(gates, fit));
        for (const { z0, z1, least, most } of gates) {
          const met = extremes(curve, z0, z1);
          expect(met.most).toBeLessThanOrEqual(most + 1e-6);
          expect(met.least).toBeGreaterThanOrEqual(least - 1e-6);
        }
      }),
      { numRuns: 60 },
    );
  });
  test('the smoothest bends less; the tightest leaves less wood outside', () => {
    const gates = stacked([
      [20, 40, 60],
      [20, 55, 75],
      [20, 66, 86],
      [20, 70, 90],
      [20, 62, 82],
      [20, 50, 70],
    ]);
    const [tight, smooth] = [fitted(gates, 'tightest'), fitted(gates, 'smoothest')];
    expect(bending(smooth)).toBeLessThan(bending(tight) / 2);
    const mean = (points: readonly CurvePoint[]) => {
      const curve = curveThrough(points);
      return Array.from({ length: 240 }, (_, i) => radiusAt(curve, i / 2)).reduce((a, b) => a + b, 0) / 240;
    };
    expect(mean(tight)).toBeGreaterThan(mean(smooth));
  });
  test('rings in which a straight cone fits give a straight cone: no bending is the least there is', () => {
    const cone = Array.from({ length: 8 }, (_, i) => [10, 40 + 5 * i - 9, 40 + 5 * i + 14] as const);
    expect(bending(fitted(stacked(cone), 'smoothest'))).toBeLessThan(1e-3);
  });
  test('rings that share too little for the wall are refused, with the height', () => {
    const apart = fitCorridor(
      stacked([
        [20, 40, 60],
        [20, 65, 90],
      ]),
      'smoothest',
    );
    expect(worded(apart)).toMatchObject({
      ok: false,
      reasons: [{ message: expect.stringMatching(/At height 20 mm/) }],
    });
  });
});
