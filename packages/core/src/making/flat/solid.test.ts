import Module from 'manifold-3d';
import { beforeAll, describe, expect, test } from 'vitest';
import { mm } from '../../measure/quantity.js';
import type { LaidPiece } from '../contract.js';
import { layOut } from '../layOut.js';
import { makeRing } from '../registry.js';
import { ringSizes } from './geometry.js';

// manifold-3d: an independent solid-modelling kernel.
let kernel: Awaited<ReturnType<typeof Module>>;
beforeAll(async () => {
  kernel = await Module();
  kernel.setup();
});

const ROUND = 720;

function solid(piece: LaidPiece, height: number, scale = 1) {
  const outline = piece.bottom.map(({ x, y }): [number, number] => [x * scale, y * scale]);
  return kernel.Manifold.extrude([outline], height);
}

const tube = (outer: number, inner: number, height: number) => {
  const round = kernel.Manifold.cylinder(height, outer, outer, ROUND);
  return inner > 0 ? round.subtract(kernel.Manifold.cylinder(height, inner, inner, ROUND)) : round;
};

describe.each([
  [3, 60, 20, 12],
  [6, 80, 0, 15],
  [12, 125, 100, 19],
  [24, 90, 75.5, 17],
  [41, 200, 188, 8],
])('%i segments, %f/%f mm, %f high', (count, outer, inner, height) => {
  const need = { outerMm: mm(outer), innerMm: mm(inner), heightMm: mm(height) };
  const ring = () => {
    const made = makeRing({ way: 'flat', count }, need);
    if (!made.ok) throw new Error('ring');
    return made.value;
  };

  test('the pieces do not overlap and their volume is the one that is counted', () => {
    const pieces = layOut(ring()).map((piece) => solid(piece, height));
    const whole = kernel.Manifold.union(pieces);
    const apart = pieces.reduce((sum, piece) => sum + piece.volume(), 0);
    const counted = ring().kinds.reduce((sum, kind) => sum + kind.volumeMm3 * kind.places.length, 0);
    expect(whole.volume() / apart).toBeCloseTo(1, 6);
    expect(apart / counted).toBeCloseTo(1, 6);
  });

  test('the blank holds the round ring, and no segment could be shorter or narrower', () => {
    const angles = Array.from({ length: count }, () => (2 * Math.PI) / count);
    const { longEdgeMm, widthMm } = ringSizes(angles, mm(outer), mm(inner)).segments[0]!;
    const missing = (edge: number, width: number) => {
      const apothem = edge / (2 * Math.tan(Math.PI / count));
      const corner = apothem / Math.cos(Math.PI / count);
      const hole = Math.max(0, apothem - width) / Math.cos(Math.PI / count);
      const polygon = (radius: number) =>
        kernel.Manifold.cylinder(height, radius, radius, count).rotate([0, 0, 180 / count]);
      const blank = hole > 0 ? polygon(corner).subtract(polygon(hole)) : polygon(corner);
      return tube(outer, inner, height).subtract(blank).volume();
    };
    const tiny = 1e-6 * Math.PI * outer ** 2 * height;
    expect(missing(longEdgeMm, widthMm)).toBeLessThan(tiny);
    expect(missing(longEdgeMm - 0.4, widthMm)).toBeGreaterThan(tiny);
    if (inner > 0) expect(missing(longEdgeMm, widthMm - 0.4)).toBeGreaterThan(tiny);
  });
});

test('unequal segments: no overlap, the counted volume, and the round ring within', () => {
  const made = makeRing(
    { way: 'flat', count: 12, parts: [1, 2, 1.5, 0.7] },
    { outerMm: mm(110), innerMm: mm(90), heightMm: mm(18) },
  );
  if (!made.ok) throw new Error('ring');
  const pieces = layOut(made.value).map((piece) => solid(piece, 18));
  const whole = kernel.Manifold.union(pieces);
  const counted = made.value.kinds.reduce((sum, kind) => sum + kind.volumeMm3 * kind.places.length, 0);
  expect(whole.volume() / counted).toBeCloseTo(1, 6);
  expect(tube(110, 90, 18).subtract(whole).volume()).toBeLessThan(1e-6 * Math.PI * 110 ** 2 * 18);
});
