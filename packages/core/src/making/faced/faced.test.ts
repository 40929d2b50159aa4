import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { sawn } from '../../demo/build.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { between as anyBetween } from '../../testing/numbers.js';
import { madeRing, refusalOf } from '../../testing/rings.js';
import { swellAt } from '../inlaid/lens.js';
import type { Plugs } from '../inlaid/params.js';
import { volumeOf, volumeOfAll } from '../layOut.js';
import { inlayOutlines, pocketOf } from '../lettered/outlines.js';
import type { Letters } from '../lettered/params.js';
import type { SegmentedParams } from '../segmented/params.js';
import { radialWedge } from '../wedge.js';
import { carve } from './carve.js';
import { cuttable } from './cutter.js';
import { box, type FacePoint, field, loopArea, pocket, round, throughShape } from './face.js';
import { lineAt, trapezoids } from './sweep.js';

const NEED = { outerRadiusMm: mm(100), innerRadiusMm: mm(80), heightMm: mm(24) };
const inlaid = (change: Partial<Plugs>, beside: Partial<SegmentedParams> = {}) =>
  sawn('plugs', 12, change, beside);
const lettered = (change: Partial<Letters>, beside: Partial<SegmentedParams> = {}) =>
  sawn('letters', 12, change, beside);
const dot = (across: number, aside: number, up: number, depth?: number) => ({
  shape: 'round' as const,
  acrossMm: mm(across),
  asideMm: mm(aside),
  upMm: mm(up),
  ...(depth !== undefined && { depthMm: mm(depth) }),
});

/** Even-odd over loops, the slow way. */
const covered = (loops: readonly (readonly FacePoint[])[], u: number, z: number): boolean =>
  loops.reduce((inside, loop) => {
    let within = false;
    loop.forEach((p, i) => {
      const q = loop[(i + 1) % loop.length]!;
      if (p.z > z !== q.z > z && u < p.u + ((z - p.z) / (q.z - p.z)) * (q.u - p.u)) within = !within;
    });
    return inside !== within;
  }, false);

describe('a face divided by a sweep', () => {
  const anyLoop = fc
    .array(fc.record({ u: anyBetween(-40, 40), z: anyBetween(-5, 35) }), { minLength: 3, maxLength: 7 })
    .filter((loop) => Math.abs(loopArea(loop)) > 1);
  test('has at every spot the first shape that covers it, whatever overlaps or crosses', () => {
    fc.assert(
      fc.property(
        fc.array(anyLoop, { minLength: 1, maxLength: 4 }),
        anyBetween(-39.9, 39.9),
        anyBetween(0.1, 29.9),
        (loops, u, z) => {
          const shapes = [...loops.map((loop, i) => throughShape(i, loop)), field(99)];
          const parts = trapezoids(shapes, 30).filter(
            ({ fromMm, toMm, left, right }) =>
              z > fromMm && z < toMm && u > lineAt(left, z) && u < lineAt(right, z),
          );
          const first = (at: number) => shapes.find((shape) => covered(shape.loops, at, z))!.piece;
          // Spots on the very edge of a shape belong to either side.
          if (first(u - 1e-6) !== first(u + 1e-6)) return;
          expect(parts.map(({ behind }) => behind[0]!.piece)).toEqual([first(u + 1e-6)]);
        },
      ),
      { numRuns: 200 },
    );
  });
  test('areas add up to the face, each shape having its own', () => {
    const shapes = [pocket(1, 5, round({ u: 4, z: 12 }, 6)), throughShape(2, box(-9, 9, 3, 8)), field(0)];
    const area = (piece: number) =>
      trapezoids(shapes, 24)
        .filter(({ behind }) => behind[0]!.piece === piece)
        .reduce((sum, { fromMm, toMm, left, right }) => {
          const wide = (z: number) => Math.min(50, lineAt(right, z)) - Math.max(-50, lineAt(left, z));
          return sum + ((wide(fromMm) + wide(toMm)) / 2) * (toMm - fromMm);
        }, 0);
    expect(area(1)).toBeCloseTo(Math.PI * 36, 6);
    expect(area(0) + area(1) + area(2)).toBeCloseTo(100 * 24, 6);
  });
});

