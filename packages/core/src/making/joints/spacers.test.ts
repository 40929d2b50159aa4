import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { between } from '../../testing/numbers.js';
import { worded } from '../../testing/rings.js';
import { placesIn, volumeOfAll } from '../layOut.js';
import { makeRing, makingSchema } from '../registry.js';
import type { SegmentedParams } from '../segmented/params.js';
import { segmented } from '../segmented/segmented.js';
import type { StripStock } from '../stock.js';
import { nearestBalanced } from './balanced.js';
import { jointingOf } from './between.js';
import { closes, misfit, ovalOf, shiftsOf } from './closing.js';
import { largestShift, pushed } from './ring.js';

/** Thickness of the spacer at every joint. */
const thicknessesOf = ({ count, between }: SegmentedParams) => jointingOf(count, between).thicknesses;

const need = { outerRadiusMm: mm(100), innerRadiusMm: mm(80), heightMm: mm(20) };
const evenly = (count: number, number: number, s: number): SegmentedParams => ({
  way: 'segmented',
  count,
  between: { put: 'spacers', spacers: { at: 'even', number, thicknessMm: mm(s) } },
});
const picked = (count: number, joints: readonly number[], s = 3): SegmentedParams => ({
  way: 'segmented',
  count,
  between: {
    put: 'spacers',
    spacers: { at: 'picked', joints: joints.map((joint) => ({ joint: joint % count, thicknessMm: mm(s) })) },
  },
});
const made = (params: SegmentedParams, outer = 100, inner = 80) => {
  const ring = makeRing(params, { outerRadiusMm: mm(outer), innerRadiusMm: mm(inner), heightMm: mm(20) });
  if (!ring.ok) throw new Error(plain(ring.reasons[0]!.message));
  return ring.value;
};

describe('sizes of a spaced ring', () => {
  test('a spacer at every joint pushes segments out by s / 2 sin θ: 12 of 3 mm need a plug of 5.80 mm', () => {
    const shifts = shiftsOf(thicknessesOf(evenly(12, 12, 3)));
    expect(largestShift(pushed(shifts))).toBeCloseTo(3 / (2 * Math.sin(Math.PI / 12)), 10);
    expect(largestShift(pushed(shifts))).toBeCloseTo(5.8, 2);
    const stock = made(evenly(12, 12, 3)).kinds[0]!.stock as StripStock;
    // Lo = 2·Ro·tan θ − s / cos θ
    expect(stock.longEdgeMm).toBeCloseTo(200 * Math.tan(Math.PI / 12) - 3 / Math.cos(Math.PI / 12), 9);
  });

  test('at M evenly spread joints: the closed formulas for panels of p segments, odd and even', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 9 }),
        fc.integer({ min: 1, max: 8 }),
        between(0.3, 8),
        between(60, 150),
        between(0.5, 0.9),
        (M, p, s, Ro, share) => {
          const N = M * p;
          if (N < 3) return;
          const theta = Math.PI / N;
          const Ri = Ro * share;
          const d = s / 2 / Math.sin(Math.PI / M);
          const ring = makeRing(evenly(N, M, s), {
            outerRadiusMm: mm(Ro),
            innerRadiusMm: mm(Ri),
            heightMm: mm(20),
          });
          if (!ring.ok) return;
          const { widthMm, longEdgeMm } = ring.value.kinds[0]!.stock as StripStock;
          const Ao = longEdgeMm / (2 * Math.tan(theta));
          // The formula takes the foot on the last segment's face for granted; thick spacers move it off.
          if (d * Math.sin((p - 1) * theta) > Ao * Math.tan(theta)) return;
          const flats = Ro - d * Math.cos((p - 1) * theta);
          const ends = (Ro - d * Math.cos(p * theta)) * Math.cos(theta);
          expect(Ao).toBeCloseTo(Math.max(flats, ends), 7);
          const c =
            p % 2 === 0 ? Ri - d : Math.sqrt(Ri ** 2 - (d * Math.sin(theta)) ** 2) - d * Math.cos(theta);
          expect(widthMm).toBeCloseTo(Ao - c * Math.cos(theta), 7);
          const C = Ao / Math.cos(theta);
          const corner = p % 2 === 0 ? C + d : Math.sqrt(C ** 2 + d ** 2 + 2 * d * C * Math.cos(theta));
          expect(ring.value.cornerMm).toBeCloseTo(corner, 7);
        },
      ),
    );
  });

  test('spacers are blanks of s × (w / cos θ) × h, and each has a wood of its own', () => {
    const { kinds, groups } = made(evenly(12, 4, 3));
    const segment = kinds[0]!.stock as StripStock;
    const spacer = kinds[1]!.stock as StripStock;
    expect(groups.map(({ name, count }) => `${count} ${name}`)).toEqual(['12 Segment', '4 Spacer']);
    expect([spacer.widthMm, spacer.thicknessMm]).toEqual([expect.closeTo(3, 9), 20]);
    expect(spacer.longEdgeMm).toBeCloseTo(segment.widthMm / Math.cos(Math.PI / 12), 9);
  });
});

