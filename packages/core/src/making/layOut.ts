import { area, type Point } from '../ring/plane.js';
import type { LaidPiece, Made, PlaceGroup } from './contract.js';

export const placesIn = (groups: readonly PlaceGroup[]): number =>
  groups.reduce((sum, { count }) => sum + count, 0);

/** What a place is called: `segment 3 of 12`, `spacer 1 of 4`, `plug`. */
export function placeName(groups: readonly PlaceGroup[], place: number): string {
  let first = 0;
  for (const { name, count } of groups) {
    if (place < first + count)
      return count === 1 ? name.toLowerCase() : `${name.toLowerCase()} ${place - first + 1} of ${count}`;
    first += count;
  }
  return '';
}

/** Every piece of a ring where it lies, in the order of the places. */
export const layOut = (made: Made): LaidPiece[] =>
  Array.from({ length: placesIn(made.groups) }, (_, place) => made.lay(place));

/** The outline of a piece at a share of its height, 0 at the bottom, 1 at the top. */
export function outlineAt({ bottom, top }: LaidPiece, share: number): readonly Point[] {
  if (bottom === top) return bottom;
  return bottom.map((p, i) => ({
    x: p.x + share * (top[i]!.x - p.x),
    y: p.y + share * (top[i]!.y - p.y),
  }));
}

/** Volume of a piece, mm³: corners go straight up, so areas are quadratic in the height and Simpson's rule is exact. */
export function volumeOf(piece: LaidPiece, heightMm: number): number {
  const [low, middle, high] = [0, 0.5, 1].map((share) => area(outlineAt(piece, share))) as [
    number,
    number,
    number,
  ];
  return (heightMm / 6) * (low + 4 * middle + high);
}
