import { type Mm, mm } from '../measure/quantity.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import type { Band } from '../ring/overlap.js';
import { fromAxis, type Point } from '../ring/plane.js';

/**
 * A mitred piece in plan: what lies between two joint lines through its apex, a line outside and a line inside, both
 * square to its middle. At a height above half the ring's, each joint line is moved aside by its tilt times that height.
 */
export interface Wedge {
  /** Direction of its middle from the index mark, radians counter-clockwise. */
  readonly middle: number;
  /** θ: half the angle between its joints, radians. */
  readonly half: number;
  /** Its apex, from the axis. */
  readonly shift: Point;
  /** How far the joints at its clockwise and counter-clockwise side move counter-clockwise per mm of height. */
  readonly tiltFrom: number;
  readonly tiltTo: number;
}

/** Where the lines outside and inside lie, from the apex, at half height; both lean out alike. */
export interface Faces {
  /** ao */
  readonly outerRadiusMm: number;
  /** ai */
  readonly innerRadiusMm: number;
  /** Change of both per mm of height. */
  readonly lean: number;
}

const ON_AXIS: Point = { x: 0, y: 0 };

/** A wedge with its apex on the axis and upright joints. */
export const radialWedge = (middle: number, half: number, shift = ON_AXIS): Wedge => ({
  middle,
  half,
  shift,
  tiltFrom: 0,
  tiltTo: 0,
});

const isUpright = ({ tiltFrom, tiltTo }: Wedge): boolean => tiltFrom === 0 && tiltTo === 0;

/** Its apex seen from its own middle: along it, and counter-clockwise across it. */
export function apexOf({ middle, shift }: Wedge): Point {
  const [cos, sin] = [Math.cos(middle), Math.sin(middle)];
  return { x: shift.x * cos + shift.y * sin, y: shift.y * cos - shift.x * sin };
}

/**
 * Outline at `dz` above half height: outer corners clockwise and counter-clockwise, then the inner ones
 * counter-clockwise and clockwise. A joint line moved aside by s meets the line at x at ±x·tan θ + s/cos θ.
 */
export function wedgeOutline(
  wedge: Wedge,
  { outerRadiusMm, innerRadiusMm, lean }: Faces,
  dz: number,
): Point[] {
  const { middle, half, shift, tiltFrom, tiltTo } = wedge;
  const [cos, sin] = [Math.cos(middle), Math.sin(middle)];
  const [tan, secant] = [Math.tan(half), 1 / Math.cos(half)];
  const at = (x: number, y: number) => ({ x: shift.x + x * cos - y * sin, y: shift.y + x * sin + y * cos });
  const from = (x: number) => at(x, -x * tan + dz * tiltFrom * secant);
  const to = (x: number) => at(x, x * tan + dz * tiltTo * secant);
  const [outer, inner] = [outerRadiusMm + lean * dz, innerRadiusMm + lean * dz];
  const points = innerRadiusMm === 0 && lean === 0 && isUpright(wedge);
  return [from(outer), to(outer), to(inner), ...(points ? [] : [from(inner)])];
}

/** Heights from the middle at which a piece reaches out farthest or least, as shares of its own. */
const ENDS = [-0.5, 0.5] as const;
/** One that stands upright is the same at every height. */
const ANYWHERE = [0] as const;

/**
 * The least ao with which pieces hold the circle of radius `outerRadiusMm`, which grows by `lean` for every mm of height: the nearest point of each outer
 * face has to lie on it, the foot of the perpendicular from the axis or, where that is off the face, a corner.
 */
export function leastOuter(
  wedges: readonly Wedge[],
  outerRadiusMm: number,
  heightMm: number,
  lean = 0,
): number {
  let least = 0;
  for (const wedge of wedges)
    for (const end of ENDS) {
      const [dz, grown] = [end * heightMm, lean * end * heightMm];
      least = Math.max(least, outerFor(wedge, outerRadiusMm + grown, dz) - grown);
    }
  return least;
}

