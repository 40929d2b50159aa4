import { bestAcross } from './across.js';
import { bestRun } from './knapsack.js';
import {
  groupOfStocks,
  groupsOf,
  missingCost,
  type Problem,
  type Rips,
  type Sawn,
  wantedOf,
  yieldOf,
} from './problem.js';
import type { Program, Solver } from './program.js';

/** A way to saw a board of a stock, and what it gives of every piece, in one row after the other. */
export interface Column {
  readonly sawn: Sawn;
  readonly gives: readonly number[];
}

export const columnOf = (problem: Problem, sawn: Sawn): Column => ({
  sawn,
  gives: yieldOf(problem, sawn.rips).flat(),
});

const keyOf = ({ sawn, gives }: Column): string => `${sawn.stock}: ${gives.join(' ')}`;

/** Columns without those that give the same from the same stock. */
export function distinct(columns: readonly Column[]): Column[] {
  const known = new Map(columns.map((column) => [keyOf(column), column]));
  return [...known.values()];
}

/** Which boards to saw how, so that all pieces come out or are missing at a price: columns first, then pieces missing. */
export function masterOf(problem: Problem, columns: readonly Column[], whole: boolean): Program {
  const wanted = wantedOf(problem).flat();
  const dear = missingCost(problem);
  const first = columns.length;
  const supply = wanted.map((count, piece) => ({
    terms: [
      ...columns.flatMap(({ gives }, c) => (gives[piece]! > 0 ? [[c, gives[piece]!] as const] : [])),
      [first + piece, 1] as const,
    ],
    least: count,
  }));
  const groupOf = groupOfStocks(problem);
  const stock = groupsOf(problem).map(({ copies }, g) => ({
    terms: columns.flatMap(({ sawn }, c) => (groupOf[sawn.stock] === g ? [[c, -1] as const] : [])),
    least: Number.isFinite(copies) ? -copies : -1e6,
  }));
  return {
    costs: [...columns.map(({ sawn }) => problem.stocks[sawn.stock]!.cost), ...wanted.map(() => dear)],
    rows: [...supply, ...stock.filter(({ terms }) => terms.length > 0)],
    whole,
  };
}

/** The best way to saw a board of a stock; `most` is what no way of sawing it exceeds, `rips` what one rip is worth by section and kind. */
export interface BestSawn {
  readonly sawn: Sawn;
  readonly value: number;
  readonly most: number;
  readonly rips: readonly (readonly number[])[];
}

/** The best ways to saw boards of the stocks when every piece has a price; parts of one size are looked at once. */
export function bestSawing(
  problem: Problem,
  prices: readonly (readonly number[])[],
): (stock: number) => BestSawn {
  const limits = wantedOf(problem);
  const runOf = remembered((length: number, kind: number) =>
    bestRun(problem.kinds[kind]!, length, prices[kind]!, limits[kind]!),
  );
  const alike = new Map<string, number>();
  const likeOf = problem.stocks.map(({ leaves }) => {
    const key = leaves.join(' ');
    return alike.get(key) ?? alike.set(key, alike.size).size - 1;
  });
  const partOf = remembered((length: number, width: number, stock: number) => {
    const { leaves } = problem.stocks[stock]!;
    const runs = problem.kinds.map((_, k) => (leaves[k]! > 0 ? runOf(length, k) : null));
    const values = runs.map((run, k) => leaves[k]! * (run?.most ?? 0));
    const items = problem.kinds.map(({ width: wide }, k) => ({
      width: wide,
      value: values[k]!,
      limit: Number.MAX_SAFE_INTEGER,
    }));
    return { runs, values, ...bestAcross(width, items) };
  });
  const firstLike = [...alike.values()].map((like) => likeOf.indexOf(like));
  return (stock) => {
    const { sections, leaves } = problem.stocks[stock]!;
    let [value, most] = [0, 0];
    const rips: Rips[] = [];
    const worth = sections.map(({ length, width }, section) => {
      const part = partOf(length, width, firstLike[likeOf[stock]!]!);
      most += part.value;
      part.counts.forEach((count, kind) => {
        const run = part.runs[kind];
        if (!run) return;
        value += count * leaves[kind]! * run.value;
        for (let i = 0; i < count; i++)
          rips.push({
            section,
            kind,
            runs: Array.from({ length: leaves[kind]! }, () => run.counts),
          });
      });
      return part.values;
    });
    return { sawn: { stock, rips }, value, most, rips: worth };
  };
}

