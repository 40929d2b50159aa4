import { describe, expect, test } from 'vitest';
import { fromDegrees, mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { madeRing, refusalOf } from '../../testing/rings.js';
import { outlineAt, volumeOfAll } from '../layOut.js';
import { UNSANDED } from '../planing.js';
import { calledOf, insteadOf, makeRing, makingSchema, type ParamsOf } from '../registry.js';
import type { StripStock } from '../stock.js';

const NEED = { outerRadiusMm: mm(100), innerRadiusMm: mm(80), heightMm: mm(15) };
interface Basket {
  readonly count?: number;
  readonly spacerMm?: number;
  readonly tiltDeg?: number;
  readonly hand?: 'left' | 'right';
}
const basket = ({
  count = 16,
  spacerMm = 3,
  tiltDeg = 20,
  hand = 'right',
}: Basket = {}): ParamsOf<'segmented'> => ({
  way: 'segmented',
  count,
  lean: { tiltDeg, hand, cut: 'same-edge' },
  between: { put: 'spacers', spacers: { at: 'every', thicknessMm: mm(spacerMm) } },
  woven: true,
});

describe('a basket band', () => {
  test('spacers are s/cos τ wide at every level and move by h·tan τ', () => {
    const made = madeRing(basket(), NEED);
    const [spacer] = made.lay(16);
    for (const share of [0, 0.5, 1]) {
      const [a, b] = outlineAt(spacer!, share);
      expect(Math.hypot(b!.x - a!.x, b!.y - a!.y)).toBeCloseTo(3 / Math.cos(fromDegrees(20)), 9);
    }
    expect(spacer!.top[0]!.y - spacer!.bottom[0]!.y).toBeCloseTo(15 * Math.tan(fromDegrees(20)), 9);
  });
  test('leaning to the left is the mirror image', () => {
    const [right] = madeRing(basket(), NEED).lay(16);
    const [left] = madeRing(basket({ hand: 'left' }), NEED).lay(16);
    expect(left!.top[0]!.y).toBeCloseTo(right!.bottom[0]!.y, 9);
  });
  test('a spacer as it is planed has the volume of the spacer as it lies', () => {
    const made = madeRing(basket(), NEED);
    const stock = made.kinds[1]!.stock as StripStock;
    expect(stock.widthMm).toBe(3);
    expect(stock.longEdgeMm * stock.widthMm * stock.thicknessMm).toBeCloseTo(volumeOfAll(made.lay(16)), 6);
  });
  test('counts segments and spacers, leaning one way, and reads only over three rings', () => {
    const made = madeRing(basket(), NEED);
    expect(made.kinds.map(({ name, places }) => [name, places.length])).toEqual([
      ['Segment leaning right', 16],
      ['Spacer', 16],
    ]);
    expect((made.kinds[0]!.stock as StripStock).hand).toBe('right');
    expect(made.reads).toEqual({ as: 'weaving', rings: 3 });
    expect(made.pictures!()[0]!.parts.length).toBe(30);
    const [stack] = made.steps(UNSANDED).filter(({ id }) => id === made.pictures!()[0]!.step);
    expect(plain(stack!.says)).toMatch(/half a segment from the one below; at least 3 rings/);
  });
  test.each([
    ['tilt-eats-segment', basket({ count: 40, tiltDeg: 45 }), { ...NEED, heightMm: mm(60) }],
    ['hole-too-small', basket({ count: 40, spacerMm: 8 }), { ...NEED, innerRadiusMm: mm(2) }],
  ] as const)(
    '%s is refused with figures, and something near it is proposed where there is',
    (code, making, need) => {
      const refused = refusalOf(making, need);
      expect(refused?.code).toBe(code);
      expect(plain(refused?.message ?? '')).toMatch(/\d.*\.$/);
      const near = insteadOf(making, need);
      if (near) expect(makeRing(near, need).ok).toBe(true);
    },
  );
  test('is said of a ring, not guessed: spacers that climb in every joint are no basket', () => {
    const { woven: _, ...climbing } = basket();
    const made = madeRing(climbing, NEED);
    expect([made.reads, made.pictures, calledOf(climbing)]).toEqual([null, undefined, 'Climbing stripe']);
    expect(made.steps(UNSANDED).map(({ id }) => id)).not.toContain('stack');
  });
  test.each([
    [{ ...basket(), lean: undefined }],
    [{ ...basket({ count: 16 }), lean: { tiltDeg: 20, hand: 'left', cut: 'turned-over' } }],
    [{ ...basket(), between: { put: 'spacers', spacers: { at: 'even', number: 4, thicknessMm: 3 } } }],
    [{ ...basket(), between: undefined }],
  ])('%j is no basket, and says what would be', (making) => {
    expect(makingSchema.safeParse(making).error?.issues[0]?.message).toMatch(
      /a spacer in every joint, and all of its joints lean one way; make it so, or do not weave it/,
    );
  });
});
