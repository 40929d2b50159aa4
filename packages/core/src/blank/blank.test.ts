import fc from 'fast-check';
import Module from 'manifold-3d';
import { beforeAll, describe, expect, test } from 'vitest';
import { splitIcosahedron } from '../making/globe/facets.js';
import { globeFigures } from '../making/globe/panels.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { volumeOfSolid } from '../ring/space.js';
import { between } from '../testing/numbers.js';
import { anyVessel } from '../testing/pieces.js';
import { type BentParams, bentPlaces, volumeOfBlank } from './bent.js';
import { isLinked, linkClearance, straightForTwo } from './bentPath.js';
import { wedgeThickness } from './bentPieces.js';
import type { MadeBlank } from './contract.js';
import type { GlobeParams } from './globe.js';
import { BLANKS, type BlankMaking, blankPlaces, makeBlank } from './registry.js';

// manifold-3d: an independent solid-modelling kernel.
let kernel: Awaited<ReturnType<typeof Module>>;
beforeAll(async () => {
  kernel = await Module();
  kernel.setup();
});

const degrees = (angle: number) => (angle * 180) / Math.PI;
const globe = (change: Partial<GlobeParams> = {}): GlobeParams => ({ ...BLANKS.globe.begin(), ...change });
const bent = (change: Partial<BentParams> = {}): BentParams => ({ ...BLANKS.bent.begin(), ...change });

function made(making: BlankMaking): MadeBlank {
  const blank = makeBlank(making, anyVessel());
  if (!blank.ok) throw new Error(plain(blank.reasons[0]!.message));
  return blank.value;
}
const refusal = (making: BlankMaking) => {
  const blank = makeBlank(making, anyVessel());
  return blank.ok ? null : blank.reasons[0]!;
};

describe('the 80-triangle globe', () => {
  // Geodesic dome tables (written down from memory): chord factors of the icosahedron split once.
  test('has the published chord factors', () => {
    const { leg, base } = globeFigures();
    expect(leg).toBeCloseTo(0.54653, 5);
    expect(base).toBeCloseTo(0.61803, 5);
  });
  test('has the angles of common practice between neighbours, and three bevels when aimed at the centre', () => {
    const { acrossLeg, acrossBase, centre } = globeFigures();
    expect(degrees(acrossLeg)).toBeCloseTo(157.5411, 4);
    expect(degrees(acrossBase)).toBeCloseTo(161.9709, 4);
    expect((180 - degrees(acrossLeg)) / 2).toBeCloseTo(11.2295, 4);
    expect((180 - degrees(acrossBase)) / 2).toBeCloseTo(9.0146, 4);
    expect(degrees(centre.leg)).toBeCloseTo(11.2295, 4);
    expect(degrees(centre.base)).toBeCloseTo(7.2168, 4);
    expect(degrees(centre.side)).toBeCloseTo(10.8123, 4);
  });
  test('has 42 corners and 80 triangles, every edge shared by two (Euler: V − E + F = 2)', () => {
    const { corners, facets } = splitIcosahedron();
    const edges = new Map<string, number>();
    for (const { corners: face } of facets)
      face.forEach((a, i) => {
        const b = face[(i + 1) % 3]!;
        const key = [a, b].sort((p, q) => p - q).join();
        edges.set(key, (edges.get(key) ?? 0) + 1);
      });
    expect([corners.length, edges.size, facets.length]).toEqual([42, 120, 80]);
    expect([...edges.values()].every((faces) => faces === 2)).toBe(true);
    for (const { x, y, z } of corners) expect(Math.hypot(x, y, z)).toBeCloseTo(1, 12);
  });
  test.each([
    ['whole', 60, 20],
    ['half', 30, 10],
  ] as const)('%s: panels of both shapes, counted', (part, isosceles, equilateral) => {
    const { groups, kinds } = made(globe({ part }));
    expect(groups.map(({ count }) => count)).toEqual([isosceles, equilateral]);
    expect(kinds.map(({ places }) => places.length)).toEqual([isosceles, equilateral]);
  });
  test.each(['half-angle', 'centre'] as const)(
    'panels with %s bevels do not overlap (manifold-3d)',
    (bevels) => {
      const { solids } = made(globe({ bevels }));
      const pieces = solids.map(({ corners }) =>
        kernel.Manifold.hull(corners.map(({ x, y, z }): [number, number, number] => [x, y, z])),
      );
      const whole = kernel.Manifold.union(pieces);
      const apart = pieces.reduce((sum, piece) => sum + piece.volume(), 0);
      expect(whole.volume() / apart).toBeCloseTo(1, 3);
      expect(apart / volumeOfBlank({ solids })).toBeCloseTo(1, 5);
    },
  );
  test('panels that leave no inner face are refused', () => {
    expect(refusal(globe({ wallMm: mm(90) }))?.code).toBe('panels-too-thick');
  });
});

