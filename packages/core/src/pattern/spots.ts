import type { Made } from '../making/contract.js';
import { centreOf } from '../making/layOut.js';
import { pitchOf, placesOf, type RingMaking, segmentsOf } from '../making/registry.js';
import { NOWHERE, wrapped } from '../ring/plane.js';

const TURN = 2 * Math.PI;

/**
 * Where the middle of each segment of a ring lies round the piece, in turns from the index mark, 0 ≤ middle < 1. Segments
 * are the places of the ring's first group; those of a ring that cannot be made are taken as evenly spread.
 */
export function middlesOf(making: RingMaking, made: Made | null, turn: number): number[] {
  const rest = made ? atRest(made) : even(making);
  return rest.map((middle) => wrapped((middle + turn / TURN) * TURN) / TURN);
}

const kept = new WeakMap<Made, readonly number[]>();

/** Middles at turn 0, worked out for one repeat of the ring. */
function atRest(made: Made): readonly number[] {
  const known = kept.get(made);
  if (known) return known;
  const count = made.groups[0]!.count;
  const laps = count % made.repeats === 0 ? made.repeats : 1;
  const period = count / laps;
  const first = Array.from({ length: period }, (_, place) => {
    const { x, y } = centreOf(made.lay(place)) ?? NOWHERE;
    return Math.hypot(x, y) < 1e-9 ? 0 : Math.atan2(y, x) / TURN;
  });
  const middles = Array.from(
    { length: count },
    (_, place) => first[place % period]! + Math.floor(place / period) / laps,
  );
  kept.set(made, middles);
  return middles;
}

function even(making: RingMaking): number[] {
  const count = segmentsOf(making) ?? placesOf(making);
  const pitch = segmentsOf(making) === null ? 1 / count : pitchOf(making) / TURN;
  return Array.from({ length: count }, (_, i) => (i + 0.5) * pitch);
}
