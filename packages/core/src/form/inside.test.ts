import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { anyRichForm, formOf } from '../testing/random.js';
import { radiusAt } from './curve.js';
import { landmarksOf } from './landmarks.js';
import { capOf, recessAt, recessVolume } from './recess.js';
import type { Form, FormPoint } from './shape.js';
import { STARTING_SHAPES, startingForm } from './starting.js';
import { brimOf, insideAt, vesselOf, wallAt } from './vessel.js';
import { woodVolume } from './volume.js';

const points = (...list: readonly (readonly [number, number])[]): FormPoint[] =>
  list.map(([radius, height]) => ({ radiusMm: mm(radius), heightMm: mm(height), kind: 'smooth' }));
const tube = (change: Partial<Form> = {}): Form => ({
  ...formOf(points([60, 0], [60, 100]), 6, 10),
  ...change,
});
const made = (form: Form) => {
  const vessel = vesselOf(form);
  if (!vessel.ok) throw new Error(plain(vessel.reasons[0]!.message));
  return vessel.value;
};
const codes = (form: Form) => {
  const vessel = vesselOf(form);
  return vessel.ok ? [] : vessel.reasons.map(({ code }) => code);
};

describe('a wall that changes with the height', () => {
  const walls = [0, 100].map((z, i) => ({ heightMm: mm(z), wallMm: mm(i ? 4 : 12) }));
  const cup = made(tube({ inside: { by: 'wall', walls, floorMm: mm(10) } }));
  test('is what was asked for at each height, square to the outside', () => {
    // Straight walls of a slope of 8 in 100: the distance is the thickness at the nearest point, within a twentieth.
    for (const z of [30, 50, 80]) expect(wallAt(cup, z)!).toBeCloseTo(12 - (8 * z) / 100, 0);
  });
  test('thicknesses out of order are refused', () => {
    expect(codes(tube({ inside: { by: 'wall', walls: [...walls].reverse(), floorMm: mm(10) } }))).toEqual([
      'form-order',
    ]);
  });
});

describe('an inside of its own', () => {
  const inside = (...list: readonly (readonly [number, number])[]): Partial<Form> => ({
    inside: { by: 'curve', points: points(...list) },
  });
  test('is the curve through its points, from its floor to the lip', () => {
    const cup = made(tube(inside([0, 10], [40, 40], [54, 100])));
    expect([insideAt(cup, 9), insideAt(cup, 10), insideAt(cup, 40), insideAt(cup, 100)]).toEqual([
      null,
      0,
      40,
      54,
    ]);
    expect(wallAt(cup, 40)).toBeCloseTo(20, 1);
  });
  test('one that crosses the outside, or ends below the lip, is held back with the height', () => {
    const crossing = vesselOf(tube(inside([0, 10], [62, 50], [54, 100])));
    expect(crossing).toMatchObject({ ok: false, reasons: [{ code: 'curves-cross' }] });
    expect(codes(tube(inside([0, 10], [54, 90])))).toEqual(['inside-top']);
    expect(codes(tube(inside([30, 20], [40, 20], [54, 100])))).toEqual(['form-order']);
  });
});

describe('a foot recess', () => {
  const recess = { radiusMm: mm(40), depthMm: mm(6) };
  test('is a cap of a sphere: πd(3a² + d²)/6 (textbook)', () => {
    const whole = (Math.PI * 6 * (3 * 40 ** 2 + 6 ** 2)) / 6;
    expect(recessVolume(capOf(recess), 0, 100)).toBeCloseTo(whole, 6);
    const [with_, without] = [made(tube({ recess })), made(tube())];
    expect(woodVolume(without, 0, 100) - woodVolume(with_, 0, 100)).toBeCloseTo(whole, 6);
    expect(recessAt(capOf(recess), 0)).toBeCloseTo(40, 9);
  });
  test.each([
    [{ radiusMm: mm(4), depthMm: mm(6) }, 'recess-deep'],
    [{ radiusMm: mm(40), depthMm: mm(9.5) }, 'recess-through'],
    [{ radiusMm: mm(59.5), depthMm: mm(6) }, 'recess-wide'],
  ])('%j is refused', (wrong, code) => expect(codes(tube({ recess: wrong }))).toEqual([code]));
});

describe('body and lid', () => {
  const jar = startingForm(STARTING_SHAPES.find(({ id }) => id === 'jar')!, 200, 190, 7);
  test('the jar is hollow through its lid line and closed under the knob', () => {
    const vessel = made(jar);
    expect(vessel.lidMm).toBeCloseTo(140, 9);
    expect(insideAt(vessel, 140)!).toBeGreaterThan(50);
    expect(vessel.hollowToMm).toBeLessThanOrEqual(164);
    expect(insideAt(vessel, 195)).toBeNull();
    expect(brimOf(vessel)).toBeCloseTo(140, 9);
  });
  test('a lid line in the floor or in the roof is refused', () => {
    expect(codes({ ...jar, lid: { heightMm: mm(5), roofMm: mm(7) } })).toEqual(['lid-line']);
    expect(codes({ ...jar, lid: { heightMm: mm(195), roofMm: mm(7) } })).toEqual(['lid-line']);
  });
});

test('Pappus’s theorem on forms of every kind: 2π · centroid · area of the half-section, on a fine polygon', () => {
  fc.assert(
    fc.property(anyRichForm, (form) => {
      const vessel = made(form);
      const steps = 6000;
      let [area, moment] = [0, 0];
      for (let i = 0; i < steps; i++) {
        const z = ((i + 0.5) * vessel.heightMm) / steps;
        const [outer, inner] = [
          radiusAt(vessel.outside, z),
          Math.max(insideAt(vessel, z) ?? 0, recessAt(vessel.recess, z)),
        ];
        area += outer - inner;
        moment += (outer - inner) * ((outer + inner) / 2);
      }
      const pappus = (2 * Math.PI * (moment / area) * area * vessel.heightMm) / steps;
      expect(Math.abs(woodVolume(vessel, 0, vessel.heightMm) / pappus - 1)).toBeLessThan(2e-3);
    }),
    { numRuns: 40 },
  );
});

test('a vase has a foot, a waist, a widest place, a neck and a lip; a cylinder only foot, widest and lip', () => {
  const vase = made(formOf(points([40, 0], [30, 30], [80, 120], [35, 180], [45, 200]), 5, 8));
  expect(landmarksOf(vase.outside)).toEqual([
    { name: 'foot', radiusMm: 40, heightMm: 0 },
    { name: 'waist', radiusMm: 30, heightMm: 30 },
    { name: 'widest', radiusMm: 80, heightMm: 120 },
    { name: 'neck', radiusMm: 35, heightMm: 180 },
    { name: 'lip', radiusMm: 45, heightMm: 200 },
  ]);
  expect(landmarksOf(made(tube()).outside).map(({ name }) => name)).toEqual(['foot', 'widest', 'lip']);
});
