import { radiusAt } from '../form/curve.js';
import type { Vessel } from '../form/vessel.js';
import { insideAt } from '../form/vessel.js';
import type { Made } from '../making/contract.js';
import type { Point } from '../ring/plane.js';
import { type Cuts, NO_CUTS, type Region, stretchesRound } from '../ring/slant.js';
import { endGrain, grainOf } from './grain.js';
import { heightsOf, markRow, type WallMark } from './marks.js';
import { besideJoint } from './meets.js';

/** A ring as it stands in the piece; `made` null where it cannot be made. */
export interface SampledRing {
  readonly made: Made | null;
  readonly turn: number;
  readonly bottomMm: number;
  readonly topMm: number;
}

/** Slanted cuts through the stack and the bands in them, which count on behind the rings. */
export interface SampledCuts {
  readonly cuts: Cuts;
  readonly bands: readonly SampledRing[];
  /** What is let into the outside, over all of them; left out where there is nothing. */
  readonly marks?: readonly WallMark[];
}

const UNCUT: SampledCuts = { cuts: NO_CUTS, bands: [] };

/** How finely a wall is sampled. */
export interface Fineness {
  readonly columns: number;
  readonly rows: number;
}

export type Side = 'outside' | 'inside';

/**
 * Which place shows at each point of a turned wall: rows from the top down at equal heights between `toMm` and `fromMm`,
 * columns counter-clockwise from the index mark, each asked for its middle.
 */
export interface SampledWall extends Fineness {
  readonly side: Side;
  readonly fromMm: number;
  readonly toMm: number;
  /** Ring of every point, −1 where there is none. */
  readonly ring: Int16Array;
  /** Radius of every row, mm. */
  readonly radius: Float32Array;
  /** Place of every point in its ring, −1 where there is no wood. */
  readonly place: Int16Array;
  /** How much end grain shows at every point, 0 to 255. */
  readonly end: Uint8Array;
}

/** Rows that are sampled before a worker may look whether it is still asked for. */
export const ROWS_A_STRETCH = 32;

/**
 * Samples a wall row by row from `which place is at a point`, some rows at a time: the last value is the wall. Between
 * stretches the caller may stop.
 */
export function* sampling(
  vessel: Vessel,
  rings: readonly SampledRing[],
  side: Side,
  { columns, rows }: Fineness,
  { cuts, bands, marks = [] }: SampledCuts = UNCUT,
): Generator<number, SampledWall> {
  const [fromMm, toMm] = side === 'outside' ? [0, vessel.heightMm] : [vessel.hollowFromMm, vessel.hollowToMm];
  const wall: SampledWall = {
    side,
    columns,
    rows,
    fromMm,
    toMm,
    ring: new Int16Array(columns * rows).fill(-1),
    radius: new Float32Array(rows),
    place: new Int16Array(columns * rows).fill(-1),
    end: new Uint8Array(columns * rows),
  };
  if (side === 'inside' && !vessel.inside) return wall;
  const step = (toMm - fromMm) / rows;
  const radiusOf = (z: number) =>
    side === 'outside' ? radiusAt(vessel.outside, z) : (insideAt(vessel, z) ?? 0);
  const directions = circle(columns);
  const index = new Map<number, number>();
  const letIn = side === 'outside' ? marks.map((mark) => ({ mark, heights: heightsOf(mark) })) : [];
  for (let row = 0; row < rows; row++) {
    const z = toMm - (row + 0.5) * step;
    const radius = radiusOf(z);
    wall.radius[row] = radius;
    const slope = (radiusOf(Math.min(toMm, z + step / 2)) - radiusOf(Math.max(fromMm, z - step / 2))) / step;
    for (const { from, to, region } of stretchesRound(cuts, radius, z)) {
      const [first, end] = [columnAt(from, columns), columnAt(to, columns)];
      const here = standingAt(rings, bands, region, z, index);
      if (!here?.ring.made || first >= end) continue;
      wall.ring.fill(here.index, row * columns + first, row * columns + end);
      const { made, turn, bottomMm } = here.ring;
      const level = { made, turn, z: z - region.shift.z - bottomMm, radius, slope, aside: region.shift };
      sampleRow(wall, row * columns, [first, end], level, directions);
    }
    for (const { mark, heights } of letIn)
      if (z >= heights[0] && z <= heights[1]) markRow(wall, row, z, mark);
    if (row % ROWS_A_STRETCH === ROWS_A_STRETCH - 1) yield (row + 1) / rows;
  }
  return wall;
}

/** The first column whose middle lies at a direction or beyond it. */
const columnAt = (angle: number, columns: number) =>
  Math.min(columns, Math.max(0, Math.ceil((angle / (2 * Math.PI)) * columns - 0.5)));

/** The ring, or the band, that a region has at a height; `last` is where the rings of a region were found before. */
function standingAt(
  rings: readonly SampledRing[],
  bands: readonly SampledRing[],
  { band, above, shift }: Region,
  z: number,
  last: Map<number, number>,
): { readonly ring: SampledRing; readonly index: number } | null {
  if (band !== null) return { ring: bands[band]!, index: rings.length + band };
  const was = z - shift.z;
  let index = last.get(above) ?? rings.length - 1;
  while (index > 0 && rings[index]!.bottomMm > was) index--;
  last.set(above, index);
  const ring = rings[index];
  return ring && was >= ring.bottomMm && was <= ring.topMm ? { ring, index } : null;
}

/** The whole wall at once. */
export function sampleWall(
  vessel: Vessel,
  rings: readonly SampledRing[],
  side: Side,
  fineness: Fineness,
  through: SampledCuts = UNCUT,
): SampledWall {
  const steps = sampling(vessel, rings, side, fineness, through);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

interface Level {
  readonly made: Made;
  readonly turn: number;
  readonly z: number;
  readonly radius: number;
  /** Change of the radius with the height. */
  readonly slope: number;
  /** How far cuts have moved the ring aside. */
  readonly aside: Point;
}

function sampleRow(
  { columns, place, end }: SampledWall,
  row: number,
  [first, last]: readonly [number, number],
  { made, turn, z, radius, slope, aside }: Level,
  directions: Float64Array,
): void {
  const grain = grainOf(made);
  const level = 1 / Math.hypot(1, slope);
  const rise = slope * level;
  const [ct, st] = [Math.cos(turn), -Math.sin(turn)];
  const [cos, sin] = [radius * ct, radius * st];
  const [ax, ay] = [aside.x * ct - aside.y * st, aside.x * st + aside.y * ct];
  const height = Math.min(made.heightMm, Math.max(0, z));
  for (let column = first; column < last; column++) {
    const [x, y] = [directions[2 * column]!, directions[2 * column + 1]!];
    const [px, py] = [x * cos - y * sin - ax, x * sin + y * cos - ay];
    // Asked for every point: as `meets`, without a call between.
    const met = made.placeAt(px, py, height) ?? besideJoint(made, px, py, height);
    if (met === null) continue;
    place[row + column] = met;
    const angle = ((column + 0.5) / columns) * 2 * Math.PI - turn;
    end[row + column] = Math.round(255 * endGrain(grain, met, angle, level, rise));
  }
}

/** Cosine and sine of the middle of each column. */
function circle(columns: number): Float64Array {
  const directions = new Float64Array(2 * columns);
  for (let column = 0; column < columns; column++) {
    const angle = ((column + 0.5) / columns) * 2 * Math.PI;
    directions[2 * column] = Math.cos(angle);
    directions[2 * column + 1] = Math.sin(angle);
  }
  return directions;
}
