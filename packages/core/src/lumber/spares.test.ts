import { expect, test } from 'vitest';
import { mm, rad } from '../measure/quantity.js';
import { ringOwner } from '../ring/owner.js';
import type { OwnedPieces } from './owned.js';
import { besidesOf } from './spares.js';

/** So many pieces of a ring, of a wood and long edge, mitred by an angle. */
const pieces = (ring: string, wood: string, count: number, longEdgeMm: number, angle = 0.2): OwnedPieces => ({
  owner: ringOwner(ring),
  wood,
  kind: {
    name: 'segment',
    grain: 'along',
    heightMm: mm(20),
    stock: {
      from: 'strip',
      longEdgeMm: mm(longEdgeMm),
      shortEdgeMm: mm(longEdgeMm - 5),
      widthMm: mm(22),
      thicknessMm: mm(20),
      cutAngle: rad(angle),
      bladeTilt: rad(0),
      cutting: 'turned-over',
    },
    places: [],
  },
  count,
  places: [],
  volumeMm3: 1000,
});

const besides = (...lots: readonly (readonly OwnedPieces[])[]) =>
  besidesOf(lots, { sparePercent: 10, testPieces: 3 }).map(({ of, spares, tests }) => [
    of.kind.stock.longEdgeMm,
    spares,
    tests,
  ]);

test('spares of a ring and wood are of its commonest length, for all its pieces; of several as common the first', () => {
  const ring = [pieces('a', 'maple', 6, 40), pieces('a', 'maple', 18, 30), pieces('a', 'walnut', 12, 40)];
  // 10 % of 24 pieces of maple, rounded up, and of 12 of walnut.
  expect(besides(ring).map(([edge, spares]) => [edge, spares])).toEqual([
    [40, 0],
    [30, 3],
    [40, 2],
  ]);
  expect(besides([pieces('a', 'maple', 6, 40), pieces('a', 'maple', 6, 30)])[0]![1]).toBe(2);
});

test('a setting of the saw is tried once, with the commonest length of its commonest wood over all rings', () => {
  const [a, b] = [
    [pieces('a', 'maple', 12, 40), pieces('a', 'walnut', 11, 38)],
    [pieces('b', 'walnut', 13, 36), pieces('b', 'maple', 8, 34, 0.3)],
  ];
  expect(besides(a, b).map(([edge, , tests]) => [edge, tests])).toEqual([
    [40, 0],
    [38, 0],
    [36, 3],
    [34, 3],
  ]);
});

test('a square cut is not tried', () => {
  expect(besides([pieces('a', 'maple', 30, 40, 0), pieces('a', 'maple', 4, 40)]).map(([, , t]) => t)).toEqual(
    [0, 3],
  );
});