describe('what closes', () => {
  test('one alone, or an unbalanced set, does not, by |Σ s·e^{iφ}|; two opposite ones do, with an oval of s', () => {
    expect(misfit(thicknessesOf(picked(12, [0])))).toBeCloseTo(3, 12);
    // Two spacers a quarter turn apart: 3·√2.
    expect(misfit(thicknessesOf(picked(12, [0, 3])))).toBeCloseTo(4.2426, 4);
    const pair = thicknessesOf(picked(12, [1, 7]));
    expect(closes(pair)).toBe(true);
    expect(ovalOf(pair)).toBeCloseTo(3, 10);
    expect(made(picked(12, [1, 7])).warnings.map(({ code }) => code)).toEqual(['oval']);
    // Lobes are no oval: only the two-fold part is one, and regular sets of three or more have none.
    for (const [count, number] of [
      [12, 12],
      [24, 8],
      [24, 3],
      [20, 4],
    ] as const)
      expect(ovalOf(thicknessesOf(evenly(count, number, 3)))).toBeCloseTo(0, 10);
  });

  test('a refusal names the misfit and the nearest set, which closes and can be made', () => {
    const given = picked(12, [0, 4]);
    const refused = makeRing(given, need);
    expect(worded(refused)).toMatchObject({
      ok: false,
      reasons: [
        {
          code: 'does-not-close',
          message: expect.stringMatching(/do not close: the last joint is 3 mm out.*joints 1, 5, 9/),
        },
      ],
    });
    const near = segmented.instead!(given, need)!;
    expect(thicknessesOf(near).filter((s) => s > 0)).toHaveLength(3);
    expect(makeRing(near, need).ok).toBe(true);
  });

  test('the nearest set is no farther than any other that closes (all sets of small rings)', () => {
    for (const count of [4, 6, 8, 9, 10])
      for (let given = 1; given < 1 << count; given += 5) {
        const bits = (set: number) => Array.from({ length: count }, (_, j) => ((set >> j) & 1 ? 2 : 0));
        const far = (set: readonly number[]) => set.filter((s, j) => s > 0 !== bits(given)[j]! > 0).length;
        let best = Infinity;
        for (let set = 1; set < 1 << count; set++)
          if (closes(bits(set))) best = Math.min(best, far(bits(set)));
        const near = nearestBalanced(bits(given));
        expect(near === null ? Infinity : far(near)).toBe(best);
      }
  });

  test('large rings are answered by regular polygons', () => {
    const near = nearestBalanced(thicknessesOf(picked(120, [0, 30, 60, 75, 90])))!;
    expect(closes(near)).toBe(true);
    expect(near.some((s) => s > 0)).toBe(true);
  });
});

describe('spacers of layers', () => {
  const layered = (layersMm: readonly number[], turned: 'none' | 'second' = 'none'): SegmentedParams => ({
    ...evenly(12, 12, 4),
    between: {
      put: 'spacers',
      spacers: { at: 'every', thicknessMm: mm(4), layers: { layersMm: layersMm.map((l) => mm(l)), turned } },
    },
  });
  test('every layer is a kind of its own, however thick; together they are the spacer of one piece', () => {
    const [one, two] = [made(evenly(12, 12, 4)), made(layered([2]))];
    expect(two.kinds.slice(1).map(({ name, places }) => [plain(name), places.length])).toEqual([
      ['Spacer, layer 1', 12],
      ['Spacer, layer 2', 12],
    ]);
    const volume = (ring: typeof one, from: number) =>
      Array.from({ length: placesIn(ring.groups) - from }, (_, i) => volumeOfAll(ring.lay(from + i))).reduce(
        (sum, each) => sum + each,
      );
    expect(volume(two, 12)).toBeCloseTo(volume(one, 12), 6);
    expect(two.gives).toEqual(one.gives);
  });
  test('what leaves nothing for the last layer, and an odd number with every other turned over, are refused', () => {
    const wrong = (params: SegmentedParams) => makingSchema.safeParse(params).error?.issues[0]?.message;
    expect(plain(JSON.parse(wrong(layered([1, 3]))!))).toMatch(
      /4 mm thick and the thinnest spacer 4 mm; nothing is left/,
    );
    expect(wrong({ ...layered([1], 'second'), count: 9 })).toMatch(/There are 9 spacers; .* has to be even/);
  });
});

describe('rings that cannot be', () => {
  test('spacers as thick as the edge, a hole that is too small, joints that are not there', () => {
    expect(worded(makeRing(evenly(24, 24, 40), need))).toMatchObject({
      reasons: [
        { code: 'no-edge-left', message: expect.stringMatching(/40 mm thick and the edge.*26.33 mm/) },
      ],
    });
    const solid = { ...need, innerRadiusMm: mm(4) };
    expect(worded(makeRing(evenly(12, 12, 3), solid))).toMatchObject({
      reasons: [{ code: 'hole-too-small', message: expect.stringMatching(/smaller than 11.59 mm across/) }],
    });
    const plugged = segmented.instead!(evenly(12, 12, 3), solid)!;
    expect(plugged.plug?.diameterMm).toBe(16);
    expect(makeRing(plugged, solid)).toMatchObject({ ok: true, value: { gives: { innerRadiusMm: 0 } } });
    for (const [params, sentence] of [
      [evenly(12, 5, 3), /5 spacers do not go evenly into 12.*1, 2, 3, 4, 6, 12/],
      [{ ...picked(12, [3]), count: 3 }, /Joint 4 is not there/],
      [picked(12, [2, 14]), /Joint 3 is given two/],
    ] as const)
      expect(makingSchema.safeParse(params).error?.issues[0]?.message).toMatch(sentence);
  });
});
