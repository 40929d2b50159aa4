import { describe, expect, test } from 'vitest';
import { trigPointBall } from '../demo/shell.js';
import { radiusAt } from '../form/curve.js';
import { STARTING_SHAPES, startingForm } from '../form/starting.js';
import { insideAt } from '../form/vessel.js';
import { mm } from '../measure/quantity.js';
import * as edit from '../project/commands/edits.js';
import { meshesOf } from '../project/meshes.js';
import { prepare } from '../project/prepare.js';
import type { Project } from '../project/schema.js';
import { enclosed } from '../testing/meshVolume.js';
import { after, planned } from '../testing/pieces.js';

const ball: Project = { ...trigPointBall(), inlays: [] };
const bowl: Project = {
  ...ball,
  form: startingForm(STARTING_SHAPES.find(({ id }) => id === 'bowl')!, 100, 200, 8),
  rings: [
    {
      ...ball.rings[0]!,
      heightMm: mm(100),
      making: { way: 'globe', part: 'half', bevels: 'half-angle', glued: 'fives' },
      woods: Array.from({ length: 40 }, () => 'black-cherry'),
    },
  ],
};
const pieces: readonly (readonly [string, Project])[] = [
  ['a closed ball', ball],
  ['a ball with a mouth', after(ball, edit.setLid(null))],
  ['a ball with a recess', after(ball, edit.setRecess({ radiusMm: mm(15), depthMm: mm(2) }))],
  [
    'a ball in a ring that stands over it',
    { ...ball, rings: [{ ...ball.rings[0]!, heightMm: mm(ball.rings[0]!.heightMm + 4) }] },
  ],
  ['a bowl of half a globe', bowl],
];

/** Of more numbers than a call takes. */
const largest = (of: readonly number[]): number => of.reduce((a, b) => Math.max(a, b), -Infinity);

describe.each(pieces)('%s', (_, project) => {
  const prepared = prepare(project);
  if (!prepared.ok) throw new Error('prepare');
  const { vessel, rings } = prepared.value;
  const [ring] = rings;
  const [first] = meshesOf(prepared.value, { arc: Math.PI / 50, sagittaMm: 0.02 });
  const { mesh } = first!;
  const at = (of: 'blank' | 'turned' | 'turnedNormals', v: number) =>
    [...mesh[of].subarray(3 * v, 3 * v + 3)] as [number, number, number];
  const vertices = Array.from({ length: mesh.end.length }, (_, v) => v);

  test('one surface a panel, and as much wood in them as is planned', () => {
    const places = ring!.ring.woods.length;
    expect(mesh.pieces.map(({ place }) => place)).toEqual(Array.from({ length: places }, (_, i) => i));
    const wood = mesh.pieces.reduce((sum, piece) => sum + enclosed(mesh, piece, 'turned'), 0);
    expect(Math.abs(wood / planned(project).woodMm3 - 1)).toBeLessThan(0.004);
  });

  test('outer and inner faces are its skin, and come first', () => {
    const centre = ring!.course.bottomMm + (ring!.made.ok ? ring!.made.value.ball! : 0);
    for (const { triangle, skin, triangles } of mesh.pieces.slice(0, 16)) {
      const facing = Array.from({ length: triangles }, (_, t) => {
        const v = mesh.index[3 * (triangle + t)]!;
        const [x, y, z] = at('blank', v);
        const normal = [...mesh.blankNormals.subarray(3 * v, 3 * v + 3)] as [number, number, number];
        const out = [x, y, z - centre].reduce((sum, c, k) => sum + c * normal[k]!, 0);
        return Math.abs(out) / Math.hypot(x, y, z - centre);
      });
      expect(Math.min(...facing.slice(0, skin))).toBeGreaterThan(0.5);
    }
    const inward = mesh.pieces.filter(({ triangle, skin }) =>
      Array.from({ length: skin }, (_, t) => mesh.index[3 * (triangle + t)]!).some((v) => {
        const [x, y, z] = at('blank', v);
        const [nx, ny, nz] = mesh.blankNormals.subarray(3 * v, 3 * v + 3) as unknown as [
          number,
          number,
          number,
        ];
        return x * nx + y * ny + (z - centre) * nz < 0;
      }),
    );
    expect(inward).toHaveLength(mesh.pieces.length);
  });

  test('nothing of it stands out of the form, or into a hollow that is turned', () => {
    const beyond = vertices.map((v) => {
      const [x, y, z] = at('turned', v);
      const height = Math.min(vessel.heightMm, Math.max(0, z));
      const out = Math.hypot(x, y) - radiusAt(vessel.outside, height);
      const hollow = insideAt(ring!.vessel, Math.max(0, z - 0.01));
      return Math.max(out, z - vessel.heightMm, -z, (hollow ?? 0) - Math.hypot(x, y) - 0.1);
    });
    expect(largest(beyond)).toBeLessThan(0.001);
  });

  test('where the outside is turned its light falls as on the curve: square to it, by differences', () => {
    const off = vertices.flatMap((v) => {
      const [x, y, z] = at('turned', v);
      const r = Math.hypot(x, y);
      const moved = Math.hypot(...at('blank', v).map((b, k) => b - [x, y, z][k]!)) > 1;
      if (!moved || z < 3 || z > vessel.heightMm - 3 || radiusAt(vessel.outside, z) - r > 0.001) return [];
      const [dr, dz] = [radiusAt(vessel.outside, z + 0.5) - radiusAt(vessel.outside, z - 0.5), 1];
      const [nx, ny, nz] = at('turnedNormals', v);
      return [(((nx * x + ny * y) / r) * dr + nz * dz) / Math.hypot(dr, dz)];
    });
    expect(off.length).toBeGreaterThan(1000);
    // But for the few next to a corner of the form.
    expect(off.filter((cosine) => Math.abs(cosine) > 0.02).length / off.length).toBeLessThan(0.02);
  });

  test('neighbours meet: whatever wood one has of a joint, another one has', () => {
    const corners = new Map<string, Set<number>>();
    for (const { place, vertex, vertices: count } of mesh.pieces)
      for (let v = vertex; v < vertex + count; v++) {
        const [x, y, z] = at('turned', v);
        const r = Math.hypot(x, y);
        if (z < 3 || z > vessel.heightMm - 3 || radiusAt(vessel.outside, z) - r > 0.001) continue;
        const key = [x, y, z].map((c) => Math.round(c * 10)).join();
        corners.set(key, (corners.get(key) ?? new Set()).add(place));
      }
    // The points of 120 edges of the globe, ten and more to each, lie in two panels.
    const shared = [...corners.values()].filter((places) => places.size > 1).length;
    expect(shared).toBeGreaterThan(ring!.ring.woods.length * 1.5 * 8);
  });
});
