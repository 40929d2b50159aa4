import fc from 'fast-check';
import { expect, test } from 'vitest';
import { type Curve, radiusAt } from '../form/curve.js';
import { vesselOf } from '../form/vessel.js';
import { outsideVolume, woodVolume } from '../form/volume.js';
import type { Made } from '../making/contract.js';
import { makeRing } from '../making/registry.js';
import { mm } from '../measure/quantity.js';
import { area } from '../ring/plane.js';
import { between } from '../testing/numbers.js';
import { anyNeed, anyRichForm } from '../testing/random.js';
import { anyMaking } from '../testing/randomMakings.js';
import { arcsInside } from './arcs.js';
import { woodOutline } from './drawing.js';
import { outsidePatches } from './outside.js';
import type { Standing } from './standing.js';
import { cutParts, placeToward } from './toward.js';
import { type UnrolledPart, unrolledParts } from './unrolled.js';
import { areaBetween, areaWithin } from './within.js';

const cases = fc
  .record({ making: anyMaking, need: anyNeed, turn: between(-7, 7) })
  // A wall that runs through the rim of a plug is no wall: the hollow begins outside it.
  .filter(({ making }) => !('plug' in making))
  .map((given) => ({ ...given, made: makeRing(given.making, given.need) }))
  // A wall that is a cone leaves a shell: its own form is looked at in globe.test.ts.
  .filter(({ made }) => made.ok && made.value.ball === null)
  .map(({ made, turn }) => ({ ring: { made: (made as { value: Made }).value, turn, bottomMm: 10 } }));

/** A wall in the wood of a ring, a little cone, and its line from foot to top. */
function wallOf({ made, bottomMm }: Standing) {
  const { outerRadiusMm, innerRadiusMm } = made.gives;
  const width = outerRadiusMm - innerRadiusMm;
  const top = bottomMm + made.heightMm;
  const at = (share: number) =>
    outerRadiusMm - width * (0.1 + 0.2 * share) + made.lean * made.heightMm * (share - 0.5);
  const [r0, r1] = [at(0), at(1)];
  const slope = (r1 - r0) / made.heightMm;
  const outside: Curve = { pieces: [{ z0: bottomMm, z1: top, r0, r1, d0: slope, d1: slope }] };
  const radius = (z: number) => radiusAt(outside, z);
  return { outside, radius, top, line: [bottomMm, top].map((z) => ({ r: radius(z), z })) };
}

/** How far leaning and curved sides may stray from straight ones between two levels, as a share of the way round. */
const NEAR = 0.004;

test('the unrolled wall shows at every angle and height the place that is found there; closed rings all round', () => {
  const unit = between(0, 0.9999);
  fc.assert(
    fc.property(cases, unit, unit, ({ ring }, share, height) => {
      const { outside, radius, top } = wallOf(ring);
      const z = ring.bottomMm + height * ring.made.heightMm;
      const patches = unrolledParts(ring, outside, ring.bottomMm, top);
      const parts = patches.flatMap(({ place, low, high }) => {
        const t = (z - low.z) / (high.z - low.z);
        if (t < 0 || t >= 1) return [];
        return [{ place, from: low.from + t * (high.from - low.from), to: low.to + t * (high.to - low.to) }];
      });
      // Faces, stars and squares are full of corners, which levels follow roughly.
      const angular =
        ring.made.together.length > 0 || (ring.made.gives.innerRadiusMm === 0 && !ring.made.radial);
      const covered = parts.reduce(
        (sum, { from, to }) => sum + Math.max(0, Math.min(1, to) - Math.max(0, from)),
        0,
      );
      if (ring.made.closed) expect(Math.abs(covered - 1)).toBeLessThan(angular ? 0.08 : 0.01);
      else expect(covered).toBeLessThan(1 - 1e-6);
      // A layer line that is touched bends too much to be followed: it may be off by a level up or down.
      const near =
        ring.made.layers.length === 0 && !angular ? parts : patches.filter(withinLevel(z)).map(widest);
      const there = near
        .filter(({ from, to }) =>
          [share - 1, share, share + 1].some((at) => at >= from - NEAR && at <= to + NEAR),
        )
        .map(({ place }) => place);
      const found = placeToward(ring.made, ring.turn, radius(z), share * 2 * Math.PI, z - ring.bottomMm);
      // Over one level the wall's radius changes by a fortieth of the ring's width.
      const level = (ring.made.gives.outerRadiusMm - ring.made.gives.innerRadiusMm) / 40;
      const touched = ring.made.layers.some(({ nearMm, farMm }) =>
        [nearMm, farMm].some((line) => Math.abs(radius(z) - line) < 0.5 + level),
      );
      // A circle that touches a straight line of the plan is on both sides of it.
      const beside = [-0.002, 0.002].map((by) =>
        placeToward(ring.made, ring.turn, radius(z) + by, share * 2 * Math.PI, z - ring.bottomMm),
      );
      if (found !== null && !touched && beside.every((place) => place === found))
        expect(there).toContain(found);
    }),
  );
});