describe('plugs and frames', () => {
  test('a dowel has the volume of a cylinder, and the segment is that much smaller', () => {
    const made = madeRing(inlaid({ plugs: [dot(8, 3, 2, 9)] }), NEED);
    expect(volumeOfAll(made.lay(12))).toBeCloseTo(Math.PI * 16 * 9, 6);
    const plain = madeRing(inlaid({ plugs: [] }), NEED);
    expect(volumeOfAll(made.lay(0)) + volumeOfAll(made.lay(12))).toBeCloseTo(volumeOfAll(plain.lay(0)), 5);
  });
  test('the bottom of a hole lies where it is nearest and farthest, at its own heights', () => {
    const { layers } = madeRing(inlaid({ plugs: [dot(8, 3, 2, 9)] }), NEED);
    expect(layers[0]).toMatchObject({ fromMm: 10, toMm: 18, nearMm: 91 });
    expect(layers[0]!.farMm).toBeCloseTo(Math.hypot(91, 7), 9);
  });
  test('one dot within another is a ring of dots; the other way round it is hidden and refused', () => {
    const made = madeRing(inlaid({ plugs: [dot(4, 0, 0, 6), dot(9, 0, 0, 6)] }), NEED);
    expect(volumeOfAll(made.lay(13))).toBeCloseTo(Math.PI * (20.25 - 4) * 6, 5);
    expect(refusalOf(inlaid({ plugs: [dot(9, 0, 0, 6), dot(4, 0, 0, 6)] }), NEED)?.code).toBe('plug-hidden');
  });
  test.each([
    ['plug-wider-than-face', { plugs: [dot(60, 0, 0, 5)] }],
    ['plug-wider-than-face', { plugs: [dot(10, 25, 0, 5)] }],
    ['plug-higher-than-face', { plugs: [dot(30, 0, 0, 5)] }],
    ['plug-too-deep', { plugs: [dot(5, 0, 0, 60)] }],
    ['edge-too-wide', { edge: { topMm: mm(12), bottomMm: mm(12), sidesMm: mm(0) } }],
  ] as const)('%s is refused with the limit', (code, change) => {
    const refused = refusalOf(inlaid(change as Partial<Plugs>), NEED);
    expect(refused?.code).toBe(code);
    expect(refused?.path).toMatch(/^sawnFrom/);
    expect(plain(refused?.message ?? '')).toMatch(/\d.*\.$/);
  });
  test('a lens swells the dot in its middle most, and none beyond its rim; it comes round as often as asked', () => {
    const lens = { segment: 2, times: 2, segments: 4, rings: 3, ring: 0, swell: 2.5 };
    const sizes = Array.from({ length: 24 }, (_, i) => swellAt(lens, i, 24));
    expect(sizes[2]).toBe(2.5);
    expect(sizes[14]).toBe(2.5);
    expect(sizes[8]).toBe(1);
    expect(sizes.slice(2, 7).every((size, i, all) => i === 0 || size <= all[i - 1]!)).toBe(true);
    expect(swellAt({ ...lens, ring: 3 }, 2, 24)).toBe(1);
    const made = madeRing(inlaid({ lens, plugs: [dot(4, 0, 0)] }, { count: 24 }), NEED);
    expect(made.repeats).toBe(2);
    expect(made.kinds.length).toBeGreaterThan(3);
  });
});

