import type { Demand } from './demand.js';
import { greedy } from './greedy.js';
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

/**
 * How many of a piece the boards on hand give for certain: the most for which the quick layout finds room in every wood, at
 * most 50. `demands` are without anything bought.
 */
export function howMany(demands: readonly Demand[]): number {
  const fits = (count: number) =>
    demands.every(
      ({ problem, reasons }) =>
        reasons.every(({ code }) => code !== 'fits-nowhere') &&
        missingIn(greedy(times(problem, count))) === 0,
    );
  let [low, high] = [0, MOST + 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (fits(middle)) low = middle;
    else high = middle;
  }
  return low;
}
