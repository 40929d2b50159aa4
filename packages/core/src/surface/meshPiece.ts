import { outlineAt, outlineAtHeight } from '../making/layOut.js';
import { farthest, nearest } from '../making/wedge.js';
import { aroundAxis, type Point } from '../ring/plane.js';
import { endGrain, type Grain } from './grain.js';
import type { Level } from './levels.js';
import { type ChainPoints, pointsOf } from './loft.js';
import type { MeshParts } from './meshParts.js';
import type { LoftPart } from './sectors.js';
import { type Chain, chainsOf } from './sides.js';

const angleBetween = (p: { x: number; y: number }, q: { x: number; y: number }): number =>
  Math.abs(Math.atan2(p.x * q.y - p.y * q.x, p.x * q.x + p.y * q.y));

/** What all pieces of a ring share. */
export interface Setting {
  readonly bottomMm: number;
  readonly grain: Grain;
  readonly arc: number;
}

/** Lofts a piece, or a part of one, over levels from its bottom to its top; how many triangles its sides and its top and bottom take. */
export function addPiece(
  parts: MeshParts,
  piece: LoftPart,
  levels: readonly Level[],
  { bottomMm, grain, arc }: Setting,
): { skin: number; caps: number } {
  const chains = chainsOf(
    outlineAt(piece, 0.5),
    (p, q) => Math.max(1, Math.round(angleBetween(p, q) / arc)),
    piece.sides,
  );
  const rows = levels.map(({ blankZ, outer, inner }) => {
    const outline = outlineAtHeight(piece, blankZ - bottomMm);
    // What is turned away altogether goes into the middle of the wall, where it hides behind what is left.
    const gone = isGone(outline, inner, outer);
    const middle = (inner + outer) / 2;
    return pointsOf(outline, chains, gone ? middle : inner, gone ? middle : outer);
  });
  const endAt = (angle: number, level: number, rise: number) =>
    endGrain(grain, piece.place, angle, level, rise);
  const begun = parts.triangles;
  const add = (joints: boolean) =>
    chains.forEach((chain, c) => {
      if ((chain.side === 'joint') !== joints) return;
      const strip = rows.map((row) => row[c]!);
      const first = parts.vertices;
      strip.forEach((points, k) => {
        addRow(parts, chain, points, levels, k, endAt);
      });
      const wide = strip[0]!.blank.length;
      for (let k = 0; k + 1 < levels.length; k++)
        for (let i = 0; i + 1 < wide; i++) {
          const a = first + k * wide + i;
          parts.quad(a, a + 1, a + wide + 1, a + wide);
        }
    });
  add(false);
  const skin = parts.triangles - begun;
  addCap(parts, chains, rows[0]!, levels[0]!, -1, endAt);
  addCap(parts, chains, rows.at(-1)!, levels.at(-1)!, 1, endAt);
  const caps = parts.triangles - begun - skin;
  add(true);
  return { skin, caps };
}

/** Nearer to a turned wall than this is on it (mm). */
const ON_WALL = 0.01;

/** Whether nothing of an outline lies between two circles about the axis. */
function isGone(outline: readonly Point[], inner: number, outer: number): boolean {
  if (farthest(outline) <= inner + ON_WALL) return true;
  if (aroundAxis(outline)) return false;
  return outline.every((p, i) => nearest(p, outline[(i + 1) % outline.length]!) >= outer - ON_WALL);
}

type EndAt = (angle: number, level: number, rise: number) => number;

/** One level of one side. On turned faces normals follow the curve, elsewhere they stand square to the edge. */
function addRow(
  parts: MeshParts,
  { side, around }: Chain,
  { blank, turned }: ChainPoints,
  levels: readonly Level[],
  k: number,
  endAt: EndAt,
): void {
  const { blankZ, z } = levels[k]!;
  const [before, after] = [levels[Math.max(0, k - 1)]!, levels[Math.min(levels.length - 1, k + 1)]!];
  const radiusOf = ({ outer, inner }: Level) => (side === 'outer' ? outer : inner);
  const [rise, run] = [after.z - before.z, radiusOf(after) - radiusOf(before)];
  const hand = side === 'outer' ? 1 : -1;
  const slant = Math.hypot(rise, run);
  /** The normal's level and upward parts; level where the wall has no height here. */
  const [level, up] = slant > 0 ? [(hand * rise) / slant, (-hand * run) / slant] : [hand, 0];
  blank.forEach((p, i) => {
    const q = turned[i]!;
    const [u, v] = [blank[Math.max(0, i - 1)]!, blank[Math.min(blank.length - 1, i + 1)]!];
    const edge = Math.hypot(v.x - u.x, v.y - u.y);
    const angle = Math.atan2(q.y, q.x);
    const flat =
      edge > 1e-9 && !around
        ? { x: (v.y - u.y) / edge, y: (u.x - v.x) / edge, z: 0 }
        : { x: hand * Math.cos(angle), y: hand * Math.sin(angle), z: 0 };
    const round = side === 'joint' ? flat : { x: level * Math.cos(angle), y: level * Math.sin(angle), z: up };
    const normal = Math.atan2(round.y, round.x);
    parts.vertex(
      { ...p, z: blankZ },
      { ...q, z },
      flat,
      round,
      endAt(normal, Math.hypot(round.x, round.y), round.z),
    );
  });
}

/** A face of the ring: a strip from its outer side, or its first one, to all the others. */
function addCap(
  parts: MeshParts,
  chains: readonly Chain[],
  points: readonly ChainPoints[],
  { blankZ, z }: Level,
  up: 1 | -1,
  endAt: EndAt,
): void {
  const normal = { x: 0, y: 0, z: up };
  const end = endAt(0, 0, up);
  const add = ({ blank, turned }: ChainPoints): number[] =>
    blank.map((p, i) => parts.vertex({ ...p, z: blankZ }, { ...turned[i]!, z }, normal, normal, end));
  const triangle = (a: number, b: number, c: number) =>
    up > 0 ? parts.triangle(a, b, c) : parts.triangle(a, c, b);
  const first = Math.max(
    0,
    chains.findIndex(({ side }) => side === 'outer'),
  );
  const [outer, ...others] = chains.map((_, i) => add(points[(first + i) % chains.length]!));
  strip(outer!, others.flat().reverse(), triangle);
}

/** Triangles between two rows of points that run the same way, which may have different numbers of points. */
function strip(
  outer: readonly number[],
  inner: readonly number[],
  triangle: (a: number, b: number, c: number) => void,
): void {
  let [i, k] = [0, 0];
  while (i + 1 < outer.length || k + 1 < inner.length) {
    const outerNext = (i + 1) / Math.max(1, outer.length - 1);
    const innerNext = (k + 1) / Math.max(1, inner.length - 1);
    if (k + 1 >= inner.length || (i + 1 < outer.length && outerNext <= innerNext)) {
      triangle(outer[i]!, outer[i + 1]!, inner[k]!);
      i++;
    } else {
      triangle(outer[i]!, inner[k + 1]!, inner[k]!);
      k++;
    }
  }
}
