import { smallest } from '../measure/smallest.js';
import { type Curve, type CurvePiece, pieceRadius, piecesBetween, topOf } from './curve.js';
import type { WallAt } from './shape.js';

/** Thickness of the wall, square to the outside, as a function of height: straight between the heights given (mm). */
export interface Wall {
  readonly at: (z: number) => number;
  readonly most: number;
  readonly stations: readonly WallAt[];
}

export function wallOf(stations: readonly WallAt[]): Wall {
  const last = stations.length - 1;
  const most = Math.max(...stations.map(({ wallMm }) => wallMm));
  const only = stations[0]!.wallMm;
  if (last === 0) return { at: () => only, most, stations };
  const at = (z: number) => {
    let i = 1;
    while (i < last && z > stations[i]!.heightMm) i++;
    const [low, high] = [stations[i - 1]!, stations[i]!];
    const share = Math.min(1, Math.max(0, (z - low.heightMm) / (high.heightMm - low.heightMm)));
    return low.wallMm + share * (high.wallMm - low.wallMm);
  };
  return { at, most, stations };
}

/** Inside at one height: its radius, and its slope dr/dz where it has one. */
export interface InsidePoint {
  readonly z: number;
  readonly r: number;
  readonly slope: number | null;
}

/** Steeper than this the inside is all but level, and its slope is of no use for drawing it on. */
const STEEPEST = 12;

/**
 * Inside of a wall measured square to the outside, at height z: the largest ρ such that no point (r(z'), z') of the
 * outside is nearer than its wall w(z'). A disc of the wall's size rolled along the curve marks it:
 * `ρ = min over z' of r(z') − √(w(z')² − (z' − z)²)`; where the minimum lies the slope follows from that z' alone.
 * Negative or zero where the wall fills the form. Derived in docs/how-it-computes.md.
 */
export function insideOfWall(outside: Curve, wall: Wall, z: number): InsidePoint {
  const from = Math.max(0, z - wall.most);
  const to = Math.min(topOf(outside), z + wall.most);
  let best = Infinity;
  let at = z;
  for (const piece of piecesBetween(outside, from, to)) {
    const gap = (height: number) => pieceRadius(piece, height) - reach(wall.at(height), height - z);
    const low = Math.max(from, piece.z0);
    const high = Math.min(to, piece.z1);
    // Below and above the height asked about the gap is smooth.
    const parts = z > low && z < high ? 2 : 1;
    for (let i = 0; i < parts; i++) {
      const found = smallest(gap, i === 0 ? low : z, i === parts - 1 ? high : z);
      if (found.value < best) {
        best = found.value;
        at = found.at;
      }
    }
  }
  const away = at - z;
  const across = Math.sqrt(Math.max(0, wall.at(at) ** 2 - away * away));
  const slope = -away / across;
  return { z, r: best, slope: Math.abs(slope) < STEEPEST ? slope : null };
}

/** The parts of a curve piece below and above the height asked about, where the gap to it is smooth. */
export function stretches(piece: CurvePiece, from: number, to: number, z: number): [number, number][] {
  const [low, high] = [Math.max(from, piece.z0), Math.min(to, piece.z1)];
  if (z <= low || z >= high) return [[low, high]];
  return [
    [low, z],
    [z, high],
  ];
}

/** Steeper than any outside: beyond the edge of the disc the gap only grows. */
const OUT_OF_REACH = 1e4;

/** How far a disc reaches inwards at a height `away` from its middle; beyond its edge far less than nothing. */
function reach(radius: number, away: number): number {
  const square = radius * radius - away * away;
  return square > 0 ? Math.sqrt(square) : OUT_OF_REACH * (radius - Math.abs(away));
}
