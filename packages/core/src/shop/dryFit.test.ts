import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { degrees, fromDegrees, mm } from '../measure/quantity.js';
import { plain as inMm } from '../measure/said.js';
import { between } from '../testing/numbers.js';
import { planned } from '../testing/pieces.js';
import { closingWedge, diagnosed, recut } from './dryFit.js';
import { halvesOf } from './halves.js';
import { meantRing } from './meant.js';
import { waysOut, wrongSaid } from './waysOut.js';
import { whatItDoes } from './whatItDoes.js';
import { angleAllowed, cutWrong, gapesOf, laidDry, type MeantRing, type WrongRing } from './wrongAngle.js';

interface At {
  readonly x: number;
  readonly y: number;
}
/** Outer left, outer right, inner right, inner left. */
type Corners = readonly [At, At, At, At];

/** A segment as it is cut, lying with its long edge on the x axis: from stop, strip width and saw angle alone. */
const sawn = (longEdge: number, width: number, angle: number): Corners => {
  const slant = width * Math.tan(angle);
  return [
    { x: 0, y: 0 },
    { x: longEdge, y: 0 },
    { x: longEdge - slant, y: width },
    { x: slant, y: width },
  ];
};

/** A segment moved so that its left mitre lies on the right one of the segment before it, outer corners together. */
function beside(before: Corners, next: Corners): Corners {
  const along = (from: At, to: At) => Math.atan2(to.y - from.y, to.x - from.x);
  const turn = along(before[1], before[2]) - along(next[0], next[3]);
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return next.map(({ x, y }) => ({
    x: before[1].x + (x - next[0].x) * cos - (y - next[0].y) * sin,
    y: before[1].y + (x - next[0].x) * sin + (y - next[0].y) * cos,
  })) as unknown as Corners;
}

const chain = (segments: readonly Corners[]): Corners[] => {
  const placed: Corners[] = [segments[0]!];
  for (const next of segments.slice(1)) placed.push(beside(placed.at(-1)!, next));
  return placed;
};
const apart = (p: At, q: At) => Math.hypot(p.x - q.x, p.y - q.y);
const alike = ({ count, longEdgeMm, widthMm, cutAngle }: WrongRing, times = count) =>
  chain(Array.from({ length: times }, () => sawn(longEdgeMm, widthMm, cutAngle)));

const ring = (count: number, flat: number, width: number): MeantRing => ({
  count,
  longEdgeMm: mm(2 * flat * Math.tan(Math.PI / count)),
  widthMm: mm(width),
});
const anyWrong = fc
  .record({
    count: fc.integer({ min: 6, max: 48 }),
    flat: between(30, 200),
    share: between(0.05, 0.6),
    error: between(-0.3, 0.3).filter((error) => Math.abs(error) > 1e-3),
  })
  .map(({ count, flat, share, error }) => cutWrong(ring(count, flat, share * flat), fromDegrees(error)));

describe('a ring with one wrong angle', () => {
  test('its last joint gapes as segments laid one to the other do', () => {
    fc.assert(
      fc.property(anyWrong, (wrong) => {
        const placed = alike(wrong);
        const [first, last] = [placed[0]!, placed.at(-1)!];
        const { outsideMm, insideMm } = gapesOf(wrong).last;
        expect(Math.abs(outsideMm)).toBeCloseTo(apart(last[1], first[0]), 6);
        expect(Math.abs(insideMm)).toBeCloseTo(apart(last[2], first[3]), 6);
        expect(Math.sign(outsideMm) || 0).toBe(Math.sign(-wrong.error) || 0);
      }),
    );
  });
  // Common practice: 12 segments, 125 and 100 mm, 0.1°: 5.5 mm at the last joint, 0.10 mm at each when spread.
  test('a tenth of a degree by hand', () => {
    const { last, each } = gapesOf(cutWrong(ring(12, 125, 25), fromDegrees(-0.1)));
    expect(last.outsideMm).toBeCloseTo(5.46, 2);
    expect(each.gapeMm).toBeCloseTo(0.09, 2);
    expect(each.at).toBe('outside');
    expect(degrees(angleAllowed(ring(12, 125, 25), 0.1))).toBeCloseTo(0.11, 2);
    expect(degrees(angleAllowed(ring(12, 125, 125), 0.1))).toBeCloseTo(0.022, 3);
    expect(gapesOf(cutWrong(ring(12, 125, 25), fromDegrees(0))).each.at).toBeNull();
  });
});

