import type { Vessel } from '../form/vessel.js';
import type { LaidPiece, Made } from '../making/contract.js';
import { movedSolid } from '../ring/convex.js';
import type { Point } from '../ring/plane.js';
import { plus } from '../ring/space.js';
import { grainOf } from './grain.js';
import { type Level, levelsOf } from './levels.js';
import { MeshParts } from './meshParts.js';
import { addPiece, type Setting } from './meshPiece.js';
import { addPanel } from './panelMesh.js';
import { movedPiece } from './round.js';
import { sectored } from './sectors.js';

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
 * A piece's share of a ring's mesh, or that of one of its parts: its place, first vertex and first triangle, and how many of each. Its triangles come
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

const ON_AXIS: Point = { x: 0, y: 0 };

/**
 * The mesh of one ring that stands in the piece from a height on; `turn` in radians. Worked out for one repeat of the
 * ring and turned for the others; a ring that has been moved `aside` (mm) has no repeats, since turning is about the axis.
 */
export function ringMesh(
  made: Made,
  turn: number,
  bottomMm: number,
  vessel: Vessel,
  { arc, sagittaMm }: MeshFineness = FINE_MESH,
  aside: Point = ON_AXIS,
): RingMesh {
  const centred = aside.x === 0 && aside.y === 0;
  const known = new Map<string, Level[]>();
  const levelsIn = ({ fromMm, toMm }: LaidPiece): Level[] => {
    const key = `${fromMm} ${toMm}`;
    const levels = known.get(key) ?? levelsOf(vessel, bottomMm + fromMm, bottomMm + toMm, sagittaMm);
    known.set(key, levels);
    return levels;
  };
  const setting: Setting = { bottomMm, grain: grainOf(made), arc };
  const placed = (part: LaidPiece) => (centred ? part : movedPiece(part, turn, aside));
  const radial = made.radial && centred;
  const { panel, ball } = made;
  const foot = { ...aside, z: bottomMm };
  const shell = { vessel, centre: plus(foot, { ...ON_AXIS, z: ball ?? 0 }), grain: setting.grain, arc };
  const parts = new MeshParts();
  const pieces: { readonly of: PieceRange; readonly place: number; readonly by: number }[] = [];
  const range = (place: number, add: () => Pick<PieceRange, 'skin' | 'caps'>): PieceRange => {
    const [vertex, triangle] = [parts.vertices, parts.triangles];
    const sorts = add();
    const [vertices, triangles] = [parts.vertices - vertex, parts.triangles - triangle];
    return { ...sorts, place, vertex, vertices, triangle, triangles };
  };
  let first = 0;
  for (const { count } of made.groups) {
    const laps = centred && count % made.repeats === 0 ? made.repeats : 1;
    const period = count / laps;
    const once = Array.from({ length: period }, (_, i) =>
      panel
        ? [
            range(first + i, () =>
              addPanel(parts, movedSolid(panel(first + i), centred ? 0 : turn, foot), shell),
            ),
          ]
        : made
            .lay(first + i)
            .flatMap((part) => sectored({ radial, gives: made.gives }, placed(part), levelsIn(part)))
            .map((part) => range(part.place, () => addPiece(parts, part, levelsIn(part), setting))),
    );
    for (let i = 0; i < count; i++) {
      const by = centred ? turn + (2 * Math.PI * Math.floor(i / period)) / laps : 0;
      for (const of of once[i % period]!) pieces.push({ of, place: first + i, by });
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
