import type { Vessel } from '../form/vessel.js';
import type { Copy } from '../surface/marks.js';
import type { RingMesh } from '../surface/mesh.js';
import { copiesOf, type InlayLies } from './placed.js';
import type { Inlay } from './schema.js';
import { solidOf, type Xyz } from './solid.js';

/** All copies of an inlay as closed surfaces; in the blank each is shut up in a point behind its floor. */
export function inlayMesh(inlay: Inlay, placed: InlayLies, vessel: Vessel): RingMesh {
  const seam = inlay.seam
    ? [...placed.loops.pocket, ...placed.loops.insert.map((loop) => [...loop].reverse())]
    : null;
  const solids = [
    solidOf(inlay, placed, vessel, placed.loops.insert, 0),
    ...(seam ? [solidOf(inlay, placed, vessel, seam, 1)] : []),
  ];
  const copies = copiesOf(inlay);
  const [vertices, triangles] = [
    sum(solids, ({ at }) => at.length),
    sum(solids, ({ index }) => index.length),
  ];
  const mesh = {
    blank: new Float32Array(3 * vertices * copies.length),
    turned: new Float32Array(3 * vertices * copies.length),
    blankNormals: new Float32Array(3 * vertices * copies.length),
    turnedNormals: new Float32Array(3 * vertices * copies.length),
    end: new Float32Array(vertices * copies.length),
    index: new Uint32Array(triangles * copies.length),
    pieces: [] as RingMesh['pieces'][number][],
  };
  let [vertex, corner] = [0, 0];
  for (const copy of copies)
    for (const { place, at, normals, index, skin, caps, shut } of solids) {
      mesh.pieces.push({
        place,
        vertex,
        vertices: at.length,
        triangle: corner / 3,
        triangles: index.length / 3,
        skin,
        caps,
      });
      at.forEach((point, i) => {
        mesh.turned.set(stood(point, copy), 3 * (vertex + i));
        mesh.blank.set(stood(shut, copy), 3 * (vertex + i));
        const normal = stood(normals[i]!, copy);
        mesh.turnedNormals.set(normal, 3 * (vertex + i));
        mesh.blankNormals.set(normal, 3 * (vertex + i));
      });
      // In the mirror the corners of a triangle run the other way.
      for (let t = 0; t < index.length; t += 3)
        [0, copy.mirrored ? 2 : 1, copy.mirrored ? 1 : 2].forEach((k, i) => {
          mesh.index[corner + t + i] = vertex + index[t + k]!;
        });
      vertex += at.length;
      corner += index.length;
    }
  return mesh;
}

const sum = <T>(all: readonly T[], of: (each: T) => number): number =>
  all.reduce((n, each) => n + of(each), 0);

/** A point that was worked out with the inlay's middle at direction 0, where a copy has it. */
function stood([x, y, z]: Xyz, { toward, mirrored }: Copy): Xyz {
  const across = mirrored ? -y : y;
  const [cos, sin] = [Math.cos(toward), Math.sin(toward)];
  return [x * cos - across * sin, x * sin + across * cos, z];
}
