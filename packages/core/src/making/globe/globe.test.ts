import Module from 'manifold-3d';
import { beforeAll, describe, expect, test } from 'vitest';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import type { RingNeed } from '../../ring/need.js';
import { plus, times, unit } from '../../ring/space.js';
import type { Made } from '../contract.js';
import { layOut, volumeOfAll } from '../layOut.js';
import { UNSANDED } from '../planing.js';
import { makeRing } from '../registry.js';
import type { GlobeParams } from './globe.js';
import { orderedFaces } from './laid.js';
import { innerCorners, sawnAlong, unitFaces } from './panels.js';
import { globeAround } from './size.js';
import { slabsOf } from './slabs.js';

// manifold-3d: an independent solid-modelling kernel.
let kernel: Awaited<ReturnType<typeof Module>>;
beforeAll(async () => {
  kernel = await Module();
  kernel.setup();
});

const globe = (change: Partial<GlobeParams> = {}): GlobeParams => ({
  way: 'globe',
  part: 'whole',
  bevels: 'half-angle',
  glued: 'fives',
  ...change,
});
const need = (heightMm: number): RingNeed => ({
  outerRadiusMm: mm(100),
  innerRadiusMm: mm(88),
  heightMm: mm(heightMm),
});
const made = (change: Partial<GlobeParams> = {}): Made => {
  const ring = makeRing(globe(change), need(change.part === 'half' ? 97 : 196));
  if (!ring.ok) throw new Error(plain(ring.reasons[0]!.message));
  return ring.value;
};
const CASES = (['whole', 'half'] as const).flatMap((part) =>
  (['half-angle', 'centre'] as const).map((bevels) => ({ part, bevels })),
);

describe.each(CASES)('a globe of panels, $part, bevels $bevels', (given) => {
  test('its panels fill the shell between its spheres and lie in none of their neighbours (manifold-3d)', () => {
    const ring = made(given);
    const places = ring.kinds.flatMap((kind) => kind.places);
    // Panels are convex: each is the hull of its corners.
    const pieces = places.map((place) =>
      kernel.Manifold.hull(
        ring
          .lay(place)
          .flatMap(({ bottom, top, fromMm, toMm }) => [
            ...bottom.map(({ x, y }): [number, number, number] => [x, y, fromMm]),
            ...top.map(({ x, y }): [number, number, number] => [x, y, toMm]),
          ]),
      ),
    );
    pieces.forEach((piece, i) => {
      expect(piece.volume() / volumeOfAll(ring.lay(places[i]!))).toBeCloseTo(1, 9);
      for (const other of pieces.slice(0, i)) expect(piece.intersect(other).volume()).toBeLessThan(1e-6);
    });
    const { outerRadiusMm, innerRadiusMm } = ring.gives;
    const ball = (radius: number) => kernel.Manifold.sphere(radius, 200).translate([0, 0, ring.ball!]);
    const room = kernel.Manifold.cube([300, 300, ring.heightMm]).translate([-150, -150, 0]);
    // Spheres of the kernel have flats of their own, less than 0.05 mm deep here.
    const shell = ball(outerRadiusMm)
      .subtract(ball(innerRadiusMm + 0.05))
      .intersect(room);
    const left = pieces.reduce((air, piece) => air.subtract(piece), shell);
    expect(left.volume() / shell.volume()).toBeLessThan(1e-5);
  });

  test('no wall is wasted: a hair less thick, or a hair smaller, and the spheres come through', () => {
    const { outerRadiusMm, innerRadiusMm } = made(given).gives;
    expect([outerRadiusMm, innerRadiusMm]).toEqual([expect.closeTo(100, 9), expect.closeTo(88, 9)]);
    const { thickMm, radiusMm, flatsMm } = globeAround(100, 88, given.bevels);
    expect(Math.min(flatsMm.isosceles, flatsMm.equilateral)).toBeCloseTo(100, 9);
    const all = unitFaces();
    const reach = (thick: number) =>
      Math.max(
        ...all.flatMap((face) =>
          innerCorners(
            face,
            sawnAlong(all, face, { part: 'whole', bevels: given.bevels }),
            thick / radiusMm,
          ).map(({ x, y, z }) => Math.hypot(x, y, z)),
        ),
      ) * radiusMm;
    expect(reach(thickMm)).toBeCloseTo(88, 9);
    expect(reach(thickMm - 0.01)).toBeGreaterThan(88);
  });
});

test('the thickness by plane geometry: bevels that aim at the centre draw the hollow in alike, R·(1 − t/d) in its corners', () => {
  // The isosceles lie farther out: cos of the angle under which the circle round one is seen (legs 0.54653, base 0.61803).
  const [leg, base] = [0.546533, 0.618034];
  const around = (leg * leg) / (2 * Math.sqrt(leg * leg - (base / 2) ** 2));
  const d = Math.sqrt(1 - around ** 2);
  const equilateral = Math.sqrt(1 - (base / Math.sqrt(3)) ** 2);
  const R = 100 / equilateral;
  const { radiusMm, thickMm } = globeAround(100, 88, 'centre');
  expect(radiusMm).toBeCloseTo(R, 4);
  expect(thickMm).toBeCloseTo(d * R * (1 - 88 / R), 3);
});