describe('a bent stack', () => {
  test('its pieces are rings times segments', () => {
    expect(made(bent({ wedges: 30, segments: 8 })).solids).toHaveLength(240);
  });
  test('a closed tube of many wedges has the volume of Pappus: 2π·R times the section', () => {
    const { solids } = made(bent({ wedges: 360, segments: 12, outerRadiusMm: mm(12), curveMm: mm(70) }));
    const section = 12 * 144 * Math.tan(Math.PI / 12);
    expect(volumeOfBlank({ solids }) / (2 * Math.PI * 70 * section)).toBeCloseTo(1, 3);
  });
  test('wedges are thicker outside by their angle', () => {
    expect(wedgeThickness(100, Math.PI / 6)).toBeCloseTo(200 * Math.tan(Math.PI / 12), 12);
  });
  test('two links: the room between them against circles drawn point by point', () => {
    fc.assert(
      fc.property(between(30, 120), between(2, 20), between(10, 230), (curve, tube, aside) => {
        let least = Infinity;
        for (let i = 0; i < 360; i++)
          for (let k = 0; k < 360; k += 4) {
            const [a, b] = [(i * Math.PI) / 180, (k * Math.PI) / 180];
            const p = [curve * Math.cos(a), curve * Math.sin(a), 0];
            const q = [aside + curve * Math.cos(b), 0, curve * Math.sin(b)];
            least = Math.min(least, Math.hypot(p[0]! - q[0]!, p[1]! - q[1]!, p[2]! - q[2]!));
          }
        expect(Math.abs(linkClearance(curve, tube, aside) - (least - 2 * tube))).toBeLessThan(0.05 * curve);
      }),
      { numRuns: 12 },
    );
    expect(linkClearance(60, 10, 60)).toBeCloseTo(40, 1);
    expect([isLinked(60, 60), isLinked(60, 130)]).toEqual([true, false]);
  });
  test('the second link stands beside the first, and both have the room between them that is told', () => {
    const blank = made(bent({ linkAsideMm: mm(60), wedges: 36 }));
    const corners = (solids: typeof blank.solids) => solids.flatMap((solid) => solid.corners);
    expect(blank.beside).toHaveLength(blank.solids.length);
    let least = Infinity;
    for (const p of corners(blank.solids))
      for (const q of corners(blank.beside))
        least = Math.min(least, Math.hypot(p.x - q.x, p.y - q.y, p.z - q.z));
    const told = blank.figures.find(({ key }) => key === 'room-between-the-links')!.value;
    expect(Math.abs(least - told)).toBeLessThan(4);
    expect(made(bent()).beside).toEqual([]);
  });
  test('half bends joined by straight lengths: the wood of the bends and of two prisms, nothing in two pieces', () => {
    const straight = { lengthMm: mm(40), rings: 3 };
    const [round, long] = [made(bent()), made(bent({ straight }))];
    expect(long.solids).toHaveLength(bentPlaces(bent({ straight })));
    expect(bentPlaces(bent({ straight }))).toBe((24 + 6) * 6);
    // A hexagon of apothem 14 is 6·14²·tan 30° in section.
    const section = 6 * 14 * 14 * Math.tan(Math.PI / 6);
    expect(volumeOfBlank(long) - volumeOfBlank(round)).toBeCloseTo(2 * 40 * section, 6);
    const [handle, bow] = [made(bent({ sweepDeg: 180, straight })), made(bent({ sweepDeg: 180 }))];
    expect(volumeOfBlank(handle) - volumeOfBlank(bow)).toBeCloseTo(40 * section, 6);
    expect(long.kinds.map(({ name, places }) => [name, places.length])).toEqual([
      ['Segment', 24 * 6],
      ['Segment of the straights', 6 * 6],
    ]);
    const ys = long.solids.flatMap(({ corners }) => corners.map(({ y }) => y));
    const old = round.solids.flatMap(({ corners }) => corners.map(({ y }) => y));
    expect(Math.max(...ys) - Math.min(...ys) - (Math.max(...old) - Math.min(...old))).toBeCloseTo(40, 6);
    expect(refusal(bent({ straight, wedges: 25 }))?.code).toBe('wedges-odd');
  });
  test('room between two long links, corner by corner; two go through one hole from 6r − 2R of straight on', () => {
    const straight = { lengthMm: mm(50), rings: 2 };
    const blank = made(bent({ linkAsideMm: mm(100), wedges: 36, straight }));
    let least = Infinity;
    for (const { corners } of blank.solids)
      for (const p of corners)
        for (const { corners: others } of blank.beside)
          for (const q of others) least = Math.min(least, Math.hypot(p.x - q.x, p.y - q.y, p.z - q.z));
    const told = blank.figures.find(({ key }) => key === 'room-between-the-links')!.value;
    expect(Math.abs(least - told)).toBeLessThan(5);
    expect(straightForTwo(60, 16)).toBe(0);
    expect(straightForTwo(40, 16)).toBe(16);
    // With just so much the hole is as long as two tubes are thick: 2·(40 − 16) + 16 = 4·16.
    expect(2 * (40 - 16) + straightForTwo(40, 16)).toBe(4 * 16);
    expect(isLinked(60, 160, 50)).toBe(true);
  });
  test('links that collide or miss each other are told', () => {
    const codes = (change: Partial<BentParams>) => made(bent(change)).warnings.map(({ code }) => code);
    expect(codes({ linkAsideMm: mm(110) })).toContain('links-collide');
    expect(codes({ linkAsideMm: mm(200) })).toContain('links-apart');
    expect(codes({ linkAsideMm: mm(60) })).toEqual([]);
  });
  test.each([
    ['tube-no-wall', { innerRadiusMm: mm(14) }],
    ['curve-too-tight', { curveMm: mm(15) }],
    ['wedge-too-wide', { wedges: 4 }],
  ] as const)('%s is refused with its limit', (code, change) => {
    const refused = refusal(bent(change));
    expect(refused?.code).toBe(code);
    expect(plain(refused?.message ?? '')).toMatch(/\d.*\.$/);
  });
});

