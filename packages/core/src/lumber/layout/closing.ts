import { type Bound, type PieceWorth, wholeBound } from './bound.js';
import { type Column, columnOf, distinct, generated, masterOf } from './columns.js';
import { sawAgain } from './greedy.js';
import { packed } from './packing.js';
import { type Answer, groupsOf, missingIn, type Problem, type Sawn, wantedOf, yieldOf } from './problem.js';
import type { Solver } from './program.js';

/** How long a whole answer is looked for, in entries of the program. */
const WHOLE_ENTRIES = 1e6;

/** A column with no more of anything than is wanted: several boards of it would give too much. */
function trimmed(problem: Problem, { sawn }: Column): Column[] {
  const wanted = wantedOf(problem);
  const rips = sawn.rips.flatMap((rip) => {
    const runs = rip.runs.map((run) =>
      run.map((count, piece) => {
        const kept = Math.min(count, wanted[rip.kind]![piece]!);
        wanted[rip.kind]![piece]! -= kept;
        return kept;
      }),
    );
    return runs.some((run) => run.some((count) => count > 0)) ? [{ ...rip, runs }] : [];
  });
  return rips.length === 0 ? [] : [columnOf(problem, { ...sawn, rips })];
}

/** The best answer of whole boards out of columns. */
export function wholeBoards(problem: Problem, solver: Solver, given: readonly Column[]): Answer | null {
  const columns = distinct([...given, ...given.flatMap((column) => trimmed(problem, column))]);
  const solved = solver(masterOf(problem, columns, true), { entries: WHOLE_ENTRIES, gap: 1e-6 });
  if (!solved) return null;
  const boards: Sawn[] = columns.flatMap(({ sawn }, c) => Array.from({ length: solved.x[c]! }, () => sawn));
  const gives = boards.map(({ rips }) => yieldOf(problem, rips));
  const missing = wantedOf(problem).map((counts, kind) =>
    counts.map((count, piece) => Math.max(0, count - gives.reduce((sum, of) => sum + of[kind]![piece]!, 0))),
  );
  return { boards, missing };
}

/** A board that is there in any case costs next to nothing: what counts is what is missing. */
const GIVEN = 1e-6;

/** Every board by its stock. */
const each = (boards: readonly number[]): number[] =>
  boards.flatMap((count, stock) => Array.from({ length: count }, () => stock));

/** What some boards give: whether parts of ways to saw them give all, at which prices they do not, and a whole answer. */
function coverage(problem: Problem, boards: readonly number[], solver: Solver, known: readonly Column[]) {
  const given: Problem = {
    ...problem,
    stocks: problem.stocks.map(({ group: _, ...stock }, s) => ({
      ...stock,
      copies: boards[s]!,
      cost: GIVEN,
    })),
  };
  const quick = sawAgain(problem, each(boards));
  const begun = [...known, ...quick.boards.map((sawn) => columnOf(problem, sawn))];
  if (missingIn(quick) === 0) return { lacks: 0, prices: null, answer: quick, columns: begun };
  const work = generated(
    given,
    solver,
    begun.filter(({ sawn }) => boards[sawn.stock]! > 0),
  );
  let step = work.next();
  while (!step.done) step = work.next();
  const { columns, prices } = step.value;
  const relaxed = solver(masterOf(given, columns, false), { entries: 0, gap: 0 });
  const lacks = relaxed ? relaxed.x.slice(columns.length).reduce((a, b) => a + b, 0) : 1;
  return { lacks, prices, answer: lacks > 1e-6 ? null : wholeBoards(given, solver, columns), columns };
}

/** Boards that the bound takes are looked at so often at most, and answers beside it. */
const MOST_ROUNDS = 24;
/** After so many rounds in which the bound has not risen it is left as it is. */
const STALLED = 5;
const BESIDE = 6;

export interface Closed {
  readonly bound: number;
  readonly answer: Answer | null;
}

/**
 * Brings bound and answer together: the boards that the bound takes are tried. Where even parts of ways to saw them do not give
 * all, the prices that show it make the bound better (Benders, Numerische Mathematik 4, 1962); where they do, a whole answer is
 * looked for board by board, or it is proven that there is none; at last with one more board.
 */
export function* closing(
  problem: Problem,
  solver: Solver,
  begun: {
    readonly columns: readonly Column[];
    readonly prices: PieceWorth;
    readonly bound: number;
    readonly cost: number;
  },
): Generator<number, Closed> {
  const prices: PieceWorth[] = [begun.prices];
  let [bound, columns] = [begun.bound, begun.columns];
  const impossible: (readonly number[])[] = [];
  let last: Bound | null = null;
  let stalled = 0;
  for (let round = 0; round < MOST_ROUNDS && stalled < STALLED; round++) {
    const found = wholeBound(problem, { prices, impossible }, solver);
    if (!found) break;
    last = found;
    stalled = found.cost > bound * (1 + 1e-6) ? 0 : stalled + 1;
    bound = Math.max(bound, found.cost);
    yield bound;
    if (bound >= begun.cost * (1 - 1e-6)) return { bound, answer: null };
    const tried = coverage(problem, found.boards, solver, columns);
    columns = distinct([...columns, ...tried.columns]);
    if (tried.answer && missingIn(tried.answer) === 0) return { bound, answer: tried.answer };
    if (tried.lacks > 1e-6 && tried.prices) {
      prices.push(tried.prices);
      continue;
    }
    const one = packed(problem, each(found.boards), solver);
    if (one.answer) return { bound, answer: one.answer };
    if (!one.impossible) break;
    impossible.push(found.boards);
  }
  const all = wholeBoards(problem, solver, columns);
  let best = all && missingIn(all) === 0 ? all : null;
  let cost = Math.min(begun.cost, best ? priceOf(problem, best) : begun.cost);
  for (const boards of last ? withOneMore(problem, last.boards).slice(0, BESIDE) : []) {
    const price = boards.reduce((sum, count, stock) => sum + count * problem.stocks[stock]!.cost, 0);
    if (price >= cost * (1 - 1e-6)) break;
    yield bound;
    const answer =
      packed(problem, each(boards), solver).answer ?? coverage(problem, boards, solver, columns).answer;
    if (answer && missingIn(answer) === 0 && priceOf(problem, answer) < cost)
      [best, cost] = [answer, priceOf(problem, answer)];
  }
  return { bound, answer: best };
}

const priceOf = ({ stocks }: Problem, { boards }: Answer): number =>
  boards.reduce((sum, { stock }) => sum + stocks[stock]!.cost, 0);

/** Boards with one more of some stock, or one of a stock in place of another, the cheapest first. */
function withOneMore(problem: Problem, boards: readonly number[]): number[][] {
  const { stocks } = problem;
  const groups = groupsOf(problem);
  const costOf = (counts: readonly number[]) =>
    counts.reduce((sum, count, stock) => sum + count * stocks[stock]!.cost, 0);
  const changed = stocks.flatMap((_, more) => {
    const added = boards.map((count, s) => count + (s === more ? 1 : 0));
    const swapped = stocks.flatMap((_, less) =>
      less !== more && boards[less]! > 0 ? [added.map((count, s) => count - (s === less ? 1 : 0))] : [],
    );
    return [added, ...swapped];
  });
  return changed
    .filter(
      (counts) =>
        groups.every(({ stocks: own, copies }) => own.reduce((sum, s) => sum + counts[s]!, 0) <= copies) &&
        costOf(counts) > costOf(boards) - 1e-9,
    )
    .sort((a, b) => costOf(a) - costOf(b));
}
