import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { mm } from '../measure/quantity.js';
import { area, polar } from '../ring/plane.js';
import { arcsInside } from '../surface/arcs.js';
import { shareOf } from '../surface/round.js';
import { anyMaking, anyNeed } from '../testing/random.js';
import { innerOfWidth, ringSizes } from './flat/geometry.js';
import { layOut } from './layOut.js';
import { MAKINGS, makeRing, makingSchema, pitchOf, placesOf, ringAsMeasured, WAYS } from './registry.js';

const equal = (count: number) => Array.from({ length: count }, () => (2 * Math.PI) / count);
const segmentSizes = (count: number, outer: ReturnType<typeof mm>, inner: ReturnType<typeof mm>) =>
  ringSizes(equal(count), outer, inner).segments[0]!;

describe('a flat ring', () => {
  // Engineering handbooks' table of regular polygons, written down from memory.
  test.each([
    [6, 1.1547],
    [8, 0.82843],
    [12, 0.5359],
    [16, 0.39782],
    [24, 0.2633],
  ])('%i segments: long edge ÷ radius of the inscribed circle is %f', (count, ratio) =>
    expect(segmentSizes(count, mm(1), mm(0)).longEdgeMm).toBeCloseTo(ratio, 5),
  );
  test.each([
    [6, 1],
    [8, 0.76537],
    [12, 0.51764],
    [16, 0.39018],
    [24, 0.26105],
  ])('%i segments: short edge ÷ radius of the hole’s circumscribed circle is %f', (count, ratio) =>
    expect(segmentSizes(count, mm(2), mm(1)).shortEdgeMm).toBeCloseTo(ratio, 5),
  );
  // Common practice.
  test.each([
    [8, 22.5],
    [12, 15],
    [18, 10],
    [24, 7.5],
  ])('%i segments are cut at %f°', (count, angle) =>
    expect((segmentSizes(count, mm(100), mm(80)).cutAngle * 180) / Math.PI).toBeCloseTo(angle, 12),
  );
  test('strips tell the ring they make: the inverse gives the radii back', () => {
    fc.assert(
      fc.property(anyNeed, fc.integer({ min: 3, max: 100 }), ({ outerMm, innerMm }, count) => {
        const { longEdgeMm, widthMm } = segmentSizes(count, outerMm, innerMm);
        const outer = longEdgeMm / (2 * Math.tan(Math.PI / count));
        expect(outer).toBeCloseTo(outerMm, 8);
        expect(innerOfWidth((2 * Math.PI) / count, mm(outer), widthMm)).toBeCloseTo(innerMm, 7);
      }),
    );
  });
});

