import type { Made } from '../making/contract.js';
import type { Point } from '../ring/plane.js';
import { type Cuts, NO_CUTS, type Region, stretchesRound } from '../ring/slant.js';
import type { Arc } from './arcs.js';
import { endGrain, grainOf } from './grain.js';
import type { WallMark } from './marks.js';
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

export const UNCUT: SampledCuts = { cuts: NO_CUTS, bands: [] };

/** What shows at points of a turned surface: rows of columns, counter-clockwise from the index mark, each asked for its middle. */
export interface Samples {
  readonly columns: number;
  /** Ring of every point, −1 where there is none. */
  readonly ring: Int16Array;
  /** Place of every point in its ring, −1 where there is no wood. */
  readonly place: Int16Array;
  /** How much end grain shows at every point, 0 to 255. */
  readonly end: Uint8Array;
}

/** A level circle on a turned surface, mm: the outward normal has a level part and an upward part. */
export interface Circle {
  readonly z: number;
  readonly radius: number;
  readonly level: number;
  readonly rise: number;
}

/** Nothing yet. */
export const noSamples = (columns: number, rows: number): Samples => ({
  columns,
  ring: new Int16Array(columns * rows).fill(-1),
  place: new Int16Array(columns * rows).fill(-1),
  end: new Uint8Array(columns * rows),
});

/** Samples rows of a surface, each from `which place is at a point`. */
export function rowSampler(
  rings: readonly SampledRing[],
  { cuts, bands }: SampledCuts,
  samples: Samples,
  arc: Arc = ROUND,
): (row: number, circle: Circle) => void {
  const { columns } = samples;
  const asked = columnsOf(arc, columns);
  const directions = circleOf(columns);
  const index = new Map<number, number>();
  return (row, circle) => {
    for (const { from, to, region } of stretchesRound(cuts, circle.radius, circle.z)) {
      const here = standingAt(rings, bands, region, circle.z, index);
      if (!here?.ring.made) continue;
      const { made, turn, bottomMm } = here.ring;
      const z = circle.z - region.shift.z - bottomMm;
      const level = { ...circle, made, turn, z, aside: region.shift };
      for (const [begin, last] of asked) {
        const [first, end] = [
          Math.max(begin, columnAt(from, columns)),
          Math.min(last, columnAt(to, columns)),
        ];
        if (first >= end) continue;
        samples.ring.fill(here.index, row * columns + first, row * columns + end);
        sampleRow(samples, row * columns, [first, end], level, directions);
      }
    }
  };
}

const ROUND: Arc = { from: 0, to: 2 * Math.PI };

/** The columns that an arc reaches into, first and end; two stretches where it goes over the index mark. */
function columnsOf({ from, to }: Arc, columns: number): readonly (readonly [number, number])[] {
  const share = columns / (2 * Math.PI);
  const [first, end] = [Math.floor(from * share), Math.ceil(to * share)];
  if (end - first >= columns) return [[0, columns]];
  const lap = columns * Math.floor(first / columns);
  const [begin, last] = [first - lap, end - lap];
  return last <= columns
    ? [[begin, last]]
    : [
        [0, last - columns],
        [begin, columns],
      ];
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
  while (index + 1 < rings.length && rings[index + 1]!.bottomMm <= was) index++;
  while (index > 0 && rings[index]!.bottomMm > was) index--;
  last.set(above, index);
  const ring = rings[index];
  return ring && was >= ring.bottomMm && was <= ring.topMm ? { ring, index } : null;
}

interface Level extends Circle {
  readonly made: Made;
  readonly turn: number;
  /** How far cuts have moved the ring aside. */
  readonly aside: Point;
}

function sampleRow(
  { columns, place, end }: Samples,
  row: number,
  [first, last]: readonly [number, number],
  { made, turn, z, radius, level, rise, aside }: Level,
  directions: Float64Array,
): void {
  const grain = grainOf(made);
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
function circleOf(columns: number): Float64Array {
  const directions = new Float64Array(2 * columns);
  for (let column = 0; column < columns; column++) {
    const angle = ((column + 0.5) / columns) * 2 * Math.PI;
    directions[2 * column] = Math.cos(angle);
    directions[2 * column + 1] = Math.sin(angle);
  }
  return directions;
}
