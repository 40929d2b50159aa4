import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { sawn } from '../../demo/build.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { between } from '../../testing/numbers.js';
import { EXAMPLE_NEED, madeRing, refusalOf } from '../../testing/rings.js';
import { volumeOfAll } from '../layOut.js';
import { UNSANDED } from '../planing.js';
import type { SegmentedParams } from '../segmented/params.js';
import type { PanelStock } from '../stock.js';
import { boardLength, boardsFor, type Slices, slicesFrom, slicesFromEnds } from './board.js';
import { isSymmetric, type Laminated } from './params.js';

const NEED = { outerRadiusMm: mm(100), innerRadiusMm: mm(80), heightMm: mm(30) };
const laminated = (change: Partial<Laminated> = {}, beside: Partial<SegmentedParams> = {}) =>
  sawn('laminated', 12, change, beside);

/**
 * Slices that go into a board, by laying them down one after the other: the lower edges of the cuts, each as a line across
 * the board's side, must keep within its ends. Knows nothing of the formula.
 */
function nested(
  { widthMm, angle, kerfMm, boardMm, wholeEnds, endWasteMm }: Slices,
  lengthMm: number,
): number {
  const along = (across: number) => across / Math.cos(angle);
  const slope = boardMm * Math.tan(angle);
  let count = 0;
  // A slice from x to x + p/cos α at the lower edge lies slope further left at the upper one.
  let x = endWasteMm + slope + (wholeEnds ? along(kerfMm) : 0);
  while (x + along(widthMm) + (wholeEnds ? along(kerfMm) : 0) <= lengthMm - endWasteMm + 1e-6) {
    count++;
    x += along(widthMm) + along(kerfMm);
  }
  return count;
}

const anySlices: fc.Arbitrary<Slices> = fc.record({
  count: fc.integer({ min: 1, max: 120 }),
  widthMm: between(4, 60),
  angle: between(0, 1.1),
  kerfMm: between(0.5, 4),
  boardMm: between(5, 90),
  wholeEnds: fc.boolean(),
  endWasteMm: between(0, 40),
  endsGlued: fc.constant(false),
});

describe('slices of a board', () => {
  test('as many come out of any length as can be laid down one by one', () => {
    fc.assert(
      fc.property(anySlices, between(50, 3000), (slices, length) => {
        expect(slicesFrom(slices, length)).toBe(nested(slices, length));
      }),
      { numRuns: 300 },
    );
  });
  test('the least length gives them all, and a hair less does not', () => {
    fc.assert(
      fc.property(anySlices, (slices) => {
        const length = boardLength(slices);
        expect(nested(slices, length)).toBe(slices.count);
        expect(nested(slices, length - 0.01)).toBe(slices.count - 1);
      }),
    );
  });
  test('boards no longer than the longest give every slice once', () => {
    fc.assert(
      fc.property(anySlices, between(200, 2000), (slices, longest) => {
        const boards = boardsFor(slices, longest);
        if (!boards) return expect(nested(slices, longest)).toBe(0);
        expect(boards.reduce((sum, { slices: n }) => sum + n, 0)).toBe(slices.count);
        for (const board of boards) {
          expect(board.lengthMm).toBeLessThanOrEqual(longest + 1e-6);
          expect(nested(slices, board.lengthMm)).toBe(board.slices);
        }
      }),
    );
  });
  test('worked by hand: 24 slices of 30 at 30°, kerf 3, board 40, no ends', () => {
    const slices = {
      count: 24,
      widthMm: 30,
      angle: Math.PI / 6,
      kerfMm: 3,
      boardMm: 40,
      wholeEnds: false,
      endWasteMm: 0,
      endsGlued: false,
    };
    // (24·30 + 23·3)/cos 30° + 40·tan 30° = 789/0.866025 + 23.094
    expect(boardLength(slices)).toBeCloseTo(934.153, 2);
  });
});

