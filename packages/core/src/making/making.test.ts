import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { bandAt } from '../ring/overlap.js';
import { area, polar, turned } from '../ring/plane.js';
import { arcsInside } from '../surface/arcs.js';
import { anyNeed } from '../testing/random.js';
import { FAMILIES, makingOf } from '../testing/randomMakings.js';
import { needFor } from '../testing/rings.js';
import type { LaidPiece, Made } from './contract.js';
import { laidAt, layOut, outlineAtHeight, volumeOf, volumeOfAll } from './layOut.js';
import { UNSANDED } from './planing.js';
import {
  begun,
  calledOf,
  groupsOf,
  insteadOf,
  makeRing,
  makingSchema,
  pitchOf,
  placesOf,
  type RingMaking,
  ringAsMeasured,
  START_IDS,
  STARTS,
  segmentsOf,
  startOf,
  withSegments,
} from './registry.js';
import { cautionsOf } from './step.js';
import { mitred } from './stock.js';
import { farthest } from './wedge.js';

const NEED = { outerRadiusMm: mm(100), innerRadiusMm: mm(80), heightMm: mm(20) };

/** Bottom, middle and top of a ring, a hair off heights at which parts of pieces meet. */
const SHARES = [1e-7, 0.4987, 1 - 1e-7] as const;

/** Ways in which a place may have no piece: strips beyond the disc, segments without a letter. */
function mayBeEmpty(making: RingMaking): boolean {
  const own = making.way === 'stock' ? making.of : making;
  return 'sawnFrom' in own && ['strips', 'letters'].includes(own.sawnFrom?.is ?? '');
}

/** The slow way to ask which pieces hold a point: even-odd over every outline. */
function holders(pieces: readonly LaidPiece[], x: number, y: number, z: number): number[] {
  return laidAt(pieces, z)
    .filter((piece) => {
      const outline = outlineAtHeight(piece, z);
      let inside = false;
      outline.forEach((p, i) => {
        const q = outline[(i + 1) % outline.length]!;
        if (p.y > y !== q.y > y && x < p.x + ((y - p.y) / (q.y - p.y)) * (q.x - p.x)) inside = !inside;
      });
      return inside;
    })
    .map(({ place }) => place);
}

/** Evenly scattered points of a unit cube (Halton's sequence). */
const scattered = (i: number) =>
  [2, 3, 5].map((base) => {
    let [at, share] = [0, 1 / base];
    for (let n = i; n > 0; n = Math.floor(n / base), share /= base) at += (n % base) * share;
    return at;
  });

/** Angle of wood on a circle at a share of the height. */
const woodOn = (made: Made, radius: number, share: number): number =>
  laidAt(layOut(made), share * made.heightMm)
    .flatMap((piece) => arcsInside(outlineAtHeight(piece, share * made.heightMm), radius))
    .reduce((sum, { from, to }) => sum + to - from, 0);

describe.each(START_IDS)('to start from “%s”', (start) => {
  test('it has a name and a word on when to use it; unknown keys are refused; what it begins with can be made', () => {
    expect(STARTS[start].name).not.toBe('');
    expect(STARTS[start].says.length).toBeGreaterThan(10);
    const making = begun(start, { segments: 12, body: 'thick' });
    if (!making) return expect(start).toBe('stock');
    expect(makingSchema.safeParse(making).data).toEqual(making);
    expect(makingSchema.safeParse({ ...making, colour: 'red' }).success).toBe(false);
    expect(makeRing(making, needFor(making, NEED)).ok).toBe(true);
    expect(startOf(making)).toBe(start);
    expect(calledOf(making)).toBe(STARTS[start].name);
  });
});

