import fc from 'fast-check';
import Module from 'manifold-3d';
import { describe, expect, test } from 'vitest';
import { cornersBetween, movedSolid, solidBetween } from './convex.js';
import { dot, type Plane, type Point3, unit, volumeOfSolid } from './space.js';

const facing = (x: number, y: number, z: number, at: number): Plane => ({ normal: unit({ x, y, z }), at });
const cube: readonly Plane[] = [
  facing(1, 0, 0, 5),
  facing(-1, 0, 0, 5),
  facing(0, 1, 0, 5),
  facing(0, -1, 0, 5),
  facing(0, 0, 1, 5),
  facing(0, 0, -1, 5),
];
const points = ({ x, y, z }: Point3): [number, number, number] => [x, y, z];

describe('convex pieces between planes', () => {
  test('a cube has eight corners and six faces; cut off at a corner by a third of its diagonal it has one more (by hand)', () => {
    expect(cornersBetween(cube)).toHaveLength(8);
    expect(volumeOfSolid(solidBetween(cube, 3))).toBeCloseTo(1000, 9);
    // The corner that is cut off is a pyramid with three edges a at right angles: a³ / 6.
    const cut = solidBetween([...cube, facing(1, 1, 1, 15 / Math.sqrt(3) - 4 / Math.sqrt(3))], 0);
    expect(cut.faces).toHaveLength(7);
    expect(volumeOfSolid(cut)).toBeCloseTo(1000 - 4 ** 3 / 6, 9);
  });

  test('planes that only touch it, or that are there twice, have no face of their own', () => {
    const touched = solidBetween(
      [
        ...cube,
        facing(1, 1, 1, 15 / Math.sqrt(3)),
        facing(1, 0, 1, 10 / Math.SQRT2),
        facing(0, 0, 1, 5 + 1e-12),
      ],
      0,
    );
    expect(touched.faces).toHaveLength(6);
    expect(volumeOfSolid(touched)).toBeCloseTo(1000, 9);
    expect(solidBetween([...cube, facing(0, 0, 1, -6)], 0).faces).toEqual([]);
  });

  test('whatever cuts it, it is the hull of its corners, each face looks along its normal, and turning keeps it (manifold-3d)', async () => {
    const kernel = await Module();
    kernel.setup();
    const way = fc.double({ min: -1, max: 1, noNaN: true });
    const plane = fc
      .tuple(way, way, way, fc.double({ min: 1, max: 7, noNaN: true }))
      .filter(([x, y, z]) => Math.hypot(x, y, z) > 0.1)
      .map(([x, y, z, at]) => facing(x, y, z, at));
    fc.assert(
      fc.property(
        fc.array(plane, { maxLength: 8 }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (more, turn) => {
          const planes = [...cube, ...more];
          const solid = solidBetween(planes, 0);
          const cut = more.reduce(
            (left, { normal, at }) => left.trimByPlane([-normal.x, -normal.y, -normal.z], -at),
            kernel.Manifold.cube([10, 10, 10], true),
          );
          expect(volumeOfSolid(solid)).toBeCloseTo(cut.volume(), 2);
          expect(kernel.Manifold.hull(solid.corners.map(points)).volume()).toBeCloseTo(cut.volume(), 2);
          const moved = movedSolid(solid, turn, { x: 3, y: -2, z: 7 });
          expect(volumeOfSolid(moved)).toBeCloseTo(volumeOfSolid(solid), 6);
          for (const { corners, faces, normals } of [solid, moved])
            faces.forEach((face, i) => {
              const on = face.map((k) => dot(normals[i]!, corners[k]!));
              expect(Math.max(...on) - Math.min(...on)).toBeLessThan(1e-5);
              expect(Math.max(...on)).toBeGreaterThan(
                Math.max(...corners.map((p) => dot(normals[i]!, p))) - 1e-5,
              );
            });
        },
      ),
      { numRuns: 60 },
    );
  });
});
