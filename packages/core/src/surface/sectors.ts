import type { LaidPiece, Made } from '../making/contract.js';
import { aroundAxis, type Point, polar } from '../ring/plane.js';
import { common } from './within.js';

/** Angle of the sectors that wide pieces are divided into, radians. */
const SECTOR = Math.PI / 6;
/** Pieces that are seen from the axis under less than this are lofted whole (radians). */
const NARROW = (5 * Math.PI) / 12;
/** Farther out than any ring (mm). */
const FAR = 1e4;

/**
 * Parts of a piece that can each be lofted between outside and inside: a piece that lies across the axis, or is seen from it
 * under a wide angle, is divided into sectors, because turning may take its middle and leave its ends. Rings whose joints
 * all run to the axis need none of it.
 */
export function sectored(made: Made, part: LaidPiece): readonly LaidPiece[] {
  const { bottom, top } = part;
  if (made.radial || bottom !== top || !(aroundAxis(bottom) || widthFromAxis(bottom) > NARROW)) return [part];
  return Array.from({ length: Math.round((2 * Math.PI) / SECTOR) }, (_, i) => {
    const outline = withoutDoubles(common(bottom, sector(i)));
    return outline.length > 2 ? [{ ...part, bottom: outline, top: outline }] : [];
  }).flat();
}

const sector = (i: number): Point[] => [{ x: 0, y: 0 }, polar(FAR, i * SECTOR), polar(FAR, (i + 1) * SECTOR)];

/** Angle under which an outline beside the axis is seen from it; at most 2π. */
function widthFromAxis(outline: readonly Point[]): number {
  let [sum, least, most] = [0, 0, 0];
  outline.forEach((p, i) => {
    const q = outline[(i + 1) % outline.length]!;
    sum += Math.atan2(p.x * q.y - p.y * q.x, p.x * q.x + p.y * q.y);
    least = Math.min(least, sum);
    most = Math.max(most, sum);
  });
  return most - least;
}

const withoutDoubles = (outline: readonly Point[]): Point[] =>
  outline.filter((p, i) => {
    const q = outline[(i + 1) % outline.length]!;
    return Math.hypot(p.x - q.x, p.y - q.y) > 1e-6;
  });
