import type { Shop } from '../../settings/shop.js';
import { wholeBound } from './bound.js';
import type { Demand } from './demand.js';
import { atOnce, greedy } from './greedy.js';
import { laidOut } from './layingOut.js';
import { missingCost, missingIn, type Problem } from './problem.js';
import type { Solver } from './program.js';

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
const quickly = (problem: Problem): boolean =>
  missingIn(greedy(problem)) === 0 || missingIn(atOnce(problem)) === 0;

/** Whether the bound on whole boards leaves room for all: where it does not, nothing has to be looked for. */
function mayGive(problem: Problem, solver: Solver): boolean {
  const bound = wholeBound(problem, { prices: [], impossible: [] }, solver);
  return !bound || bound.cost < missingCost(problem) * (1 - 1e-6);
}

/**
 * How many of a piece the boards on hand give, at most 50: the most for which there is room in every wood. The layouts at once say how
 * many there are for certain; whether there is one more is asked of the solver, again and again. `demands` are without anything
 * bought.
 */
export function howMany(demands: readonly Demand[], solver: Solver, shop: Shop): number {
  if (demands.some(({ reasons }) => reasons.some(({ code }) => code === 'fits-nowhere'))) return 0;
  const every = (count: number, gives: (demand: Demand) => boolean) =>
    demands.every((demand) => gives({ ...demand, problem: times(demand.problem, count) }));
  let [low, high] = [0, MOST + 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (every(middle, ({ problem }) => quickly(problem))) low = middle;
    else high = middle;
  }
  const solved = (demand: Demand) =>
    quickly(demand.problem) ||
    (mayGive(demand.problem, solver) && missingIn(laidOut(demand, solver, shop).answer) === 0);
  while (low < MOST && every(low + 1, solved)) low++;
  return low;
}
