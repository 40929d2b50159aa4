import { z } from 'zod';
import { length, number, whole } from '../measure/field.js';
import { dot, NO_MOVE, type Point3, plus, times } from './space.js';

/** Bands that a piece can have; every one divides all that is above and below it. */
export const MOST_SLANTS = 8;

/**
 * A slanted band: the work is sawn through, a board of contrasting wood is glued in, and it goes on. Bands are made in
 * the order in which they are listed; each is measured on the work as it stands then.
 */
export const slantSchema = z.strictObject({
  id: z.string().min(1).max(40),
  /** Where the saw's lower side meets the axis, above the bench. */
  heightMm: length('Height of the cut', 0, 2000),
  /** From level. */
  slantDeg: number('Slant', 0, 60, '°'),
  /** Where the cut is lowest, from the index mark: all that is above it moves to that side. */
  towardDeg: number('Direction of the slant', -360, 360, '°'),
  thicknessMm: length('Thickness of the band', 0.3, 60),
  kerfMm: length('Kerf of the cut', 0, 10),
  /** Palette key. */
  wood: z.string().min(1).max(24),
  /** A ring of so many segments, its first joint where the cut is lowest; one board where it is left out. */
  count: whole('Segments of the band', 3, 120).optional(),
  /** Palette key of every segment, counter-clockwise from above; all of the band's wood where it is left out. */
  woods: z.array(z.string().min(1).max(24)).max(120).optional(),
  /** The board as it was cut, which it stays whatever the form asks for later; left out until then. */
  made: z
    .strictObject({
      lengthMm: length('Length of the board', 1, 3000),
      widthMm: length('Width of the board', 1, 3000),
    })
    .optional(),
});
export type Slant = z.infer<typeof slantSchema>;

/** Palette key of every piece of a band. */
export const bandWoods = ({ wood, count, woods }: Slant): readonly string[] =>
  count === undefined ? [wood] : (woods ?? Array.from({ length: count }, () => wood));

/** A cut with its band: the wood below ends at `normal · p = atMm`, the band is `thicknessMm` thick, what is above moves. */
export interface Cut {
  readonly normal: Point3;
  readonly atMm: number;
  readonly thicknessMm: number;
  /** How all that is above the band is moved: by thickness less kerf, along the normal. */
  readonly move: Point3;
  /** Which way the normal leans, radians from the index mark, and by how much: its level part. */
  readonly toward: number;
  readonly lean: number;
}

const radians = (degrees: number) => (degrees * Math.PI) / 180;

export function cutOf({ heightMm, slantDeg, towardDeg, thicknessMm, kerfMm }: Slant): Cut {
  const [slant, toward] = [radians(slantDeg), radians(towardDeg)];
  const normal = {
    x: Math.sin(slant) * Math.cos(toward),
    y: Math.sin(slant) * Math.sin(toward),
    z: Math.cos(slant),
  };
  return {
    normal,
    atMm: heightMm * normal.z,
    thicknessMm,
    move: times(normal, thicknessMm - kerfMm),
    toward: Math.atan2(normal.y, normal.x),
    lean: Math.hypot(normal.x, normal.y),
  };
}

/** All cuts of a piece, in the order in which they are made; `NO_CUTS` where there are none. */
export type Cuts = readonly Cut[];
export const NO_CUTS: Cuts = [];

/**
 * A part of the piece that moved as one: either a part of a band or what lies above some of the cuts and below the
 * others. `shift` is where its wood has gone from where it was glued: a point p of it was at p − shift.
 */
export interface Region {
  /** Index of the band; null in the stack. */
  readonly band: number | null;
  /** A bit for every cut that it lies above of. */
  readonly above: number;
  readonly shift: Point3;
}

export const WHOLE: Region = { band: null, above: 0, shift: NO_MOVE };

