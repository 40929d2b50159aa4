import { describe, expect, test } from 'vitest';
import { mm } from '../../measure/quantity.js';
import { bandOwner, ringOwner } from '../../ring/owner.js';
import { DEFAULT_SHOP, type Shop } from '../../settings/shop.js';
import { disc, INCH, lumberOf, onHand, ring } from '../../testing/lumber.js';
import { NOBODY } from '../../testing/pieces.js';
import type { Board } from '../board.js';
import type { Lumber, PanelEntry } from '../lumber.js';
import { laidAtOnce } from './atOnce.js';
import { demandsOf } from './demand.js';
import { howMany } from './howMany.js';

/** Boards that are sawn, and pieces that none gives. */
function laid(lumber: Lumber, boards: Board[], change: Partial<Shop> = {}, buying = true) {
  const [layout] = laidAtOnce(lumber, boards, { ...DEFAULT_SHOP, ...change }, NOBODY, { buying });
  return {
    boards: layout!.boards.length,
    missing: layout!.missing.reduce((sum, { count }) => sum + count, 0),
  };
}

// Worked out on squared paper; common practice.
describe('boards are crosscut where it pays', () => {
  test('two discs of 214 and 234 mm come from one board of 600 × 250 mm: 12.7 + 3 + 234 + 3 + 214 of 600 along', () => {
    expect(laid(lumberOf([], [disc(214), disc(234)]), [onHand(600, 250)], {}, false)).toEqual({
      boards: 1,
      missing: 0,
    });
  });
  test('a disc of 5 1/2 in and two rings of twelve come from one board of 60 × 6 in', () => {
    const lumber = lumberOf([ring(42, 21), ring(46, 24)], [disc(5.5 * INCH)]);
    expect(laid(lumber, [onHand(60 * INCH, 6 * INCH)])).toEqual({ boards: 1, missing: 0 });
  });
  test('six rings of twelve, no two of one width, come from one board of 72 × 5 in: five widths lie side by side, six do not', () => {
    const lumber = lumberOf(
      [21, 21.8, 22.6, 23.4, 24.2, 25].map((width, i) => ring(40 + i, width)),
      [],
    );
    const yard = [{ widthMm: mm(5 * INCH), lengthMm: mm(72 * INCH) }];
    expect(laid(lumber, [], { yard })).toEqual({ boards: 1, missing: 0 });
  });
  test('six rows of a bowl come from a walnut board of 60 × 7 in: one whole piece', () => {
    const lumber = lumberOf(
      [30, 33, 36, 39, 42, 45].map((edge, i) => ring(edge, 22 + i)),
      [],
    );
    const demands = demandsOf(lumber, [onHand(60 * INCH, 7 * INCH)], DEFAULT_SHOP, NOBODY, { buying: false });
    expect(howMany(demands, () => null, DEFAULT_SHOP)).toBeGreaterThanOrEqual(1);
  });
  test('equal dowels of several rings come from one stick', () => {
    const dowel = (of: string): PanelEntry => ({
      ...disc(8),
      owner: of === 'band' ? bandOwner(of) : ringOwner(of),
      shape: 'dowel',
      name: 'Dowel',
      lengthMm: mm(30),
      widthMm: mm(8),
      count: 6,
    });
    const [demand] = demandsOf(lumberOf([], ['a', 'b', 'band'].map(dowel)), [], DEFAULT_SHOP, NOBODY);
    expect(demand!.kinds).toHaveLength(1);
    expect(demand!.kinds[0]!.pieces[0]!.owners.map(({ count }) => count)).toEqual([6, 6, 6]);
  });
});
