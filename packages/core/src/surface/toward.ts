import type { LaidPiece, Made } from '../making/contract.js';
import { towards } from '../making/laps.js';
import { laidAt, layOut, outlineAtHeight } from '../making/layOut.js';
import { type Band, bandAt } from '../ring/overlap.js';
import type { Point } from '../ring/plane.js';
import { movedPiece } from './round.js';

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
  readonly innerRadiusMm: number;
  readonly outerRadiusMm: number;
}

/** Gaps and stretches shorter than this are nothing (mm): rims are drawn with straight sides. */
const NOTHING = 0.05;

const ON_AXIS: Point = { x: 0, y: 0 };

/** A layer of a cut through the axis that is drawn alike from its bottom to its top, heights in mm above the ring's. */
export interface CutRow {
  readonly fromMm: number;
  readonly toMm: number;
  readonly parts: readonly CutPart[];
}

/** Rows that a cut through pieces of several parts is drawn in are this high at most (mm), and no more of them than this. */
const ROW = { heightMm: 0.7, most: 60, mostOfShell: 300 } as const;

/**
 * What a cut through the axis meets in a ring, bottom to top: one row where all pieces go from its bottom to its top, many
 * where they are put together of parts. Rows that are alike are one. The ring may have been moved `aside` of the axis (mm).
 */
export function cutRows(made: Made, turn: number, direction: number, aside: Point = ON_AXIS): CutRow[] {
  if (aside.x !== 0 || aside.y !== 0)
    return rowsOf(
      made.heightMm,
      null,
      layOut(made).map((part) => movedPiece(part, turn, aside)),
      direction,
    );
  const { pieces, angle, placeOf } = towards(made, direction - turn);
  const [rims, most] = made.ball === null ? [made.gives, ROW.most] : [null, ROW.mostOfShell];
  return rowsOf(made.heightMm, rims, pieces, angle, most).map((row) => ({
    ...row,
    parts: placedBy(row.parts, placeOf),
  }));
}

/** Rims about the axis between which a ring is drawn; none where it was moved aside: its pieces end where they end. */
type Rims = Band | null;

function rowsOf(
  heightMm: number,
  rims: Rims,
  all: readonly LaidPiece[],
  angle: number,
  most: number = ROW.most,
): CutRow[] {
  const [x, y] = [Math.cos(angle), Math.sin(angle)];
  if (all.every(({ fromMm, toMm }) => fromMm === 0 && toMm === heightMm))
    return [{ fromMm: 0, toMm: heightMm, parts: partsAt(rims, all, heightMm / 2, x, y) }];
  const near = all.filter(({ bottom, top }) =>
    [bottom, top].some((outline) => outline.some((p) => p.x * x + p.y * y > 0) && crosses(outline, x, y)),
  );
  const count = Math.min(most, Math.ceil(heightMm / ROW.heightMm));
  const rows: CutRow[] = [];
  for (let i = 0; i < count; i++) {
    const [fromMm, toMm] = [(heightMm * i) / count, (heightMm * (i + 1)) / count];
    const parts = partsAt(rims, near, (fromMm + toMm) / 2, x, y);
    const last = rows.at(-1);
    if (last && alike(last.parts, parts)) rows[rows.length - 1] = { ...last, toMm };
    else rows.push({ fromMm, toMm, parts });
  }
  return rows;
}

const crosses = (outline: readonly Point[], x: number, y: number): boolean => {
  const sides = outline.map((p) => x * p.y - y * p.x);
  return Math.min(...sides) <= 0 && Math.max(...sides) >= 0;
};

const alike = (a: readonly CutPart[], b: readonly CutPart[]): boolean =>
  a.length === b.length &&
  a.every((part, i) => {
    const other = b[i]!;
    const moved =
      Math.abs(part.innerRadiusMm - other.innerRadiusMm) + Math.abs(part.outerRadiusMm - other.outerRadiusMm);
    return part.place === other.place && moved < NOTHING;
  });

/** What a cut through the axis meets in a ring at half its height, in a direction from the index mark, inside out. */
export function cutParts(made: Made, turn: number, direction: number): CutPart[] {
  const half = made.heightMm / 2;
  const { pieces, angle, placeOf } = towards(made, direction - turn);
  return placedBy(partsAt(bandAt(made, half), pieces, half, Math.cos(angle), Math.sin(angle)), placeOf);
}

const placedBy = (parts: readonly CutPart[], placeOf: (place: number) => number): CutPart[] =>
  parts.map((part) => (part.place === null ? part : { ...part, place: placeOf(part.place) }));

/** What a level line from the axis in a direction (x, y) meets of some pieces at a height of their ring, inside out. */
function partsAt(rims: Rims, pieces: readonly LaidPiece[], z: number, x: number, y: number): CutPart[] {
  const met = laidAt(pieces, z)
    .flatMap((piece) =>
      stretches(outlineAtHeight(piece, z), x, y).map(([from, to]) => ({
        place: piece.place,
        innerRadiusMm: Math.max(from, rims?.innerRadiusMm ?? 0),
        outerRadiusMm: Math.min(to, rims?.outerRadiusMm ?? to),
      })),
    )
    .filter((part) => part.outerRadiusMm - part.innerRadiusMm > NOTHING)
    .sort((a, b) => a.innerRadiusMm - b.innerRadiusMm);
  const parts: CutPart[] = [];
  let reached = rims?.innerRadiusMm ?? met[0]?.innerRadiusMm ?? 0;
  for (const part of met) {
    if (part.innerRadiusMm - reached > NOTHING)
      parts.push({ place: null, innerRadiusMm: reached, outerRadiusMm: part.innerRadiusMm });
    parts.push(part);
    reached = part.outerRadiusMm;
  }
  if (rims && rims.outerRadiusMm - reached > NOTHING)
    parts.push({ place: null, innerRadiusMm: reached, outerRadiusMm: rims.outerRadiusMm });
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
