import type { Shop } from '../../settings/shop.js';
import { NOTHING_KNOWN, partBound, wholeBound } from './bound.js';
import type { Demand } from './demand.js';
import { atOnce, greedy } from './greedy.js';
import { layingOut } from './layingOut.js';
import { groupsOf, missingCost, missingIn, type Problem } from './problem.js';
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

/** A bound is not looked for any nearer once it is this share of what is found: all that is asked is whether it is nothing. */
const WIDE = 0.99;

/** Whether what is missing at least comes to no more than rounding. */
const room = (problem: Problem, missing: number | null): boolean =>
  missing === null || missing < 1e-3 * missingCost(problem);

/** Where boards cost nothing a bound tells what is missing at least. */
const free = ({ kinds, stocks }: Problem): Problem => ({
  kinds,
  stocks: stocks.map((stock) => ({ ...stock, cost: 0 })),
});

/** Whether parts of boards may give it all: said soon, and for most that are too many. */
const partsMayGive = (problem: Problem, solver: Solver): boolean =>
  room(problem, partBound(free(problem), solver));

/** Whether whole boards may give it all. */
const boardsMayGive = (problem: Problem, solver: Solver): boolean =>
  room(problem, wholeBound(free(problem), NOTHING_KNOWN, solver, WIDE)?.cost ?? null);

/**
 * Whether a layout gives it all: looked for until there is one, or all boards together cost less than the bound. While parts of boards
 * are still given other lengths the bound is not one for those.
 */
function found(demand: Demand, solver: Solver, shop: Shop): boolean {
  const { stocks } = demand.problem;
  const all = groupsOf(demand.problem).reduce(
    (sum, { stocks: own, copies }) => sum + copies * Math.max(...own.map((s) => stocks[s]!.cost)),
    0,
  );
  const steps = layingOut(demand, solver, shop);
  for (;;) {
    const { value, done } = steps.next();
    if (missingIn(value.answer) === 0) return true;
    if (done || (value.stage === 'whole boards' && value.bound > all * (1 + 1e-6))) return false;
  }
}

/** The most that a question holds for, at most so many, where it holds for all that are fewer: in steps that double, then halve. */
function mostFor(most: number, holds: (count: number) => boolean): number {
  let [low, high, step] = [0, most + 1, 1];
  while (high - low > 1) {
    const next = Math.min(low + step, (low + high) >> 1);
    if (holds(next)) [low, step] = [next, 2 * step];
    else high = next;
  }
  return low;
}

/**
 * How many of a piece the boards on hand give, at most 50: the most for which there is room in every wood. The layouts at once say how
 * many there are for certain, bounds on parts of boards how many there may be; between them, whether there is one more is asked of the
 * solver, again and again. `demands` are without anything bought.
 */
export function howMany(demands: readonly Demand[], solver: Solver, shop: Shop): number {
  if (demands.some(({ reasons }) => reasons.some(({ code }) => code === 'fits-nowhere'))) return 0;
  const every = (gives: (demand: Demand) => boolean) => (count: number) =>
    demands.every((demand) => gives({ ...demand, problem: times(demand.problem, count) }));
  const most = mostFor(
    MOST,
    every(({ problem }) => partsMayGive(problem, solver)),
  );
  let low = mostFor(
    most,
    every(({ problem }) => quickly(problem)),
  );
  const oneMore = every(
    (demand) =>
      quickly(demand.problem) || (boardsMayGive(demand.problem, solver) && found(demand, solver, shop)),
  );
  while (low < most && oneMore(low + 1)) low++;
  return low;
}