describe('the doctor', () => {
  test('finds the angle again from what is seen, in one joint or in all, and says which way', () => {
    fc.assert(
      fc.property(anyWrong, (wrong) => {
        const { last, each } = gapesOf(wrong);
        fc.pre(Math.abs(last.outsideMm) < 0.2 * wrong.widthMm);
        // Too steep, the last joint is closed where it would overlap: it stands open inside by as much as it overlaps outside less.
        const [outside, inside] =
          wrong.error < 0 ? [last.outsideMm, last.insideMm] : [0, last.insideMm - last.outsideMm];
        const one = diagnosed(wrong, { joints: 'last', outsideMm: mm(outside), insideMm: mm(inside) });
        expect(one.ok ? one.value.error / wrong.error : 0).toBeCloseTo(1, 2);
        const all = diagnosed(wrong, { joints: 'all', at: each.at!, gapeMm: each.gapeMm });
        expect(all.ok ? all.value.error / wrong.error : 0).toBeCloseTo(1, 2);
      }),
    );
  });
  // Two halves laid corner by corner, the one half a turn from the other, and moved together until they touch.
  test('two halves that do not meet, laid out and moved together', () => {
    fc.assert(
      fc.property(anyWrong, (wrong) => {
        fc.pre(wrong.count % 2 === 0 && Math.abs(wrong.error) > 1e-5);
        const half = laidDry(wrong).slice(0, wrong.count / 2);
        const turn = -(wrong.count * wrong.error) / 2;
        // From above the line on which the halves meet: outer and inner corner of the face at its beginning.
        const up = ({ x, y }: { x: number; y: number }) => x * Math.sin(turn) + y * Math.cos(turn);
        const [outer, , , inner] = half[0]!.map(up);
        const at = outer! > inner! ? 'outside' : 'inside';
        const seen = { joints: 'halves', at, gapeMm: mm(2 * Math.abs(outer! - inner!)) } as const;
        const found = diagnosed(wrong, seen);
        if (found.ok) expect(found.value.error / wrong.error).toBeCloseTo(1, 2);
      }),
    );
    expect(diagnosed(ring(13, 100, 20), { joints: 'halves', at: 'inside', gapeMm: mm(0.1) }).ok).toBe(false);
  });
  test('refuses what cannot come from an angle', () => {
    for (const gapeMm of [-1, 30])
      expect(diagnosed(ring(12, 100, 20), { joints: 'all', at: 'inside', gapeMm: mm(gapeMm) }).ok).toBe(
        false,
      );
  });
});