describe.each([
  globe(),
  globe({ part: 'half', bevels: 'centre' }),
  bent(),
  bent({ sweepDeg: 120, innerRadiusMm: mm(6) }),
  bent({ straight: { lengthMm: mm(30), rings: 2 } }),
  bent({ sweepDeg: 180, straight: { lengthMm: mm(30), rings: 2 } }),
])('the blank %o', (making) => {
  const blank = made(making);
  test('sampling gives the volume of its pieces, and every piece at its own middle', () => {
    for (const { place, corners } of blank.solids) {
      const sum = corners.reduce((s, p) => ({ x: s.x + p.x, y: s.y + p.y, z: s.z + p.z }));
      const n = corners.length;
      expect(blank.placeAt({ x: sum.x / n, y: sum.y / n, z: sum.z / n })).toBe(place);
    }
    const reach = Math.max(
      ...blank.solids.flatMap(({ corners }) => corners.map(({ x, y }) => Math.hypot(x, y))),
    );
    const up = Math.max(...blank.solids.flatMap(({ corners }) => corners.map(({ z }) => Math.abs(z))));
    let hits = 0;
    const points = 12000;
    for (let i = 1; i <= points; i++) {
      const [a, b, c] = [0.8191725134, 0.6710436067, 0.5497004779].map((step) => 2 * ((i * step) % 1) - 1);
      if (blank.placeAt({ x: a! * reach, y: b! * reach, z: c! * up }) !== null) hits++;
    }
    const box = 8 * reach * reach * up;
    expect(Math.abs((hits / points) * box - volumeOfBlank(blank)) / box).toBeLessThan(0.012);
  });
  test('every place has a wood to take, a kind, and a part of the flat pattern', () => {
    const places = Array.from({ length: blankPlaces(making) }, (_, i) => i);
    expect(blank.kinds.flatMap((kind) => kind.places).sort((a, b) => a - b)).toEqual(places);
    expect(blank.flat.map(({ place }) => place)).toEqual(places);
    expect(blank.solids.every((solid) => volumeOfSolid(solid) > 0)).toBe(true);
    expect(
      blank
        .steps()
        .map(({ says }) => plain(says))
        .join(' '),
    ).not.toMatch(/NaN|undefined/);
  });
});
