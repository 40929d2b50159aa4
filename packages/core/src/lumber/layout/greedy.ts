import { bestAcross, type Item } from './across.js';
import { fullRun } from './knapsack.js';
import { isBetter } from './merit.js';
import {
  type Answer,
  groupOfStocks,
  groupsOf,
  missingIn,
  type Problem,
  type Rips,
  type Run,
  type Sawn,
  wantedOf,
} from './problem.js';

/** Runs for all leaves of one rip, taken off what is still wanted; what it is worth in wanted length. */
export function ripOff(
  { kinds, stocks }: Problem,
  { stock, section, kind }: { readonly stock: number; readonly section: number; readonly kind: number },
  wanted: readonly number[][],
): { readonly runs: Run[]; readonly length: number } {
  const { sections, leaves } = stocks[stock]!;
  const left = wanted[kind]!.slice();
  let length = 0;
  const runs: Run[] = [];
  if (left.every((count) => count <= 0)) return { runs, length };
  for (let leaf = 0; leaf < leaves[kind]!; leaf++) {
    const run = fullRun(kinds[kind]!, sections[section]!.length, left);
    if (run.every((count) => count === 0)) break;
    run.forEach((count, piece) => {
      left[piece]! -= count;
      length += count * kinds[kind]!.pieces[piece]!.length;
    });
    runs.push(run);
  }
  return { runs, length };
}

const take = (wanted: number[][], kind: number, runs: readonly Run[]): void => {
  for (const run of runs)
    run.forEach((count, piece) => {
      wanted[kind]![piece]! -= count;
    });
};

/** Saws one board for what is still wanted, which it is taken off: section by section, the most wanted wood across each. */
export function sawBoard(
  problem: Problem,
  stock: number,
  wanted: number[][],
  weigh: (kind: number) => number = () => 1,
): Sawn {
  const { sections } = problem.stocks[stock]!;
  const rips: Rips[] = [];
  const order = sections.map((_, i) => i).sort((a, b) => sections[b]!.length - sections[a]!.length);
  for (const section of order) {
    let room = sections[section]!.width;
    const itemOf = (kind: number): Item => {
      const { runs, length } = ripOff(problem, { stock, section, kind }, wanted);
      const { width } = problem.kinds[kind]!;
      // No more rips at once than are wanted of the fullest.
      const limit = runs.length === 0 ? 0 : Math.max(1, Math.floor(stripsLeft(problem, kind, wanted, runs)));
      return { width, value: length * width * weigh(kind), limit };
    };
    const items = problem.kinds.map((_, kind) => itemOf(kind));
    for (;;) {
      const { counts } = bestAcross(room, items);
      if (counts.every((count) => count === 0)) break;
      counts.forEach((count, kind) => {
        if (count === 0) return;
        for (let i = 0; i < count; i++) {
          const { runs } = ripOff(problem, { stock, section, kind }, wanted);
          if (runs.length === 0) continue;
          take(wanted, kind, runs);
          rips.push({ section, kind, runs });
          room -= problem.kinds[kind]!.width;
        }
        // What is wanted of the others is as it was.
        items[kind] = itemOf(kind);
      });
    }
  }
  return { stock, rips };
}

/** How many rips like these runs what is wanted of a kind comes to. */
function stripsLeft(
  { kinds }: Problem,
  kind: number,
  wanted: readonly number[][],
  runs: readonly Run[],
): number {
  const lengthOf = (counts: readonly number[]) =>
    counts.reduce((sum, count, piece) => sum + count * kinds[kind]!.pieces[piece]!.length, 0);
  return (
    lengthOf(wanted[kind]!) /
    Math.max(
      1,
      runs.reduce((sum, run) => sum + lengthOf(run), 0),
    )
  );
}

/** How a greedy answer is looked for. */
export interface Way {
  /** Makes some kinds more wanted than others. */
  readonly weigh?: (kind: number) => number;
  /** Stock of the first board; the best where it is left out. */
  readonly first?: number;
}

/**
 * A good answer at once: board after board, each time the one whose wanted wood costs least, until nothing is wanted or no
 * board gives any of it.
 */
