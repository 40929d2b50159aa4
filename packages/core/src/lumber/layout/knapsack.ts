import { remembered } from '../../measure/memo.js';
import type { RipKind, Run } from './problem.js';

/** The best that fits, what it is worth, and more than which nothing can be worth. */
export interface Packed {
  readonly counts: readonly number[];
  readonly value: number;
  readonly most: number;
}

/** Choices looked at before the best so far is taken, with what could still be better as its bound. */
const MOST_NODES = 20_000;

/**
 * Pieces of a kind along a strip, each worth something, no more of any than `limits`: branch and bound, most worth for its
 * length first (Martello and Toth, Knapsack Problems, 1990, chapter 3).
 */
export function bestRun(
  { pieces, overhead }: RipKind,
  stripLength: number,
  values: readonly number[],
  limits: readonly number[],
): Packed {
  const room = stripLength - overhead;
  const order = pieces
    .map(({ length }, i) => ({ i, length, value: values[i]!, limit: limits[i]! }))
    .filter(({ value, limit, length }) => value > 0 && limit > 0 && length <= room)
    .sort((a, b) => b.value / b.length - a.value / a.length);
  const counts = pieces.map(() => 0);
  let best = { counts: counts.slice(), value: 0 };
  let nodes = 0;
  let most = 0;
  const relaxed = (at: number, left: number): number => {
    let [sum, rest] = [0, left];
    for (let k = at; k < order.length && rest > 0; k++) {
      const { length, value, limit } = order[k]!;
      const count = Math.min(limit, rest / length);
      sum += count * value;
      rest -= count * length;
    }
    return sum;
  };
  const go = (at: number, left: number, value: number): void => {
    if (value > best.value) best = { counts: counts.slice(), value };
    const item = order[at];
    if (!item) return;
    const bound = value + relaxed(at, left);
    if (bound <= best.value * (1 + 1e-12)) return;
    if (++nodes > MOST_NODES) {
      most = Math.max(most, bound);
      return;
    }
    for (let count = Math.min(item.limit, Math.floor(left / item.length)); count >= 0; count--) {
      counts[item.i] = count;
      go(at + 1, left - count * item.length, value + count * item.value);
    }
    counts[item.i] = 0;
  };
  if (room > 0) go(0, room, 0);
  return { ...best, most: Math.max(most, best.value) };
}

/** Pieces of a kind from the longest to the shortest. */
const longestFirst = remembered(({ pieces }: RipKind): readonly number[] =>
  pieces.map((_, i) => i).sort((a, b) => pieces[b]!.length - pieces[a]!.length),
);

/** Pieces that fill a strip, the longest first, no more than `limits`. */
export function fullRun(kind: RipKind, stripLength: number, limits: readonly number[]): Run {
  const { pieces, overhead } = kind;
  let room = stripLength - overhead;
  const counts = pieces.map(() => 0);
  for (const i of longestFirst(kind)) {
    const { length } = pieces[i]!;
    counts[i] = Math.max(0, Math.min(limits[i]!, Math.floor(room / length)));
    room -= counts[i]! * length;
  }
  return counts;
}
