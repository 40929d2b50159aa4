import fc from 'fast-check';
import { freeze } from 'immer';
import { expect, test } from 'vitest';
import { mm } from '../measure/quantity.js';
import type { Form } from './shape.js';
import { vesselOf } from './vessel.js';

/** A form of ten points, with a wall that changes, whose points stand in order whatever is done to one of them below. */
const TALL: Form = {
  points: Array.from({ length: 10 }, (_, i) => ({
    heightMm: mm(25 * i),
    radiusMm: mm(60 + 18 * Math.sin(1.3 * i)),
    kind: i === 4 ? ('corner' as const) : ('smooth' as const),
  })),
  inside: {
    by: 'wall',
    walls: [
      { heightMm: mm(0), wallMm: mm(9) },
      { heightMm: mm(180), wallMm: mm(5) },
    ],
    floorMm: mm(7),
  },
  recess: null,
  lid: null,
};

const moves = fc.array(
  fc.record({
    point: fc.nat(9),
    outMm: fc.double({ min: -6, max: 6, noNaN: true }),
    upMm: fc.double({ min: -8, max: 8, noNaN: true }),
  }),
  { minLength: 1, maxLength: 6 },
);

test('the inside after points have moved is the one that is worked out from nothing', () => {
  fc.assert(
    fc.property(moves, (moves) => {
      let now = freeze(TALL, true);
      vesselOf(now);
      for (const { point, outMm, upMm } of moves) {
        const points = now.points.map((each, i) =>
          i === point
            ? {
                ...each,
                radiusMm: mm(each.radiusMm + outMm),
                heightMm: mm(i === 0 ? 0 : 25 * i + upMm),
              }
            : each,
        );
        now = freeze({ ...now, points }, true);
        const fresh = vesselOf(structuredClone(now));
        expect(vesselOf(now)).toEqual(fresh);
      }
    }),
    { numRuns: 60 },
  );
});

test('far from a point that moved the inside is not looked for again', () => {
  const before = vesselOf(freeze(TALL, true));
  const points = TALL.points.with(8, { ...TALL.points[8]!, radiusMm: mm(70) });
  const after = vesselOf(freeze({ ...TALL, points }, true));
  if (!before.ok || !after.ok) throw new Error('form');
  const low = (vessel: typeof before.value) => vessel.inside!.pieces.filter(({ z1 }) => z1 < 120);
  expect(low(after.value).length).toBeGreaterThan(20);
  expect(low(after.value)).toEqual(low(before.value));
});