describe('letters', () => {
  test('a round cutter rounds corners: a square loses (4 − π)·r² and keeps its width', () => {
    const square = [box(-10, 10, -10, 10)];
    const area = (loops: readonly (readonly FacePoint[])[]) =>
      loops.reduce((sum, loop) => sum + loopArea(loop), 0);
    const cut = cuttable(square, 4);
    expect(area(cut)).toBeCloseTo(400 - (4 - Math.PI) * 4, 0);
    expect(Math.max(...cut.flat().map(({ u }) => u))).toBeCloseTo(10, 2);
    // Narrower than the cutter: nothing is left.
    expect(cuttable([box(-1, 1, -10, 10)], 4)).toEqual([]);
  });
  test('an insert is smaller by the clearance all round, and mirrored where it goes in turned over', () => {
    const { sawnFrom } = lettered({ clearanceMm: mm(0.1), sizeMm: mm(20), turnedOver: true });
    const given = { ...(sawnFrom as Letters), count: 12 };
    const [pair] = inlayOutlines(given);
    const reach = (loops: readonly (readonly FacePoint[])[], of: (p: FacePoint) => number) =>
      Math.max(...loops.flat().map(of));
    expect(pair!.pieces).toBe(12);
    expect(reach(pair!.pocket, ({ z }) => z) - reach(pair!.insert, ({ z }) => z)).toBeCloseTo(0.1, 2);
    const straight = inlayOutlines({ ...given, turnedOver: false })[0]!;
    expect(reach(pair!.insert, ({ u }) => u)).toBeCloseTo(
      reach(straight.insert, ({ u }) => -u),
      6,
    );
  });
  test('the inlay in the segment is the pocket that the cutter makes', () => {
    const given = lettered({ sizeMm: mm(14), depthMm: mm(6), cutterMm: mm(2) });
    const made = madeRing(given, NEED);
    const letters = given.sawnFrom as Letters;
    const area = pocketOf(letters.glyphs[0]!, letters).reduce((sum, loop) => sum + loopArea(loop), 0);
    expect(volumeOfAll(made.lay(12))).toBeCloseTo(area * 6, 4);
  });
  test.each([
    ['glyph-too-fine', 12, { cutterMm: mm(20) }],
    ['glyph-higher-than-face', 12, { sizeMm: mm(30) }],
    ['pocket-too-deep', 12, { depthMm: mm(60) }],
    ['glyph-wider-than-face', 40, { sizeMm: mm(22), order: Array.from({ length: 40 }, () => 0) }],
  ] as const)('%s is refused with the limit', (code, count, change) => {
    const refused = refusalOf(lettered(change as Partial<Letters>, { count }), NEED);
    expect(refused?.code).toBe(code);
    expect(plain(refused?.message ?? '')).toMatch(/\d.*\.$/);
  });
});

test.each([
  ['across the middle', 0],
  ['aside of it', 1],
])(
  'the bottom of a plug %s is nearest and farthest where it is of all segments, pushed aside as they are',
  (_, which) => {
    const joints = [0, 6].map((joint) => ({ joint, holds: 'spacer' as const, thicknessMm: mm(7) }));
    const plugs = [1, -12].map((at) => ({ ...dot(6, at, 0, 4), shape: 'square' as const }));
    const need = { ...NEED, innerRadiusMm: mm(70) };
    const made = madeRing(inlaid({ plugs }, { between: { put: 'mixed', joints } }), need);
    const bottoms = Array.from({ length: 12 }, (_, i) => {
      const [cos, sin] = [Math.cos(((2 * i + 1) * Math.PI) / 12), Math.sin(((2 * i + 1) * Math.PI) / 12)];
      const turned = made
        .lay(12 + 2 * i + which)
        .flatMap(({ bottom }) => bottom)
        .map(({ x, y }) => ({ along: x * cos + y * sin, aside: y * cos - x * sin }));
      const deepest = Math.min(...turned.map(({ along }) => along));
      return turned.filter(({ along }) => along < deepest + 1e-6);
    });
    const far = (points: (typeof bottoms)[number]) =>
      points.map(({ along, aside }) => Math.hypot(along, aside));
    const near = bottoms.map((points) => {
      const asides = points.map(({ aside }) => aside);
      const crosses = Math.min(...asides) < 0 && Math.max(...asides) > 0;
      return crosses ? points[0]!.along : Math.min(...far(points));
    });
    const line = made.layers[which];
    expect(Math.max(...near) - Math.min(...near)).toBeGreaterThan(1);
    expect(line?.nearMm).toBeCloseTo(Math.min(...near), 6);
    expect(line?.farMm).toBeCloseTo(Math.max(...bottoms.flatMap(far)), 6);
  },
);

