import type { HalfSpace, RingMesh, StackMesh } from '@fellside/core';

/** All pieces of one wood, put together to be drawn at once; where slanted cuts divide the piece, those of one part of it. */
export interface WoodMesh {
  /** Palette key of the wood. */
  readonly key: string;
  /** Tells it from the others of its wood. */
  readonly name: string;
  /** What lies beyond any of these is cut off. */
  readonly sides: readonly HalfSpace[];
  readonly blank: Float32Array;
  readonly turned: Float32Array;
  readonly blankNormals: Float32Array;
  readonly turnedNormals: Float32Array;
  readonly end: Float32Array;
  /** How many parts lie below each vertex, when the piece is taken apart. */
  readonly level: Uint16Array;
  /** Triangles: outer and inner sides first, then other faces that show on a whole turned piece, then tops and bottoms, then joints. */
  readonly index: Uint32Array;
  readonly skin: number;
  readonly bare: number;
  readonly caps: number;
  /** Ring and place of every triangle, one after the other. */
  readonly owner: Uint16Array;
  /** Which closed surface every triangle is of. */
  readonly part: Uint32Array;
}

/** A range of a piece's triangles, and where in its wood's it goes: 0 skin, 1 bare, 2 caps, 3 joints. */
type Sort = 0 | 1 | 2 | 3;

/**
 * Sorts the pieces of all rings and bands by the wood that each shows; `woods` by ring and place. Of rings that are `bare`,
 * with gaps or next to them, all faces show.
 */
export function woodMeshes(
  meshes: readonly StackMesh[],
  woods: readonly (readonly string[])[],
  bare: (ring: number) => boolean = () => false,
): WoodMesh[] {
  const sizes = new Map<string, Size>();
  const each = (
    tell: (of: StackMesh, piece: RingMesh['pieces'][number], key: string, name: string) => void,
  ) =>
    meshes.forEach((of) => {
      const { mesh, ring, sides, level } = of;
      for (const piece of mesh.pieces) {
        const key = woods[ring]?.[piece.place] ?? '';
        tell(
          of,
          piece,
          key,
          sides.length > 0 ? `${key} ${level} ${sides.map(({ most }) => most).join(' ')}` : key,
        );
      }
    });
  /** How many triangles of each sort a piece has. */
  const sorts = (ring: number, { skin, caps, triangles }: RingMesh['pieces'][number]) =>
    bare(ring)
      ? ([skin, triangles - skin, 0, 0] as const)
      : ([skin, 0, caps, triangles - skin - caps] as const);
  each(({ ring, sides }, piece, key, name) => {
    const size = sizes.get(name) ?? { key, sides, vertices: 0, triangles: [0, 0, 0, 0] };
    sorts(ring, piece).forEach((count, sort) => {
      size.triangles[sort as Sort] += count;
    });
    sizes.set(name, { ...size, vertices: size.vertices + piece.vertices });
  });
  const made = new Map(
    [...sizes].map(([name, size]) => {
      const [skin, bare, caps] = size.triangles;
      const next = [0, skin, skin + bare, skin + bare + caps];
      return [name, { mesh: empty(name, size), vertex: 0, next }];
    }),
  );
  let parts = 0;
  each(({ mesh: from, ring, level }, piece, _, name) => {
    const into = made.get(name)!;
    const { mesh, vertex } = into;
    const [first, last] = [piece.vertex, piece.vertex + piece.vertices];
    for (const name of ['blank', 'turned', 'blankNormals', 'turnedNormals'] as const)
      mesh[name].set(from[name].subarray(3 * first, 3 * last), 3 * vertex);
    mesh.end.set(from.end.subarray(first, last), vertex);
    mesh.level.fill(level, vertex, vertex + piece.vertices);
    let source = piece.triangle;
    parts++;
    sorts(ring, piece).forEach((count, sort) => {
      const at = into.next[sort as Sort]!;
      for (let t = 0; t < count; t++) {
        for (let k = 0; k < 3; k++)
          mesh.index[3 * (at + t) + k] = from.index[3 * (source + t) + k]! - first + vertex;
        mesh.part[at + t] = parts;
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

interface Size {
  readonly key: string;
  readonly sides: readonly HalfSpace[];
  readonly vertices: number;
  readonly triangles: [number, number, number, number];
}

const empty = (
  name: string,
  { key, sides, vertices, triangles: [skin, bare, caps, joints] }: Size,
): WoodMesh => ({
  key,
  name,
  sides,
  blank: new Float32Array(3 * vertices),
  turned: new Float32Array(3 * vertices),
  blankNormals: new Float32Array(3 * vertices),
  turnedNormals: new Float32Array(3 * vertices),
  end: new Float32Array(vertices),
  level: new Uint16Array(vertices),
  index: new Uint32Array(3 * (skin + bare + caps + joints)),
  skin,
  bare,
  caps,
  owner: new Uint16Array(2 * (skin + bare + caps + joints)),
  part: new Uint32Array(skin + bare + caps + joints),
});

/** How far a piece is from the blank to the turned piece, 0 to 1, and how far its rings, or parts, are pulled apart, mm each. */
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
    for (let v = 0; v < mesh.level.length; v++) positions[3 * v + 2]! += apartMm * mesh.level[v]!;
}
