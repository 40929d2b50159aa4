import type { FaceGroup } from './facedRing.js';

/** Which place a piece of a segment is: pieces of a segment are numbered through its groups. */
export function placeOfPiece(
  groups: readonly FaceGroup[],
  count: number,
  segment: number,
  piece: number,
): number {
  let [first, number] = [0, 0];
  for (const { each } of groups) {
    if (piece < number + each) return first + segment * each + (piece - number);
    first += each * count;
    number += each;
  }
  return first + segment;
}