describe('the ways out', () => {
  test('recut at the right angle the ring closes, from wood that is there', () => {
    fc.assert(
      fc.property(anyWrong, (wrong) => {
        const { longEdgeMm, cutAngle, radiusLostMm } = recut(wrong);
        const before = wrong.longEdgeMm - 2 * wrong.widthMm * Math.tan(wrong.cutAngle);
        const after = longEdgeMm - 2 * wrong.widthMm * Math.tan(cutAngle);
        expect(longEdgeMm).toBeLessThanOrEqual(wrong.longEdgeMm + 1e-9);
        expect(after).toBeLessThanOrEqual(before + 1e-9);
        // One end of each mitre is kept.
        expect(Math.min(wrong.longEdgeMm - longEdgeMm, before - after)).toBeCloseTo(0, 9);
        const right = cutWrong({ ...wrong, longEdgeMm }, fromDegrees(0));
        const placed = alike(right);
        expect(apart(placed.at(-1)![1], placed[0]![0])).toBeLessThan(1e-7);
        const meant = wrong.longEdgeMm / (2 * Math.tan(Math.PI / wrong.count));
        expect(right.outerFlatMm).toBeCloseTo(meant - radiusLostMm, 7);
      }),
    );
  });
  test('one exact wedge closes the others, corner to corner', () => {
    fc.assert(
      fc.property(anyWrong, (wrong) => {
        const wedge = closingWedge(wrong);
        fc.pre(wedge !== null);
        const one = sawn(wedge!.longEdgeMm, wedge!.widthMm, wedge!.cutAngle);
        const rest = Array.from({ length: wrong.count - 1 }, () =>
          sawn(wrong.longEdgeMm, wrong.widthMm, wrong.cutAngle),
        );
        const placed = chain([...rest, one]);
        expect(apart(placed.at(-1)![1], placed[0]![0])).toBeLessThan(1e-6);
        expect(apart(placed.at(-1)![2], placed[0]![3])).toBeLessThan(1e-6);
        expect(Math.sign(wedge!.widerMm) || 0).toBe(Math.sign(-wrong.error) || 0);
      }),
    );
    expect(closingWedge(cutWrong(ring(48, 60, 10), fromDegrees(0.1)))).toBeNull();
  });
  test('two halves, sanded straight: flats, hole and what comes off, measured on segments that are laid down', () => {
    fc.assert(
      fc.property(anyWrong, (wrong) => {
        fc.pre(wrong.count % 2 === 0);
        const halves = halvesOf(wrong);
        fc.pre(halves !== null);
        const placed = alike(wrong, wrong.count / 2);
        // The joint lies on the line through the outer corners of both ends, or through the inner ones.
        const ends = [placed[0]!, placed.at(-1)!];
        const outer = [ends[0]![0], ends[1]![1]];
        const inner = [ends[0]![3], ends[1]![2]];
        const [on, off] = wrong.error < 0 ? [outer, inner] : [inner, outer];
        const centre = { x: (on[0]!.x + on[1]!.x) / 2, y: (on[0]!.y + on[1]!.y) / 2 };
        const long = apart(on[0]!, on[1]!);
        const axis = { x: (on[1]!.x - on[0]!.x) / long, y: (on[1]!.y - on[0]!.y) / long };
        const above = (p: At) => axis.x * (p.y - centre.y) - axis.y * (p.x - centre.x);
        for (const p of off) expect(Math.abs(above(p))).toBeCloseTo(halves!.sandedMm, 6);
        const flats = placed.map(([p, q]) => {
          const side = apart(p, q);
          return Math.abs((q.x - p.x) * (p.y - centre.y) - (q.y - p.y) * (p.x - centre.x)) / side;
        });
        expect(Math.min(...flats)).toBeCloseTo(halves!.leastFlatMm, 6);
        expect(Math.max(...flats)).toBeCloseTo(halves!.mostFlatMm, 6);
        // The hole: every point of the inner edges on this side of the joint, walked in small steps.
        let hole = 0;
        for (const [, , q, p] of placed)
          for (let i = 0; i <= 4000; i++) {
            const at = { x: p.x + ((q.x - p.x) * i) / 4000, y: p.y + ((q.y - p.y) * i) / 4000 };
            const side = above(at) * Math.sign(above(placed[placed.length >> 1]![0]));
            if (side >= -1e-9) hole = Math.max(hole, apart(at, centre));
          }
        expect(hole).toBeLessThanOrEqual(halves!.holeMm + 1e-6);
        expect(halves!.holeMm - hole).toBeLessThan(0.02);
      }),
      { numRuns: 40 },
    );
  });
  // Common practice: 12 segments, 100 and 80 mm, a tenth of a degree too small: 99.65 to 100.41.
  test('two halves by hand; an odd count has none', () => {
    const halves = halvesOf(cutWrong(ring(12, 100, 20), fromDegrees(-0.1)));
    expect(halves!.leastFlatMm).toBeCloseTo(99.65, 2);
    expect(halves!.mostFlatMm).toBeCloseTo(100.41, 2);
    // 20 / cos 14.9° · sin 0.6°.
    expect(halves!.sandedMm).toBeCloseTo(0.2167, 3);
    expect(halvesOf(cutWrong(ring(11, 100, 20), fromDegrees(-0.1)))).toBeNull();
  });
});