/** In which region a point of the piece lies: taken back through the cuts, the last one first. */
export function regionAt(cuts: Cuts, p: Point3): Region {
  let { above, shift }: Region = WHOLE;
  for (let i = cuts.length - 1; i >= 0; i--) {
    const { normal, atMm, thicknessMm, move } = cuts[i]!;
    const over = dot(normal, p) - dot(normal, shift) - atMm;
    if (over <= 0) continue;
    if (over < thicknessMm) return { band: i, above, shift };
    above |= 1 << i;
    shift = plus(shift, move);
  }
  return { band: null, above, shift };
}

/** All points p with normal · p ≤ most. */
export interface HalfSpace {
  readonly normal: Point3;
  readonly most: number;
}

/** The half-spaces that a region is what is common to. */
export function sidesOf(cuts: Cuts, { band, above }: Region): HalfSpace[] {
  const sides: HalfSpace[] = [];
  let shift = NO_MOVE;
  for (let i = cuts.length - 1; i >= 0; i--) {
    const { normal, atMm, thicknessMm, move } = cuts[i]!;
    const at = atMm + dot(normal, shift);
    const over = (from: number): HalfSpace => ({ normal: times(normal, -1), most: -from });
    if (i === band) return [...sides, over(at), { normal, most: at + thicknessMm }];
    if (above & (1 << i)) {
      sides.push(over(at + thicknessMm));
      shift = plus(shift, move);
    } else sides.push({ normal, most: at });
  }
  return sides;
}

/** A stretch of a level circle about the axis within one region, radians counter-clockwise; 0 ≤ from < to ≤ 2π. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly region: Region;
}

/** The regions met by a circle of a radius at a height of the piece. */
export function stretchesRound(cuts: Cuts, radius: number, z: number): Stretch[] {
  const found: Stretch[] = [];
  divide(cuts, cuts.length - 1, { from: 0, to: 2 * Math.PI, region: WHOLE }, { radius, z }, found);
  return found;
}

/** Divides a stretch by a cut and those that were made before it, and adds its parts to those that were found. */
function divide(
  cuts: Cuts,
  index: number,
  stretch: Stretch,
  circle: { readonly radius: number; readonly z: number },
  found: Stretch[],
): void {
  if (index < 0) {
    found.push(stretch);
    return;
  }
  const { from, to, region } = stretch;
  const { normal, atMm, thicknessMm, move, toward, lean } = cuts[index]!;
  const { above, shift } = region;
  // Over the cut in a direction: swing · cos(direction − toward) + middle.
  const swing = circle.radius * lean;
  const middle = normal.z * circle.z - dot(normal, shift) - atMm;
  const stops = [from, to];
  met(stops, swing, toward, -middle, from, to);
  met(stops, swing, toward, thicknessMm - middle, from, to);
  stops.sort((a, b) => a - b);
  for (let i = 1; i < stops.length; i++) {
    const [start, end] = [stops[i - 1]!, stops[i]!];
    if (end - start < 1e-12) continue;
    const here = swing * Math.cos((start + end) / 2 - toward) + middle;
    if (here > 0 && here < thicknessMm)
      found.push({ from: start, to: end, region: { band: index, above, shift } });
    else {
      const next = here <= 0 ? region : { band: null, above: above | (1 << index), shift: plus(shift, move) };
      divide(cuts, index - 1, { from: start, to: end, region: next }, circle, found);
    }
  }
}

/** Adds where swing · cos(angle − toward) is `level` in a stretch: up to two angles between 0 and 2π. */
function met(stops: number[], swing: number, toward: number, level: number, from: number, to: number): void {
  if (Math.abs(level) >= swing) return;
  const half = Math.acos(level / swing);
  for (const angle of [toward - half, toward + half]) {
    const within = angle - 2 * Math.PI * Math.floor(angle / (2 * Math.PI));
    if (within >= from && within <= to) stops.push(within);
  }
}

/** How high above the stack its top stands when all bands are glued in, where nothing of it is cut off (mm). */
export const liftOf = (cuts: Cuts): number => cuts.reduce((sum, { move }) => sum + move.z, 0);
