import Module, { type Manifold } from 'manifold-3d';
import { beforeAll, expect, test } from 'vitest';
import { radiusAt } from '../src/form/curve.js';
import { layOut } from '../src/making/layOut.js';
import { sampledRings } from '../src/project/standing.js';
import { ringMesh } from '../src/surface/mesh.js';
import { sampleWall } from '../src/surface/sample.js';
import { middleOf, stacked, vaseOf } from './vase.js';

let solids: Awaited<ReturnType<typeof Module>>;
beforeAll(async () => {
  solids = await Module();
  solids.setup();
});

const FINE = { columns: 1024, rows: 512 };
const COARSE = { columns: 512, rows: 192 };

const sampledFrom = (rings: number, count: number, fineness = FINE) => {
  const prepared = stacked(vaseOf(rings, count));
  return sampleWall(prepared.vessel, sampledRings(prepared), 'outside', fineness);
};

/** Points of the wall asked of solids: how long one takes, and whether it gave the same answer as `placeAt`. */
function askedOfSolids(points: number): { each: number; prepared: number } {
  const { vessel, rings } = stacked(vaseOf(40, 48));
  const from = performance.now();
  const pieces = rings.map(({ made }) => {
    if (!made.ok) throw new Error('ring');
    return layOut(made.value).map(({ place, bottom }) => ({
      place,
      solid: solids.CrossSection.ofPolygons([bottom.map(({ x, y }): [number, number] => [x, y])]).extrude(
        made.value.heightMm,
      ),
    }));
  });
  const prepared = performance.now() - from;
  const boxes = new Map<Manifold, ReturnType<Manifold['boundingBox']>>();
  for (const { solid } of pieces.flat()) boxes.set(solid, solid.boundingBox());
  let other = 0;
  const start = performance.now();
  for (let i = 1; i <= points; i++) {
    const z = ((i * 0.6180339) % 1) * vessel.heightMm;
    const index = Math.min(rings.length - 1, Math.floor(z / 8));
    const ring = rings[index]!;
    const [radius, angle] = [radiusAt(vessel.outside, z), i * 2.399963 - ring.turn];
    const [x, y, up] = [radius * Math.cos(angle), radius * Math.sin(angle), z - 8 * index];
    const probe = solids.Manifold.cube([1e-3, 1e-3, 1e-3], true).translate([x, y, up]);
    const met = pieces[index]!.find(({ solid }) => {
      const { min, max } = boxes.get(solid)!;
      if (x < min[0] || x > max[0] || y < min[1] || y > max[1]) return false;
      const common = probe.intersect(solid);
      const inside = !common.isEmpty();
      common.delete();
      return inside;
    });
    probe.delete();
    if (ring.made.ok && (met?.place ?? null) !== ring.made.value.placeAt(x, y, up)) other++;
  }
  // A probe has a size: next to a joint it may meet the neighbour.
  expect(other / points).toBeLessThan(0.005);
  return { each: (performance.now() - start) / points, prepared };
}

test('sampling the outside of 40 × 48 at 1024 × 512 points, and asking solids', () => {
  const { vessel, ...piece } = stacked(vaseOf(40, 48));
  const rings = sampledRings(piece);
  const ready = middleOf(() => sampleWall(vessel, rings, 'outside', FINE));
  const points = FINE.columns * FINE.rows;
  const { each, prepared } = askedOfSolids(2000);
  const whole = prepared + each * points;
  console.log(
    [
      `sampling 1024 × 512 points of 40 rings × 48: ${ready.toFixed(0)} ms, ${((1e6 * ready) / points).toFixed(0)} ns a point`,
      `  manifold-3d solids (bounding boxes first), from 2000 points: ${(whole / 1000).toFixed(1)} s; ratio ${(whole / ready).toFixed(0)}`,
    ].join('\n'),
  );
  expect(whole / ready).toBeGreaterThan(100);
});

test('an edit to a picture at the coarse level, and its growth with the places', () => {
  sampledFrom(40, 48, COARSE);
  const sizes = [
    [10, 12],
    [40, 48],
    [100, 120],
    [200, 240],
  ] as const;
  const rows = sizes.map(([rings, count]) => ({
    rings,
    count,
    coarse: middleOf(() => sampledFrom(rings, count, COARSE), 5),
    mesh: middleOf(() => {
      const { vessel, ...piece } = stacked(vaseOf(rings, count));
      for (const { made, turn, course } of piece.rings)
        if (made.ok) ringMesh(made.value, turn, course.bottomMm, vessel);
    }, 3),
  }));
  const each = ({ rings, count, coarse }: (typeof rows)[number]) => (1000 * coarse) / (rings * count);
  const [, middle, , large] = rows as [unknown, (typeof rows)[number], unknown, (typeof rows)[number]];
  console.log(
    [
      'a changed form to a coarse picture (512 × 192), rings prepared and sampled anew; and to a mesh',
      ...rows.map(
        (row) =>
          `  ${row.rings} × ${row.count}: ${row.coarse.toFixed(1)} ms, ${each(row).toFixed(1)} µs a place; mesh ${row.mesh.toFixed(0)} ms`,
      ),
      `  from 40 × 48 to 200 × 240, 25 times the places: ${(large.coarse / middle.coarse).toFixed(1)} times as long`,
    ].join('\n'),
  );
  expect(large.coarse / middle.coarse).toBeLessThan(50);
});