describe('from the plan to the words', () => {
  const demos = demoProjects();
  const ringsOf = (name: string) => planned(demos.find((demo) => demo.name.includes(name))!).rings;
  test('rings with one upright mitre are read from the plan, others are refused', () => {
    const cup = ringsOf('Cup');
    const read = cup.map((ring) => meantRing(ring));
    const plain = read.flatMap((each) => (each.ok ? [each.value] : []));
    expect(plain.length).toBeGreaterThan(8);
    for (const { count, longEdgeMm, widthMm } of plain) {
      // Long edge = 2·tan(π/N) times the middle of the outer flat.
      const flat = longEdgeMm / (2 * Math.tan(Math.PI / count));
      const ring = cup[read.findIndex((each) => each.ok && each.value.longEdgeMm === longEdgeMm)]!;
      expect(flat).toBeCloseTo(ring.cornerMm * Math.cos(Math.PI / count), 6);
      expect(widthMm).toBeLessThan(flat);
    }
    expect(meantRing(cup[0]!).ok).toBe(false);
    const leaning = demos
      .flatMap((demo) => planned(demo).rings)
      .filter(({ pieces }) =>
        pieces.some(({ kind: { stock } }) => 'bladeTilt' in stock && (stock.bladeTilt ?? 0) > 0),
      );
    expect(leaning.length).toBeGreaterThan(0);
    for (const ring of leaning) expect(meantRing(ring).ok).toBe(false);
  });
  test('every way out says what to set and what it costs', () => {
    const small = cutWrong(ring(12, 100, 20), fromDegrees(-0.1));
    expect(inMm(wrongSaid(small))).toBe(
      'Every mitre is 0.1° too small: set the saw up by that, to 15° true.',
    );
    expect(waysOut(small).map(({ id }) => id)).toEqual(['recut', 'halves', 'wedge']);
    expect(inMm(waysOut(small)[1]!.price)).toMatch(
      /^0.22 mm comes off .* 99.65 mm radius of 100 mm; the flats are 0.7\d mm/,
    );
    const large = cutWrong(ring(11, 100, 20), fromDegrees(0.1));
    expect(waysOut(large).map(({ id }) => id)).toEqual(['recut', 'wedge']);
    expect(inMm(waysOut(large)[1]!.price)).toContain('narrower');
    expect(waysOut(cutWrong(small, fromDegrees(0)))).toEqual([]);
    const does = whatItDoes(ring(12, 100, 20));
    const tenth = does.find(({ error }) => Math.abs(degrees(error) - 0.1) < 1e-9)!;
    expect(tenth.lastMm).toBeCloseTo(gapesOf(small).last.outsideMm, 9);
    expect(tenth.outOfRoundMm).toBeCloseTo(halvesOf(small)!.outOfRoundMm, 9);
  });
  test('the ring that is drawn has the gap that is told', () => {
    const wrong = cutWrong(ring(18, 90, 15), fromDegrees(-0.2));
    const drawn = laidDry(wrong);
    expect(apart(drawn.at(-1)![1]!, drawn[0]![0]!)).toBeCloseTo(gapesOf(wrong).last.outsideMm, 9);
    expect(apart(drawn[0]![0]!, drawn[0]![1]!)).toBeCloseTo(wrong.longEdgeMm, 9);
  });
});