describe.each(FAMILIES)('rings of the family “%s”', (way) => {
  const cases = fc
    .record({ making: makingOf(way), need: anyNeed })
    .map(({ making, need }) => ({ making, need: way === 'stock' ? NEED : needFor(making, need) }))
    .map((given) => ({ ...given, made: makeRing(given.making, given.need) }))
    .filter(({ made }) => made.ok)
    .map(({ making, need, made }) => ({ making, need, made: (made as { value: Made }).value }));
  const always = (holds: (given: { making: RingMaking; need: typeof NEED; made: Made }) => void, runs = 40) =>
    fc.assert(
      fc.property(cases, (given) => holds(given as never)),
      { numRuns: runs, endOnFailure: true },
    );

  test('random parameters are allowed, and refusals are sentences with figures', () => {
    fc.assert(
      fc.property(makingOf(way), anyNeed, (making, need) => {
        expect(makingSchema.safeParse(making).error).toBeUndefined();
        const made = makeRing(making, need);
        if (!made.ok) for (const { message } of made.reasons) expect(plain(message)).toMatch(/\d.*\.$/);
        const near = made.ok ? null : insteadOf(making, need);
        if (near) expect(makeRing(near, need).ok).toBe(true);
      }),
    );
  });

  test('lays out one piece for each place, and counts the same pieces', () =>
    always(({ making, made }) => {
      const places = Array.from({ length: placesOf(making) }, (_, place) => place);
      const laid = [...new Set(layOut(made).map(({ place }) => place))];
      expect(made.kinds.flatMap((kind) => kind.places).sort((a, b) => a - b)).toEqual(laid);
      if (!mayBeEmpty(making)) expect(laid).toEqual(places);
      expect(made.groups).toEqual(groupsOf(making));
      const segments = segmentsOf(making);
      if (segments !== null) expect(segmentsOf(withSegments(making, segments))).toBe(segments);
    }));

  test('volume of the laid-out pieces is that of the pieces as they are sawn', () =>
    always(({ made }) => {
      if (made.groups.some(({ name, count }) => name === 'Plug' && count === 1)) return;
      /** What a strip kind saws of one piece; null of others. */
      const sawnOf = ({ stock, heightMm }: Made['kinds'][number]): number | null => {
        const piece = mitred(stock);
        if (!piece) return null;
        return ((piece.longEdgeMm + piece.shortEdgeMm) / 2) * piece.widthMm * heightMm;
      };
      for (const { places, ...kind } of made.kinds) {
        if (sawnOf({ places, ...kind }) === null) continue;
        for (const place of places.slice(0, 3)) {
          const whole = made.together.find((set) => set.includes(place)) ?? [place];
          // What is put together in front of a backing is no strip: the backing stands for itself, less what is let into it.
          const kinds = made.kinds.filter((other) => other.places.some((at) => whole.includes(at)));
          if (!kinds.some((other) => sawnOf(other) !== null && other.name !== 'Backing')) {
            const own = sawnOf({ places, ...kind })!;
            expect(volumeOfAll(made.lay(place)) / own).toBeLessThan(1 + 1e-6);
            continue;
          }
          // Layers that are sawn together off one board make up a segment together.
          const sawn = made.kinds
            .filter((other) => other.places.some((at) => whole.includes(at)))
            .reduce((sum, other) => sum + (sawnOf(other) ?? 0), 0);
          const laid = whole.reduce((sum, each) => sum + volumeOfAll(made.lay(each)), 0);
          expect(laid / sawn).toBeCloseTo(1, 6);
        }
      }
    }));

  test('sampling gives the piece that the outlines hold, and no two hold one point', () =>
    always(({ made }) => {
      const pieces = layOut(made);
      const wrong = Array.from({ length: 60 }, (_, i) => {
        const [a, b, c] = scattered(i + 1) as [number, number, number];
        const { x, y } = polar(made.cornerMm * Math.sqrt(b), (a + 0.1234567) * 2 * Math.PI);
        const held = holders(pieces, x, y, c * made.heightMm);
        const found = made.placeAt(x, y, c * made.heightMm);
        const right =
          held.length === 1 || (held.length > 1 && found === null)
            ? held[0] === found
            : held.length === 0
              ? found === null || plugged(made, [found])
              : held.includes(found!);
        const apart = held.length <= 1 || plugged(made, held);
        return right && apart ? [] : [{ x, y, held, found }];
      }).flat();
      expect(wrong).toEqual([]);
      expect(made.placeAt(made.gives.outerRadiusMm * 0.99, 0, made.heightMm + 0.1)).toBeNull();
    }));

  test('the volume found by sampling is the volume of the pieces', () =>
    always(({ made }) => {
      const counted = layOut(made).reduce((sum, piece) => sum + volumeOf(piece), 0);
      const points = 20000;
      let hits = 0;
      for (let i = 1; i <= points; i++) {
        const [a, b, c] = scattered(i) as [number, number, number];
        const [x, y] = [(2 * a - 1) * made.cornerMm, (2 * b - 1) * made.cornerMm];
        if (made.placeAt(x, y, c * made.heightMm) !== null) hits++;
      }
      const box = 4 * made.cornerMm ** 2 * made.heightMm;
      expect(Math.abs((hits / points) * box - counted)).toBeLessThan(0.005 * box);
    }, 12));

  test('holds the ring that must survive, exactly, and reaches no farther than its corner', () =>
    always(({ making, need, made }) => {
      if (way !== 'stock' && made.lean === 0) {
        expect(made.gives.outerRadiusMm).toBeGreaterThanOrEqual(need.outerRadiusMm - 1e-9);
        expect(made.gives.innerRadiusMm).toBeLessThanOrEqual(need.innerRadiusMm + 1e-9);
      }
      const full = made.closed
        ? 2 * Math.PI
        : woodOn(made, (made.gives.outerRadiusMm + made.gives.innerRadiusMm) / 2, SHARES[1]);
      /** Parallel gaps take more of a small circle than of a large one. */
      const loose = made.closed || made.radial;
      for (const share of SHARES) {
        const { outerRadiusMm, innerRadiusMm } = bandAt(made, share * made.heightMm);
        if (loose) expect(woodOn(made, outerRadiusMm - 1e-4, share)).toBeCloseTo(full, 5);
        if (loose && innerRadiusMm > 0.1)
          expect(woodOn(made, innerRadiusMm + 1e-4, share)).toBeCloseTo(full, 5);
      }
      // A slice of a leaning ring is as large as all of that has to be; a shell touches its spheres here and there.
      const exact =
        made.closed && made.ball === null && !(making.way === 'segmented' && making.lean && making.after);
      const some = (radius: (band: ReturnType<typeof bandAt>) => number) =>
        Math.min(...SHARES.map((share) => woodOn(made, radius(bandAt(made, share * made.heightMm)), share)));
      if (exact) expect(some(({ outerRadiusMm }) => outerRadiusMm * 1.001 + 0.05)).toBeLessThan(full - 1e-6);
      if (exact && made.gives.innerRadiusMm > 1)
        expect(some(({ innerRadiusMm }) => innerRadiusMm * 0.999 - 0.05)).toBeLessThan(full - 1e-6);
      for (const { bottom, top } of layOut(made))
        expect(farthest([...bottom, ...top])).toBeLessThanOrEqual(made.cornerMm * 1.0002);
    }));

  test('comes to itself as often as it says', () =>
    always(({ made }) => {
      let first = 0;
      for (const { count } of made.groups) {
        const step = count / made.repeats;
        if (Number.isInteger(step))
          for (let i = 0; i < count; i++) {
            const [laid, next] = [made.lay(first + i)[0], made.lay(first + ((i + step) % count))[0]];
            expect(laid === undefined).toBe(next === undefined);
            if (!laid || !next) continue;
            const [here, there] = [turned(laid.bottom, (2 * Math.PI) / made.repeats), next.bottom];
            expect(area(here)).toBeCloseTo(area(there), 6);
            expect(here[0]!.x).toBeCloseTo(there[0]!.x, 6);
            expect(here[0]!.y).toBeCloseTo(there[0]!.y, 6);
          }
        first += count;
      }
    }, 15));

  test('says what is done and what to beware of, in figures that are finite', () =>
    always(({ making, made }) => {
      expect(made.steps(UNSANDED).length).toBeGreaterThan(1);
      expect(cautionsOf(made.steps(UNSANDED)).length).toBeGreaterThan(0);
      const ids = made.steps(UNSANDED).map(({ id }) => id);
      expect(new Set(ids).size).toBe(ids.length);
      for (const { step } of made.pictures?.() ?? []) expect(ids).toContain(step);
      expect(
        made
          .steps(UNSANDED)
          .map(({ says }) => plain(says))
          .join(' ') + JSON.stringify([made.kinds, made.figures]),
      ).not.toMatch(/NaN|null|undefined/);
      expect((2 * Math.PI) / pitchOf(making)).toBeGreaterThan(0.99);
    }));
});

