import { expect, test } from 'vitest';
import { INCH } from '../measure/format.js';
import { mm } from '../measure/quantity.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { chargedFeet } from './board.js';
import { leavesOf } from './layout/stock.js';

/** A board 6 in × 48 in: one foot of board an inch thick is 2 bd ft (T × W × L / 144, handbook rule). */
const feet = (thick: number, surfaced: boolean, charges: 'nominal' | 'volume' = 'nominal') =>
  chargedFeet(
    { lengthMm: mm(48 * INCH), widthMm: mm(6 * INCH), thicknessMm: mm(thick * INCH), surfaced },
    { charges },
  );

test.each([
  // What the trade surfaces 4/4, 5/4, 6/4 and 8/4 to (hardwood trade standard) is charged as what it was.
  [13 / 16, true, 2],
  [1 + 1 / 16, true, 2.5],
  [1 + 5 / 16, true, 3],
  [1.75, true, 4],
  [0.75, true, 2],
  [7 / 8, true, 2.5],
  [1, false, 2],
  [0.5, false, 2],
  [1.25, false, 2.5],
  // 27 mm is next to 5/4, 26 mm is an inch that came out well.
  [27 / 25.4, false, 2.5],
  [26 / 25.4, false, 2],
  [2, false, 4],
  [5, false, 10],
])('%d in, surfaced %s, is charged as %d bd ft', (thick, surfaced, charged) => {
  expect(feet(thick, surfaced)).toBeCloseTo(charged, 9);
});

test('a yard that sells by volume charges what is there', () => {
  expect(feet(27 / 25.4, false, 'volume')).toBeCloseTo((2 * 27) / 25.4, 9);
  expect(feet(0.5, true, 'volume')).toBeCloseTo(1, 9);
});

test('resawing: leaves of a rip that stands under the guides, none more of a wider one', () => {
  // 50 mm give two leaves of 20 + 1 cleaned + 1.5 kerf, not three.
  const shop = {
    ...DEFAULT_SHOP,
    resaws: true,
    resawKerfMm: mm(1.5),
    resawCleanMm: mm(1),
    resawHeightMm: mm(150),
  };
  const of = (widthMm: number, thick: number, change = {}) =>
    leavesOf(
      { thicknessMm: mm(20), widthMm: mm(widthMm) },
      { thicknessMm: mm(thick) },
      { ...shop, ...change },
    );
  expect([of(150, 50), of(150.1, 50), of(150, 66), of(150, 65.9), of(150, 19.9)]).toEqual([2, 1, 3, 2, 0]);
  expect(of(50, 50, { resaws: false })).toBe(1);
});
