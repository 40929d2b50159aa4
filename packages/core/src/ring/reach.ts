import { type Cuts, NO_CUTS, type Region, stretchesRound, WHOLE } from './slant.js';
import type { Course } from './stack.js';

/** Between which heights of the piece something lies within one region, mm. */
export interface Reach {
  readonly region: Region;
  readonly fromMm: number;
  readonly toMm: number;
}

/** Where the rings of a stack and its bands come to lie in the piece. */
export interface Reaches {
  readonly rings: readonly (readonly Reach[])[];
  readonly bands: readonly (readonly Reach[])[];
  /** How far the wall stands over the top of the stack, and under its foot, where cuts run out there (mm). */
  readonly overTopMm: number;
  readonly underFootMm: number;
}

/** A piece that is cut through is looked at in steps of so many mm, low ones in so many steps at least. */
const STEP = 0.5;
const LEAST_STEPS = 200;

/**
 * Where rings and bands lie in a piece of a height whose wall has these radii at a height. Without cuts every ring lies
 * where it stands.
 */
export function reachesOf(
  cuts: Cuts,
  stack: readonly Course[],
  heightMm: number,
  radiiAt: (z: number) => readonly number[],
): Reaches {
  if (cuts === NO_CUTS || cuts.length === 0)
    return {
      rings: stack.map(({ bottomMm, topMm }) =>
        bottomMm < heightMm ? [{ region: WHOLE, fromMm: bottomMm, toMm: Math.min(topMm, heightMm) }] : [],
      ),
      bands: [],
      overTopMm: 0,
      underFootMm: 0,
    };
  const rings = stack.map(() => new Map<number, Reach>());
  const bands = cuts.map(() => new Map<number, Reach>());
  const top = stack.at(-1)?.topMm ?? 0;
  const steps = Math.max(LEAST_STEPS, Math.ceil(heightMm / STEP));
  const step = heightMm / steps;
  let [overTopMm, underFootMm] = [0, 0];
  for (let i = 0; i <= steps; i++) {
    const z = (heightMm * i) / steps;
    for (const radius of radiiAt(z))
      for (const { region } of stretchesRound(cuts, radius, z)) {
        if (region.band !== null) {
          note(bands[region.band]!, region, z);
          continue;
        }
        const was = z - region.shift.z;
        overTopMm = Math.max(overTopMm, was - top);
        underFootMm = Math.max(underFootMm, -was);
        const ring = courseAt(stack, was);
        if (ring) note(rings[ring.index]!, region, z);
      }
  }
  // No reach is told shorter than it is.
  const widened = (reach: Reach, least: number, most: number): Reach => ({
    region: reach.region,
    fromMm: Math.max(least, reach.fromMm - step),
    toMm: Math.min(most, reach.toMm + step),
  });
  return {
    rings: rings.map((reaches, index) => {
      const { bottomMm, topMm } = stack[index]!;
      return [...reaches.values()].map((reach) => {
        const { z } = reach.region.shift;
        return widened(reach, Math.max(0, bottomMm + z), Math.min(heightMm, topMm + z));
      });
    }),
    bands: bands.map((reaches) => [...reaches.values()].map((reach) => widened(reach, 0, heightMm))),
    overTopMm,
    underFootMm,
  };
}

function note(known: Map<number, Reach>, region: Region, z: number): void {
  const reach = known.get(region.above);
  if (!reach) known.set(region.above, { region, fromMm: z, toMm: z });
  else if (z > reach.toMm) known.set(region.above, { ...reach, toMm: z });
}

/** The course that holds a height of the stack; the lower one where two meet. Undefined above and below. */
export function courseAt(stack: readonly Course[], z: number): Course | undefined {
  let [low, high] = [0, stack.length - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (stack[middle]!.topMm >= z) high = middle;
    else low = middle + 1;
  }
  const course = stack[low];
  return course && z >= course.bottomMm && z <= course.topMm ? course : undefined;
}

/** Where a level of the stack is met on the axis of the piece: above every band that it lies above of, mm. */
export const onAxis = (cuts: Cuts, z: number): number =>
  cuts.reduce((height, { normal, atMm, thicknessMm, move }) => {
    const at = atMm / normal.z;
    return height <= at ? height : Math.max(height + move.z, at + thicknessMm / normal.z);
  }, z);
