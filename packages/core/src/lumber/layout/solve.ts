import { NOTHING_KNOWN, wholeBound } from './bound.js';
import { closing } from './closing.js';
import { type Column, columnOf, type Generated, generated } from './columns.js';
import { atOnce, tries } from './greedy.js';
import { isBetter } from './merit.js';
import { type Answer, costOf, missingCost, missingIn, type Problem } from './problem.js';
import type { Solver } from './program.js';
import { tidied } from './tidy.js';

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
/** How often parts of boards are given other lengths, at most. */
const LENGTHENED = 4;
/** How many greedy answers give it columns. */
const TRIES = 24;

/** Cost of boards, and of pieces that are missing. */
const priceOf = (problem: Problem, answer: Answer): number =>
  costOf(problem, answer) + missingCost(problem) * missingIn(answer);

/** Prices of pieces, by kind and piece. */
type Prices = Generated['prices'];

/**
 * Lays out a problem: a greedy answer at once, then column generation for a bound, then the best whole boards out of all columns.
 * Every step may be the last; the answer is always one that can be sawn.
 *
 * @param more where given: the problem with more ways to crosscut its boards behind its stocks, for prices of the pieces; null where
 * there are none that are better.
 */
export function* solving(
  given: Problem,
  solver: Solver,
  more: (prices: Prices) => Problem | null = () => null,
): Generator<Progress, Progress> {
  let problem = given;
  let best = atOnce(problem);
  const heuristic = priceOf(problem, best);
  const state = (stage: Progress['stage'], bound: number): Progress => ({
    stage,
    answer: best,
    cost: priceOf(problem, best),
    heuristic,
    bound: Math.min(bound, priceOf(problem, best)),
  });
  const done = (bound: number) => {
    best = tidied(problem, best);
    return state('done', bound);
  };
  const proven = (bound: number) => priceOf(problem, best) <= bound * (1 + SAME_COST) + 1e-9;
  yield state('heuristic', 0);
  // Whole boards alone may say that nothing can be better: the cheapest that there is, for one.
  const known = missingIn(best) === 0 ? wholeBound(problem, NOTHING_KNOWN, solver) : null;
  if (known && proven(known.cost)) return done(known.cost);
  const begun = best.boards.map((sawn) => columnOf(problem, sawn));
  for (const other of tries(problem, TRIES)) {
    begun.push(...other.boards.map((sawn) => columnOf(problem, sawn)));
    if (isBetter(problem, other, best)) best = other;
  }
  let columns: readonly Column[] = begun;
  let work: Generated;
  for (let lengthened = 0; ; lengthened++) {
    const rounds = generated(problem, solver, columns);
    let step = rounds.next();
    while (!step.done) {
      yield state('columns', lengthened === 0 ? step.value.bound : 0);
      step = rounds.next();
    }
    work = step.value;
    columns = work.columns;
    const longer = lengthened < LENGTHENED ? more(work.prices) : null;
    if (!longer) break;
    problem = longer;
  }
  const bound = Math.max(work.bound, roundedUp(problem, work.bound));
  yield state('whole boards', bound);
  if (proven(bound)) return done(bound);
  const closed = closing(problem, solver, { ...work, bound, cost: priceOf(problem, best) });
  let next = closed.next();
  while (!next.done) {
    yield state('whole boards', next.value);
    next = closed.next();
  }
  const { answer } = next.value;
  if (answer && priceOf(problem, answer) < priceOf(problem, best)) best = answer;
  return done(next.value.bound);
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