describe('the two ends of a sliced board', () => {
  /** How wide the ends are between their cut faces once they stand face to face, from their corners alone. */
  function endsWide({ boardMm, angle }: Slices): number {
    // Left end: (0, 0), (H·tan, 0), (0, H); the right one, moved over so that its square face meets x = 0.
    const left = { x: boardMm * Math.tan(angle), y: 0 };
    const [low, high] = [
      { x: 0, y: 0 },
      { x: -boardMm * Math.tan(angle), y: boardMm },
    ];
    const [dx, dy] = [high.x - low.x, high.y - low.y];
    return Math.abs(dx * (left.y - low.y) - dy * (left.x - low.x)) / Math.hypot(dx, dy);
  }
  test('give as many slices as are sawn off what they make together', () => {
    fc.assert(
      fc.property(anySlices, (slices) => {
        const found = slicesFromEnds(slices);
        let [count, left] = [0, endsWide(slices) + 1e-6];
        while (slices.angle > 0 && left >= slices.widthMm) {
          count++;
          left -= slices.widthMm + slices.kerfMm;
        }
        expect(found).toBe(count);
      }),
      { numRuns: 300 },
    );
  });
  test('worked by hand: a board of 80 at 45° gives slices of 27 with a kerf of 2: 80·sin 45° = 56.57, two; and is so much shorter', () => {
    const slices: Slices = {
      count: 20,
      widthMm: 27,
      angle: Math.PI / 4,
      kerfMm: 2,
      boardMm: 80,
      wholeEnds: true,
      endWasteMm: 10,
      endsGlued: true,
    };
    expect(slicesFromEnds(slices)).toBe(2);
    const without = boardLength({ ...slices, endsGlued: false });
    expect(without - boardLength(slices)).toBeCloseTo(2 * 29 * Math.SQRT2, 9);
    expect(slicesFrom(slices, boardLength(slices))).toBe(20);
    expect(slicesFrom(slices, boardLength(slices) - 0.01)).toBe(19);
    expect(boardsFor(slices, 600)!.reduce((sum, board) => sum + board.slices, 0)).toBe(20);
    expect(boardsFor(slices, 600)!.length).toBeLessThanOrEqual(
      boardsFor({ ...slices, endsGlued: false }, 600)!.length,
    );
  });
  test('are told to glue, and cut so many fewer; a board on hand that is short by as many is told so', () => {
    const board = { layersMm: [26, 6, 26].map(mm), angleDeg: 50, spares: 0 };
    const given = laminated({ ...board, endsGlued: true });
    const made = madeRing(given, { ...NEED, heightMm: mm(20) });
    const fromEnds = made.figures.find(({ key }) => key === 'slices-from-the-ends')!.value;
    expect(fromEnds).toBe(1);
    const slicing = plain(made.steps(UNSANDED).find(({ id }) => id === 'slices')!.says);
    const boards = made.figures.find(({ key }) => key === 'boards')!.value;
    expect(slicing).toContain(`Cut ${24 - boards} slices`);
    expect(slicing).toContain(`gives the other ${boards}`);
    const { kerfMm, endWasteMm } = given.sawnFrom as Laminated;
    const length = boardLength({
      count: 23,
      widthMm: made.figures.find(({ key }) => key === 'slice-width')!.value,
      angle: (50 * Math.PI) / 180,
      kerfMm,
      boardMm: 58,
      wholeEnds: true,
      endWasteMm,
      endsGlued: false,
    });
    const short = madeRing(laminated({ ...board, longestMm: mm(3000), onHandMm: mm(length + 1) }), {
      ...NEED,
      heightMm: mm(20),
    });
    expect(plain(short.warnings[0]!.message)).toMatch(
      /23 come out of it: the two ends .* give the one that is missing/,
    );
  });
});

