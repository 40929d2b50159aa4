import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { mm } from '../measure/quantity.js';
import { between } from '../testing/numbers.js';
import { anyForm } from '../testing/random.js';
import { curveThrough, extremes, radiusAt, topOf } from './curve.js';
import { fitPoints, type Sample, within } from './fit.js';
import type { Form } from './shape.js';
import { insideAt, vesselOf, wallAt } from './vessel.js';
import { insideOfWall, wallOf } from './wall.js';

const share = between(0.02, 0.98);
const walled = fc.record({ form: anyForm, top: between(2, 10) }).map(({ form, top }): Form => {
  const heightMm = form.points.at(-1)!.heightMm;
  const foot = form.inside.by === 'wall' ? form.inside.walls[0]! : { heightMm: mm(0), wallMm: mm(6) };
  return {
    ...form,
    inside: { by: 'wall', walls: [foot, { heightMm, wallMm: mm(top) }], floorMm: mm(heightMm * 0.1) },
  };
});

describe('the inside of a wall that changes', () => {
  test('is nowhere nearer to any point of the outside than the wall there, and touches it (slow way)', () => {
    fc.assert(
      fc.property(walled, share, (form, at) => {
        const made = vesselOf(form);
        if (!made.ok || form.inside.by !== 'wall') return;
        const { outside, hollowFromMm, hollowToMm } = made.value;
        const z = hollowFromMm + at * (hollowToMm - hollowFromMm);
        const r = insideAt(made.value, z)!;
        if (r < 0.5) return;
        const wall = wallOf(form.inside.walls);
        const spare = Array.from({ length: 6001 }, (_, i) => {
          const height =
            Math.max(0, z - 13) + (i / 6000) * (Math.min(topOf(outside), z + 13) - Math.max(0, z - 13));
          return Math.hypot(Math.max(0, radiusAt(outside, height) - r), height - z) - wall.at(height);
        });
        expect(Math.min(...spare)).toBeGreaterThan(-0.01);
        expect(Math.min(...spare)).toBeLessThan(0.06);
      }),
      { numRuns: 60 },
    );
  });

  test('the curve that is kept runs true to the wall asked anew at any height', () => {
    fc.assert(
      fc.property(walled, share, (form, at) => {
        const made = vesselOf(form);
        if (!made.ok || form.inside.by !== 'wall' || !made.value.inside) return;
        const { outside, hollowFromMm, hollowToMm } = made.value;
        const z = hollowFromMm + at * (hollowToMm - hollowFromMm);
        const anew = insideOfWall(outside, wallOf(form.inside.walls), z).r;
        expect(Math.abs(radiusAt(made.value.inside, z) - anew)).toBeLessThan(0.02);
      }),
      { numRuns: 100 },
    );
  });

  test('its slope is that of the curve: a small step up moves it by as much', () => {
    fc.assert(
      fc.property(walled, share, (form, at) => {
        if (form.inside.by !== 'wall') return;
        const [outside, wall] = [curveThrough(form.points), wallOf(form.inside.walls)];
        const z = 0.15 * topOf(outside) + at * 0.7 * topOf(outside);
        const here = insideOfWall(outside, wall, z);
        const [below, above] = [
          insideOfWall(outside, wall, z - 0.01).r,
          insideOfWall(outside, wall, z + 0.01).r,
        ];
        const bent = Math.abs(above - 2 * here.r + below);
        // At a kink the two sides differ; elsewhere the step is the slope.
        if (here.slope === null || bent > 1e-4) return;
        expect(Math.abs(Math.atan((above - below) / 0.02) - Math.atan(here.slope))).toBeLessThan(0.03);
      }),
      { numRuns: 60 },
    );
  });
});

test('a wall of one thickness measured on the finished section is that thickness', () => {
  fc.assert(
    fc.property(anyForm, share, (form, at) => {
      const made = vesselOf(form);
      if (!made.ok || form.inside.by !== 'wall') return;
      const { hollowFromMm, hollowToMm } = made.value;
      const z = hollowFromMm + at * (hollowToMm - hollowFromMm);
      if (insideAt(made.value, z)! < 0.5) return;
      expect(wallAt(made.value, z)!).toBeGreaterThan(form.inside.walls[0]!.wallMm - 0.02);
      expect(wallAt(made.value, z)!).toBeLessThan(form.inside.walls[0]!.wallMm + 0.08);
    }),
    { numRuns: 60 },
  );
});

describe('extremes of a curve that is not monotone between its points', () => {
  test('are those of dense sampling', () => {
    fc.assert(
      fc.property(walled, share, share, (form, a, b) => {
        const made = vesselOf(form);
        if (!made.ok || !made.value.inside) return;
        const { inside, hollowFromMm: from, hollowToMm: to } = made.value;
        const [z0, z1] = [from + Math.min(a, b) * (to - from), from + Math.max(a, b) * (to - from)];
        const sampled = Array.from({ length: 3001 }, (_, i) => radiusAt(inside, z0 + (i / 3000) * (z1 - z0)));
        const { least, most } = extremes(inside, z0, z1);
        expect(least).toBeLessThanOrEqual(Math.min(...sampled) + 1e-9);
        expect(most).toBeGreaterThanOrEqual(Math.max(...sampled) - 1e-9);
        expect(Math.min(...sampled) - least).toBeLessThan(0.3);
        expect(most - Math.max(...sampled)).toBeLessThan(0.3);
      }),
      { numRuns: 60 },
    );
  });
});

test('a curve is fitted with few points: a circle’s quarter within 0.05 mm takes under twenty', () => {
  const samples = Array.from({ length: 400 }, (_, i): Sample => {
    const angle = (0.05 + 0.9 * (i / 399)) * (Math.PI / 2);
    return { r: 20 + 80 * Math.sin(angle), z: 80 * (Math.cos(0.05 * (Math.PI / 2)) - Math.cos(angle)) };
  });
  const points = fitPoints(samples, within(samples, 0.05));
  expect(points.length).toBeLessThan(20);
  const curve = curveThrough(points);
  expect(Math.max(...samples.map(({ r, z }) => Math.abs(radiusAt(curve, z) - r)))).toBeLessThan(0.3);
});
