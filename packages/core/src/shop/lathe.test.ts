import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { radiusAt } from '../form/curve.js';
import { insideAt, vesselOf } from '../form/vessel.js';
import { between } from '../testing/numbers.js';
import { planned } from '../testing/pieces.js';
import { feetPerMinute, rimSpeed, sameRim, speedsFor } from './speeds.js';
import {
  complianceOf,
  flexAlong,
  flexOf,
  MOST_FLEX,
  type Section,
  slenderIn,
  stiffnessOf,
} from './stiffness.js';

const flexAt = (sectionAt: (z: number) => Section, toolMm: number) =>
  flexOf(complianceOf(sectionAt, 0, toolMm), toolMm);

const INCH = 25.4;

describe('speeds', () => {
  // Common practice: diameter in inches times turns a minute, 6000 to 9000 for sound work, 2000 to 4000 fresh.
  test('by hand: 10 in across', () => {
    const speeds = Object.fromEntries(
      speedsFor(10 * INCH).map(({ stage, leastRpm, mostRpm }) => [stage, [leastRpm, mostRpm]]),
    );
    expect(speeds).toMatchObject({ fresh: [200, 400], turning: [600, 900], sanding: [300, 450] });
    // π·10/12 ft a turn.
    expect(feetPerMinute(rimSpeed(10 * INCH, 600))).toBeCloseTo((Math.PI * 10 * 600) / 12, 6);
    expect(rimSpeed(1000, 60)).toBeCloseTo(Math.PI, 9);
    expect(sameRim(600, 10, 5)).toBe(1200);
  });
  test('no speed that is given lies outside its range', () => {
    fc.assert(
      fc.property(between(30, 600), (diameterMm) => {
        const fresh = speedsFor(diameterMm)[0]!;
        for (const { leastRpm, mostRpm } of speedsFor(diameterMm))
          expect(leastRpm).toBeLessThanOrEqual(mostRpm + 10);
        expect((fresh.mostRpm * diameterMm) / INCH).toBeLessThanOrEqual(4000 + 1e-6);
        expect((fresh.leastRpm * diameterMm) / INCH).toBeGreaterThanOrEqual(2000 - 1e-6);
      }),
    );
  });
});

describe('bending of what is held', () => {
  const tube =
    (outer: number, inner: number, modulus = 1000) =>
    () => ({ outer, inner, modulus });
  test('a tube is L³/(3EI), a solid stub likewise', () => {
    fc.assert(
      fc.property(between(5, 150), between(0, 0.95), between(10, 500), (outer, share, long) => {
        const inertia = (Math.PI / 4) * (outer ** 4 - (share * outer) ** 4);
        const flex = flexAt(tube(outer, share * outer), long);
        expect(flex / (long ** 3 / (3 * 1000 * inertia))).toBeCloseTo(1, 9);
      }),
    );
  });
  // Common practice's example: a neck 1 7/8 in across with 3/8 in of wall, 7 in out: 0.009 mm/N if all of it were so thin.
  test('a thin neck by hand', () => {
    expect(flexAt(tube((1.875 / 2) * INCH, (1.125 / 2) * INCH), 7 * INCH)).toBeCloseTo(0.0085, 4);
    expect(stiffnessOf(640)).toBe(1000);
    expect(flexAt(tube(10, 10), 50)).toBe(Number.POSITIVE_INFINITY);
  });
  test('every piece of the show against a sum over a hundred thousand slices', () => {
    for (const project of demoProjects().slice(0, 6)) {
      const made = vesselOf(project.form);
      if (!made.ok) throw new Error('form');
      const vessel = made.value;
      const rings = planned(project).rings.map(({ bottomMm, topMm }, i) => ({
        bottomMm,
        topMm,
        density: 500 + 40 * (i % 7),
      }));
      const along = flexAlong(vessel, rings);
      const top = along.at(-1)!;
      const slices = 100_000;
      const step = top.atMm / slices;
      let [solid, hollowed] = [0, 0];
      for (let i = 0; i < slices; i++) {
        const z = (i + 0.5) * step;
        const outer = radiusAt(vessel.outside, z);
        const inner = insideAt(vessel, z) ?? 0;
        const ring = rings.find(({ topMm }) => z <= topMm) ?? rings.at(-1)!;
        const weight = ((top.atMm - z) ** 2 * step) / (stiffnessOf(ring.density) * (Math.PI / 4));
        solid += weight / outer ** 4;
        hollowed += weight / (outer ** 4 - inner ** 4);
      }
      expect(top.solid / solid).toBeCloseTo(1, 3);
      expect(top.hollowed / hollowed).toBeCloseTo(1, 3);
      for (const [i, each] of along.entries()) {
        expect(each.hollowed).toBeGreaterThanOrEqual(each.solid - 1e-15);
        if (i > 0) expect(each.hollowed).toBeGreaterThan(along[i - 1]!.hollowed);
      }
    }
  });

  test('what is slender is the stem, not the bowl on it: without it the rest stands up to the tool', () => {
    const goblet = demoProjects().find(({ name }) => name.includes('Goblet'))!;
    const made = vesselOf(goblet.form);
    if (!made.ok) throw new Error('form');
    const rings = planned(goblet).rings.map(({ topMm }) => ({ topMm, density: 640 }));
    const slender = slenderIn(made.value, rings);
    expect(slender.length).toBeGreaterThan(0);
    expect(slender.length).toBeLessThan(rings.length / 2);
    const radius = (ring: number) => radiusAt(made.value.outside, rings[ring]!.topMm - 1);
    const others = rings.map((_, ring) => ring).filter((ring) => !slender.includes(ring));
    expect(Math.max(...slender.map(radius))).toBeLessThan(Math.max(...others.map(radius)) / 2);
    // Heavy wood in their place, a thousand times as stiff: what is left gives no more than the limit, and more with one fewer.
    const topWith = (stiff: readonly number[]) =>
      flexAlong(
        made.value,
        rings.map((ring, i) => ({ ...ring, density: stiff.includes(i) ? 640_000 : 640 })),
      ).at(-1)!.solid;
    expect(topWith([])).toBeGreaterThan(MOST_FLEX);
    expect(topWith(slender)).toBeLessThan(1.02 * MOST_FLEX);
    for (const ring of slender)
      expect(topWith(slender.filter((each) => each !== ring))).toBeGreaterThan(MOST_FLEX);
    const bowl = demoProjects().find(({ name }) => name.includes('Fleece'))!;
    const broad = vesselOf(bowl.form);
    expect(
      broad.ok &&
        slenderIn(
          broad.value,
          planned(bowl).rings.map(({ topMm }) => ({ topMm, density: 640 })),
        ),
    ).toEqual([]);
  });
});
