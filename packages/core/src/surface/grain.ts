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
  const toward = Float64Array.from(way, (_, place) => {
    const { x, y } = centreOf(made.lay(place)) ?? NOWHERE;
    return Math.atan2(y, x);
  });
  const grain = { way, toward };
  kept.set(made, grain);
  return grain;
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
