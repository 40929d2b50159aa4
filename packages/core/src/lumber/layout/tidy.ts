import { sawAgain } from './greedy.js';
import { isBetter } from './merit.js';
import { type Answer, groupOfStocks, groupsOf, type Problem } from './problem.js';

/** So many ways of sawing the same boards are looked at, at most. */
const MOST_LOOKED_AT = 120;
/** How much more one kind of strip is wanted than others, so that it comes from one board and not from all. */
const WANTED_MORE = 8;

/**
 * The same boards sawn so that fewer fences are set and more is left in one piece: each kind of strip wanted before the others, each
 * board crosscut in its other ways.
 */
export function tidied(problem: Problem, answer: Answer): Answer {
  let best = answer;
  let looked = 0;
  const consider = (stocks: readonly number[], first?: number) => {
    if (looked++ >= MOST_LOOKED_AT) return;
    const next = sawAgain(problem, stocks, (kind) => (kind === first ? WANTED_MORE : 1));
    if (isBetter(problem, next, best)) best = next;
  };
  const stocksOf = () => best.boards.map(({ stock }) => stock);
  consider(stocksOf());
  for (const [kind] of problem.kinds.entries()) consider(stocksOf(), kind);
  const [groups, groupOf] = [groupsOf(problem), groupOfStocks(problem)];
  for (const [place, { stock }] of answer.boards.entries())
    for (const other of groups[groupOf[stock]!]!.stocks)
      consider(stocksOf().map((of, i) => (i === place ? other : of)));
  return best;
}
