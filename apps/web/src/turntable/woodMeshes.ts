import type { RingMesh } from '@fellside/core';

/** All pieces of one wood, put together to be drawn at once. */
export interface WoodMesh {
  readonly key: string;
  readonly blank: Float32Array;
  readonly turned: Float32Array;
  readonly blankNormals: Float32Array;
  readonly turnedNormals: Float32Array;
  readonly end: Float32Array;
  /** Ring of every vertex. */
  readonly ring: Uint16Array;
  readonly index: Uint32Array;
  /** Ring and place of every triangle, one after the other. */
  readonly owner: Uint16Array;
}

/** Sorts the pieces of all rings by the wood that each shows; `woods` by ring and place. */
export function woodMeshes(
  meshes: readonly (RingMesh | null)[],
  woods: readonly (readonly string[])[],
): WoodMesh[] {
  const sizes = new Map<string, { vertices: number; triangles: number }>();
  const each = (
    tell: (mesh: RingMesh, ring: number, piece: RingMesh['pieces'][number], key: string) => void,
  ) =>
    meshes.forEach((mesh, ring) => {
      for (const piece of mesh?.pieces ?? []) tell(mesh!, ring, piece, woods[ring]?.[piece.place] ?? '');
    });
  each((_, __, { vertices, triangles }, key) => {
    const size = sizes.get(key) ?? { vertices: 0, triangles: 0 };
    sizes.set(key, { vertices: size.vertices + vertices, triangles: size.triangles + triangles });
  });
  const made = new Map(
    [...sizes].map(([key, { vertices, triangles }]) => [
      key,
      { mesh: empty(key, vertices, triangles), at: [0, 0] },
    ]),
  );
  each((from, ring, piece, key) => {
    const { mesh, at } = made.get(key)!;
    const [vertex, triangle] = at as [number, number];
    const [first, last] = [piece.vertex, piece.vertex + piece.vertices];
    for (const name of ['blank', 'turned', 'blankNormals', 'turnedNormals'] as const)
      mesh[name].set(from[name].subarray(3 * first, 3 * last), 3 * vertex);
    mesh.end.set(from.end.subarray(first, last), vertex);
    mesh.ring.fill(ring, vertex, vertex + piece.vertices);
    for (let t = 0; t < piece.triangles; t++) {
      for (let k = 0; k < 3; k++)
        mesh.index[3 * (triangle + t) + k] = from.index[3 * (piece.triangle + t) + k]! - first + vertex;
      mesh.owner[2 * (triangle + t)] = ring;
      mesh.owner[2 * (triangle + t) + 1] = piece.place;
    }
    at[0] = vertex + piece.vertices;
    at[1] = triangle + piece.triangles;
  });
  return [...made.values()].map(({ mesh }) => mesh);
}

const empty = (key: string, vertices: number, triangles: number): WoodMesh => ({
  key,
  blank: new Float32Array(3 * vertices),
  turned: new Float32Array(3 * vertices),
  blankNormals: new Float32Array(3 * vertices),
  turnedNormals: new Float32Array(3 * vertices),
  end: new Float32Array(vertices),
  ring: new Uint16Array(vertices),
  index: new Uint32Array(3 * triangles),
  owner: new Uint16Array(2 * triangles),
});

/** How far a piece is from the blank to the turned piece, 0 to 1, and how far its rings are pulled apart, mm each. */
export interface State3 {
  readonly turned: number;
  readonly apartMm: number;
}

/** Positions and normals of a wood's vertices in a state, into arrays of their size. */
export function placeVertices(
  mesh: WoodMesh,
  { turned, apartMm }: State3,
  positions: Float32Array,
  normals: Float32Array,
): void {
  const rest = 1 - turned;
  for (let i = 0; i < positions.length; i++) {
    positions[i] = rest * mesh.blank[i]! + turned * mesh.turned[i]!;
    normals[i] = rest * mesh.blankNormals[i]! + turned * mesh.turnedNormals[i]!;
  }
  if (apartMm > 0)
    for (let v = 0; v < mesh.ring.length; v++) positions[3 * v + 2]! += apartMm * mesh.ring[v]!;
}
