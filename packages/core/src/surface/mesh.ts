import type { Vessel } from '../form/vessel.js';
import type { LaidPiece, Made } from '../making/contract.js';
import { outlineAt } from '../making/layOut.js';
import { endGrain, type Grain, grainOf } from './grain.js';
import { type Level, levelsOf } from './levels.js';
import { type Chain, type ChainPoints, chainsOf, pointsOf } from './loft.js';
import { MeshParts } from './meshParts.js';

/** How closely a mesh follows the curves. */
export interface MeshFineness {
  /** An arc is drawn in parts of about this angle, radians. */
  readonly arc: number;
  /** How far a curve may stray from the straight way between two levels, mm. */
  readonly sagittaMm: number;
}

/** For other programs: less than a saw mark off. */
export const FINE_MESH: MeshFineness = { arc: (2 * Math.PI) / 72, sagittaMm: 0.15 };
/** For looking at: normals make it round. */
export const VIEW_MESH: MeshFineness = { arc: (2 * Math.PI) / 40, sagittaMm: 0.6 };

/**
 * A piece's share of a ring's mesh: its place, first vertex and first triangle, and how many of each. Its triangles come
 * in the order: outer and inner side (`skin` of them), top and bottom (`caps`), joints.
 */
export interface PieceRange {
  readonly place: number;
  readonly vertex: number;
  readonly vertices: number;
  readonly triangle: number;
  readonly triangles: number;
  readonly skin: number;
  readonly caps: number;
}

/**
 * The pieces of a ring as closed surfaces, mm, z up from the bench: every vertex where it is in the blank and where it is
 * in the turned piece, so that what lies between is on the straight way from the one to the other.
 */
export interface RingMesh {
  readonly blank: Float32Array;
  readonly turned: Float32Array;
  readonly blankNormals: Float32Array;
  readonly turnedNormals: Float32Array;
  /** How much end grain shows at each vertex of the turned piece, 0 to 1. */
  readonly end: Float32Array;
  /** Three vertices a triangle, counter-clockwise from outside. */
  readonly index: Uint32Array;
  readonly pieces: readonly PieceRange[];
}

const angleBetween = (p: { x: number; y: number }, q: { x: number; y: number }): number =>
  Math.abs(Math.atan2(p.x * q.y - p.y * q.x, p.x * q.x + p.y * q.y));

/**
 * The mesh of one ring that stands in the piece from a height on; `turn` in radians. Worked out for one repeat of the
 * ring and turned for the others.
 */
export function ringMesh(
  made: Made,
  turn: number,
  bottomMm: number,
  vessel: Vessel,
  { arc, sagittaMm }: MeshFineness = FINE_MESH,
): RingMesh {
  const levels = levelsOf(vessel, bottomMm, bottomMm + made.heightMm, sagittaMm);
  const setting: Setting = { bottomMm, heightMm: made.heightMm, grain: grainOf(made), arc };
  const parts = new MeshParts();
  const pieces: { readonly of: PieceRange; readonly place: number; readonly by: number }[] = [];
  let first = 0;
  for (const { count } of made.groups) {
    const laps = count % made.repeats === 0 ? made.repeats : 1;
    const period = count / laps;
    const once = Array.from({ length: period }, (_, i): PieceRange => {
      const [vertex, triangle] = [parts.vertices, parts.triangles];
      const place = first + i;
      const sorts = addPiece(parts, made.lay(place), levels, setting);
      return {
        ...sorts,
        place,
        vertex,
        vertices: parts.vertices - vertex,
        triangle,
        triangles: parts.triangles - triangle,
      };
    });
    for (let i = 0; i < count; i++) {
      const by = turn + (2 * Math.PI * Math.floor(i / period)) / laps;
      pieces.push({ of: once[i % period]!, place: first + i, by });
    }
    first += count;
  }
  return repeatedMesh(parts.arrays(), pieces);
}

/** Pieces of a mesh, each as often and turned by as much as it is asked for (radians). */
function repeatedMesh(
  once: ReturnType<MeshParts['arrays']>,
  wanted: readonly { readonly of: PieceRange; readonly place: number; readonly by: number }[],
): RingMesh {
  const [vertices, triangles] = wanted.reduce(
    ([v, t], { of }) => [v + of.vertices, t + of.triangles] as const,
    [0, 0] as readonly [number, number],
  );
  const mesh = {
    blank: new Float32Array(3 * vertices),
    turned: new Float32Array(3 * vertices),
    blankNormals: new Float32Array(3 * vertices),
    turnedNormals: new Float32Array(3 * vertices),
    end: new Float32Array(vertices),
    index: new Uint32Array(3 * triangles),
  };
  let [vertex, triangle] = [0, 0];
  const pieces = wanted.map(({ of, place, by }): PieceRange => {
    const [cos, sin] = [Math.cos(by), Math.sin(by)];
    for (const name of ['blank', 'turned', 'blankNormals', 'turnedNormals'] as const)
      turnInto(mesh[name], 3 * vertex, once[name], 3 * of.vertex, of.vertices, cos, sin);
    mesh.end.set(once.end.subarray(of.vertex, of.vertex + of.vertices), vertex);
    const shift = vertex - of.vertex;
    for (let i = 0; i < 3 * of.triangles; i++)
      mesh.index[3 * triangle + i] = once.index[3 * of.triangle + i]! + shift;
    const range = { ...of, place, vertex, triangle };
    vertex += of.vertices;
    triangle += of.triangles;
    return range;
  });
  return { ...mesh, pieces };
}

/** Copies points into another array, turned about the axis. */
function turnInto(
  to: Float32Array,
  at: number,
  from: Float32Array,
  start: number,
  points: number,
  cos: number,
  sin: number,
): void {
  for (let i = 0; i < 3 * points; i += 3) {
    const [x, y] = [from[start + i]!, from[start + i + 1]!];
    to[at + i] = x * cos - y * sin;
    to[at + i + 1] = x * sin + y * cos;
    to[at + i + 2] = from[start + i + 2]!;
  }
}

interface Setting {
  readonly bottomMm: number;
  readonly heightMm: number;
  readonly grain: Grain;
  readonly arc: number;
}

function addPiece(
  parts: MeshParts,
  piece: LaidPiece,
  levels: readonly Level[],
  { bottomMm, heightMm, grain, arc }: Setting,
): Pick<PieceRange, 'skin' | 'caps'> {
  const chains = chainsOf(outlineAt(piece, 0.5), (p, q) => Math.max(1, Math.round(angleBetween(p, q) / arc)));
  const rows = levels.map(({ blankZ, outer, inner }) =>
    pointsOf(outlineAt(piece, (blankZ - bottomMm) / heightMm), chains, inner, outer),
  );
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
