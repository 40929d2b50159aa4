import type { GrainWay, Made } from '../making/contract.js';
import { centreOf } from '../making/layOut.js';
import { NOWHERE } from '../ring/plane.js';

/** How the grain lies at every place of a ring, and towards where the place lies (radians, turn 0). */
export interface Grain {
  readonly way: readonly GrainWay[];
  readonly toward: Float64Array;
}

const kept = new WeakMap<Made, Grain>();

/** Grain of all places of a ring. */
export function grainOf(made: Made): Grain {
  const known = kept.get(made);
  if (known) return known;
  const way: GrainWay[] = [];
  for (const kind of made.kinds) for (const place of kind.places) way[place] = kind.grain;
  const grain = { way, toward: directionsOf(made, way.length) };
  kept.set(made, grain);
  return grain;
}

/** Where every place lies, worked out for one repeat of the ring and turned on for the others. */
function directionsOf(made: Made, places: number): Float64Array {
  const toward = new Float64Array(places);
  let first = 0;
  for (const { count } of made.groups) {
    const laps = count % made.repeats === 0 ? made.repeats : 1;
    const period = count / laps;
    for (let i = 0; i < period; i++) {
      const { x, y } = centreOf(made.lay(first + i)) ?? NOWHERE;
      const angle = Math.atan2(y, x);
      for (let lap = 0; lap < laps; lap++)
        toward[first + i + lap * period] = angle + (lap * 2 * Math.PI) / laps;
    }
    first += count;
  }
  return toward;
}

/**
 * How much end grain a surface shows, 0 (long grain) to 1 (end grain): the cosine between the grain and the surface's
 * outward normal, whose level part is `level` long and points in direction `angle` (radians, turn 0); `rise` is its upward part.
 */
export function endGrain(
  { way, toward }: Grain,
  place: number,
  angle: number,
  level: number,
  rise: number,
): number {
  switch (way[place]) {
    case 'upright':
      return Math.abs(rise);
    case 'across':
      return Math.abs(Math.cos(angle) * level);
    case 'outwards':
      return Math.abs(Math.cos(angle - toward[place]!) * level);
    default:
      return Math.abs(Math.sin(angle - toward[place]!) * level);
  }
}