describe('a wedge carved by a trapezoid', () => {
  const faces = { outerRadiusMm: 100, innerRadiusMm: 80, lean: 0 };
  const half = Math.PI / 12;
  const tan = Math.tan(half);
  type Line = (z: number) => number;
  /** Volume between two lines of the face and two joints moved aside by slices: a fine sum that knows nothing of parts. */
  const sliced = (left: Line, right: Line, [from, to]: readonly [Line, Line], height: number): number => {
    const steps = 400;
    let sum = 0;
    for (let i = 0; i < steps; i++)
      for (let k = 0; k < steps; k++) {
        const z = ((i + 0.5) * height) / steps;
        const v = 80 + ((k + 0.5) * 20) / steps;
        sum += Math.max(0, Math.min(right(z), v * tan + to(z)) - Math.max(left(z), from(z) - v * tan));
      }
    return (sum * height * 20) / steps ** 2;
  };
  test('has the volume that slices of it have, wherever its lines meet the joints, upright or leaning', () => {
    fc.assert(
      fc.property(
        anyBetween(-40, 30),
        anyBetween(2, 40),
        anyBetween(-1.2, 1.2),
        anyBetween(-1.2, 1.2),
        anyBetween(-0.3, 0.3),
        anyBetween(-0.3, 0.3),
        (at, wide, slopeLeft, slopeRight, tiltFrom, tiltTo) => {
          const height = 15;
          // Lines that cross within the height bound no trapezoid.
          if (wide + (slopeRight - slopeLeft) * height <= 0) return;
          const parts = carve(
            {
              fromMm: 0,
              toMm: height,
              left: { at, slope: slopeLeft },
              right: { at: at + wide, slope: slopeRight },
              behind: [{ piece: 0, frontMm: 0, backMm: Number.POSITIVE_INFINITY }],
            },
            { ...radialWedge(0, half), tiltFrom, tiltTo },
            faces,
            height,
          );
          const moved = (tilt: number) => (z: number) => ((z - height / 2) * tilt) / Math.cos(half);
          const volume = parts.reduce((sum, part) => sum + volumeOf({ place: 0, ...part }), 0);
          const slow = sliced(
            (z) => at + slopeLeft * z,
            (z) => at + wide + slopeRight * z,
            [moved(tiltFrom), moved(tiltTo)],
            height,
          );
          expect(Math.abs(volume - slow)).toBeLessThan(0.002 * Math.max(1000, slow));
          for (const { bottom, top } of parts) expect(bottom).toHaveLength(top.length);
        },
      ),
      { numRuns: 25 },
    );
  });
  test('ends at its depth, and at the back of the segment where it goes through', () => {
    const pieces = [
      { piece: 1, frontMm: 0, backMm: 6 },
      { piece: 0, frontMm: 6, backMm: Number.POSITIVE_INFINITY },
    ];
    const line = (at: number) => ({ at, slope: 0 });
    const parts = carve(
      { fromMm: 2, toMm: 9, left: line(-3), right: line(3), behind: pieces },
      radialWedge(0, half),
      faces,
      24,
    );
    const xs = (piece: number) =>
      parts.filter((part) => part.piece === piece).flatMap(({ top }) => top.map(({ x }) => x));
    expect([Math.max(...xs(1)), Math.min(...xs(1))]).toEqual([100, 94]);
    expect([Math.max(...xs(0)), Math.min(...xs(0))]).toEqual([94, 80]);
    expect(parts.every(({ fromMm, toMm }) => fromMm === 2 && toMm === 9)).toBe(true);
  });
});
