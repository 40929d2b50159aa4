import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { between } from '../testing/numbers.js';
import { anyForm, formOf } from '../testing/random.js';
import { curveThrough, extremes, radiusAt, topOf } from './curve.js';
import type { Form } from './shape.js';
import { STARTING_SHAPES, startingForm } from './starting.js';
import { insideAt, vesselOf } from './vessel.js';
import { outsideVolume, woodVolume } from './volume.js';

const vessel = (form: Form) => {
  const made = vesselOf(form);
  if (!made.ok) throw new Error(plain(made.reasons[0]!.message));
  return made.value;
};

const straight = (foot: number, lip: number, height: number, wall = 5, floor = 8): Form =>
  formOf(
    [
      { radiusMm: mm(foot), heightMm: mm(0), kind: 'smooth' },
      { radiusMm: mm(lip), heightMm: mm(height), kind: 'smooth' },
    ],
    wall,
    floor,
  );
const wallIn = ({ inside }: Form) => (inside.by === 'wall' ? inside.walls[0]!.wallMm : 0);

const along = (from: number, to: number, n: number) =>
  Array.from({ length: n + 1 }, (_, i) => from + ((to - from) * i) / n);

describe('the outside', () => {
  test('passes through its points and its extremes over any range are those of dense sampling', () => {
    fc.assert(
      fc.property(anyForm, between(0, 1), between(0, 1), (form, a, b) => {
        const curve = curveThrough(form.points);
        for (const { heightMm, radiusMm } of form.points)
          expect(radiusAt(curve, heightMm)).toBeCloseTo(radiusMm, 8);
        const [from, to] = [Math.min(a, b) * topOf(curve), Math.max(a, b) * topOf(curve)];
        const sampled = along(from, to, 4000).map((z) => radiusAt(curve, z));
        const { least, most } = extremes(curve, from, to);
        expect(Math.max(...sampled)).toBeLessThanOrEqual(most + 1e-9);
        expect(Math.min(...sampled)).toBeGreaterThanOrEqual(least - 1e-9);
        expect(most - Math.max(...sampled)).toBeLessThan(1.5);
      }),
    );
  });
});

describe('the wall', () => {
  test('8 mm level on a 45° wall is 5.66 mm square to it, so 5.66 square is 8 level (craft arithmetic)', () => {
    const cone = vessel(straight(40, 140, 100, 8 / Math.SQRT2));
    expect(radiusAt(cone.outside, 50) - insideAt(cone, 50)!).toBeCloseTo(8, 3);
  });

  test('no point of the inside is nearer than the wall to the outside, and it touches that distance', () => {
    fc.assert(
      fc.property(anyForm, between(0.05, 1), (form, share) => {
        const made = vessel(form);
        const z = made.hollowFromMm + share * (made.heightMm - made.hollowFromMm);
        const inside = insideAt(made, z);
        if (inside === null || inside === 0) return;
        const away = along(
          Math.max(0, z - wallIn(form)),
          Math.min(made.heightMm, z + wallIn(form)),
          3000,
        ).map((height) => {
          const out = radiusAt(made.outside, height) - inside;
          return out > 0 ? Math.hypot(out, height - z) : 0;
        });
        expect(Math.min(...away)).toBeGreaterThan(wallIn(form) - 0.01);
        expect(Math.min(...away)).toBeLessThan(wallIn(form) + 0.05);
      }),
      { numRuns: 60 },
    );
  });

  test('a wall thicker than the form is refused with a sentence', () => {
    const refused = vesselOf(straight(30, 30, 100, 31));
    expect(refused).toMatchObject({ ok: false, reasons: [{ code: 'wall-too-thick', path: 'form.inside' }] });
  });

  test('points that do not rise, a foot off the bench, a floor above the lip are refused', () => {
    const codes = (form: Form) => {
      const made = vesselOf(form);
      return made.ok ? [] : made.reasons.map(({ code }) => code);
    };
    const upside = straight(30, 40, 50);
    upside.points[1]!.heightMm = mm(0);
    expect(codes(upside)).toEqual(['form-order']);
    const floating = straight(30, 40, 50);
    floating.points[0]!.heightMm = mm(3);
    expect(codes(floating)).toEqual(['form-foot']);
    expect(codes(straight(30, 40, 50, 5, 51))).toEqual(['floor-above-lip']);
  });
});

describe('volumes', () => {
  test('a frustum by the textbook formula πh(R² + Rr + r²)/3', () => {
    const cone = vessel(straight(30, 60, 90, 5, 90));
    expect(outsideVolume(cone, 0, 90)).toBeCloseTo((Math.PI * 90 * (60 ** 2 + 60 * 30 + 30 ** 2)) / 3, 4);
  });

  test('Pappus’s theorem: 2π · centroid · area of the half-section, measured on a fine polygon', () => {
    fc.assert(
      fc.property(anyForm, (form) => {
        const made = vessel(form);
        let [area, moment] = [0, 0];
        const heights = [
          ...along(0, made.hollowFromMm, 500),
          ...along(made.hollowFromMm, made.heightMm, 4000),
        ];
        heights.slice(1).forEach((top, i) => {
          const middle = (top + heights[i]!) / 2;
          const [outer, inner] = [radiusAt(made.outside, middle), insideAt(made, middle) ?? 0];
          const slice = (outer - inner) * (top - heights[i]!);
          area += slice;
          moment += (slice * (outer + inner)) / 2;
        });
        const pappus = 2 * Math.PI * (moment / area) * area;
        expect(Math.abs(woodVolume(made, 0, made.heightMm) / pappus - 1)).toBeLessThan(1e-3);
      }),
      { numRuns: 25 },
    );
  });
});

test.each(STARTING_SHAPES)('starting shape $id is a form that can be turned, at several sizes', (shape) => {
  for (const diameter of [80, 200, 400]) {
    const form = startingForm(shape, diameter * shape.proportion, diameter, diameter / 28);
    expect(vesselOf(form).ok).toBe(true);
    expect(2 * extremes(curveThrough(form.points), 0, diameter * shape.proportion).most).toBeCloseTo(
      diameter,
      6,
    );
  }
});