function outerFor(wedge: Wedge, outerRadiusMm: number, dz: number): number {
  const apex = apexOf(wedge);
  const [cos, sin] = [Math.cos(wedge.half), Math.sin(wedge.half)];
  const foot = outerRadiusMm - apex.x;
  const reach = (foot * sin) / cos;
  const [from, to] = [(dz * wedge.tiltFrom) / cos + apex.y, (dz * wedge.tiltTo) / cos + apex.y];
  if (from - reach <= 0 && to + reach >= 0) return foot;
  const side = to + reach < 0 ? 1 : -1;
  return alongJoint({ x: apex.x, y: side > 0 ? to : from }, { x: cos, y: side * sin }, outerRadiusMm)! * cos;
}

/** How far along `toward` from `start` the circle of a radius is left: −s·e + √(r² − |s × e|²); null where it is missed. */
function alongJoint(start: Point, toward: Point, radius: number): number | null {
  const aside = start.x * toward.y - start.y * toward.x;
  const root = radius * radius - aside * aside;
  return root < 0 ? null : -(start.x * toward.x + start.y * toward.y) + Math.sqrt(root);
}

/**
 * The greatest ai with which no corner of the hole lies outside the circle of radius `innerRadiusMm` at any height; null
 * where the hole cannot be as small as that. A corner beyond the apex does not count: ai is 0 or more.
 */
export function mostInner(
  wedges: readonly Wedge[],
  innerRadiusMm: number,
  heightMm: number,
  lean = 0,
): number | null {
  let most = Infinity;
  for (const wedge of wedges) {
    const apex = apexOf(wedge);
    const [cos, sin] = [Math.cos(wedge.half), Math.sin(wedge.half)];
    for (const end of ENDS) {
      const dz = end * heightMm;
      const grown = innerRadiusMm + lean * dz;
      for (const [side, tilt] of [
        [1, wedge.tiltTo],
        [-1, wedge.tiltFrom],
      ] as const) {
        const start = { x: apex.x, y: apex.y + (dz * tilt) / cos };
        const along = grown < 0 ? null : alongJoint(start, { x: cos, y: side * sin }, grown);
        if (along === null) return null;
        most = Math.min(most, along * cos - lean * dz);
      }
    }
  }
  return most < -1e-9 ? null : Math.max(0, most);
}

/** Nearest distance of the line between two points from the axis. */
export function nearest(p: Point, q: Point): number {
  const [dx, dy] = [q.x - p.x, q.y - p.y];
  const square = dx * dx + dy * dy;
  const t = square === 0 ? 0 : Math.min(1, Math.max(0, -(p.x * dx + p.y * dy) / square));
  return fromAxis({ x: p.x + t * dx, y: p.y + t * dy });
}

export const farthest = (points: readonly Point[]): number =>
  points.reduce((most, point) => Math.max(most, fromAxis(point)), 0);

/** A band without the rounding that keeps it from the one that was asked for. */
export const asAsked = ({ outerRadiusMm, innerRadiusMm }: Band, asked: Band): Band => ({
  outerRadiusMm:
    Math.abs(outerRadiusMm - asked.outerRadiusMm) < SAME_LENGTH ? asked.outerRadiusMm : outerRadiusMm,
  innerRadiusMm:
    Math.abs(innerRadiusMm - asked.innerRadiusMm) < SAME_LENGTH ? asked.innerRadiusMm : innerRadiusMm,
});

/** Radii that survive turning, at half height, and the farthest corner, of pieces with the same faces. */
export function bandOf(
  wedges: readonly Wedge[],
  faces: Faces,
  heightMm: number,
): { gives: Band; cornerMm: Mm } {
  let [outer, inner, corner] = [Infinity, 0, 0];
  for (const wedge of wedges)
    for (const end of faces.lean === 0 && isUpright(wedge) ? ANYWHERE : ENDS) {
      const dz = end * heightMm;
      const outline = wedgeOutline(wedge, faces, dz);
      outer = Math.min(outer, nearest(outline[0]!, outline[1]!) - faces.lean * dz);
      inner = Math.max(inner, farthest(outline.slice(2)) - faces.lean * dz);
      corner = Math.max(corner, farthest(outline));
    }
  return { gives: { outerRadiusMm: outer, innerRadiusMm: inner }, cornerMm: mm(corner) };
}
