import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { mm } from '../measure/quantity.js';
import { between } from '../testing/numbers.js';
import { type Cuts, cutOf, liftOf, regionAt, type Slant, sidesOf, stretchesRound } from './slant.js';
import { dot, lengthOf, minus } from './space.js';

const slant = (change: Partial<Slant>): Slant => ({
  id: 's',
  heightMm: mm(50),
  slantDeg: 10,
  towardDeg: 0,
  thicknessMm: mm(4),
  kerfMm: mm(1.2),
  wood: 'dark',
  ...change,
});

const anyCuts: fc.Arbitrary<Cuts> = fc
  .array(
    fc.record({
      heightMm: between(10, 90).map(mm),
      slantDeg: between(0, 50),
      towardDeg: between(-180, 180),
      thicknessMm: between(0.5, 12).map(mm),
      kerfMm: between(0, 4).map(mm),
    }),
    { minLength: 1, maxLength: 5 },
  )
  .map((changes) => changes.map((change) => cutOf(slant(change))));

const anyPoint = fc.record({ x: between(-60, 60), y: between(-60, 60), z: between(0, 130) });

describe('what a slanted band does to the work', () => {
  // craft.md section 8: everything above a band moves by b − k along the cut's normal.
  test('all above it moves sideways by (b − k)·sin σ and up by (b − k)·cos σ', () => {
    const { move } = cutOf(slant({ towardDeg: 90 }));
    const by = 4 - 1.2;
    expect(move.x).toBeCloseTo(0, 12);
    expect(move.y).toBeCloseTo(by * Math.sin((10 * Math.PI) / 180), 12);
    expect(move.z).toBeCloseTo(by * Math.cos((10 * Math.PI) / 180), 12);
  });
  test('three alike at 120° bring the top back over the foot', () => {
    const cuts = [0, 120, 240].map((towardDeg) => cutOf(slant({ towardDeg })));
    const top = regionAt(cuts, { x: 0, y: 0, z: 120 });
    expect(top.above).toBe(0b111);
    expect(Math.hypot(top.shift.x, top.shift.y)).toBeLessThan(1e-12);
    expect(top.shift.z).toBeCloseTo(liftOf(cuts), 12);
  });
  test('the band itself lies square to the cut, as thick as its board, whatever the kerf', () => {
    const cuts = [cutOf(slant({ slantDeg: 25 }))];
    const { normal } = cuts[0]!;
    const onCut = { x: 0, y: 0, z: 50 };
    const at = (up: number) =>
      regionAt(cuts, { x: up * normal.x, y: up * normal.y, z: onCut.z + up * normal.z });
    expect([at(-0.01).band, at(0.01).band, at(3.99).band, at(4.01).band]).toEqual([null, 0, 0, null]);
  });
});

describe('regions of a piece with several cuts', () => {
  test('a point lies within the sides of its own region and of no other', () => {
    fc.assert(
      fc.property(anyCuts, fc.array(anyPoint, { minLength: 40, maxLength: 40 }), (cuts, points) => {
        const regions = points.map((p) => regionAt(cuts, p));
        for (const [i, p] of points.entries())
          for (const region of regions) {
            const within = sidesOf(cuts, region).every(({ normal, most }) => dot(normal, p) <= most);
            const own = region.above === regions[i]!.above && region.band === regions[i]!.band;
            expect(within).toBe(own);
          }
      }),
    );
  });
  test('stretches round a circle are the regions of its points, once round', () => {
    fc.assert(
      fc.property(anyCuts, between(1, 80), between(0, 130), (cuts, radius, z) => {
        const stretches = stretchesRound(cuts, radius, z);
        const whole = stretches.reduce((sum, { from, to }) => sum + to - from, 0);
        expect(whole).toBeCloseTo(2 * Math.PI, 6);
        for (const { from, to, region } of stretches) {
          const angle = (from + to) / 2;
          const p = { x: radius * Math.cos(angle), y: radius * Math.sin(angle), z };
          expect(regionAt(cuts, p)).toEqual(region);
        }
      }),
    );
  });
  test('every point of the wood above a cut comes from one point of the stack: distances are kept', () => {
    fc.assert(
      fc.property(anyCuts, anyPoint, anyPoint, (cuts, p, q) => {
        const [a, b] = [regionAt(cuts, p), regionAt(cuts, q)];
        if (a.band !== null || b.band !== null || a.above !== b.above) return;
        const was = lengthOf(minus(minus(p, a.shift), minus(q, b.shift)));
        expect(was).toBeCloseTo(lengthOf(minus(p, q)), 9);
      }),
    );
  });
});
