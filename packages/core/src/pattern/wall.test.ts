import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { lots } from '../measure/lots.js';
import { plain } from '../measure/said.js';
import { prepare } from '../project/prepare.js';
import type { Project } from '../project/schema.js';
import { bordersIn, wallOf } from '../project/wall.js';
import { between } from '../testing/numbers.js';
import { cutOut, layBlock, mirroredBlock } from './block.js';
import { bordersOf } from './borders.js';
import { column, diagonal, patch, repeated, type Spot, type Wall } from './reach.js';
import { middleOf } from './showing.js';

const prepared = (project: Project) => {
  const made = prepare(project);
  if (!made.ok) throw new Error(plain(made.reasons[0]!.message));
  return made.value;
};
const cup = prepared(demoProjects()[0]!);
const lantern = prepared(demoProjects()[3]!);
const [cupWall, lanternWall] = [wallOf(cup), wallOf(lantern)];

/** Rings of equal segments and turns, without any geometry of a piece. */
const plainWall = (...rings: (readonly [count: number, turn: number])[]): Wall =>
  rings.map(([count, turn]) => ({
    segments: count,
    stretches: Array.from({ length: count }, (_, place) => {
      const from = ((((place + turn) / count) % 1) + 1) % 1;
      return { place, from, to: from + 1 / count };
    }).sort((a, b) => a.from - b.from),
  }));
const anyWall = fc
  .array(fc.tuple(fc.integer({ min: 3, max: 24 }), fc.constantFrom(0, 0.5, 0.25)), {
    minLength: 1,
    maxLength: 7,
  })
  .map((rings) => plainWall(...rings));

const name = ({ ring, place }: Spot) => `${ring} ${place}`;
const names = (spots: readonly Spot[]) => spots.map(name).sort();

describe('columns and diagonals', () => {
  test('a column goes straight up: every place of it lies over the middle that it began at', () => {
    const direction = middleOf(cupWall[8]!.stretches.find(({ place }) => place === 5)!);
    const met = column(cupWall, { ring: 8, place: 5 });
    expect(met).toHaveLength(cupWall.length);
    for (const { ring, place } of met) {
      const { from, to } = cupWall[ring]!.stretches.find((stretch) => stretch.place === place)!;
      expect([0, 1].some((lap) => from <= direction + lap + 1e-6 && direction + lap <= to + 1e-6)).toBe(true);
    }
  });
  test('aligned rings: one up, one across; half-turned ones: half a segment', () => {
    expect(names(diagonal(plainWall([12, 0], [12, 0], [12, 0]), { ring: 1, place: 0 }, 1))).toEqual([
      '0 11',
      '1 0',
      '2 1',
    ]);
    const brick = plainWall([12, 0], [12, 0.5], [12, 0]);
    expect(names(diagonal(brick, { ring: 0, place: 0 }, 1))).toEqual(['0 0', '1 0', '2 1']);
    expect(names(diagonal(brick, { ring: 0, place: 3 }, -1))).toEqual(['0 3', '1 2', '2 2']);
    expect(names(diagonal(plainWall([12, 0], [12, 0]), { ring: 0, place: 0 }, 3))).toEqual(['0 0', '1 3']);
  });
  test('a diagonal begun anywhere on it is the same diagonal', () => {
    const wall = plainWall([16, 0], [16, 0.5], [16, 0], [16, 0.5]);
    const whole = names(diagonal(wall, { ring: 0, place: 4 }, 2));
    for (const spot of diagonal(wall, { ring: 0, place: 4 }, 2))
      expect(names(diagonal(wall, spot, 2))).toEqual(whole);
  });
});

/** Fills on a fine grid of points, neighbours up, down and sideways: what a patch is, without knowing of stretches. */
function floodOnGrid(wall: Wall, start: Spot, woodAt: (spot: Spot) => string): string[] {
  const columns = 24 * 23 * 11;
  const grid = wall.map((shown) =>
    Array.from({ length: columns }, (_, x) => {
      const at = (x + 0.5) / columns;
      return shown!.stretches.find(
        ({ from, to }) => (at > from - 1e-9 && at < to + 1e-9) || at + 1 < to + 1e-9,
      )!.place;
    }),
  );
  const seen = new Set<number>();
  const open = grid[start.ring]!.flatMap((place, x) =>
    place === start.place ? [start.ring * columns + x] : [],
  );
  const wood = woodAt(start);
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    const [ring, x] = [Math.floor(next / columns), next % columns];
    if (seen.has(next) || woodAt({ ring, place: grid[ring]![x]! }) !== wood) continue;
    seen.add(next);
    open.push(ring * columns + ((x + 1) % columns), ring * columns + ((x + columns - 1) % columns));
    if (ring > 0) open.push(next - columns);
    if (ring + 1 < wall.length) open.push(next + columns);
  }
  return [
    ...new Set(
      [...seen].map((i) => `${Math.floor(i / columns)} ${grid[Math.floor(i / columns)]![i % columns]!}`),
    ),
  ].sort();
}

