import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { between } from '../testing/numbers.js';
import { bandAt, overlap } from './overlap.js';
import { area, aroundAxis, centroid, polar, reachInside, turned, wrapped } from './plane.js';
import { courseAt, onAxis, reachesOf } from './reach.js';
import { cutOf, NO_CUTS, WHOLE } from './slant.js';
import {
  cross,
  dot,
  holdsPoint,
  lengthOf,
  meeting,
  minus,
  plus,
  times,
  unit,
  volumeOfSolid,
} from './space.js';

const box = (x0: number, y0: number, x1: number, y1: number) => [
  { x: x0, y: y0 },
  { x: x1, y: y0 },
  { x: x1, y: y1 },
  { x: x0, y: y1 },
];

describe('outlines in plan, worked by hand', () => {
  // A right triangle 3-4-5: area 6, centre at the means of its corners.
  const triangle = [
    { x: 1, y: 2 },
    { x: 4, y: 2 },
    { x: 1, y: 6 },
  ];
  test('area by its sign, centre, and what a turn leaves alone', () => {
    expect(area(triangle)).toBe(6);
    expect(area([...triangle].reverse())).toBe(-6);
    expect(centroid(triangle)).toEqual({ x: 2, y: expect.closeTo(10 / 3, 12) });
    expect(centroid(box(-3, 1, 5, 9))).toEqual({ x: 1, y: 5 });
    const quarter = turned(triangle, Math.PI / 2);
    expect(quarter[1]).toEqual({ x: expect.closeTo(-2, 12), y: expect.closeTo(4, 12) });
    expect(area(quarter)).toBeCloseTo(6, 12);
  });
  test('a box round the axis, and one beside it: how far a circle reaches inside', () => {
    expect(aroundAxis(box(-3, -2, 5, 9))).toBe(true);
    expect(reachInside(box(-3, -2, 5, 9))).toBe(2);
    expect(aroundAxis(box(1, -2, 5, 9))).toBe(false);
    // The axis on an edge does not lie inside.
    expect(aroundAxis(box(0, -2, 5, 9))).toBe(false);
  });
  test('angles come into one turn, whatever they are', () => {
    expect(wrapped(-Math.PI / 2)).toBeCloseTo(1.5 * Math.PI, 12);
    expect(wrapped(5 * Math.PI)).toBeCloseTo(Math.PI, 12);
    expect(wrapped(2 * Math.PI)).toBe(0);
    expect(wrapped(-1e-20)).toBe(0);
    fc.assert(
      fc.property(between(-1e3, 1e3), (angle) => {
        const at = wrapped(angle);
        expect(at >= 0 && at < 2 * Math.PI).toBe(true);
        const [p, q] = [polar(7, angle), polar(7, at)];
        expect(Math.hypot(p.x - q.x, p.y - q.y)).toBeLessThan(1e-9);
      }),
    );
  });
});

describe('in space, worked by hand', () => {
  const [x, y, z] = [
    { x: 1, y: 0, z: 0 },
    { x: 0, y: 1, z: 0 },
    { x: 0, y: 0, z: 1 },
  ];
  test('the products of directions', () => {
    expect(cross(x, y)).toEqual(z);
    expect(cross(y, z)).toEqual(x);
    expect(cross(z, x)).toEqual(y);
    const p = { x: 2, y: -3, z: 6 };
    expect([lengthOf(p), dot(p, p), dot(p, y)]).toEqual([7, 49, -3]);
    expect(lengthOf(unit(p))).toBeCloseTo(1, 15);
    expect(minus(plus(p, x), x)).toEqual(p);
    expect(times(p, -2)).toEqual({ x: -4, y: 6, z: -12 });
  });
  test('three planes meet in a point that lies in all of them', () => {
    const planes = [
      { normal: unit({ x: 1, y: 2, z: 2 }), at: 3 },
      { normal: unit({ x: -1, y: 1, z: 0 }), at: 1 },
      { normal: unit({ x: 0, y: -1, z: 4 }), at: -2 },
    ] as const;
    const point = meeting(...planes);
    for (const { normal, at } of planes) expect(dot(normal, point)).toBeCloseTo(at, 12);
  });
  test('a box of 2 × 3 × 5 holds 30, wherever it stands, and knows what lies in it', () => {
    const corners = [0, 5].flatMap((high) => box(10, 10, 12, 13).map((p) => ({ ...p, z: high })));
    const faces = [
      [3, 2, 1, 0],
      [4, 5, 6, 7],
      [0, 1, 5, 4],
      [1, 2, 6, 5],
      [2, 3, 7, 6],
      [3, 0, 4, 7],
    ];
    const solid = { place: 0, corners, faces };
    expect(volumeOfSolid(solid)).toBeCloseTo(30, 10);
    expect(holdsPoint(solid, { x: 11, y: 11, z: 1 })).toBe(true);
    expect(holdsPoint(solid, { x: 12, y: 11, z: 1 })).toBe(true);
    expect(holdsPoint(solid, { x: 12.001, y: 11, z: 1 })).toBe(false);
    expect(holdsPoint(solid, { x: 11, y: 11, z: -0.001 })).toBe(false);
  });
});

