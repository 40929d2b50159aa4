import type { PieceRange, RingMesh } from '../surface/mesh.js';

/** Volume that a piece of a mesh encloses, mm³: the sum of the tetrahedra from the origin to its triangles. */
export function enclosed(
  { index, ...mesh }: RingMesh,
  { triangle, triangles }: PieceRange,
  state: 'blank' | 'turned',
): number {
  const at = mesh[state];
  let six = 0;
  for (let t = 3 * triangle; t < 3 * (triangle + triangles); t += 3) {
    const [a, b, c] = [3 * index[t]!, 3 * index[t + 1]!, 3 * index[t + 2]!];
    six +=
      at[a]! * (at[b + 1]! * at[c + 2]! - at[b + 2]! * at[c + 1]!) +
      at[a + 1]! * (at[b + 2]! * at[c]! - at[b]! * at[c + 2]!) +
      at[a + 2]! * (at[b]! * at[c + 1]! - at[b + 1]! * at[c]!);
  }
  return six / 6;
}
