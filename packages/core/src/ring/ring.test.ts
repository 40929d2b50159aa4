import fc from 'fast-check';
import { expect, test } from 'vitest';
import { extremes, radiusAt } from '../form/curve.js';
import { insideAt, vesselOf } from '../form/vessel.js';
import { mm } from '../measure/quantity.js';
import { anyForm } from '../testing/random.js';
import { ringNeed } from './need.js';
import { overlap } from './overlap.js';
import { courses } from './stack.js';

const none = { outsideMm: mm(0), insideMm: mm(0) };

test('every ring holds the wall over its whole height, and a hair less would not (dense sampling)', () => {
  fc.assert(
    fc.property(anyForm, fc.integer({ min: 1, max: 9 }), (form, slices) => {
      const made = vesselOf(form);
      if (!made.ok) throw new Error('form');
      const vessel = made.value;
      for (const course of courses(Array.from({ length: slices }, () => vessel.heightMm / slices))) {
        const top = Math.min(course.topMm, vessel.heightMm);
        const need = ringNeed(vessel, course, none);
        const heights = Array.from(
          { length: 300 },
          (_, i) => course.bottomMm + ((top - course.bottomMm) * i) / 299,
        );
        const outer = Math.max(...heights.map((z) => radiusAt(vessel.outside, z)));
        const inner = Math.min(...heights.map((z) => insideAt(vessel, z) ?? 0));
        const steepest =
          (extremes(vessel.outside, course.bottomMm, top).most -
            extremes(vessel.outside, course.bottomMm, top).least) *
            0.05 +
          0.01;
        expect(need.outerMm).toBeGreaterThanOrEqual(outer - 1e-9);
        expect(need.outerMm - outer).toBeLessThan(steepest);
        expect(need.innerMm).toBeLessThanOrEqual(inner + 1e-6);
        expect(inner - need.innerMm).toBeLessThan(steepest + 0.5);
      }
    }),
    { numRuns: 40 },
  );
});

test('overlap is the width that both rings share; below zero it is air', () => {
  expect(overlap({ outerMm: 60, innerMm: 40 }, { outerMm: 55, innerMm: 45 })).toBe(10);
  expect(overlap({ outerMm: 60, innerMm: 50 }, { outerMm: 45, innerMm: 30 })).toBe(-5);
});
