import { clipped, type Point3, type Triangle } from '@fellside/core';
import type { WoodMesh } from './woodMeshes.js';

/** What slanted cuts leave of a wood's pieces, and the faces along which they are cut: three corners a triangle. */
export interface CutPieces {
  readonly surface: Float32Array;
  readonly faces: Float32Array;
}

/** The pieces of a part of the work cut off at its sides, each by itself; `positions` are those of the mesh's vertices. */
export function cutPieces(
  { index, part, sides }: Pick<WoodMesh, 'index' | 'part' | 'sides'>,
  positions: Float32Array,
): CutPieces {
  const corner = (v: number): Point3 => ({
    x: positions[3 * v]!,
    y: positions[3 * v + 1]!,
    z: positions[3 * v + 2]!,
  });
  const pieces = new Map<number, Triangle[]>();
  for (let t = 0; t < index.length / 3; t++) {
    const [a, b, c] = [corner(index[3 * t]!), corner(index[3 * t + 1]!), corner(index[3 * t + 2]!)];
    const known = pieces.get(part[t]!);
    if (known) known.push([a, b, c]);
    else pieces.set(part[t]!, [[a, b, c]]);
  }
  const cut = [...pieces.values()].map((piece) => clipped(piece, sides));
  const flat = (triangles: readonly Triangle[]) =>
    Float32Array.from(triangles.flatMap((triangle) => triangle.flatMap(({ x, y, z }) => [x, y, z])));
  return {
    surface: flat(cut.flatMap(({ surface }) => surface)),
    faces: flat(cut.flatMap(({ faces }) => faces)),
  };
}