/** A plug goes before what is drawn with a many-sided rim round it. */
const plugged = (made: Made, places: readonly number[]): boolean =>
  places.some((place) => made.kinds.some((kind) => kind.name === 'Plug' && kind.places.includes(place)));

test('a ring with no width is refused with its figures', () => {
  const refused = makeRing(
    { way: 'segmented', count: 12 },
    { outerRadiusMm: mm(50), innerRadiusMm: mm(50), heightMm: mm(10) },
  );
  expect(refused).toMatchObject({ ok: false, reasons: [{ code: 'ring-no-width' }] });
});

test('a ring that came out smaller keeps its strips: the hole is smaller too', () => {
  const flatMade = ringAsMeasured({ way: 'segmented', count: 12 }, NEED, mm(98));
  // Strips keep their width: Ri = (Ro − w) / cos θ with w = 100 − 80·cos 15°.
  const width = 100 - 80 * Math.cos(Math.PI / 12);
  expect(flatMade.innerRadiusMm).toBeCloseTo((98 - width) / Math.cos(Math.PI / 12), 9);
  const spacedMade = ringAsMeasured(
    {
      way: 'segmented',
      count: 12,
      between: { put: 'spacers', spacers: { at: 'every', thicknessMm: mm(3) } },
    },
    NEED,
    mm(98),
  );
  expect(spacedMade.innerRadiusMm).toBeLessThan(80);
  expect(ringAsMeasured({ way: 'disc' }, { ...NEED, innerRadiusMm: mm(0) }, mm(98))).toMatchObject({
    outerRadiusMm: 98,
    innerRadiusMm: 0,
  });
});