describe.each(WAYS)('the way “%s”', (way) => {
  const making = anyMaking.filter((candidate) => candidate.way === way);
  const cases = fc.record({ making, need: anyNeed });
  const made = (given: { making: Parameters<typeof makeRing>[0]; need: Parameters<typeof makeRing>[1] }) => {
    const result = makeRing(given.making, given.need);
    if (!result.ok) throw new Error(result.reasons[0]!.message);
    return result.value;
  };

  test('has a name, a word on when to use it, and refuses unknown keys', () => {
    expect(MAKINGS[way].name).not.toBe('');
    expect(MAKINGS[way].says.length).toBeGreaterThan(10);
    expect(makingSchema.safeParse({ way, count: 12, colour: 'red' }).success).toBe(false);
  });

  test('lays out one piece for each place, and counts the same pieces', () => {
    fc.assert(
      fc.property(cases, (given) => {
        const ring = made(given);
        const places = Array.from({ length: placesOf(given.making) }, (_, place) => place);
        expect(layOut(ring).map(({ place }) => place)).toEqual(places);
        expect(ring.kinds.flatMap((kind) => kind.places).sort((a, b) => a - b)).toEqual(places);
      }),
    );
  });

  test('volume of the laid-out pieces is the volume that is counted', () => {
    fc.assert(
      fc.property(cases, (given) => {
        const ring = made(given);
        const drawn = layOut(ring).reduce((sum, piece) => sum + area(piece.bottom), 0) * given.need.heightMm;
        const counted = ring.kinds.reduce((sum, kind) => sum + kind.volumeMm3 * kind.places.length, 0);
        expect(drawn / counted).toBeCloseTo(1, 3);
      }),
    );
  });

  test('sampling finds the place that the lay-out draws, and together they fill the circle', () => {
    fc.assert(
      fc.property(
        cases,
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        (given, share, angle) => {
          const ring = made(given);
          const radius = ring.gives.innerMm + share * (ring.gives.outerMm - ring.gives.innerMm);
          const { x, y } = polar(radius, angle);
          const found = ring.placeAt(x, y, given.need.heightMm / 2);
          const drawn = layOut(ring).filter(({ bottom }) =>
            arcsInside(bottom, radius).some(({ from, to }) =>
              [angle, angle + 2 * Math.PI].some((a) => a >= from - 1e-7 && a <= to + 1e-7),
            ),
          );
          expect(drawn.map(({ place }) => place)).toContain(found);
          const all = ring.kinds.map((kind) => kind.places.length * shareOf(ring, kind, radius));
          expect(all.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 6);
          expect(ring.placeAt(x, y, given.need.heightMm + 0.1)).toBeNull();
        },
      ),
    );
  });

  test('holds the ring that must survive, and reaches no farther than its corner', () => {
    fc.assert(
      fc.property(cases, (given) => {
        const ring = made(given);
        expect(ring.gives.outerMm).toBeGreaterThanOrEqual(given.need.outerMm - 1e-9);
        expect(ring.gives.innerMm).toBeLessThanOrEqual(given.need.innerMm + 1e-9);
        const corners = layOut(ring).flatMap(({ bottom }) => bottom.map(({ x, y }) => Math.hypot(x, y)));
        expect(Math.max(...corners)).toBeLessThanOrEqual(ring.cornerMm * 1.0002);
      }),
    );
  });

  test('pieces of one kind hold alike shares of any circle about the axis', () => {
    fc.assert(
      fc.property(cases, fc.double({ min: 0.01, max: 0.99, noNaN: true }), (given, share) => {
        const ring = made(given);
        const radius = ring.gives.innerMm + share * (ring.gives.outerMm - ring.gives.innerMm);
        for (const { place, bottom } of layOut(ring)) {
          const kind = ring.kinds.find(({ places }) => places.includes(place))!;
          const held = arcsInside(bottom, radius).reduce((sum, { from, to }) => sum + to - from, 0);
          expect(held / (2 * Math.PI)).toBeCloseTo(shareOf(ring, kind, radius), 6);
        }
      }),
      { numRuns: 30 },
    );
  });

  test('looks the same after one pitch, has steps and cautions', () => {
    const ring = made(fc.sample(cases, { numRuns: 1, seed: 7 })[0]!);
    const pitch = pitchOf(fc.sample(cases, { numRuns: 1, seed: 7 })[0]!.making);
    expect((2 * Math.PI) / pitch).toBeCloseTo(Math.round((2 * Math.PI) / pitch), 9);
    expect(ring.steps().length).toBeGreaterThan(1);
    expect(ring.cautions.length).toBeGreaterThan(0);
  });
});

test('a ring with no width is refused with its figures', () => {
  const refused = makeRing(
    { way: 'flat', count: 12 },
    { outerMm: mm(50), innerMm: mm(50), heightMm: mm(10) },
  );
  expect(refused).toMatchObject({ ok: false, reasons: [{ code: 'ring-no-width' }] });
});

describe('unequal segments', () => {
  const need = { outerMm: mm(100), innerMm: mm(80), heightMm: mm(20) };
  test('wide and narrow ones are two kinds; together they close the circle', () => {
    const made = makeRing({ way: 'flat', count: 12, parts: [2, 1] }, need);
    if (!made.ok) throw new Error(made.reasons[0]!.message);
    const [wide, narrow] = made.value.kinds;
    expect(made.value.kinds.map(({ places }) => places.length)).toEqual([6, 6]);
    // 2·Ro·tan(β/2) with β = 40° and 20°; the hole's corners are those of the wide ones: w = Ro − Ri·cos 20°.
    expect(wide!.stock).toMatchObject({
      longEdgeMm: expect.closeTo(72.794, 3),
      widthMm: expect.closeTo(24.8246, 4),
    });
    expect(narrow!.stock).toMatchObject({ longEdgeMm: expect.closeTo(35.2654, 4) });
    expect(made.value.placeAt(90 * Math.cos(0.7), 90 * Math.sin(0.7), 5)).toBe(1);
  });
  test('a pattern that does not go into the count, or a segment too wide for a mitre, is refused', () => {
    const parsed = makingSchema.safeParse({ way: 'flat', count: 10, parts: [1, 1, 2] });
    expect(parsed.error?.issues[0]?.message).toMatch(/does not go into 10/);
    expect(makeRing({ way: 'flat', count: 3, parts: [1, 1, 9] }, need)).toMatchObject({
      ok: false,
      reasons: [{ code: 'segment-wide' }],
    });
  });
});

test('a ring that came out smaller keeps its width: the hole is smaller too', () => {
  const planned = { outerMm: mm(100), innerMm: mm(80), heightMm: mm(20) };
  const flatMade = ringAsMeasured({ way: 'flat', count: 12 }, planned, mm(98));
  expect(flatMade.innerMm).toBeCloseTo(
    (98 - (100 - 80 * Math.cos(Math.PI / 12))) / Math.cos(Math.PI / 12),
    9,
  );
  expect(ringAsMeasured({ way: 'disc' }, planned, mm(98))).toMatchObject({ outerMm: 98, innerMm: 0 });
});
