import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { between } from '../testing/numbers.js';
import { worded } from '../testing/rings.js';
import { bondOf, turnIn } from './bond.js';
import { slices, slicesFromBoards } from './slicing.js';

const total = (heights: readonly number[]) => heights.reduce((a, b) => a + b, 0);

describe('slices', () => {
  test('of one height reach the lip, the last one past it', () => {
    expect(slices(100, [19], false)).toEqual([19, 19, 19, 19, 19, 19]);
  });
  test('under a locked ring fill the stretch exactly: a thinner last one, or all a little thinner', () => {
    expect(slices(45, [19], true)).toEqual([19, 19, 7]);
    const even = slices(40, [19], true);
    expect(even).toHaveLength(3);
    expect(total(even)).toBeCloseTo(40, 9);
  });
  test('by hand are taken from the bottom up, the last one again and again', () => {
    expect(slices(80, [30, 20, 10], false)).toEqual([30, 20, 10, 10, 10]);
  });
  test('bounded or not, never leave a gap', () => {
    const heights = fc.array(between(1, 40), { minLength: 1, maxLength: 5 });
    fc.assert(
      fc.property(between(1, 300), heights, fc.boolean(), (run, list, bounded) => {
        const made = slices(run, list, bounded);
        if (bounded) expect(total(made)).toBeCloseTo(run, 5);
        else expect(total(made)).toBeGreaterThanOrEqual(run - 1e-5);
        expect(Math.min(...made)).toBeGreaterThan(0);
      }),
    );
  });
});

describe('slices from the boards on hand', () => {
  // A wall that slopes up to 50 and stands above it: sloping rings take wood by the square of their height.
  const wood = (from: number, height: number) => {
    const sloping = Math.max(0, Math.min(50, from + height) - from);
    return 10 * height + sloping ** 2;
  };
  const stock = [
    { heightMm: 20, rings: 4 },
    { heightMm: 10, rings: 5 },
  ];
  test('take the order with the least wood, as trying every order finds it', () => {
    const chosen = slicesFromBoards(110, stock, wood);
    if (!chosen.ok) throw new Error('boards');
    const cost = (heights: readonly number[]) => {
      let z = 0;
      return heights.reduce((sum, height) => {
        z += height;
        return sum + wood(z - height, height);
      }, 0);
    };
    const orders = (left: readonly number[], run: number): number[][] =>
      run <= 0
        ? [[]]
        : stock.flatMap(({ heightMm }, i) =>
            left[i]! > 0
              ? orders(
                  left.map((n, k) => n - (k === i ? 1 : 0)),
                  run - heightMm,
                ).map((rest) => [heightMm, ...rest])
              : [],
          );
    expect(cost(chosen.value)).toBeCloseTo(Math.min(...orders([4, 5], 110).map(cost)), 9);
    expect(chosen.value.slice(0, 4)).toEqual([10, 10, 10, 10]);
  });
  test('boards that do not reach are refused, with what they give', () => {
    expect(worded(slicesFromBoards(200, stock, wood))).toMatchObject({
      ok: false,
      reasons: [{ message: 'The boards give rings of 130 mm in all; 200 mm are wanted.' }],
    });
  });
});

test('a bond is known again from its turns', () => {
  for (const bond of [{ kind: 'grid' }, { kind: 'brick' }, { kind: 'spiral', step: 0.2 }] as const)
    expect(bondOf([0, 1, 2, 3, 4].map((i) => turnIn(bond, i)))).toEqual(
      bond.kind === 'spiral' ? { kind: 'spiral', step: expect.closeTo(0.2, 9) } : bond,
    );
  expect(bondOf([0, 0.3, 0.1, 0.9])).toBeNull();
  expect(bondOf([0.5])).toBeNull();
});
