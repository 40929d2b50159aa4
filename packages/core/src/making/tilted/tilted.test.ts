import { describe, expect, test } from 'vitest';
import { fromDegrees, mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { EXAMPLE_NEED, firstStrip, madeRing, refusalOf } from '../../testing/rings.js';
import type { TiltedParams } from './params.js';
import { jointRuns } from './stripe.js';

describe('tilted joints', () => {
  const tilted = (change: Partial<TiltedParams> = {}): TiltedParams => ({
    way: 'tilted',
    count: 12,
    tiltDeg: 20,
    hand: 'right',
    cut: 'two-fences',
    ...change,
  });

  test('the shear opens the hole: w = Ro − Ri·cos(θ + asin(δ/Ri)); 23.75 where a flat ring has 22.73', () => {
    expect(firstStrip(tilted()).widthMm).toBeCloseTo(23.75, 2);
    expect(firstStrip({ way: 'flat', count: 12 }).widthMm).toBeCloseTo(22.73, 2);
    const delta = 10 * Math.tan(fromDegrees(20));
    // A flat ring's width would leave a hole of hypot(ai, Li/2 + δ/cos θ).
    const ai = 80 * Math.cos(Math.PI / 12);
    const corner = Math.hypot(ai, ai * Math.tan(Math.PI / 12) + delta / Math.cos(Math.PI / 12));
    expect(corner).toBeCloseTo(81.06, 2);
    const { longEdgeMm } = firstStrip(tilted());
    expect(madeRing(tilted()).cornerMm).toBeCloseTo(
      Math.hypot(100, longEdgeMm / 2 + delta / Math.cos(Math.PI / 12)),
      9,
    );
  });

  test('edges stay those of the flat ring, and joints run the same way round in every piece', () => {
    expect(firstStrip(tilted()).longEdgeMm).toBeCloseTo(200 * Math.tan(Math.PI / 12), 9);
    for (const [hand, sign] of [
      ['right', 1],
      ['left', -1],
    ] as const) {
      const { bottom, top } = madeRing(tilted({ hand })).lay(0)[0]!;
      const run = (i: number) => bottom[i]!.x * top[i]!.y - bottom[i]!.y * top[i]!.x;
      for (const i of [0, 1, 2, 3]) expect(run(i) * sign).toBeGreaterThan(0);
    }
  });

  test('joints of two rings meet at one radius: 8°, 12.7 mm rings turn by 2.0° at 51 mm and 5.4° at 19 mm', () => {
    const turn = (radius: number) => (2 * jointRuns(tilted({ tiltDeg: 8 }), 12.7, radius)! * 180) / Math.PI;
    expect(turn(51)).toBeCloseTo(2, 1);
    expect(turn(19)).toBeCloseTo(5.4, 1);
    expect(jointRuns(tilted(), 20, 3)).toBeNull();
    expect(jointRuns(tilted({ cut: 'turned-over' }), 20, 50)).toBe(0);
  });

  test('a tilt that eats the segment, or a hole smaller than it leaves, is refused with its figures', () => {
    expect(plain(refusalOf(tilted({ count: 36, tiltDeg: 45 }))?.message ?? '')).toMatch(
      /20.08 mm.*only 17.5 mm/,
    );
    expect(refusalOf(tilted({ count: 24, tiltDeg: 46, cut: 'turned-over' }))?.code).toBe('tilt-eats-segment');
    expect(plain(refusalOf(tilted(), { ...EXAMPLE_NEED, innerRadiusMm: mm(2) })?.message ?? '')).toMatch(
      /smaller than 7.54 mm across/,
    );
  });
});
