import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { area, polar } from '../ring/plane.js';
import { between } from '../testing/numbers.js';
import { arcsInside } from './arcs.js';

const square = [
  { x: -1, y: -1 },
  { x: 1, y: -1 },
  { x: 1, y: 1 },
  { x: -1, y: 1 },
];
const total = (outline: typeof square, radius: number) =>
  arcsInside(outline, radius).reduce((sum, { from, to }) => sum + to - from, 0);

describe('arcs of a circle inside a square of side 2', () => {
  test('a small circle lies inside whole, a large one outside', () => {
    expect(arcsInside(square, 0.5)).toEqual([{ from: 0, to: 2 * Math.PI }]);
    expect(arcsInside(square, 1.5)).toEqual([]);
  });

  test('the inscribed circle touches four sides and still lies inside', () => {
    expect(total(square, 1)).toBeCloseTo(2 * Math.PI, 9);
  });

  test('between, four arcs about the corners: each π/2 − 2·acos(1/r), by trigonometry', () => {
    const arcs = arcsInside(square, 1.2);
    expect(arcs).toHaveLength(4);
    for (const { from, to } of arcs) expect(to - from).toBeCloseTo(Math.PI / 2 - 2 * Math.acos(1 / 1.2), 9);
    expect(arcs.map(({ from, to }) => (((from + to) / 2) * 180) / Math.PI)).toEqual(
      [45, 135, 225, 315].map((a) => expect.closeTo(a, 6)),
    );
  });
});

test('the area of any star-shaped outline is that of its arcs summed over all radii', () => {
  const outline = fc.array(between(5, 40), { minLength: 4, maxLength: 12 });
  fc.assert(
    fc.property(outline, (radii) => {
      const corners = radii.map((radius, i) => polar(radius, (2 * Math.PI * i) / radii.length));
      const step = 0.02;
      let sum = 0;
      for (let r = step / 2; r < 40; r += step) sum += total(corners, r) * r * step;
      expect(sum / area(corners)).toBeCloseTo(1, 2);
    }),
    { numRuns: 15 },
  );
});
