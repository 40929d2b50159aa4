import Module from 'manifold-3d';
import { beforeAll, describe, expect, test } from 'vitest';
import { trigPointBall } from '../../demo/shell.js';
import { radiusAt } from '../../form/curve.js';
import { STARTING_SHAPES, startingForm } from '../../form/starting.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import * as edit from '../../project/commands/edits.js';
import { workOf } from '../../project/ordered.js';
import { plan } from '../../project/plan.js';
import { prepare } from '../../project/prepare.js';
import type { Project } from '../../project/schema.js';
import { startProject } from '../../project/start.js';
import type { RingNeed } from '../../ring/need.js';
import { DEFAULT_SHOP } from '../../settings/shop.js';
import { placeToward } from '../../surface/toward.js';
import { wallPatches } from '../../surface/wall.js';
import { after } from '../../testing/pieces.js';
import { SHIPPED_WOODS } from '../../wood/catalogue.js';
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
/** So near to a joint it may be drawn on either side, round the piece (mm); up and down it is 0.2. */
const JOINT_MM = 0.5;
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
          innerCorners(face, sawnAlong(all, face, given.bevels), thick / radiusMm).map(({ x, y, z }) =>
            Math.hypot(x, y, z),
          ),
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

describe('a ball of panels as a piece of its own', () => {
  const ball = trigPointBall();
  const planned = (project: Project) => {
    const of = plan(project, DEFAULT_SHOP);
    if (!of.ok) throw new Error(plain(of.reasons[0]!.message));
    return of.value;
  };

  test('80 panels, windows and seams, no stub ring, nothing to look at but the air shut in', () => {
    const { rings, pieces, checks } = planned(ball);
    expect(rings.map(({ shell, pieces: of }) => [shell, of.reduce((n, { count }) => n + count, 0)])).toEqual([
      [true, 80 + 5 + 5],
    ]);
    expect(pieces).toBe(90);
    expect(checks.filter(({ note }) => !note)).toEqual([]);
    expect(checks.map(({ message }) => plain(message)).join()).toMatch(/panels close it as they are glued/);
    const figures = new Map(rings[0]!.figures.map(({ key, value }) => [key, value]));
    const walls = (['corners-of-the-hollow', 'middle'] as const).map((at) =>
      Math.min(
        ...[...figures].flatMap(([key, value]) =>
          key.startsWith('wall-') && key.includes(at) ? [value] : [],
        ),
      ),
    );
    expect(walls[0]).toBeGreaterThanOrEqual(7);
    expect(walls[0]).toBeLessThan(walls[1]!);
  });

  test('its size follows the form: a ball twice as large has panels twice as large', () => {
    const leg = (project: Project) =>
      planned(project).rings[0]!.figures.find(({ key }) => key === 'legs-of-the-isosceles')!.value;
    const { points, inside } = ball.form;
    const wall = inside.by === 'wall' ? inside.walls[0]!.wallMm : 0;
    const double = {
      ...ball,
      form: {
        ...startingForm(STARTING_SHAPES.find(({ id }) => id === 'ball')!, 352, 360, 2 * wall),
      },
      rings: [{ ...ball.rings[0]!, heightMm: mm(352) }],
      allowances: { outsideMm: mm(8), insideMm: mm(8) },
    };
    expect(points.length).toBe(double.form.points.length);
    expect(leg(double)).toBeCloseTo(2 * leg(ball), 6);
  });

  test('its wall is shown all round at every height, as joints run', () => {
    const prepared = prepare(ball);
    if (!prepared.ok) throw new Error('prepare');
    const { made, turn } = prepared.value.rings[0]!;
    if (!made.ok) throw new Error('make');
    const { outside, heightMm } = prepared.value.vessel;
    const patches = wallPatches({ made: made.value, turn, bottomMm: 0 }, outside, 0, heightMm);
    const shown = patches.reduce(
      (sum, { low, high }) => sum + ((low.to - low.from + high.to - high.from) / 2) * (high.z - low.z),
      0,
    );
    expect(shown / (2 * Math.PI * heightMm)).toBeCloseTo(1, 9);
    expect(new Set(patches.map(({ place }) => place)).size).toBe(80);
    // Points of the wall, asked one by one: joints between levels are drawn straight.
    const wrong: (number | null)[] = [];
    for (let i = 1; i <= 2000; i++) {
      const [z, angle] = [heightMm * ((i * 0.618034) % 1), 2 * Math.PI * ((i * 0.754878) % 1)];
      const r = radiusAt(outside, z);
      const met = (up: number) => placeToward(made.value, turn, radiusAt(outside, z + up), angle, z + up);
      const place = met(0);
      if ([-0.2, 0.2].some((up) => z + up > 0 && z + up < heightMm && met(up) !== place)) continue;
      for (const { low, high, ...drawn } of patches) {
        if (z < low.z || z > high.z) continue;
        const share = (z - low.z) / (high.z - low.z);
        const near = JOINT_MM / r;
        const from = low.from + share * (high.from - low.from) + near;
        const to = low.to + share * (high.to - low.to) - near;
        const within = [-1, 0, 1].some(
          (lap) => angle + lap * 2 * Math.PI >= from && angle + lap * 2 * Math.PI < to,
        );
        if (within && drawn.place !== place) wrong.push(place);
      }
    }
    expect(wrong).toEqual([]);
  });

  test('a new one is one ring; it goes as high as the form does, and slices of it are rings', () => {
    const started = startProject({
      name: 'Globe',
      shape: 'globe',
      heightMm: mm(196),
      diameterMm: mm(200),
      wallMm: mm(8),
      ringHeightMm: mm(19.05),
      count: 12,
      woods: ['sugar-maple', 'black-walnut'],
    });
    if (!started.ok) throw new Error(plain(started.reasons[0]!.message));
    const { rings } = started.value;
    expect(rings.map(({ making, heightMm }) => [making.way, heightMm])).toEqual([['globe', 196]]);
    expect([rings[0]!.woods[59], rings[0]!.woods[60]]).toEqual(['sugar-maple', 'black-walnut']);
    expect(planned(started.value).checks.filter(({ note }) => !note)).toEqual([]);
    const higher = after(started.value, edit.setFormHeight(mm(210)));
    expect(higher.rings.map(({ heightMm }) => heightMm)).toEqual([210]);
    expect(planned(higher).rings[0]!.reasons).toEqual([]);
    const sliced = after(started.value, edit.sliceBy([mm(20)]));
    expect(new Set(sliced.rings.map(({ making }) => making.way))).toEqual(new Set(['disc', 'segmented']));
    expect(planned(sliced).rings.flatMap(({ reasons }) => reasons)).toEqual([]);
  });

  test('the order of work hollows nothing and joins no halves; the flat is faced before the outside is turned', () => {
    const work = workOf(ball, DEFAULT_SHOP, SHIPPED_WOODS);
    if (!work.ok) throw new Error('work');
    const { assembly, jobs } = work.value;
    expect(assembly.stacking).toBe('ring-by-ring');
    expect(assembly.sections.flatMap(({ stages }) => stages.flatMap(({ hollow }) => hollow))).toEqual([]);
    expect(jobs.some(({ makes }) => makes === 'inside')).toBe(false);
    expect(jobs.map(({ id }) => id).join()).not.toMatch(/join/);
  });
});

test('places are counted by fifths of the turn: the order comes to itself five times', () => {
  const corners = layOut(made()).length;
  expect(corners % 5).toBe(0);
});
