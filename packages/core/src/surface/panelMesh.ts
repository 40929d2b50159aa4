import { type Curve, pieceAt, pieceSlope, radiusAt } from '../form/curve.js';
import { recessAt } from '../form/recess.js';
import { insideAt, type Vessel } from '../form/vessel.js';
import { type Convex, middleOf } from '../ring/convex.js';
import { dot, minus, type Point3, plus, times, unit } from '../ring/space.js';
import { endGrain, type Grain } from './grain.js';
import type { MeshParts } from './meshParts.js';

/** What all panels of a shell share. */
export interface ShellSetting {
  readonly vessel: Vessel;
  /** The point that the shell goes round, mm, z above the bench. */
  readonly centre: Point3;
  readonly grain: Grain;
  readonly arc: number;
}

type Side = 'outer' | 'inner' | 'level' | 'joint';

/** A face turned away from the centre by less than this (cosine) is a joint. */
const FACING = 0.5;
/** Nearer to a turned wall than this is on it, mm. */
const ON_WALL = 0.01;
/** Times that the way from the centre to a point is halved: to under a thousandth of a millimetre. */
const HALVINGS = 24;

/**
 * A panel of a shell, its faces in parts of about `arc`: every point that turning takes away moves towards the centre of the shell, which
 * nearly all joints run to, until it is on the turned surface; so neighbours stay together. How many triangles its sides and its level faces take.
 */
export function addPanel(
  parts: MeshParts,
  { corners, faces, normals, place }: Convex,
  setting: ShellSetting,
): { skin: number; caps: number } {
  const { centre, arc } = setting;
  const sideOf = (i: number): Side => {
    const normal = normals[i]!;
    if (Math.abs(normal.z) > 1 - 1e-9) return 'level';
    const facing = dot(normal, unit(minus(middleOf(corners, faces[i]!), centre)));
    return facing > FACING ? 'outer' : facing < -FACING ? 'inner' : 'joint';
  };
  const sides = faces.map((_, i) => sideOf(i));
  const seen = corners.map((p) => unit(minus(p, centre)));
  const widest = Math.max(...seen.flatMap((p) => seen.map((q) => Math.acos(Math.min(1, dot(p, q))))));
  const steps = Math.max(2, Math.ceil(widest / arc));
  const begun = parts.triangles;
  const add = (...wanted: readonly Side[]) => {
    const before = parts.triangles;
    faces.forEach((face, i) => {
      if (wanted.includes(sides[i]!))
        addFace(
          parts,
          face.map((k) => corners[k]!),
          normals[i]!,
          steps,
          (p, flat) => vertexOf(p, flat, place, setting),
        );
    });
    return parts.triangles - before;
  };
  add('outer', 'inner');
  const skin = parts.triangles - begun;
  const caps = add('level');
  add('joint');
  return { skin, caps };
}

type Placed = Parameters<MeshParts['vertex']>;

/** A face as triangles about its middle, every edge in so many parts. */
function addFace(
  parts: MeshParts,
  outline: readonly Point3[],
  normal: Point3,
  steps: number,
  placed: (p: Point3, flat: Point3) => Placed,
): void {
  const middle = times(outline.reduce(plus), 1 / outline.length);
  const around = outline.flatMap((p, i) => {
    const q = outline[(i + 1) % outline.length]!;
    return Array.from({ length: steps }, (_, k) => between(p, q, k / steps));
  });
  const rows = Array.from({ length: steps }, (_, k) =>
    around.map((p) => parts.vertex(...placed(between(p, middle, k / steps), normal))),
  );
  const top = parts.vertex(...placed(middle, normal));
  rows.forEach((row, k) => {
    row.forEach((a, i) => {
      const b = row[(i + 1) % row.length]!;
      const next = rows[k + 1];
      if (next) parts.quad(a, b, next[(i + 1) % row.length]!, next[i]!);
      else parts.triangle(a, b, top);
    });
  });
}

const between = (p: Point3, q: Point3, share: number): Point3 => plus(times(p, 1 - share), times(q, share));

/** A point of a face as it is in the blank and in the turned piece, with the normals there and how much end grain shows. */
function vertexOf(p: Point3, flat: Point3, place: number, { vessel, centre, grain }: ShellSetting): Placed {
  const { at, on } = leftOf(vessel, centre, p);
  const round = on ? squareTo(on, at) : flat;
  const end = endGrain(grain, place, Math.atan2(round.y, round.x), Math.hypot(round.x, round.y), round.z);
  return [p, at, flat, round, end];
}

/** A point of the turned piece, and the curve that it lies on where turning has put it there. */
interface Left {
  readonly at: Point3;
  readonly on?: { readonly curve: Curve; readonly hand: 1 | -1 };
}

/** Where a point comes that turning takes away: in line with the centre, onto the outside or out to the inside; others stay. */
function leftOf(vessel: Vessel, centre: Point3, { x, y, z }: Point3): Left {
  const { outside, inside, heightMm } = vessel;
  const p = { x, y, z: Math.min(heightMm, Math.max(0, z)) };
  if (isOutside(vessel, p)) {
    const to = (share: number) => between(centre, p, share);
    const at = to(lastWithin((q) => !isOutside(vessel, q), to));
    const onRecess = Math.hypot(at.x, at.y) < recessAt(vessel.recess, at.z) + ON_WALL;
    return onRecess ? { at } : { at, on: { curve: outside, hand: 1 } };
  }
  if (!inside || !isHollow(vessel, p)) return { at: p };
  const away = (share: number) => between(centre, p, 1 + share);
  const met = away(lastWithin((q) => isHollow(vessel, q), away));
  if (met.z <= heightMm) return { at: met, on: { curve: inside, hand: -1 } };
  // Out of the mouth: nothing of it is left but the edge of the lip.
  const lip = radiusAt(inside, vessel.hollowToMm) / Math.hypot(met.x, met.y);
  return { at: { x: met.x * lip, y: met.y * lip, z: heightMm } };
}

/** The share of a way up to which something holds that holds where it begins and not where it ends. */
function lastWithin(holds: (p: Point3) => boolean, at: (share: number) => Point3): number {
  let [yes, no] = [0, 1];
  for (let i = 0; i < HALVINGS; i++) {
    const half = (yes + no) / 2;
    if (holds(at(half))) yes = half;
    else no = half;
  }
  return yes;
}

const isOutside = ({ outside, recess, heightMm }: Vessel, { x, y, z }: Point3): boolean => {
  const r = Math.hypot(x, y);
  return r > radiusAt(outside, Math.min(heightMm, Math.max(0, z))) || r < recessAt(recess, z);
};

const isHollow = (vessel: Vessel, { x, y, z }: Point3): boolean =>
  Math.hypot(x, y) < (insideAt(vessel, Math.min(z, vessel.heightMm)) ?? 0);

/** The outward normal of a surface of revolution at a point of it: level and (−dr/dz) up. */
function squareTo({ curve, hand }: NonNullable<Left['on']>, { x, y, z }: Point3): Point3 {
  const slope = pieceSlope(pieceAt(curve, z), z);
  const r = Math.hypot(x, y);
  return times(unit(r > 0 ? { x: x / r, y: y / r, z: -slope } : { x: 0, y: 0, z: -Math.sign(slope) }), hand);
}
