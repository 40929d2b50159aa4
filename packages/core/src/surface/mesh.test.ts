import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { volumeOfAll } from '../making/layOut.js';
import { WAYS } from '../making/registry.js';
import { startFrom } from '../project/commands/edits.js';
import { plan } from '../project/plan.js';
import { type Prepared, prepare } from '../project/prepare.js';
import type { Project } from '../project/schema.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { enclosed } from '../testing/meshVolume.js';
import { after } from '../testing/pieces.js';
import { anyProject } from '../testing/random.js';
import { levelsOf } from './levels.js';
import { type PieceRange, type RingMesh, ringMesh } from './mesh.js';

const meshes = ({ rings }: Prepared) =>
  rings.flatMap(({ made, turn, course, ring, vessel }) =>
    made.ok ? [{ ring, made: made.value, mesh: ringMesh(made.value, turn, course.bottomMm, vessel) }] : [],
  );

/** Sum of the areas of a piece's triangles as vectors: nothing for a surface that is closed. */
function openness({ index, ...mesh }: RingMesh, piece: PieceRange, state: 'blank' | 'turned'): number {
  const at = mesh[state];
  const sum = [0, 0, 0];
  for (let t = 3 * piece.triangle; t < 3 * (piece.triangle + piece.triangles); t += 3) {
    const [a, b, c] = [3 * index[t]!, 3 * index[t + 1]!, 3 * index[t + 2]!];
    for (let k = 0; k < 3; k++) {
      const [u, v] = [(k + 1) % 3, (k + 2) % 3];
      const [du, dv] = [at[b + u]! - at[a + u]!, at[b + v]! - at[a + v]!];
      sum[k]! += (du * (at[c + v]! - at[a + v]!) - dv * (at[c + u]! - at[a + u]!)) / 2;
    }
  }
  return Math.hypot(...sum);
}

function sound(project: Project, tolerance: number): void {
  const prepared = prepare(project);
  const planned = plan(project, DEFAULT_SHOP);
  if (!prepared.ok || !planned.ok) return;
  let turned = 0;
  for (const { made, mesh } of meshes(prepared.value)) {
    for (const piece of mesh.pieces) {
      expect(openness(mesh, piece, 'blank')).toBeLessThan(0.05);
      expect(openness(mesh, piece, 'turned')).toBeLessThan(0.05);
      turned += enclosed(mesh, piece, 'turned');
    }
    const blank = new Map<number, number>();
    for (const piece of mesh.pieces)
      blank.set(piece.place, (blank.get(piece.place) ?? 0) + enclosed(mesh, piece, 'blank'));
    for (const [place, volume] of blank)
      expect(Math.abs(volume / volumeOfAll(made.lay(place)) - 1)).toBeLessThan(0.01);
    for (const numbers of [mesh.blank, mesh.turned, mesh.blankNormals, mesh.turnedNormals, mesh.end])
      expect(numbers.every(Number.isFinite)).toBe(true);
  }
  const beside = planned.value.blanks
    .flatMap(({ pieces }) => pieces)
    .reduce((sum, { count, volumeMm3 }) => sum + count * volumeMm3, 0);
  if (planned.value.rings.every(({ reasons, gives }) => reasons.length === 0 && gives !== null))
    expect(Math.abs(turned / (planned.value.woodMm3 - beside) - 1)).toBeLessThan(tolerance);
}

/** Random pieces of more places than this have nothing more to show, and take minutes. */
const MOST_PLACES = 150;

/** Pieces that slanted cuts go through are cut off at their sides; cut.test.ts looks at them. */
const whole = demoProjects().filter(({ slants }) => !slants);
/** With slices of a thick ring, which none of them has. */
const sliced = { ...after(whole[0]!, startFrom([7, 8, 9], 'resawn')), name: 'Slices' };
const uncut = [...whole, sliced];

describe('the mesh of a piece', () => {
  test.each(uncut.map((project) => [project.name, project] as const))(
    '%s: closed pieces with the volume of the blank, and turned that of the finished piece',
    (_, project) => sound(project, 0.01),
  );
  test('every place has its pieces, one after the other, and its vertices lie within its ring', () => {
    const prepared = prepare(demoProjects()[3]!);
    if (!prepared.ok) throw new Error('prepare');
    for (const { ring, mesh } of meshes(prepared.value)) {
      expect(mesh.pieces.map(({ place }) => place)).toEqual(ring.woods.map((_, place) => place));
      let [vertex, triangle] = [0, 0];
      for (const piece of mesh.pieces) {
        expect([piece.vertex, piece.triangle]).toEqual([vertex, triangle]);
        const own = mesh.index.subarray(3 * triangle, 3 * (triangle + piece.triangles));
        expect(own.every((v) => v >= vertex && v < vertex + piece.vertices)).toBe(true);
        vertex += piece.vertices;
        triangle += piece.triangles;
      }
      expect([3 * vertex, 3 * triangle]).toEqual([mesh.blank.length, mesh.index.length]);
    }
  });
  test('random pieces of every way have finite, closed meshes', () => {
    const seen = new Set<string>(uncut.flatMap(({ rings }) => rings.map(({ making }) => making.way)));
    fc.assert(
      fc.property(anyProject, (project) => {
        const places = project.rings.reduce((sum, { woods }) => sum + woods.length, 0);
        fc.pre(places <= MOST_PLACES);
        for (const { making } of project.rings) seen.add(making.way);
        sound(project, 0.1);
      }),
      { numRuns: 20, endOnFailure: true },
    );
    expect([...seen].sort()).toEqual([...WAYS].filter((way) => way !== 'stock').sort());
  });
  test('turned walls lie on the curves, and normals of the outside point outwards', () => {
    const prepared = prepare(demoProjects()[0]!);
    if (!prepared.ok) throw new Error('prepare');
    const { vessel, rings } = prepared.value;
    const widest = Math.max(
      ...rings.flatMap(({ course }) =>
        levelsOf(vessel, course.bottomMm, course.topMm, 0.15).map((l) => l.outer),
      ),
    );
    for (const { mesh } of meshes(prepared.value))
      for (let i = 0; i < mesh.turned.length; i += 3) {
        const [x, y] = [mesh.turned[i]!, mesh.turned[i + 1]!];
        expect(Math.hypot(x, y)).toBeLessThan(widest + 0.01);
        const length = Math.hypot(
          mesh.turnedNormals[i]!,
          mesh.turnedNormals[i + 1]!,
          mesh.turnedNormals[i + 2]!,
        );
        expect(length).toBeCloseTo(1, 4);
      }
  });
});
