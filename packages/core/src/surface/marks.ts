/** A corner of an outline on a wall: direction from the index mark (radians), height of the piece (mm). */
interface Corner {
  readonly angle: number;
  readonly z: number;
}

/** Where a copy of an outline stands round the piece: the direction of its middle, radians; whether it is seen in a mirror. */
export interface Copy {
  readonly toward: number;
  readonly mirrored: boolean;
}

/**
 * What shows on a wall within an outline (even-odd), over the rings: its number behind rings and bands, and its place. The corners'
 * directions count from the middle of each copy.
 */
export interface WallMark {
  readonly ring: number;
  readonly place: number;
  readonly loops: readonly (readonly Corner[])[];
  readonly copies: readonly Copy[];
}

/** Loops of a copy by directions from the index mark. */
export const copyLoops = (loops: WallMark['loops'], { toward, mirrored }: Copy): Corner[][] =>
  loops.map((loop) => loop.map(({ angle, z }) => ({ angle: toward + (mirrored ? 0 - angle : angle), z })));

interface Marked {
  readonly columns: number;
  readonly ring: Int16Array;
  readonly place: Int16Array;
  readonly end: Uint8Array;
}

/** Heights between which a mark lies. */
export const heightsOf = ({ loops }: Pick<WallMark, 'loops'>): readonly [number, number] => {
  let [low, high] = [Infinity, -Infinity];
  for (const loop of loops)
    for (const { z } of loop) {
      low = Math.min(low, z);
      high = Math.max(high, z);
    }
  return [low, high];
};

/** Directions in which the edges of an outline are met at a height, in order: within it between the first two, the next two, ... */
export function edgesAt({ loops }: Pick<WallMark, 'loops'>, z: number): number[] {
  const met: number[] = [];
  for (const loop of loops)
    for (let i = 0; i < loop.length; i++) {
      const [p, q] = [loop[i]!, loop[(i + 1) % loop.length]!];
      if (p.z <= z !== q.z <= z) met.push(p.angle + ((z - p.z) / (q.z - p.z)) * (q.angle - p.angle));
    }
  return met.sort((a, b) => a - b);
}

/** Fills the points of one row of a sampled wall that lie in a mark, each asked for its middle. */
export function markRow(wall: Marked, row: number, z: number, mark: WallMark): void {
  const { columns } = wall;
  const columnOf = (angle: number) => Math.ceil((angle / (2 * Math.PI)) * columns - 0.5);
  const edges = edgesAt(mark, z);
  for (const { toward, mirrored } of mark.copies)
    for (let i = 0; i + 1 < edges.length; i += 2) {
      const [from, to] = mirrored
        ? [toward - edges[i + 1]!, toward - edges[i]!]
        : [toward + edges[i]!, toward + edges[i + 1]!];
      const first = columnOf(from);
      const end = Math.min(columnOf(to), first + columns);
      for (let column = first; column < end; column++) {
        const at = row * columns + (((column % columns) + columns) % columns);
        wall.ring[at] = mark.ring;
        wall.place[at] = mark.place;
        wall.end[at] = 0;
      }
    }
}