export function greedy(problem: Problem, { weigh, first }: Way = {}): Answer {
  const wanted = wantedOf(problem);
  const groupOf = groupOfStocks(problem);
  const left = groupsOf(problem).map(({ copies }) => copies);
  const boards: Sawn[] = [];
  for (;;) {
    if (wanted.flat().every((count) => count <= 0)) break;
    const there = problem.stocks.flatMap((_, stock) => (left[groupOf[stock]!]! > 0 ? [stock] : []));
    const given = boards.length === 0 && first !== undefined ? [first] : there;
    const next = candidates(problem, given, wanted, weigh);
    if (next.length === 0) break;
    // The last board is the cheapest that finishes it.
    const last = next.filter(({ done }) => done).sort((a, b) => a.cost - b.cost)[0];
    const best = next.reduce((a, b) => (b.rate > a.rate ? b : a));
    const chosen = last && last.cost <= best.cost * 1.0001 ? last : best;
    boards.push(chosen.board);
    left[groupOf[chosen.board.stock]!]! -= 1;
    wanted.forEach((counts, kind) => {
      counts.splice(0, counts.length, ...chosen.rest[kind]!);
    });
  }
  return spared(problem, {
    boards,
    missing: wanted.map((counts) => counts.map((count) => Math.max(0, count))),
  });
}

/** A board of each of some stocks sawn for what is wanted: what is wanted after it, and how much of it there is for the cost. */
function candidates(
  problem: Problem,
  stocks: readonly number[],
  wanted: readonly number[][],
  weigh?: Way['weigh'],
) {
  return stocks.flatMap((stock) => {
    const { cost } = problem.stocks[stock]!;
    const rest = wanted.map((counts) => counts.slice());
    const board = sawBoard(problem, stock, rest, weigh);
    if (board.rips.length === 0) return [];
    const gained = worthOf(problem, wanted) - worthOf(problem, rest);
    return [{ board, rest, rate: gained / cost, cost, done: rest.flat().every((count) => count <= 0) }];
  });
}

const worthOf = ({ kinds }: Problem, wanted: readonly number[][]): number =>
  wanted.reduce(
    (sum, counts, kind) =>
      sum +
      counts.reduce((all, count, piece) => all + Math.max(0, count) * kinds[kind]!.pieces[piece]!.length, 0) *
        kinds[kind]!.width,
    0,
  );

/** The same without boards that the others can do without, the dearest first. */
function spared(problem: Problem, answer: Answer): Answer {
  let best = answer;
  const order = answer.boards
    .map(({ stock }) => stock)
    .sort((a, b) => problem.stocks[b]!.cost - problem.stocks[a]!.cost);
  for (const stock of new Set(order)) {
    const rest = best.boards.slice();
    rest.splice(
      rest.findIndex((board) => board.stock === stock),
      1,
    );
    const again = sawAgain(
      problem,
      rest.map((board) => board.stock),
    );
    if (missingIn(again) <= missingIn(best)) best = again;
  }
  return best;
}

/** What given boards give, sawn one after the other. */
export function sawAgain(problem: Problem, stocks: readonly number[], weigh?: Way['weigh']): Answer {
  const wanted = wantedOf(problem);
  const boards = stocks
    .map((stock) => sawBoard(problem, stock, wanted, weigh))
    .filter(({ rips }) => rips.length > 0);
  return { boards, missing: wanted.map((counts) => counts.map((count) => Math.max(0, count))) };
}

/** Different for every try and kind, from 0.6 to 1.4; no chance in it. */
const weight = (n: number, kind: number): number => 0.6 + (((n * 7919 + kind * 104_729) % 97) / 97) * 0.8;

/** Greedy answers with kinds more or less wanted; the first as they are. */
export const tries = (problem: Problem, count: number): Answer[] =>
  Array.from({ length: count }, (_, n) =>
    greedy(problem, n === 0 ? {} : { weigh: (kind) => weight(n, kind) }),
  );

/** How many boards are tried as the first one, at most. */
const FIRSTS = 10;

/**
 * The answer that is there at once: the best of a few greedy ones that begin with different boards. Of every sort of board the ways to crosscut it that give most for what it costs are tried, and that which finishes alone.
 */
export function atOnce(problem: Problem): Answer {
  const groupOf = groupOfStocks(problem);
  const every = problem.stocks.map((_, stock) => stock);
  const all = candidates(problem, every, wantedOf(problem)).sort((a, b) => b.rate - a.rate);
  const alone = all.filter(({ done }) => done).sort((a, b) => a.cost - b.cost)[0];
  const each = Math.ceil(FIRSTS / Math.max(1, new Set(all.map(({ board }) => groupOf[board.stock])).size));
  const firsts = all.filter(
    ({ board }, i) =>
      all.slice(0, i).filter((before) => groupOf[before.board.stock] === groupOf[board.stock]).length < each,
  );
  return [alone, ...firsts]
    .flatMap((of) => (of ? [greedy(problem, { first: of.board.stock })] : []))
    .reduce((best, next) => (isBetter(problem, next, best) ? next : best), greedy(problem));
}