/** Patches that are met within a level of a height. */
const withinLevel =
  (z: number) =>
  ({ low, high }: UnrolledPart) =>
    z >= 2 * low.z - high.z && z <= 2 * high.z - low.z;

const widest = ({ place, low, high }: UnrolledPart) => ({
  place,
  from: Math.min(low.from, high.from),
  to: Math.max(low.to, high.to),
});

test.each(['right', 'front'] as const)('the outside seen (%s) is covered to the silhouette', (seen) => {
  fc.assert(
    fc.property(cases, ({ ring }) => {
      const { outside, line, radius } = wallOf(ring);
      const patches = outsidePatches(ring, outside, line, 0.3, seen);
      const beyond = patches.flatMap(({ outline }) =>
        outline.filter(
          ({ x, z }) => !(Math.abs(x) <= radius(z) * (1 + 1e-9)) || (seen === 'right' && !(x >= -1e-9)),
        ),
      );
      expect(beyond).toEqual([]);
      const drawn = patches.reduce((sum, { outline }) => sum + upright(outline), 0);
      const shown = ((line[0]!.r + line[1]!.r) / 2) * ring.made.heightMm * (seen === 'front' ? 2 : 1);
      if (ring.made.closed) expect(drawn / shown).toBeCloseTo(1, 2);
      else expect(drawn / shown).toBeLessThan(1 + 1e-9);
    }),
  );
});

/** Area of an outline in a drawing, mm². */
const upright = (outline: readonly { readonly x: number; readonly z: number }[]) =>
  Math.abs(area(outline.map(({ x, z }) => ({ x, y: z }))));

test('the part of a polygon within a circle: by the slow way, a fan of thin triangles', () => {
  const corner = fc.record({ x: between(-60, 60), y: between(-60, 60) });
  fc.assert(
    fc.property(corner, corner, corner, between(5, 70), (a, b, c, radius) => {
      const outline = area([a, b, c]) > 0 ? [a, b, c] : [a, c, b];
      let slow = 0;
      const rings = 400;
      for (let i = 0; i < rings; i++) {
        const r = (radius * (i + 0.5)) / rings;
        const angle = arcsInside(outline, r).reduce((sum, { from, to }) => sum + to - from, 0);
        slow += angle * r * (radius / rings);
      }
      expect(areaWithin(outline, radius)).toBeCloseTo(slow, -2 + 1);
    }),
    { numRuns: 60 },
  );
  const square = [-1, 1].flatMap((x) => [
    { x: 2 * x, y: -2 * x },
    { x: 2 * x, y: 2 * x },
  ]);
  expect(areaWithin(square, 1)).toBeCloseTo(Math.PI, 10);
  expect(areaWithin(square, 10)).toBeCloseTo(16, 10);
  expect(areaBetween(square, 1, 10)).toBeCloseTo(16 - Math.PI, 10);
});

test('a cut meets what sampling finds along it, from the hole to the outside', () => {
  fc.assert(
    fc.property(cases, fc.integer({ min: 0, max: 628 }), ({ ring: { made, turn } }, step) => {
      const direction = step / 100 + 0.00137;
      const parts = cutParts(made, turn, direction);
      expect(parts[0]!.innerRadiusMm).toBeCloseTo(made.gives.innerRadiusMm, 1);
      expect(parts.at(-1)!.outerRadiusMm).toBeCloseTo(made.gives.outerRadiusMm, 1);
      if (made.closed) expect(parts.every(({ place }) => place !== null)).toBe(true);
      for (const { place, innerRadiusMm, outerRadiusMm } of parts)
        if (outerRadiusMm - innerRadiusMm > 0.2)
          expect(placeToward(made, turn, (innerRadiusMm + outerRadiusMm) / 2, direction)).toBe(place);
    }),
  );
});

test('a cut shows layers and gaps from the inside out', () => {
  const layered = makeRing(
    { way: 'segmented', count: 12, sawnFrom: { is: 'layers', laid: 'outside-in', layersMm: [mm(9)] } },
    { outerRadiusMm: mm(100), innerRadiusMm: mm(80), heightMm: mm(20) },
  );
  if (!layered.ok) throw new Error('ring');
  const parts = cutParts(layered.value, 0, Math.PI / 12);
  expect(parts.map(({ place }) => place)).toEqual([12, 0]);
  expect(parts[0]!.outerRadiusMm).toBeCloseTo(91, 0);
});

test('the outline of the wood, turned about the axis, is the wood’s volume: π/3 · Σ(r² + rr′ + r′²)·Δz (frusta)', () => {
  fc.assert(
    fc.property(anyRichForm, (form) => {
      const made = vesselOf(form);
      if (!made.ok) throw new Error('form');
      const outline = woodOutline(made.value);
      const turned = outline.reduce((sum, { r, z }, i) => {
        const next = outline[(i + 1) % outline.length]!;
        return sum + ((Math.PI * (r * r + r * next.r + next.r * next.r)) / 3) * (next.z - z);
      }, 0);
      const body = outsideVolume(made.value, 0, made.value.heightMm);
      expect(Math.abs(turned - woodVolume(made.value, 0, made.value.heightMm)) / body).toBeLessThan(0.02);
    }),
    { numRuns: 40 },
  );
});