test('a patch is what a fill of a fine picture of the wall finds', () => {
  fc.assert(
    fc.property(anyWall, fc.nat(), (wall, seed) => {
      const lot = lots(seed);
      const woods = wall.map((shown) => shown!.stretches.map(() => (lot() < 0.6 ? 'light' : 'dark')));
      const woodAt = ({ ring, place }: Spot) => woods[ring]![place]!;
      const start = { ring: Math.floor(lot() * wall.length), place: 0 };
      expect(names(patch(wall, start, woodAt))).toEqual(floodOnGrid(wall, start, woodAt));
    }),
    { numRuns: 12, endOnFailure: true },
  );
});

test('repeats: images of images are nothing new, and mirrored ones lie opposite the index mark', () => {
  const wall = plainWall([24, 0], [24, 0], [12, 0]);
  const once = repeated(wall, [{ ring: 0, place: 1 }], { fold: 6, mirror: true });
  expect(names(once)).toEqual(
    names([1, 5, 9, 13, 17, 21, 22, 18, 14, 10, 6, 2].map((place) => ({ ring: 0, place }))),
  );
  expect(names(repeated(wall, once, { fold: 6, mirror: true }))).toEqual(names(once));
  expect(names(repeated(wall, [{ ring: 2, place: 0 }], { fold: 1, mirror: true }))).toEqual(['2 0', '2 11']);
});

describe('blocks', () => {
  const toneAt = ({ ring, place }: Spot) => (['light', 'middle', 'dark'] as const)[(ring + place) % 3]!;
  test('a block that is laid where it was cut changes nothing', () => {
    fc.assert(
      fc.property(anyWall, between(0, 0.999), (wall, from) => {
        const block = cutOut(wall, { low: 0, high: wall.length - 1, from, widthTurns: 1 }, toneAt)!;
        const laid = layBlock(wall, block, { ring: 0, from, times: 1 });
        expect(laid).toHaveLength(wall.reduce((sum, shown) => sum + shown!.segments, 0));
        for (const { tone, ...spot } of laid) expect(tone).toBe(toneAt(spot));
      }),
      { numRuns: 60 },
    );
  });
  test('it comes as often as asked for, and mirrored twice it is as it was', () => {
    const wall = plainWall([24, 0]);
    const block = cutOut(wall, { low: 0, high: 0, from: 0, widthTurns: 4 / 24 }, toneAt)!;
    const laid = layBlock(wall, block, { ring: 0, from: 0, times: 4 });
    expect(laid).toHaveLength(16);
    for (const { place, tone } of laid) expect(tone).toBe(toneAt({ ring: 0, place: place % 6 }));
    const twice = mirroredBlock(mirroredBlock(block));
    expect(twice.rows[0]!.map(({ tone }) => tone)).toEqual(block.rows[0]!.map(({ tone }) => tone));
  });
  test('gaps of an open ring stay gaps: what is not there is not laid', () => {
    const block = cutOut(lanternWall, { low: 9, high: 12, from: 0, widthTurns: 1 }, () => 'dark')!;
    const onto = layBlock(plainWall([96, 0], [96, 0], [96, 0], [96, 0]), block, {
      ring: 0,
      from: 0,
      times: 1,
    });
    expect(onto.length).toBeGreaterThan(96);
    expect(onto.length).toBeLessThan(4 * 96);
  });
});

describe('borders between woods', () => {
  const size = [{ slantMm: 10, topRadiusMm: 50 }];
  const woodOf = (_: number, place: number) => (place % 2 === 0 ? 'a' : 'b');
  test('a ring of twelve by turns has twelve joints of its height', () => {
    expect(bordersOf(plainWall([12, 0]), size, woodOf)).toEqual([{ a: 'a', b: 'b', lengthMm: 120 }]);
  });
  test('rings of one wood each share the circumference between them', () => {
    const [border] = bordersOf(plainWall([7, 0], [5, 0.3]), [...size, ...size], (ring) => 'ab'[ring]!);
    expect(border!.lengthMm).toBeCloseTo(2 * Math.PI * 50, 9);
  });
  test('over a whole piece they are what its joints measure, longest first', () => {
    const keys = new Map<string, number>();
    const all = bordersOf(cupWall, bordersIn(cup), (ring, place) => {
      const key = cup.rings[ring]!.ring.woods[place]!;
      keys.set(key, (keys.get(key) ?? 0) + 1);
      return key;
    });
    expect(all.length).toBeGreaterThan(1);
    expect(all.every(({ a, b }) => a < b && keys.has(a) && keys.has(b))).toBe(true);
    expect(all.map(({ lengthMm }) => lengthMm)).toEqual(
      all.map(({ lengthMm }) => lengthMm).sort((x, y) => y - x),
    );
  });
});
