import { radiusAt } from '../form/curve.js';
import type { Vessel } from '../form/vessel.js';
import { insideAt } from '../form/vessel.js';
import type { Arc } from './arcs.js';
import { heightsOf, markRow } from './marks.js';
import {
  noSamples,
  rowSampler,
  type SampledCuts,
  type SampledRing,
  type Samples,
  UNCUT,
} from './sampleRow.js';

/** How finely a wall is sampled. */
export interface Fineness {
  readonly columns: number;
  readonly rows: number;
  /** Where not all round is asked for: columns elsewhere stay empty. */
  readonly arc?: Arc;
}

export type Side = 'outside' | 'inside';

/**
 * Which place shows at each point of a turned wall: rows from the top down at equal heights between `toMm` and `fromMm`,
 * columns counter-clockwise from the index mark, each asked for its middle.
 */
export interface SampledWall extends Fineness, Samples {
  readonly side: Side;
  readonly fromMm: number;
  readonly toMm: number;
  /** Radius of every row, mm. */
  readonly radius: Float32Array;
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
  { columns, rows, arc }: Fineness,
  through: SampledCuts = UNCUT,
): Generator<number, SampledWall> {
  const [fromMm, toMm] = side === 'outside' ? [0, vessel.heightMm] : [vessel.hollowFromMm, vessel.hollowToMm];
  const wall: SampledWall = {
    side,
    rows,
    fromMm,
    toMm,
    radius: new Float32Array(rows),
    ...noSamples(columns, rows),
  };
  if (side === 'inside' && !vessel.inside) return wall;
  const step = (toMm - fromMm) / rows;
  const radiusOf = (z: number) =>
    side === 'outside' ? radiusAt(vessel.outside, z) : (insideAt(vessel, z) ?? 0);
  const sampleAt = rowSampler(rings, through, wall, arc);
  const letIn =
    side === 'outside' ? (through.marks ?? []).map((mark) => ({ mark, heights: heightsOf(mark) })) : [];
  for (let row = 0; row < rows; row++) {
    const z = toMm - (row + 0.5) * step;
    const radius = radiusOf(z);
    wall.radius[row] = radius;
    const slope = (radiusOf(Math.min(toMm, z + step / 2)) - radiusOf(Math.max(fromMm, z - step / 2))) / step;
    const level = 1 / Math.hypot(1, slope);
    sampleAt(row, { z, radius, level, rise: slope * level });
    for (const { mark, heights } of letIn)
      if (z >= heights[0] && z <= heights[1]) markRow(wall, row, z, mark);
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
  through: SampledCuts = UNCUT,
): SampledWall {
  const steps = sampling(vessel, rings, side, fineness, through);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