describe('a laminated ring', () => {
  test('a zigzag takes two slices a segment, and its pieces come from layers of the board', () => {
    const made = madeRing(laminated({ spares: 3 }), NEED);
    expect(made.figures.find(({ key }) => key === 'slices')!.value).toBe(24);
    expect(made.figures.find(({ key }) => key === 'spare-slices')!.value).toBe(3);
    expect(made.kinds).toHaveLength(5);
    for (const kind of made.kinds) {
      expect(kind.places).toHaveLength(24);
      expect((kind.stock as PanelStock).shape).toBe('layer');
    }
    const boards = made.figures.find(({ key }) => key === 'boards')!.value;
    expect((made.kinds[0]!.stock as PanelStock).blocks).toBe(boards);
  });
  test('layers keep their thickness: a band of a zigzag is t/cos α high, so its volume is that of the plain strip', () => {
    const given = laminated({ angleDeg: 30, layersMm: [20, 6, 20].map(mm) });
    const made = madeRing(given, NEED);
    const band = made.kinds[1]!.places.reduce((sum, place) => sum + volumeOfAll(made.lay(place)), 0);
    const plan = made.together.flat().reduce((sum, place) => sum + volumeOfAll(made.lay(place)), 0) / 30;
    expect(band / plan).toBeCloseTo(6 / Math.cos(Math.PI / 6), 6);
  });
  test('what lies where on the face: peaks in the middle of a segment, chevrons keep them, diamonds mirror them', () => {
    const at = (change: Partial<Laminated>, u: number, z: number) => {
      const given = laminated({ layersMm: [30, 30].map(mm), angleDeg: 30, ...change });
      const made = madeRing(given, NEED);
      const place = made.placeAt(99, u, z);
      // Middle of segment 1 lies at 15° counter-clockwise.
      const [cos, sin] = [Math.cos(Math.PI / 12), Math.sin(Math.PI / 12)];
      const there = made.placeAt(99 * cos - u * sin, 99 * sin + u * cos, z);
      expect(place === null && there === null).toBe(false);
      return Math.floor(there! / (made.groups[0]!.count || 1));
    };
    // The line between the layers climbs towards the middle: below it there, above it at the ends.
    expect(at({}, 0, 17)).toBe(0);
    expect(at({}, 20, 17)).toBe(1);
    expect(at({}, -20, 17)).toBe(1);
    // Diamonds: the upper row is the lower one upside down, so the same layer closes in from above.
    expect(at({ figure: 'diamond' }, 0, 14)).toBe(at({ figure: 'diamond' }, 0, 16));
    expect(at({ figure: 'diamond' }, 20, 1)).toBe(at({ figure: 'diamond' }, 20, 29));
    // Chevrons: peaks in both rows.
    expect(at({ figure: 'chevron' }, 0, 8.5)).not.toBe(at({ figure: 'chevron' }, 22, 8.5));
  });
  test('a ramp climbs one way; other slices are turned as asked', () => {
    const upright = madeRing(laminated({ figure: 'ramp', layersMm: [30, 10, 30].map(mm) }), NEED);
    expect(upright.figures.find(({ key }) => key === 'slices')!.value).toBe(12);
    const turned = madeRing(laminated({ turn: 'lengthwise' }), NEED);
    expect(
      turned
        .steps(UNSANDED)
        .map(({ says }) => plain(says))
        .join(' '),
    ).toMatch(/turns the order of the layers round/);
  });
  test('says whether the board is symmetric', () => {
    expect(isSymmetric([4, 8, 4])).toBe(true);
    expect(isSymmetric([4, 8, 5])).toBe(false);
    expect(plain(madeRing(laminated(), NEED).steps(UNSANDED)[0]!.says)).toMatch(/same from above and below/);
    expect(
      plain(madeRing(laminated({ layersMm: [20, 6, 30].map(mm) }), NEED).steps(UNSANDED)[0]!.says),
    ).toMatch(/mark the top/);
  });
  test('a shorter board: how many come out, what count would do, what is missing', () => {
    const { warnings } = madeRing(laminated({ onHandMm: mm(600) }), NEED);
    expect(warnings[0]!.code).toBe('board-short');
    expect(plain(warnings[0]!.message)).toMatch(
      /600 mm long; .* needed for 26 slices .* 14 come out of it: a second board/,
    );
    expect(madeRing(laminated({ onHandMm: mm(3000) }), NEED).warnings).toEqual([]);
  });
  test('steps are pictures too: board, slice, segment, ring', () => {
    const titles = madeRing(laminated(), NEED).pictures!().map(({ title }) => title);
    expect(titles).toEqual(['Board', 'Slice', 'Segment', 'Ring']);
  });
  test.each([
    ['no-height-left', { angleDeg: 50, layersMm: [9, 9, 9].map(mm) }, NEED],
    ['no-height-left', { layersMm: [4, 4].map(mm) }, NEED],
    ['off-the-slice', { upMm: mm(60) }, NEED],
    ['layer-trimmed-away', { layersMm: [1, 60, 60, 1].map(mm) }, NEED],
    ['no-chequer', { figure: 'chequer' as const, layersMm: [12, 12, 12].map(mm) }, NEED],
    ['slice-wider-than-board', { longestMm: mm(100), endWasteMm: mm(40) }, NEED],
  ] as const)('%s is refused with its limit', (code, change, need) => {
    const refused = refusalOf(laminated(change as Partial<Laminated>), need);
    expect(refused?.code).toBe(code);
    expect(plain(refused?.message ?? '')).toMatch(/\d.*\.$/);
  });
  test('an odd chequer tells of its seam', () => {
    const given = laminated({ figure: 'chequer', across: 3, layersMm: [6, 6, 6, 6].map(mm) }, { count: 9 });
    expect(madeRing(given, EXAMPLE_NEED).warnings.map(({ code }) => code)).toContain('chequer-seam');
  });
});
