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
  /** Triangles: those that show on a whole turned piece first, then tops and bottoms, then joints. */
  readonly index: Uint32Array;
  readonly skin: number;
  readonly caps: number;
  /** Ring and place of every triangle, one after the other. */
  readonly owner: Uint16Array;
}

/** A range of a piece's triangles, and where in its wood's it goes: 0 skin, 1 caps, 2 joints. */
type Sort = 0 | 1 | 2;

/**
 * Sorts the pieces of all rings by the wood that each shows; `woods` by ring and place. Of rings that are `bare`, with
 * gaps or nothing over or under them, all faces belong to the skin.
 */
export function woodMeshes(
  meshes: readonly (RingMesh | null)[],
  woods: readonly (readonly string[])[],
  bare: (ring: number) => boolean = () => false,
): WoodMesh[] {
  const sizes = new Map<string, { vertices: number; triangles: [number, number, number] }>();
  const each = (
    tell: (mesh: RingMesh, ring: number, piece: RingMesh['pieces'][number], key: string) => void,
  ) =>
    meshes.forEach((mesh, ring) => {
      for (const piece of mesh?.pieces ?? []) tell(mesh!, ring, piece, woods[ring]?.[piece.place] ?? '');
    });
  /** How many triangles of each sort a piece has. */
  const sorts = (ring: number, { skin, caps, triangles }: RingMesh['pieces'][number]) =>
    bare(ring) ? ([triangles, 0, 0] as const) : ([skin, caps, triangles - skin - caps] as const);
  each((_, ring, piece, key) => {
    const size = sizes.get(key) ?? { vertices: 0, triangles: [0, 0, 0] };
    sorts(ring, piece).forEach((count, sort) => {
      size.triangles[sort as Sort] += count;
    });
    sizes.set(key, { vertices: size.vertices + piece.vertices, triangles: size.triangles });
  });
  const made = new Map(
    [...sizes].map(([key, { vertices, triangles }]) => {
      const [skin, caps] = triangles;
      return [key, { mesh: empty(key, vertices, triangles), vertex: 0, next: [0, skin, skin + caps] }];
    }),
  );
  each((from, ring, piece, key) => {
    const into = made.get(key)!;
    const { mesh, vertex } = into;
    const [first, last] = [piece.vertex, piece.vertex + piece.vertices];
    for (const name of ['blank', 'turned', 'blankNormals', 'turnedNormals'] as const)
      mesh[name].set(from[name].subarray(3 * first, 3 * last), 3 * vertex);
    mesh.end.set(from.end.subarray(first, last), vertex);
    mesh.ring.fill(ring, vertex, vertex + piece.vertices);
    let source = piece.triangle;
    sorts(ring, piece).forEach((count, sort) => {
      const at = into.next[sort as Sort]!;
      for (let t = 0; t < count; t++) {
        for (let k = 0; k < 3; k++)
          mesh.index[3 * (at + t) + k] = from.index[3 * (source + t) + k]! - first + vertex;
        mesh.owner[2 * (at + t)] = ring;
        mesh.owner[2 * (at + t) + 1] = piece.place;
      }
      source += count;
      into.next[sort as Sort] = at + count;
    });
    into.vertex = vertex + piece.vertices;
  });
  return [...made.values()].map(({ mesh }) => mesh);
}

const empty = (key: string, vertices: number, [skin, caps, joints]: [number, number, number]): WoodMesh => ({
  key,
  blank: new Float32Array(3 * vertices),
  turned: new Float32Array(3 * vertices),
  blankNormals: new Float32Array(3 * vertices),
  turnedNormals: new Float32Array(3 * vertices),
  end: new Float32Array(vertices),
  ring: new Uint16Array(vertices),
  index: new Uint32Array(3 * (skin + caps + joints)),
  skin,
  caps,
  owner: new Uint16Array(2 * (skin + caps + joints)),
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
