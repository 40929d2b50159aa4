import { radiusAt } from '../form/curve.js';
import type { Vessel } from '../form/vessel.js';
import { insideAt } from '../form/vessel.js';
import type { Made } from '../making/contract.js';
import { endGrain, grainOf } from './grain.js';

/** A ring as it stands in the piece; `made` null where it cannot be made. */
export interface SampledRing {
  readonly made: Made | null;
  readonly turn: number;
  readonly bottomMm: number;
  readonly topMm: number;
}

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
  /** Ring of every row, −1 where there is none. */
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
): Generator<number, SampledWall> {
  const [fromMm, toMm] = side === 'outside' ? [0, vessel.heightMm] : [vessel.hollowFromMm, vessel.hollowToMm];
  const wall: SampledWall = {
    side,
    columns,
    rows,
    fromMm,
    toMm,
    ring: new Int16Array(rows).fill(-1),
    radius: new Float32Array(rows),
    place: new Int16Array(columns * rows).fill(-1),
    end: new Uint8Array(columns * rows),
  };
  if (side === 'inside' && !vessel.inside) return wall;
  const step = (toMm - fromMm) / rows;
  const radiusOf = (z: number) =>
    side === 'outside' ? radiusAt(vessel.outside, z) : (insideAt(vessel, z) ?? 0);
  const directions = circle(columns);
  let index = rings.length - 1;
  for (let row = 0; row < rows; row++) {
    const z = toMm - (row + 0.5) * step;
    while (index > 0 && rings[index]!.bottomMm > z) index--;
    const radius = radiusOf(z);
    wall.radius[row] = radius;
    const ring = rings[index]!;
    if (z <= ring.topMm && ring.made) {
      wall.ring[row] = index;
      const slope =
        (radiusOf(Math.min(toMm, z + step / 2)) - radiusOf(Math.max(fromMm, z - step / 2))) / step;
      sampleRow(
        wall,
        row,
        { made: ring.made, turn: ring.turn, z: z - ring.bottomMm, radius, slope },
        directions,
      );
    }
    if (row % ROWS_A_STRETCH === ROWS_A_STRETCH - 1) yield (row + 1) / rows;
  }
  return wall;
}

/** The whole wall at once. */
export function sampleWall(
  vessel: Vessel,
  rings: readonly SampledRing[],
  side: Side,
  fineness: Fineness,
): SampledWall {
  const steps = sampling(vessel, rings, side, fineness);
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
}

/** A hair counter-clockwise, radians. */
const BESIDE = 1e-7;

function sampleRow(
  { columns, place, end }: SampledWall,
  row: number,
  { made, turn, z, radius, slope }: Level,
  directions: Float64Array,
): void {
  const grain = grainOf(made);
  const level = 1 / Math.hypot(1, slope);
  const rise = slope * level;
  const [cos, sin] = [radius * Math.cos(turn), -radius * Math.sin(turn)];
  const height = Math.min(made.heightMm, Math.max(0, z));
  const first = row * columns;
  for (let column = 0; column < columns; column++) {
    const [x, y] = [directions[2 * column]!, directions[2 * column + 1]!];
    const [px, py] = [x * cos - y * sin, x * sin + y * cos];
    let met = made.placeAt(px, py, height);
    // The very line of a joint belongs to neither side: a closed ring is asked beside it.
    if (met === null && made.closed) met = made.placeAt(px - BESIDE * py, py + BESIDE * px, height);
    if (met === null) continue;
    place[first + column] = met;
    const angle = ((column + 0.5) / columns) * 2 * Math.PI - turn;
    end[first + column] = Math.round(255 * endGrain(grain, met, angle, level, rise));
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
