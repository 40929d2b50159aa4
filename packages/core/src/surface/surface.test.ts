import fc from 'fast-check';
import { expect, test } from 'vitest';
import { vesselOf } from '../form/vessel.js';
import { outsideVolume, woodVolume } from '../form/volume.js';
import { makeRing } from '../making/registry.js';
import { anyMaking, anyNeed, anyRichForm } from '../testing/random.js';
import { outsidePatches, placeToward, unrolledParts, woodOutline } from './drawing.js';

const cases = fc.record({
  making: anyMaking,
  need: anyNeed,
  turn: fc.double({ min: -7, max: 7, noNaN: true }),
});

test('the unrolled wall is covered once, and shows at every angle the place that is found there', () => {
  fc.assert(
    fc.property(cases, fc.double({ min: 0, max: 0.9999, noNaN: true }), ({ making, need, turn }, share) => {
      const made = makeRing(making, need);
      if (!made.ok) throw new Error('ring');
      const parts = unrolledParts(made.value, turn, need.outerMm);
      expect(parts.reduce((sum, { from, to }) => sum + to - from, 0)).toBeCloseTo(1, 6);
      const there = parts
        .filter(({ from, to }) =>
          [share, share + 1, share - 1].some((at) => at >= from - 1e-7 && at <= to + 1e-7),
        )
        .map(({ place }) => place);
      expect(there).toContain(
        placeToward(made.value, turn, need.outerMm * 0.9999, share * 2 * Math.PI) ?? there[0],
      );
    }),
  );
});

test.each(['right', 'front'] as const)(
  'the outside seen (%s) is covered to the silhouette, without gaps',
  (seen) => {
    fc.assert(
      fc.property(cases, ({ making, need, turn }) => {
        const made = makeRing(making, need);
        if (!made.ok) throw new Error('ring');
        const patches = outsidePatches(made.value, turn, need.outerMm * 0.999, 0.3, seen).sort(
          (a, b) => a.near - b.near,
        );
        expect(patches[0]!.near).toBeCloseTo(seen === 'right' ? 0 : -1, 5);
        expect(patches.at(-1)!.far).toBeCloseTo(1, 5);
        for (const [i, patch] of patches.slice(1).entries())
          expect(patch.near).toBeCloseTo(patches[i]!.far, 5);
      }),
    );
  },
);

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
