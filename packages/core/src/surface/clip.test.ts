import fc from 'fast-check';
import Module from 'manifold-3d';
import { beforeAll, expect, test } from 'vitest';
import { type Point3, unit } from '../ring/space.js';
import { between } from '../testing/numbers.js';
import { clipped, type Triangle } from './clip.js';

// manifold-3d: an independent solid-modelling kernel.
let kernel: Awaited<ReturnType<typeof Module>>;
beforeAll(async () => {
  kernel = await Module();
  kernel.setup();
});

type Body = ReturnType<typeof kernel.Manifold.cube>;

function trianglesOf(body: Body): Triangle[] {
  const { vertProperties: at, triVerts, numProp } = body.getMesh();
  const point = (v: number): Point3 => ({
    x: at[numProp * v]!,
    y: at[numProp * v + 1]!,
    z: at[numProp * v + 2]!,
  });
  return Array.from({ length: triVerts.length / 3 }, (_, t) => [
    point(triVerts[3 * t]!),
    point(triVerts[3 * t + 1]!),
    point(triVerts[3 * t + 2]!),
  ]);
}

const volumeOf = (surface: readonly Triangle[]) =>
  surface.reduce(
    (sum, [a, b, c]) =>
      sum + a.x * (b.y * c.z - b.z * c.y) + a.y * (b.z * c.x - b.x * c.z) + a.z * (b.x * c.y - b.y * c.x),
    0,
  ) / 6;

test('bodies, whole, hollow and in several parts, cut by planes hold what a modelling kernel says', () => {
  const { Manifold } = kernel;
  const bodies = [
    () => Manifold.cube([20, 14, 9], true),
    () => Manifold.cylinder(30, 12, 7, 24, true),
    () => Manifold.cylinder(30, 20, 16, 32, true).subtract(Manifold.cylinder(40, 11, 9, 32, true)),
    () => Manifold.sphere(15, 20).add(Manifold.cube([6, 6, 50], true)),
    () => Manifold.cube([8, 8, 8], true).add(Manifold.cube([8, 8, 8], true).translate([25, 3, 1])),
  ];
  const side = fc.record({
    normal: fc
      .record({ x: between(-1, 1), y: between(-1, 1), z: between(-1, 1) })
      .filter(({ x, y, z }) => Math.hypot(x, y, z) > 0.1)
      .map(unit),
    most: between(-9, 12),
  });
  fc.assert(
    fc.property(
      fc.nat({ max: bodies.length - 1 }),
      fc.array(side, { minLength: 1, maxLength: 3 }),
      (which, sides) => {
        const body = bodies[which]!();
        const expected = sides.reduce(
          (rest, { normal, most }) => rest.trimByPlane([-normal.x, -normal.y, -normal.z], -most),
          body,
        );
        const { surface, faces } = clipped(trianglesOf(body), sides);
        const [got, want] = [volumeOf([...surface, ...faces]), expected.volume()];
        expect(Math.abs(got - want)).toBeLessThan(0.01 + 1e-4 * want);
      },
    ),
  );
});
