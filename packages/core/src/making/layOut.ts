import { area, centroid, type Point } from '../ring/plane.js';
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

/** Every piece of a ring where it lies, or its parts, in the order of the places. */
export const layOut = (made: Made): LaidPiece[] =>
  Array.from({ length: placesIn(made.groups) }, (_, place) => made.lay(place)).flat();

/** The pieces, or parts of pieces, that are met at a height above the ring's bottom; where two meet, the lower one. */
export const laidAt = (pieces: readonly LaidPiece[], z: number): LaidPiece[] =>
  pieces.filter(({ fromMm, toMm }) => z <= toMm && (z > fromMm || (z === 0 && fromMm === 0)));

/** The outline of a piece at a height above the ring's bottom, mm; it has to lie between the piece's bottom and top. */
export const outlineAtHeight = (piece: LaidPiece, z: number): readonly Point[] =>
  outlineAt(piece, (z - piece.fromMm) / (piece.toMm - piece.fromMm));

/** The outline of a piece at a share of its own height, 0 at the bottom, 1 at the top. */
export function outlineAt({ bottom, top }: LaidPiece, share: number): readonly Point[] {
  if (bottom === top) return bottom;
  return bottom.map((p, i) => ({
    x: p.x + share * (top[i]!.x - p.x),
    y: p.y + share * (top[i]!.y - p.y),
  }));
}

/** Volume of all parts of a piece, mm³. */
export const volumeOfAll = (parts: readonly LaidPiece[]): number =>
  parts.reduce((sum, part) => sum + volumeOf(part), 0);

/** Centre of a piece in plan, by the volumes of its parts; null where there is nothing of it. */
export function centreOf(parts: readonly LaidPiece[]): Point | null {
  let [x, y, whole] = [0, 0, 0];
  for (const part of parts) {
    const volume = volumeOf(part);
    if (volume <= 0) continue;
    const at = centroid(outlineAt(part, 0.5));
    x += at.x * volume;
    y += at.y * volume;
    whole += volume;
  }
  return whole > 0 ? { x: x / whole, y: y / whole } : null;
}

/** Volume of a part, mm³: corners go straight up, so areas are quadratic in the height and Simpson's rule is exact. */
export function volumeOf(piece: LaidPiece): number {
  if (piece.bottom === piece.top) return (piece.toMm - piece.fromMm) * area(piece.bottom);
  const [low, middle, high] = [0, 0.5, 1].map((share) => area(outlineAt(piece, share))) as [
    number,
    number,
    number,
  ];
  return ((piece.toMm - piece.fromMm) / 6) * (low + 4 * middle + high);
}

/** Segments of a ring as they are sawn. */
export const segmentsIn = (made: Made): number => made.together.length || made.groups[0]!.count;

/** Everything that is sawn as one segment of a ring, by its number. */
export const segmentParts = (made: Made, segment: number): readonly LaidPiece[] =>
  (made.together[segment] ?? [segment]).flatMap((place) => made.lay(place));

/** Which segment a place is sawn with; null for places that belong to none (spacers, plugs). */
export function segmentOfPlace(made: Made): (place: number) => number | null {
  if (made.together.length === 0) {
    const count = made.groups[0]!.count;
    return (place) => (place < count ? place : null);
  }
  const segments = new Map(made.together.flatMap((places, i) => places.map((place) => [place, i] as const)));
  return (place) => segments.get(place) ?? null;
}

/** The part of a piece that has most wood; undefined where nothing is left of it. */
export const biggestOf = (parts: readonly LaidPiece[]): LaidPiece | undefined =>
  parts.length < 2 ? parts[0] : [...parts].sort((a, b) => volumeOf(b) - volumeOf(a))[0];
