import fc from 'fast-check';
import { expect, test } from 'vitest';
import { radiusAt } from '../form/curve.js';
import { recessAt } from '../form/recess.js';
import { insideAt, vesselOf } from '../form/vessel.js';
import { mm } from '../measure/quantity.js';
import { between } from '../testing/numbers.js';
import { anyRichForm } from '../testing/random.js';
import { needOf, wallBand } from './need.js';
import { overlap } from './overlap.js';
import { courses } from './stack.js';

/** A ring smaller by this would no longer hold its wall (mm). */
const TOLERANCE = 0.5;
const none = { outsideMm: mm(0), insideMm: mm(0) };

test('every ring of any slicing holds the wall over its whole height, and shrunk by the tolerance it would not (dense sampling)', () => {
  const cuts = fc.array(between(0.02, 0.98), { maxLength: 8 });
  fc.assert(
    fc.property(anyRichForm, cuts, (form, shares) => {
      const made = vesselOf(form);
      if (!made.ok) throw new Error('form');
      const vessel = made.value;
      const edges = [0, ...[...shares].sort((a, b) => a - b), 1].map((share) => share * vessel.heightMm);
      const heights = edges.slice(1).map((z, i) => z - edges[i]!);
      for (const course of courses(heights.filter((height) => height > 0.01))) {
        const top = Math.min(course.topMm, vessel.heightMm);
        const need = needOf(wallBand(vessel, course), course, none);
        const sampled = Array.from({ length: 2001 }, (_, i) => {
          const z = course.bottomMm + ((top - course.bottomMm) * i) / 2000;
          return {
            outer: radiusAt(vessel.outside, z),
            inner: Math.max(insideAt(vessel, z) ?? 0, recessAt(vessel.recess, z)),
          };
        });
        const outer = Math.max(...sampled.map((at) => at.outer));
        const inner = Math.min(...sampled.map((at) => at.inner));
        expect(need.outerRadiusMm).toBeGreaterThanOrEqual(outer - 1e-9);
        expect(need.outerRadiusMm - TOLERANCE).toBeLessThan(outer);
        expect(need.innerRadiusMm).toBeLessThanOrEqual(inner + 1e-9);
        if (inner > 0.5) expect(need.innerRadiusMm + TOLERANCE).toBeGreaterThan(inner);
      }
    }),
    { numRuns: 60 },
  );
});

test('overlap is the width that both rings share; below zero it is air', () => {
  expect(overlap({ outerRadiusMm: 60, innerRadiusMm: 40 }, { outerRadiusMm: 55, innerRadiusMm: 45 })).toBe(
    10,
  );
  expect(overlap({ outerRadiusMm: 60, innerRadiusMm: 50 }, { outerRadiusMm: 45, innerRadiusMm: 30 })).toBe(
    -5,
  );
});
