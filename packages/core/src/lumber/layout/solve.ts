import { wholeBound } from './bound.js';
import { closing } from './closing.js';
import { columnOf, generated, missingCost } from './columns.js';
import { atOnce, tries } from './greedy.js';
import { type Answer, costOf, missingIn, type Problem } from './problem.js';
import type { Solver } from './program.js';

/** How far a layout has come: the best so far, and what none can cost less than. */
export interface Progress {
  readonly stage: 'heuristic' | 'columns' | 'whole boards' | 'done';
  readonly answer: Answer;
  readonly cost: number;
  /** Cost of the answer that was there at once. */
  readonly heuristic: number;
  readonly bound: number;
}

/** Costs nearer than this share are the same. */
const SAME_COST = 1e-6;
/** How many greedy answers give it columns. */
const TRIES = 24;

/** Cost of boards, and of pieces that are missing. */
const priceOf = (problem: Problem, answer: Answer): number =>
  costOf(problem, answer) + missingCost(problem) * missingIn(answer);

/**
 * Lays out a problem: a greedy answer at once, then column generation for a bound, then the best whole boards out of all columns.
 * Every step may be the last; the answer is always one that can be sawn.
 */
export function* solving(problem: Problem, solver: Solver): Generator<Progress, Progress> {
  let best = atOnce(problem);
  const heuristic = priceOf(problem, best);
  const state = (stage: Progress['stage'], bound: number): Progress => ({
    stage,
    answer: best,
    cost: priceOf(problem, best),
    heuristic,
    bound: Math.min(bound, priceOf(problem, best)),
  });
  const proven = (bound: number) => priceOf(problem, best) <= bound * (1 + SAME_COST) + 1e-9;
  yield state('heuristic', 0);
  // Whole boards alone may say that nothing can be better: the cheapest that there is, for one.
  const known = missingIn(best) === 0 ? wholeBound(problem, { prices: [], impossible: [] }, solver) : null;
  if (known && proven(known.cost)) return state('done', known.cost);
  const begun = best.boards.map((sawn) => columnOf(problem, sawn));
  for (const other of tries(problem, TRIES)) {
    begun.push(...other.boards.map((sawn) => columnOf(problem, sawn)));
    if (priceOf(problem, other) < priceOf(problem, best)) best = other;
  }
  const work = generated(problem, solver, begun);
  let step = work.next();
  while (!step.done) {
    yield state('columns', step.value.bound);
    step = work.next();
  }
  const bound = Math.max(step.value.bound, roundedUp(problem, step.value.bound));
  yield state('whole boards', bound);
  if (proven(bound)) return state('done', bound);
  const closed = closing(problem, solver, { ...step.value, bound, cost: priceOf(problem, best) });
  let next = closed.next();
  while (!next.done) {
    yield state('whole boards', next.value);
    next = closed.next();
  }
  const { answer } = next.value;
  if (answer && priceOf(problem, answer) < priceOf(problem, best)) best = answer;
  return state('done', next.value.bound);
}

/** Where all boards cost the same, whole boards cost a whole multiple. */
function roundedUp({ stocks }: Problem, bound: number): number {
  const cost = stocks[0]?.cost ?? 1;
  return stocks.every((stock) => stock.cost === cost) ? Math.ceil(bound / cost - 1e-6) * cost : bound;
}

/** The whole answer at once. */
export function solve(problem: Problem, solver: Solver): Progress {
  const steps = solving(problem, solver);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
