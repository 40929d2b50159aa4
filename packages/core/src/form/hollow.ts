import { done, type Result, refuse } from '../measure/reason.js';
import { say, sayMm } from '../measure/said.js';
import { type Curve, type CurvePiece, knotsBetween, pieceRadius, radiusAt } from './curve.js';
import { insideAgain } from './insideAgain.js';
import type { InsidePoint, Wall } from './wall.js';

/** Heights at which the inside of a wall is looked at lie at most this far apart (mm). */
const STATION = 3;
/** A drawn piece of the inside stays this near to the true one (mm), but at a kink, which is closed in on. */
const TRUE_TO = 5e-4;
const DEEPEST = 7;
const BISECTIONS = 40;

/** Where the inside of a wall is looked for: from the floor up, open at the top unless a lid closes it. */
export interface Room {
  readonly floorMm: number;
  /** Top of the form, or the underside of the lid's roof. */
  readonly topMm: number;
  /** A height that has to be open: the lid line; null where the top itself has to be. */
  readonly lineMm: number | null;
}

/**
 * The inside of a wall as a curve, or the sentence that says where the wall fills the form. It may begin above the
 * floor where the foot of the form is narrow, and end below the roof of a domed lid.
 */
export function hollowOf(outside: Curve, wall: Wall, room: Room): Result<Curve> {
  const at = insideAgain(outside, wall);
  const stations = heights(outside, wall, room).map(at);
  const mustBeOpen = room.lineMm === null ? stations.length - 1 : nearest(stations, room.lineMm);
  if (stations[mustBeOpen]!.r <= 0) return tooThick(outside, wall, stations[mustBeOpen]!.z);
  let [low, high] = [mustBeOpen, mustBeOpen];
  while (low > 0 && stations[low - 1]!.r > 0) low--;
  while (high < stations.length - 1 && stations[high + 1]!.r > 0) high++;
  if (stations.slice(0, low).some(({ r }) => r > 0)) return tooThick(outside, wall, stations[low - 1]!.z);
  const open = stations.slice(low, high + 1);
  if (low > 0) open.unshift(edge(at, stations[low - 1]!.z, open[0]!));
  if (high < stations.length - 1) open.push(edge(at, stations[high + 1]!.z, open.at(-1)!));
  const pieces = open.slice(1).flatMap((upper, i) => drawn(at, open[i]!, upper, 0));
  return pieces.length > 0 ? done({ pieces }) : tooThick(outside, wall, stations[mustBeOpen]!.z);
}

/** Heights to look at: even steps, curve points, and a wall's thickness either side of them, where the disc leaves one. */
function heights(outside: Curve, wall: Wall, { floorMm, topMm, lineMm }: Room): number[] {
  const points = [...knotsBetween(outside, 0, topMm), ...wall.stations.map(({ heightMm }) => heightMm)];
  const kinks = points.flatMap((z) => [z - wall.at(z), z, z + wall.at(z)]);
  const own = [floorMm, ...kinks, ...(lineMm === null ? [] : [lineMm]), topMm]
    .filter((z) => z >= floorMm && z <= topMm)
    .sort((a, b) => a - b)
    .filter((z, i, all) => i === 0 || z - all[i - 1]! > 1e-6);
  return own.flatMap((z, i) => {
    const next = own[i + 1];
    if (next === undefined) return [z];
    const parts = Math.ceil((next - z) / STATION);
    return Array.from({ length: parts }, (_, k) => z + ((next - z) * k) / parts);
  });
}

const nearest = (stations: readonly InsidePoint[], z: number): number =>
  stations.reduce((best, s, i) => (Math.abs(s.z - z) < Math.abs(stations[best]!.z - z) ? i : best), 0);

/** Where the inside closes between a height that is filled and one that is open. */
function edge(at: (z: number) => InsidePoint, filled: number, open: InsidePoint): InsidePoint {
  let [shut, found] = [filled, open];
  for (let i = 0; i < BISECTIONS; i++) {
    const middle = at((shut + found.z) / 2);
    if (middle.r > 0) found = middle;
    else shut = middle.z;
  }
  return found;
}

/** Cubic pieces from one height to another, halved until they run true. */
function drawn(
  at: (z: number) => InsidePoint,
  lower: InsidePoint,
  upper: InsidePoint,
  deep: number,
): CurvePiece[] {
  const rise = upper.z - lower.z;
  if (rise < 1e-6) return [];
  const secant = (upper.r - lower.r) / rise;
  const straight = lower.slope === null || upper.slope === null;
  const piece = {
    z0: lower.z,
    z1: upper.z,
    r0: lower.r,
    r1: upper.r,
    d0: straight ? secant : lower.slope!,
    d1: straight ? secant : upper.slope!,
  };
  if (deep >= DEEPEST) return [{ ...piece, d0: secant, d1: secant }];
  const middle = at((lower.z + upper.z) / 2);
  if (Math.abs(pieceRadius(piece, middle.z) - middle.r) <= TRUE_TO) return [piece];
  return [...drawn(at, lower, middle, deep + 1), ...drawn(at, middle, upper, deep + 1)];
}

function tooThick(outside: Curve, wall: Wall, z: number): Result<never> {
  const [radius, thick] = [sayMm(radiusAt(outside, z)), sayMm(wall.at(z))];
  return refuse(
    'wall-too-thick',
    'form.inside',
    say`The wall thickness, ${thick}, fills the form at height ${sayMm(z)}, where its radius is ${radius}: no inside is left there.`,
  );
}
