import type { Made } from '../making/contract.js';
import { placesRound } from '../surface/round.js';

/** A stretch of the turned outside that one place shows on, in turns from the index mark; from ≤ to < from + 1. */
export interface Stretch {
  readonly place: number;
  readonly from: number;
  readonly to: number;
}

/** A ring as painting sees it: what shows of it on the outside at half its height, in order round the piece. */
export interface ShownRing {
  readonly stretches: readonly Stretch[];
  /** Places of the first group: segments, and no spacers. */
  readonly segments: number;
}

const TURN = 2 * Math.PI;

/** What shows of a ring at a radius of its turned outside. `turn` in radians, `z` in mm above the ring's bottom. */
export function shownRing(made: Made, radius: number, turn: number, z = made.heightMm / 2): ShownRing {
  return {
    stretches: placesRound(made, radius, turn, z).map(({ place, from, to }) => ({
      place,
      from: from / TURN,
      to: to / TURN,
    })),
    segments: made.groups[0]!.count,
  };
}

export const middleOf = ({ from, to }: Stretch): number => ((from + to) / 2) % 1;

/** The stretch in a direction (turns); null where there is a gap. A border belongs to the stretch that begins there. */
export function stretchAt({ stretches }: ShownRing, direction: number): Stretch | null {
  const at = (((direction % 1) + 1) % 1) + HAIR;
  return stretches.find(({ from, to }) => (at >= from && at < to) || (at + 1 >= from && at + 1 < to)) ?? null;
}

/** A hair counter-clockwise, in turns: what is computed to lie on a border lies beyond it. */
const HAIR = 1e-7;

/** The stretches of a ring that lie over a part of the way round, each with how much of it they take, in turns. */
export function overlapping(
  { stretches }: ShownRing,
  { from, to }: Pick<Stretch, 'from' | 'to'>,
): { readonly stretch: Stretch; readonly turns: number }[] {
  const n = stretches.length;
  if (n === 0) return [];
  const start = from - Math.floor(from);
  const end = start + (to - from);
  let index = firstBeyond(stretches, start) - 1;
  let lap = 0;
  if (index < 0) [index, lap] = [n - 1, -1];
  const found: { stretch: Stretch; turns: number }[] = [];
  for (let met = 0; met <= n; met++) {
    const stretch = stretches[index]!;
    if (stretch.from + lap >= end) break;
    const turns = Math.min(end, stretch.to + lap) - Math.max(start, stretch.from + lap);
    if (turns > 0) found.push({ stretch, turns });
    if (++index === n) [index, lap] = [0, lap + 1];
  }
  return found;
}

/** Index of the first stretch that begins after a direction; stretches are in order. */
function firstBeyond(stretches: readonly Stretch[], direction: number): number {
  let [low, high] = [0, stretches.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (stretches[middle]!.from <= direction) low = middle + 1;
    else high = middle;
  }
  return low;
}
