import type { Vessel } from '../form/vessel.js';
import { levelsOf } from './levels.js';
import { heightsOf, markRow } from './marks.js';
import {
  noSamples,
  rowSampler,
  type SampledCuts,
  type SampledRing,
  type Samples,
  UNCUT,
} from './sampleRow.js';

/** A point of the line that goes round a turned piece: where, how far along the line, and the outward normal there. */
export interface SkinPoint {
  readonly radius: number;
  readonly z: number;
  readonly alongMm: number;
  readonly level: number;
  readonly rise: number;
}

/** The line that, turned about the axis, is all of a turned piece's surface; mm. */
export interface SkinLine {
  /** Stretches without edges, in order. */
  readonly stretches: readonly (readonly SkinPoint[])[];
  readonly lengthMm: number;
  /** How far along the outside begins and ends. */
  readonly outside: readonly [number, number];
}

type Corner = readonly [radius: number, z: number];

/** The line strays from its curves by no more than this, mm. */
const SAGITTA = 0.1;
/** Directions of the line that differ by more make an edge, radians. */
const EDGE = 0.6;
const TINY = 1e-6;
/** So far under the surface is asked what is there: on a floor at a joint, the wood below it (mm). */
const UNDER = 0.02;

/** From the middle of the foot over the outside, the lip and the inside to the middle of the floor, and the hollow of the foot. */
export function skinLine(vessel: Vessel): SkinLine {
  const levels = levelsOf(vessel, 0, vessel.heightMm, SAGITTA);
  const outer = apart(levels.map(({ outer, z }) => [outer, z] as const));
  const inner = apart([...levels].reverse().map(({ inner, z }) => [inner, z] as const));
  const corners = [inner.at(-1)!, ...outer, ...inner];
  const stretches: SkinPoint[][] = [];
  const outside: [number, number] = [0, 0];
  let alongMm = 0;
  let last: { readonly direction: number; readonly stretch: SkinPoint[] } | null = null;
  for (let i = 0; i + 1 < corners.length; i++) {
    if (i === 1) outside[0] = alongMm;
    if (i === outer.length) outside[1] = alongMm;
    const [[r0, z0], [r1, z1]] = [corners[i]!, corners[i + 1]!];
    const long = Math.hypot(r1 - r0, z1 - z0);
    if (long < TINY || (r0 < TINY && r1 < TINY)) {
      if (long >= TINY) last = null;
      continue;
    }
    const [level, rise] = [(z1 - z0) / long, -(r1 - r0) / long];
    const direction = Math.atan2(rise, level);
    const joins = last !== null && Math.cos(direction - last.direction) > Math.cos(EDGE);
    const stretch: SkinPoint[] = joins ? last!.stretch : [];
    if (joins) stretch.push(between(stretch.pop()!, level, rise));
    else {
      stretches.push(stretch);
      stretch.push({ radius: r0, z: z0, alongMm, level, rise });
    }
    alongMm += long;
    stretch.push({ radius: r1, z: z1, alongMm, level, rise });
    last = { direction, stretch };
  }
  return { stretches, lengthMm: alongMm, outside };
}

/** Corners without those that are the same as the one before. */
const apart = (corners: readonly Corner[]): Corner[] =>
  corners.filter(([r, z], i) => i === 0 || Math.hypot(r - corners[i - 1]![0], z - corners[i - 1]![1]) > TINY);

/** A point in which two parts of the line meet: its normal is in the middle of theirs. */
function between(point: SkinPoint, level: number, rise: number): SkinPoint {
  const [x, y] = [point.level + level, point.rise + rise];
  const long = Math.hypot(x, y);
  return { ...point, level: x / long, rise: y / long };
}

/** A point of the line at a distance along it. */
function pointAt({ stretches }: SkinLine, alongMm: number): SkinPoint {
  for (const stretch of stretches) {
    const i = stretch.findIndex((point) => point.alongMm >= alongMm);
    if (i < 1) continue;
    const [from, to] = [stretch[i - 1]!, stretch[i]!];
    const share = (alongMm - from.alongMm) / (to.alongMm - from.alongMm);
    const mix = (key: keyof SkinPoint) => from[key] + share * (to[key] - from[key]);
    return { radius: mix('radius'), z: mix('z'), alongMm, level: mix('level'), rise: mix('rise') };
  }
  return stretches.at(-1)!.at(-1)!;
}

/** All of a turned piece's surface laid flat: rows at equal distances along its line, from the middle of the foot on. */
export interface SampledSkin extends Samples {
  readonly rows: number;
  readonly line: SkinLine;
  /** Radius and height of every row, mm. */
  readonly radius: Float32Array;
  readonly height: Float32Array;
  /** Whether wood is wherever the form is, but for gaps that are meant. */
  readonly whole: boolean;
}

/** A surface has no more rows than this. */
const MOST_ROWS = 3072;
const ROWS_A_STRETCH = 32;

/**
 * Samples the surface of a turned piece, some rows at a time: the last value is all of it. Points are about as far apart along
 * the line as round the widest circle.
 */
export function* skinning(
  vessel: Vessel,
  rings: readonly SampledRing[],
  columns: number,
  through: SampledCuts = UNCUT,
): Generator<number, SampledSkin> {
  const line = skinLine(vessel);
  const widest = Math.max(...line.stretches.flat().map(({ radius }) => radius));
  const rows = Math.max(
    8,
    Math.min(MOST_ROWS, Math.round((columns * line.lengthMm) / (2 * Math.PI * widest))),
  );
  const skin = {
    rows,
    line,
    radius: new Float32Array(rows),
    height: new Float32Array(rows),
    ...noSamples(columns, rows),
  };
  const sampleAt = rowSampler(rings, through, skin);
  const marks = (through.marks ?? []).map((mark) => ({ mark, heights: heightsOf(mark) }));
  for (let row = 0; row < rows; row++) {
    const along = ((row + 0.5) / rows) * line.lengthMm;
    const { radius, z, level, rise } = pointAt(line, along);
    skin.radius[row] = radius;
    skin.height[row] = z;
    sampleAt(row, {
      radius: Math.max(TINY, radius - UNDER * level),
      z: Math.min(vessel.heightMm, Math.max(0, z - UNDER * rise)),
      level: Math.abs(level),
      rise: Math.abs(rise),
    });
    if (along >= line.outside[0] && along <= line.outside[1])
      for (const { mark, heights } of marks)
        if (z >= heights[0] && z <= heights[1]) markRow(skin, row, z, mark);
    if (row % ROWS_A_STRETCH === ROWS_A_STRETCH - 1) yield (row + 1) / rows;
  }
  const open = rings.map(({ made }) => made !== null && !made.closed);
  const whole = skin.ring.every((ring, i) => ring >= 0 && (skin.place[i]! >= 0 || open[ring] === true));
  return { ...skin, whole };
}
