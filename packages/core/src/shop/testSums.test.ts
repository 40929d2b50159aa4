import fc from 'fast-check';
import { expect, test } from 'vitest';
import { fromDegrees, mm } from '../measure/quantity.js';
import { polar } from '../ring/plane.js';
import { between } from '../testing/numbers.js';
import { errorFromSum, testSums } from './testSums.js';

// Plane geometry by hand: pieces of 2θ fill 90°, 180°, 360°.
test('twelve segments are tried three to a square, six to a straight edge, twelve all round', () => {
  expect(testSums(fromDegrees(15))).toEqual([
    { against: 'square', pieces: 3, cuts: 6 },
    { against: 'straight', pieces: 6, cuts: 12 },
    { against: 'ring', pieces: 12, cuts: 24 },
  ]);
  // 18 segments: no whole number fills a quarter; 15: nor a half; 27.5°: nothing.
  expect(testSums(fromDegrees(10)).map(({ against }) => against)).toEqual(['straight', 'ring']);
  expect(testSums(fromDegrees(12)).map(({ against }) => against)).toEqual(['ring']);
  expect(testSums(fromDegrees(27.5))).toEqual([]);
  // A square cut: both halves, one turned over, stand apart by twice the error.
  expect(testSums(fromDegrees(0))).toEqual([{ against: 'turned', pieces: 2, cuts: 2 }]);
});

// Pieces laid side by side about the axis as points: the gap beside the true edge is measured between the outer corners.
test('a gap against the true edge gives back the error that was sawn', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 18 }).map((n) => 4 * n),
      between(0.005, 0.12),
      fc.boolean(),
      between(15, 60),
      (count, degrees, small, faceMm) => {
        const error = (small ? -1 : 1) * fromDegrees(degrees);
        for (const sum of testSums(mm(Math.PI / count) as never)) {
          const turned = sum.pieces * 2 * (Math.PI / count + error);
          const edge = polar(
            faceMm,
            { square: 1, straight: 2, ring: 4, turned: 0 }[sum.against] * (Math.PI / 2),
          );
          const face = polar(faceMm, turned);
          // The face turns about one of its ends: the other stands off the edge by this, measured square to the face.
          const off = Math.abs(edge.x * face.y - edge.y * face.x) / faceMm;
          if (off > 0.25 * faceMm) continue;
          const found = errorFromSum(sum, { at: small ? 'outside' : 'inside', gapMm: off }, faceMm);
          expect(found.ok && found.value).toBeCloseTo(error, 9);
        }
      },
    ),
  );
});

test('what is no gap is refused', () => {
  expect(errorFromSum({ cuts: 6 }, { at: 'outside', gapMm: -1 }, 20)).toMatchObject({ ok: false });
  expect(errorFromSum({ cuts: 6 }, { at: 'outside', gapMm: 9 }, 20)).toMatchObject({ ok: false });
  expect(errorFromSum({ cuts: 6 }, { at: 'inside', gapMm: 0 }, 20)).toEqual({ ok: true, value: 0 });
});
