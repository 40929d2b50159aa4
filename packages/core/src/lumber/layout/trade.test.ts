import { describe, expect, test } from 'vitest';
import { fromDegrees, mm, rad } from '../../measure/quantity.js';
import { bandOwner, ringOwner } from '../../ring/owner.js';
import { DEFAULT_SHOP, type Shop } from '../../settings/shop.js';
import { NOBODY } from '../../testing/pieces.js';
import { type Board, boardSchema } from '../board.js';
import type { Lumber, PanelEntry, StripEntry } from '../lumber.js';
import { laidAtOnce } from './atOnce.js';
import { demandsOf } from './demand.js';
import { howMany } from './howMany.js';

const INCH = 25.4;
const wood = 'black-walnut';

const disc = (acrossMm: number): PanelEntry => ({
  owner: ringOwner(`disc ${acrossMm}`),
  wood,
  name: 'Disc',
  shape: 'disc',
  count: 1,
  lengthMm: mm(acrossMm),
  widthMm: mm(acrossMm),
  thicknessMm: mm(20),
  netMm: mm(18.5),
  resawMm: mm(0),
  pieceMm3: (Math.PI / 4) * acrossMm ** 2 * 18.5,
  quarter: '4/4',
});

/** A ring of twelve: long edges and a width, cut at 15°. */
const ring = (longEdgeMm: number, widthMm: number): StripEntry => ({
  wood,
  widthMm: mm(widthMm),
  thicknessMm: mm(20),
  cutAngle: fromDegrees(15),
  bladeTilt: rad(0),
  cutting: 'turned-over',
  quarter: '4/4',
  cuts: [
    {
      owner: ringOwner(`ring ${longEdgeMm}`),
      purpose: 'piece',
      longEdgeMm: mm(longEdgeMm),
      count: 12,
      keptMm: mm(18.5),
      resawMm: mm(0),
    },
  ],
});

const lumberOf = (strips: StripEntry[], panels: PanelEntry[]): Lumber => ({
  strips,
  panels,
  woods: [],
  reasons: [],
});
const onHand = (lengthMm: number, widthMm: number): Board =>
  boardSchema.parse({
    id: 'b',
    wood,
    lengthMm,
    widthMm,
    thicknessMm: INCH,
    surfaced: false,
    price: null,
    moisturePercent: null,
    note: '',
    defects: [],
  });

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
    expect(howMany(demands)).toBeGreaterThanOrEqual(1);
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
