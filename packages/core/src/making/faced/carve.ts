import type { Point } from '../../ring/plane.js';
import type { Faces, Wedge } from '../wedge.js';
import { type FaceLine, lineAt, type Trapezoid } from './sweep.js';

/** A part of a piece in its segment's own frame: x along the segment's middle from its apex, y counter-clockwise across it. */
export interface CarvedPart {
  readonly piece: number;
  readonly fromMm: number;
  readonly toMm: number;
  readonly bottom: readonly Point[];
  readonly top: readonly Point[];
}

/** What is narrower than this is nothing (mm). */
const NOTHING = 1e-7;

/** A length that changes with the height as a line does. */
type Rising = FaceLine;

const fixed = (at: number): Rising => ({ at, slope: 0 });
const over = ({ at, slope }: FaceLine, by: number): Rising => ({ at: at / by, slope: slope / by });
const less = (a: FaceLine, b: FaceLine): Rising => ({ at: a.at - b.at, slope: a.slope - b.slope });

/** The joints at both sides of a wedge, y = ∓x·tan θ and what their lean moves them aside at a height above the ring's bottom. */
interface Joints {
  readonly tan: number;
  readonly from: Rising;
  readonly to: Rising;
}

function jointsOf({ half, tiltFrom, tiltTo }: Wedge, heightMm: number): Joints {
  const moved = (tilt: number): Rising => {
    const slope = tilt / Math.cos(half);
    return { at: (0 - slope * heightMm) / 2, slope };
  };
  return { tan: Math.tan(half), from: moved(tiltFrom), to: moved(tiltTo) };
}

/**
 * A trapezoid of the face as it is cut through a wedge: what lies behind it between two joints that come together towards
 * the apex, as parts with straight corners. A part ends wherever one of its lines comes to a joint.
 */
export function carve(
  { fromMm, toMm, left, right, behind }: Trapezoid,
  wedge: Wedge,
  { outerRadiusMm, innerRadiusMm }: Faces,
  heightMm: number,
): CarvedPart[] {
  const joints = jointsOf(wedge, heightMm);
  const { tan, from, to } = joints;
  const meetings = [left, right].flatMap((line) => [over(less(line, to), tan), over(less(line, from), -tan)]);
  return behind.flatMap(({ piece, frontMm, backMm }) => {
    const [front, back] = [outerRadiusMm - frontMm, Math.max(innerRadiusMm, outerRadiusMm - backMm)];
    if (front - back < NOTHING) return [];
    const depths = [fixed(back), fixed(front), ...meetings];
    const heights = crossings(depths, fromMm, toMm);
    return heights.slice(1).flatMap((to, i) => {
      const from = heights[i]!;
      return between(depths, [from, to], [back, front], { left, right, joints }).map((part) => ({
        piece,
        fromMm: from,
        toMm: to,
        ...part,
      }));
    });
  });
}

/** Heights between two at which any of some lines cross, with the two. */
function crossings(lines: readonly Rising[], fromMm: number, toMm: number): number[] {
  const heights = [fromMm, toMm];
  lines.forEach((a, i) => {
    for (const b of lines.slice(0, i)) {
      const lean = a.slope - b.slope;
      if (Math.abs(lean) < 1e-12) continue;
      const z = (b.at - a.at) / lean;
      if (z > fromMm + NOTHING && z < toMm - NOTHING) heights.push(z);
    }
  });
  heights.sort((a, b) => a - b);
  return heights.filter((z, i) => i === 0 || z - heights[i - 1]! > NOTHING);
}

interface Sides {
  readonly left: FaceLine;
  readonly right: FaceLine;
  readonly joints: Joints;
}

/** The parts between two heights between which no line comes to a joint. */
function between(
  depths: readonly Rising[],
  [from, to]: readonly [number, number],
  [back, front]: readonly [number, number],
  { left, right, joints }: Sides,
): Pick<CarvedPart, 'bottom' | 'top'>[] {
  const middle = (from + to) / 2;
  const onFrom = (x: number, z: number) => lineAt(joints.from, z) - x * joints.tan;
  const onTo = (x: number, z: number) => lineAt(joints.to, z) + x * joints.tan;
  const stops = depths
    .filter((line) => lineAt(line, middle) >= back - NOTHING && lineAt(line, middle) <= front + NOTHING)
    .sort((a, b) => lineAt(a, middle) - lineAt(b, middle));
  const parts: Pick<CarvedPart, 'bottom' | 'top'>[] = [];
  for (let i = 1; i < stops.length; i++) {
    const [near, far] = [stops[i - 1]!, stops[i]!];
    const [nearest, farthest] = [lineAt(near, middle), lineAt(far, middle)];
    if (farthest - nearest < NOTHING) continue;
    const x = (nearest + farthest) / 2;
    const onLeft = lineAt(left, middle) > onFrom(x, middle);
    const onRight = lineAt(right, middle) < onTo(x, middle);
    const clockwise = (x: number, z: number) => (onLeft ? lineAt(left, z) : onFrom(x, z));
    const counter = (x: number, z: number) => (onRight ? lineAt(right, z) : onTo(x, z));
    if (counter(x, middle) - clockwise(x, middle) < NOTHING) continue;
    const corners = (z: number): Point[] => {
      const [a, b] = [lineAt(far, z), lineAt(near, z)];
      return [
        { x: a, y: clockwise(a, z) },
        { x: a, y: counter(a, z) },
        { x: b, y: counter(b, z) },
        { x: b, y: clockwise(b, z) },
      ];
    };
    const kept = distinct(corners(middle));
    const at = (z: number) => {
      const all = corners(z);
      return kept.map((corner) => all[corner]!);
    };
    const upright = [left, right, near, far, joints.from, joints.to].every(({ slope }) => slope === 0);
    const bottom = at(from);
    parts.push({ bottom, top: upright ? bottom : at(to) });
  }
  return parts;
}

/** Numbers of the corners that do not fall on the one before. */
const distinct = (corners: readonly Point[]): number[] =>
  corners.flatMap((p, i) => {
    const q = corners[(i + corners.length - 1) % corners.length]!;
    return Math.hypot(p.x - q.x, p.y - q.y) > NOTHING ? [i] : [];
  });

/** A part of a piece as it lies in the ring. */
export function placed({ middle, shift }: Wedge, outline: readonly Point[]): Point[] {
  const [cos, sin] = [Math.cos(middle), Math.sin(middle)];
  return outline.map(({ x, y }) => ({ x: shift.x + x * cos - y * sin, y: shift.y + x * sin + y * cos }));
}