describe('rings on each other', () => {
  test('the joint is what both have: 100/80 on 90/60 is 10 wide; apart they do not meet', () => {
    const [lower, upper] = [
      { outerRadiusMm: 100, innerRadiusMm: 80 },
      { outerRadiusMm: 90, innerRadiusMm: 60 },
    ];
    expect(overlap(lower, upper)).toBe(10);
    expect(overlap(upper, lower)).toBe(10);
    expect(overlap(lower, { outerRadiusMm: 70, innerRadiusMm: 50 })).toBe(-10);
  });
  test('a leaning ring gives more where it is wider, and a hole is never less than nothing', () => {
    const ring = { gives: { outerRadiusMm: 50, innerRadiusMm: 3 }, ball: null, lean: 0.5, heightMm: 20 };
    expect(bandAt(ring, 10)).toEqual({ outerRadiusMm: 50, innerRadiusMm: 3 });
    expect(bandAt(ring, 20)).toEqual({ outerRadiusMm: 55, innerRadiusMm: 8 });
    expect(bandAt(ring, 0)).toEqual({ outerRadiusMm: 45, innerRadiusMm: 0 });
  });
  test('a shell gives what its spheres have at a height: 13 and 5 about 14, looked at 5 and 12 away', () => {
    const shell = { gives: { outerRadiusMm: 13, innerRadiusMm: 5 }, ball: 14, lean: 0, heightMm: 28 };
    expect(bandAt(shell, 9)).toEqual({ outerRadiusMm: 12, innerRadiusMm: 0 });
    expect(bandAt(shell, 26)).toEqual({ outerRadiusMm: 5, innerRadiusMm: 0 });
    expect(bandAt(shell, 14)).toEqual({ outerRadiusMm: 13, innerRadiusMm: 5 });
  });
});

describe('where a stack comes to lie', () => {
  const stack = [0, 20, 40].map((bottomMm, index) => ({ index, bottomMm, topMm: bottomMm + 20 })) as never;
  test('the course at a height: the lower one where two meet, none beyond', () => {
    const at = (height: number) => courseAt(stack, height)?.index;
    expect([0, 19.9, 20, 20.1, 40, 60].map(at)).toEqual([0, 0, 0, 1, 1, 2]);
    expect([-0.1, 60.1].map(at)).toEqual([undefined, undefined]);
    expect(courseAt([], 5)).toBeUndefined();
  });
  test('without cuts every ring lies where it stands, as far as the form goes', () => {
    const { rings, bands, overTopMm, underFootMm } = reachesOf(NO_CUTS, stack, 35, () => [30]);
    expect(rings).toEqual([
      [{ region: WHOLE, fromMm: 0, toMm: 20 }],
      [{ region: WHOLE, fromMm: 20, toMm: 35 }],
      [],
    ]);
    expect([bands, overTopMm, underFootMm]).toEqual([[], 0, 0]);
  });
  test('a level band of 6 with a kerf of 2 lifts all that is above it by 4, and lies between', () => {
    const cut = cutOf({
      id: 's',
      heightMm: 30,
      slantDeg: 0,
      towardDeg: 0,
      thicknessMm: 6,
      kerfMm: 2,
      wood: 'a',
    } as never);
    const near = (value: number) => expect.closeTo(value, 0);
    const { rings, bands, overTopMm } = reachesOf([cut], stack, 64, () => [30]);
    expect(rings[0]).toEqual([{ region: expect.anything(), fromMm: near(0), toMm: near(20) }]);
    expect(rings[2]!.at(-1)).toMatchObject({ fromMm: near(44), toMm: near(64) });
    expect(bands[0]).toEqual([{ region: expect.anything(), fromMm: near(30), toMm: near(36) }]);
    expect(overTopMm).toBeCloseTo(0, 6);
    expect([10, 30, 40].map((height) => onAxis([cut], height))).toEqual([10, 30, 44]);
    // Less than the band’s own thickness above the cut comes to its upper face.
    expect(onAxis([cut], 31)).toBe(36);
  });
});
