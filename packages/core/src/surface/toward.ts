import type { Made } from '../making/contract.js';
import { laidAt, layOut, outlineAtHeight } from '../making/layOut.js';
import type { Point } from '../ring/plane.js';

/** The place that a level direction (radians from the index mark) meets at a radius and a height of the ring; null in air. */
export const placeToward = (
  made: Made,
  turn: number,
  radius: number,
  direction: number,
  z = made.heightMm / 2,
): number | null => {
  const angle = direction - turn;
  return made.placeAt(radius * Math.cos(angle), radius * Math.sin(angle), z);
};

/** A stretch of a level line from the axis outwards, and the place that it runs through (null in air), mm. */
export interface CutPart {
  readonly place: number | null;
  readonly innerMm: number;
  readonly outerMm: number;
}

/** Gaps and stretches shorter than this are nothing (mm): rims are drawn with straight sides. */
const NOTHING = 0.05;

/** What a cut through the axis meets in a ring at half its height, in a direction from the index mark, inside out. */
export function cutParts(made: Made, turn: number, direction: number): CutPart[] {
  const { innerMm, outerMm } = made.gives;
  const [x, y] = [Math.cos(direction - turn), Math.sin(direction - turn)];
  const middle = made.heightMm / 2;
  const met = laidAt(layOut(made), middle)
    .flatMap((piece) =>
      stretches(outlineAtHeight(piece, middle), x, y).map(([from, to]) => ({
        place: piece.place,
        innerMm: Math.max(from, innerMm),
        outerMm: Math.min(to, outerMm),
      })),
    )
    .filter((part) => part.outerMm - part.innerMm > NOTHING)
    .sort((a, b) => a.innerMm - b.innerMm);
  const parts: CutPart[] = [];
  let reached = innerMm;
  for (const part of met) {
    if (part.innerMm - reached > NOTHING)
      parts.push({ place: null, innerMm: reached, outerMm: part.innerMm });
    parts.push(part);
    reached = part.outerMm;
  }
  if (outerMm - reached > NOTHING) parts.push({ place: null, innerMm: reached, outerMm });
  return parts;
}

/** Where a line from the axis in a direction (x, y) runs inside an outline: from and to, mm from the axis. */
function stretches(outline: readonly Point[], x: number, y: number): [number, number][] {
  const crossings: number[] = [];
  outline.forEach((p, i) => {
    const q = outline[(i + 1) % outline.length]!;
    const [a, b] = [x * p.y - y * p.x, x * q.y - y * q.x];
    if (a > 0 === b > 0) return;
    const share = a / (a - b);
    const along = x * (p.x + share * (q.x - p.x)) + y * (p.y + share * (q.y - p.y));
    if (along >= 0) crossings.push(along);
  });
  if (crossings.length % 2 === 1) crossings.push(0);
  crossings.sort((a, b) => a - b);
  return Array.from({ length: crossings.length / 2 }, (_, i) => [crossings[2 * i]!, crossings[2 * i + 1]!]);
}