/** Works out each answer once. */
function remembered<Of extends readonly number[], To>(work: (...of: Of) => To): (...of: Of) => To {
  const known = new Map<string, To>();
  return (...of) => {
    const key = of.join(' ');
    const before = known.get(key);
    if (before !== undefined) return before;
    const now = work(...of);
    known.set(key, now);
    return now;
  };
}

/**
 * What no answer costs less than, from any prices of the pieces that no missing piece is cheaper than: `worth` of all that
 * is wanted, `most` that a board of each stock can be worth. σ·worth − Σ copies·max(0, σ·most − cost) over stocks with so
 * many copies (those of a group together), σ the least cost/most of the others, at most 1: at prices times σ none of those is worth more than it costs
 * (Farley, Operations Research 38, 1990), and each of the first earns at most that (Lagrange).
 */
export function boundAt(problem: Problem, worth: number, most: readonly number[]): number {
  const { stocks } = problem;
  const shares = stocks.flatMap(({ copies, cost }, s) =>
    Number.isFinite(copies) || most[s] === 0 ? [] : [cost / most[s]!],
  );
  const sigma = Math.min(1, ...shares);
  const earned = groupsOf(problem).map(({ copies, stocks: own }) =>
    Number.isFinite(copies) ? copies * Math.max(0, ...own.map((s) => sigma * most[s]! - stocks[s]!.cost)) : 0,
  );
  return sigma * worth - earned.reduce((a, b) => a + b, 0);
}

/** Rounds of new columns at most, and by how much a column has to be better than its board costs. */
const MOST_ROUNDS = 60;
const BETTER = 1e-7;

export interface Generated {
  readonly columns: Column[];
  /** Prices of pieces, by kind and piece, when no better column was found. */
  readonly prices: readonly (readonly number[])[];
  /** No answer costs less, and none with parts of boards either (Farley's bound where rounds ran out). */
  readonly bound: number;
}

/**
 * Column generation (Gilmore and Gomory, Operations Research 9, 1961): pieces get prices from the linear program, and boards are
 * sawn anew for them until none is worth more than it costs. Yields after each round.
 */
export function* generated(
  problem: Problem,
  solver: Solver,
  begun: readonly Column[],
): Generator<{ readonly round: number; readonly bound: number }, Generated> {
  const columns = distinct(begun);
  const known = new Set(columns.map(keyOf));
  const split = (duals: readonly number[]): number[][] => {
    let at = 0;
    return problem.kinds.map(({ pieces }) => pieces.map(() => Math.max(0, duals[at++] ?? 0)));
  };
  const groupOf = groupOfStocks(problem);
  let [bound, prices] = [0, split([])];
  for (let round = 1; round <= MOST_ROUNDS; round++) {
    const program = masterOf(problem, columns, false);
    const solved = solver(program, { entries: 0, gap: 0 });
    if (!solved) break;
    const now = split(solved.duals);
    const total = wantedOf(problem).flatMap((counts, k) => counts.map((count, i) => count * now[k]![i]!));
    const worth = total.reduce((a, b) => a + b, 0);
    // Stocks that are used up have a price of their own, which a column has to pay besides its cost.
    const groupRows = groupsOf(problem)
      .map((_, g) => g)
      .filter((g) => columns.some(({ sawn }) => groupOf[sawn.stock] === g));
    const rents = problem.stocks.map((_, s) => {
      const row = groupRows.indexOf(groupOf[s]!);
      return row < 0
        ? 0
        : Math.max(0, solved.duals[problem.kinds.flatMap(({ pieces }) => pieces).length + row] ?? 0);
    });
    const sawing = bestSawing(problem, now);
    // Boards that there are none of are not looked at.
    const best = problem.stocks.map(({ copies }, s) => (copies > 0 ? sawing(s) : null));
    let found = 0;
    problem.stocks.forEach((stock, s) => {
      const way = best[s];
      if (!way || way.value <= (stock.cost + rents[s]!) * (1 + BETTER) + BETTER) return;
      const column = columnOf(problem, way.sawn);
      if (known.has(keyOf(column))) return;
      known.add(keyOf(column));
      columns.push(column);
      found++;
    });
    const lagrange = boundAt(
      problem,
      worth,
      best.map((way) => way?.most ?? 0),
    );
    if (lagrange > bound) [bound, prices] = [lagrange, now];
    yield { round, bound };
    if (found === 0) break;
  }
  return { columns, prices, bound };
}
