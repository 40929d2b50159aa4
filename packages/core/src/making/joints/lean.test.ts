import { describe, expect, test } from 'vitest';
import { fromDegrees, mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { EXAMPLE_NEED, firstStrip, madeRing, refusalOf } from '../../testing/rings.js';
import { makeRing, makingSchema, usuallySanded } from '../registry.js';
import type { SegmentedParams } from '../segmented/params.js';
import { segmented } from '../segmented/segmented.js';
import type { StripStock } from '../stock.js';
import type { Gap } from './gaps.js';
import type { Leaning } from './lean.js';
import type { Spacers } from './spacers.js';
import { jointRun } from './stripe.js';

describe('tilted joints', () => {
  const given = (change: Partial<Leaning> = {}, count = 12): SegmentedParams => ({
    way: 'segmented',
    count,
    lean: { tiltDeg: 20, hand: 'right', cut: 'two-fences', ...change },
  });
  const lean = (change: Partial<Leaning> = {}) => given(change).lean!;

  test('the shear opens the hole: w = Ro − Ri·cos(θ + asin(δ/Ri)); 23.75 where a flat ring has 22.73', () => {
    expect(firstStrip(given()).widthMm).toBeCloseTo(23.75, 2);
    expect(firstStrip({ way: 'segmented', count: 12 }).widthMm).toBeCloseTo(22.73, 2);
    const delta = 10 * Math.tan(fromDegrees(20));
    // A flat ring's width would leave a hole of hypot(ai, Li/2 + δ/cos θ).
    const ai = 80 * Math.cos(Math.PI / 12);
    const corner = Math.hypot(ai, ai * Math.tan(Math.PI / 12) + delta / Math.cos(Math.PI / 12));
    expect(corner).toBeCloseTo(81.06, 2);
    const { longEdgeMm } = firstStrip(given());
    expect(madeRing(given()).cornerMm).toBeCloseTo(
      Math.hypot(100, longEdgeMm / 2 + delta / Math.cos(Math.PI / 12)),
      9,
    );
  });

  test('edges stay those of the flat ring, and joints run the same way round in every piece', () => {
    expect(firstStrip(given()).longEdgeMm).toBeCloseTo(200 * Math.tan(Math.PI / 12), 9);
    for (const [hand, sign] of [
      ['right', 1],
      ['left', -1],
    ] as const) {
      const { bottom, top } = madeRing(given({ hand })).lay(0)[0]!;
      const run = (i: number) => bottom[i]!.x * top[i]!.y - bottom[i]!.y * top[i]!.x;
      for (const i of [0, 1, 2, 3]) expect(run(i) * sign).toBeGreaterThan(0);
    }
  });

  test('joints of two rings meet at one radius: 8°, 12.7 mm rings turn by 2.0° at 51 mm and 5.4° at 19 mm', () => {
    const runs = (change: Parameters<typeof lean>[0], high: number, radius: number) =>
      jointRun(lean(change), [-high / 2, high / 2], radius);
    const turn = (radius: number) => {
      const { toBottom, toTop } = runs({ tiltDeg: 8 }, 12.7, radius)!;
      return ((toTop - toBottom) * 180) / Math.PI;
    };
    expect(turn(51)).toBeCloseTo(2, 1);
    expect(turn(19)).toBeCloseTo(5.4, 1);
    expect(runs({}, 20, 3)).toBeNull();
    expect(runs({ cut: 'turned-over' }, 20, 50)).toEqual({ toBottom: 0, toTop: 0 });
  });

  test('a tilt that eats the segment, or a hole smaller than it leaves, is refused with its figures', () => {
    expect(plain(refusalOf(given({ tiltDeg: 45 }, 36))?.message ?? '')).toMatch(/20.08 mm.*only 17.5 mm/);
    expect(refusalOf(given({ tiltDeg: 46, cut: 'turned-over' }, 24))?.code).toBe('tilt-eats-segment');
    expect(plain(refusalOf(given(), { ...EXAMPLE_NEED, innerRadiusMm: mm(2) })?.message ?? '')).toMatch(
      /smaller than 7.54 mm across/,
    );
  });
});

describe('what lies in joints that lean', () => {
  const leaning: SegmentedParams = {
    way: 'segmented',
    count: 12,
    lean: { tiltDeg: 20, hand: 'right', cut: 'same-edge' },
  };
  const spacers = (spacers: Spacers): SegmentedParams => ({
    ...leaning,
    between: { put: 'spacers', spacers },
  });
  const gaps = (gap: Gap): SegmentedParams => ({ ...leaning, between: { put: 'gaps', gap } });

  test('a spacer of 3 mm is cut level 3/cos 20° = 3.193 thick, pushes by that over 2·sin 15°, and stands 20/cos 20° high', () => {
    const made = madeRing(spacers({ at: 'every', thicknessMm: mm(3) }));
    const figure = (key: string) => made.figures.find((each) => each.key === key)!.value;
    expect(figure('spacer-level')).toBeCloseTo(3.193, 3);
    expect(figure('pushed-out-by')).toBeCloseTo(3.193 / (2 * Math.sin(Math.PI / 12)), 2);
    const stock = made.kinds[1]!.stock as StripStock;
    expect([stock.widthMm, stock.thicknessMm]).toEqual([
      3,
      expect.closeTo(20 / Math.cos(fromDegrees(20)), 9),
    ]);
    // Level through the middle of joint 0 there is spacer for half of its level thickness, and segment beyond.
    expect(made.placeAt(90, 1.59, 10)).toBe(12);
    expect(made.placeAt(90, 1.6, 10)).toBe(0);
    // Higher up it has moved round by (h/2)·tan 20°.
    expect(made.placeAt(90, 3.6, 19.9)).toBe(12);
    expect(made.placeAt(90, 0, 19.9)).not.toBe(12);
  });

  test('spacers that do not close are refused with the misfit, and the nearest set that does is offered', () => {
    const open = spacers({ at: 'picked', joints: [0, 1].map((joint) => ({ joint, thicknessMm: mm(3) })) });
    expect(refusalOf(open)?.code).toBe('does-not-close');
    const near = segmented.instead!(open, EXAMPLE_NEED)!;
    expect(makeRing(near, EXAMPLE_NEED).ok).toBe(true);
    expect(near).toMatchObject({
      lean: { tiltDeg: 20 },
      between: { put: 'spacers', spacers: { at: 'picked' } },
    });
  });

  test('gaps: not flattened; hold on the next ring as of an open ring, told where it is little, refused where there is none', () => {
    const open = gaps({ sides: 'tapered', share: 0.2 });
    expect(usuallySanded(open)).toBe('none');
    expect(usuallySanded(leaning)).toBe('both');
    expect(madeRing(open).closed).toBe(false);
    expect(madeRing(open).warnings).toEqual([]);
    expect(madeRing(open).figures).toContainEqual(
      madeRing({
        way: 'segmented',
        count: 12,
        between: { put: 'gaps', gap: { sides: 'tapered', share: 0.2 } },
      }).figures[0],
    );
    expect(madeRing(gaps({ sides: 'tapered', share: 0.35 })).warnings[0]?.code).toBe('little-hold');
    expect(refusalOf(gaps({ sides: 'parallel', widthMm: mm(60) }))).toMatchObject({
      code: 'gap-no-contact',
      path: 'between.gap.widthMm',
    });
    const plugged = { ...open, plug: { diameterMm: mm(30), drillMm: mm(30) } };
    expect(makingSchema.safeParse(plugged).error?.issues[0]?.message).toMatch(
      /leave the plug out or close the gaps/,
    );
  });
});
