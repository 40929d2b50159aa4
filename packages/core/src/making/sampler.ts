import { aroundAxis, reachInside, wrapped } from '../ring/plane.js';
import type { LaidPiece, Made } from './contract.js';
import { lapsOf } from './laps.js';
import { layOut } from './layOut.js';

/** A piece made ready for questions: corners of bottom and top, and radii that settle most questions at once. */
interface Candidate {
  readonly place: number;
  readonly corners: Float64Array;
  readonly from: number;
  readonly rise: number;
  /** Squares of: the farthest corner; a circle about the axis that lies wholly inside (0 where none does). */
  readonly far: number;
  readonly within: number;
}

/** A growing number from 0 to 4 for directions counter-clockwise from +x; much quicker than an arc tangent. */
function direction(x: number, y: number): number {
  const sum = Math.abs(x) + Math.abs(y);
  if (sum === 0) return 0;
  const p = x / sum;
  return y >= 0 ? 1 - p : 3 + p;
}

const MOST_BINS = 4096;

/**
 * Answers “which piece is here” for pieces of one ring: directions are divided into bins, each with the few pieces that
 * can be met in it, so that a question costs the same however many pieces there are. Pieces round the axis go first.
 */
export function samplerOf(
  pieces: readonly LaidPiece[],
  heightMm: number,
): (x: number, y: number, z: number) => number | null {
  const bins = Math.min(MOST_BINS, 2 ** Math.ceil(Math.log2(4 * pieces.length + 4)));
  const binOf = (x: number, y: number) => Math.min(bins - 1, Math.floor((direction(x, y) * bins) / 4));
  const lists: Candidate[][] = Array.from({ length: bins }, () => []);
  for (const piece of pieces) {
    const candidate = candidateOf(piece);
    const span = candidate.within > 0 ? null : spanOf(piece);
    if (!span) for (const list of lists) list.unshift(candidate);
    else {
      const first = binOf(Math.cos(span.from), Math.sin(span.from));
      const last = binOf(Math.cos(span.to), Math.sin(span.to));
      const many = ((last - first + bins) % bins) + 1;
      for (let i = -1; i <= many; i++) lists[(first + i + bins) % bins]!.push(candidate);
    }
  }
  return (x, y, z) => {
    if (!(z >= 0 && z <= heightMm)) return null;
    const square = x * x + y * y;
    for (const candidate of lists[binOf(x, y)]!) {
      if (square > candidate.far) continue;
      const share = (z - candidate.from) / candidate.rise;
      // Where two parts meet, the lower one is met: as in laidAt.
      if (!(share <= 1 && (share > 0 || (share === 0 && candidate.from === 0)))) continue;
      if (square < candidate.within || holds(candidate.corners, x, y, share)) return candidate.place;
    }
    return null;
  };
}

/** The same for a whole ring; one that comes to itself often is made ready for one of its laps only. */
export function samplerFor(made: Made): (x: number, y: number, z: number) => number | null {
  const laps = lapsOf(made);
  if (!laps) return samplerOf(layOut(made), made.heightMm);
  const ask = samplerOf(laps.pieces, made.heightMm);
  return (x, y, z) => {
    const { lap, back } = laps.lapAt(Math.atan2(y, x));
    if (lap === 0) return ask(x, y, z);
    const [cos, sin] = [Math.cos(back), Math.sin(back)];
    const place = ask(x * cos + y * sin, y * cos - x * sin, z);
    return place === null ? null : laps.shifted(place, lap);
  };
}

/** Even-odd rule along a ray in +x, for the outline at a share of the height. */
function holds(corners: Float64Array, x: number, y: number, share: number): boolean {
  let inside = false;
  const last = corners.length - 4;
  let px = corners[last]! + share * (corners[last + 2]! - corners[last]!);
  let py = corners[last + 1]! + share * (corners[last + 3]! - corners[last + 1]!);
  for (let i = 0; i <= last; i += 4) {
    const qx = corners[i]! + share * (corners[i + 2]! - corners[i]!);
    const qy = corners[i + 1]! + share * (corners[i + 3]! - corners[i + 1]!);
    if (qy > y !== py > y && x < px + ((y - py) / (qy - py)) * (qx - px)) inside = !inside;
    px = qx;
    py = qy;
  }
  return inside;
}

const ends = ({ bottom, top }: LaidPiece) => (bottom === top ? [bottom] : [bottom, top]);

/** (In a loop: a face has hundreds of parts, and lists made for every corner took as long as all the rest.) */
function candidateOf(piece: LaidPiece): Candidate {
  const { place, bottom, top, fromMm, toMm } = piece;
  const outlines = ends(piece);
  const corners = new Float64Array(4 * bottom.length);
  let far = 0;
  for (let i = 0; i < bottom.length; i++) {
    const [low, high] = [bottom[i]!, top[i]!];
    corners[4 * i] = low.x;
    corners[4 * i + 1] = low.y;
    corners[4 * i + 2] = high.x;
    corners[4 * i + 3] = high.y;
    far = Math.max(far, low.x * low.x + low.y * low.y, high.x * high.x + high.y * high.y);
  }
  const within = outlines.every(aroundAxis) ? Math.min(...outlines.map(reachInside)) ** 2 : 0;
  return { place, corners, from: fromMm, rise: toMm - fromMm, far: far * (1 + 1e-12), within };
}

/** Directions that a piece is met in; null where it may be met in any. */
function spanOf(piece: LaidPiece): { from: number; to: number } | null {
  const outlines = ends(piece);
  let [x, y] = [0, 0];
  for (const outline of outlines)
    for (const p of outline) {
      x += p.x;
      y += p.y;
    }
  const centre = Math.atan2(y, x);
  let [from, to] = [0, 0];
  for (const outline of outlines)
    for (const p of outline) {
      if (Math.hypot(p.x, p.y) < 1e-9) continue;
      const aside = wrapped(Math.atan2(p.y, p.x) - centre + Math.PI) - Math.PI;
      from = Math.min(from, aside);
      to = Math.max(to, aside);
    }
  return to - from < Math.PI ? { from: centre + from, to: centre + to } : null;
}