test('the hollow ends at its sphere: a hair beyond its corners is wood, a hair within them is none', () => {
  const ring = made({ bevels: 'centre' });
  // Within a face, so near to its corners that it is on no joint.
  const inward = unitFaces().flatMap(({ points }) =>
    points.map((tip) => unit(plus(tip, times(points.reduce(plus), 0.0002)))),
  );
  const at = (radius: number) =>
    inward
      .filter(({ z }) => Math.abs(z) < 0.9)
      .map(({ x, y, z }) => ring.placeAt(x * radius, -y * radius, ring.ball! - z * radius));
  expect(at(88.01).every((place) => place !== null)).toBe(true);
  expect(at(87.96).some((place) => place === null)).toBe(true);
});

test('a globe is made anew when its spheres change, though no other size of the ring does', () => {
  const making = Object.freeze(globe());
  const asked = (centreMm: number): RingNeed => ({
    ...need(196),
    round: () => {
      const turned = { outerRadiusMm: 100, innerRadiusMm: 88 };
      return { ...turned, turned, centreMm };
    },
  });
  const [first, second] = [makeRing(making, asked(98)), makeRing(making, asked(97))];
  expect(first.ok && second.ok && [first.value.ball, second.value.ball]).toEqual([98, 97]);
  expect(makeRing(making, asked(98))).toBe(first);
});

test('half-angle bevels run two tips into each other: they are nipped off where the legs meet, by what a drawing shows', () => {
  const says = (change: Partial<GlobeParams>) =>
    made(change)
      .steps(UNSANDED)
      .map(({ id, says }) => `${id}: ${plain(says)}`);
  const { radiusMm, thickMm } = globeAround(100, 88, 'half-angle');
  // In the plane square to the radius at a corner: both sides of an equilateral, 60° apart, stand aside by t·tan(1.7977°) from where
  // they would aim; its tip is past the middle by twice that, less what the sides lean (to first order).
  const first = 2 * thickMm * Math.tan(((10.8123 - 9.0146) * Math.PI) / 180);
  const told = says({}).find((line) => line.startsWith('tips:'))!;
  const nipped = Number(/off by ([\d.]+) mm/.exec(told)![1]);
  expect(Math.abs(nipped / first - 1)).toBeLessThan(0.15);
  expect(nipped).toBeLessThan(radiusMm * 0.02);
  expect(says({ bevels: 'centre' }).some((line) => line.startsWith('tips:'))).toBe(false);
  expect(says({ part: 'half' })).toContainEqual(
    expect.stringMatching(/rim: .*five isosceles by 7.22° and one side of five equilaterals by 10.81°/),
  );
  expect(says({ glued: 'triplets', part: 'half' })).toContainEqual(expect.stringMatching(/caps of three/));
});

test('panels by the split icosahedron: of half a globe five equilaterals have three isosceles of their own face, five have two', () => {
  for (const [part, counts] of [
    ['whole', { 3: 20 }],
    ['half', { 2: 5, 3: 5 }],
  ] as const) {
    const faces = orderedFaces(part);
    const mates = faces
      .filter(({ kind }) => kind === 'equilateral')
      .map(
        ({ split }) => faces.filter((other) => other.split === split && other.kind === 'isosceles').length,
      );
    expect(
      Object.fromEntries(
        [2, 3].flatMap((n) => {
          const count = mates.filter((each) => each === n).length;
          return count > 0 ? [[n, count]] : [];
        }),
      ),
    ).toEqual(counts);
  }
});

test('slabs of a cube on its corner have the volume of the cube', () => {
  const axes = [
    [1, 1, 1],
    [1, -1, 0],
    [1, 1, -2],
  ].map(([x, y, z]) => {
    const long = Math.hypot(x!, y!, z!);
    return { x: y! / long, y: z! / long, z: x! / long };
  });
  const planes = axes.flatMap((normal) => [
    { normal, at: 5 },
    { normal: { x: -normal.x, y: -normal.y, z: -normal.z }, at: 5 },
  ]);
  expect(volumeOfAll(slabsOf(planes, 0, -20, 20))).toBeCloseTo(1000, 6);
});

test.each([
  ['globe-solid', globe(), { ...need(196), innerRadiusMm: mm(0) }, /hollow/],
  ['globe-cut', globe(), need(40), /40 mm high and would cut \d+ panels/],
  ['panels-too-thick', globe(), { ...need(196), innerRadiusMm: mm(8) }, /mm is the most/],
] as const)('%s is refused with its figures', (code, making, of, says) => {
  const ring = makeRing(making, of);
  expect(ring).toMatchObject({ ok: false, reasons: [{ code }] });
  expect(ring.ok ? '' : plain(ring.reasons[0]!.message)).toMatch(says);
});

test('places are counted by fifths of the turn: the order comes to itself five times', () => {
  const corners = layOut(made()).length;
  expect(corners % 5).toBe(0);
});
