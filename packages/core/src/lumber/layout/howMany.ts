import type { Demand } from './demand.js';
import { atOnce, greedy } from './greedy.js';
import { missingIn, type Problem } from './problem.js';

/** More of a piece than this are not looked for. */
const MOST = 50;

const times = ({ kinds, stocks }: Problem, by: number): Problem => ({
  stocks: stocks.filter(({ copies }) => Number.isFinite(copies)),
  kinds: kinds.map((kind) => ({
    ...kind,
    pieces: kind.pieces.map(({ length, count }) => ({ length, count: by * count })),
  })),
});

/** Whether boards give it all: one greedy answer says so for most, and where it does not the best of several is asked. */
const gives = (problem: Problem): boolean =>
  missingIn(greedy(problem)) === 0 || missingIn(atOnce(problem)) === 0;

/**
 * How many of a piece the boards on hand give for certain: the most for which the layout at once finds room in every wood, at
 * most 50. `demands` are without anything bought.
 */
export function howMany(demands: readonly Demand[]): number {
  const fits = (count: number) =>
    demands.every(
      ({ problem, reasons }) =>
        reasons.every(({ code }) => code !== 'fits-nowhere') && gives(times(problem, count)),
    );
  let [low, high] = [0, MOST + 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (fits(middle)) low = middle;
    else high = middle;
  }
  return low;
}
