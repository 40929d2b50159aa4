import { bestSawing } from './columns.js';
import { groupsOf, type Problem, wantedOf } from './problem.js';
import type { Program, Solver } from './program.js';

/** Prices of pieces at which boards can be judged: what each can give at most, by stock. */
export type PieceWorth = readonly (readonly number[])[];

/** What is known besides: prices to judge boards at, and numbers of boards that are proven not to be enough, by stock. */
export interface Known {
  readonly prices: readonly PieceWorth[];
  readonly impossible: readonly (readonly number[])[];
}

export const NOTHING_KNOWN: Known = { prices: [], impossible: [] };

/** How much work is put into one bound, in entries of its program. */
const ENTRIES = 2e6;

/** How many boards of each stock a bound takes, and what they cost: no answer costs less. */
export interface Bound {
  readonly cost: number;
  readonly boards: readonly number[];
}

/**
 * What no answer can cost less than: the least cost of whole boards and whole rips that still gives enough of every piece, where
 * rips need only fit across all boards of a stock together, and, at the prices that column generation found, no board can give more
 * than its best (Farley, Operations Research 38, 1990). All of it holds for every real answer; so its least cost is a bound,
 * proven to a `gap` from the least (a share of it).
 */
export function wholeBound(problem: Problem, known: Known, solver: Solver, gap = 0): Bound | null {
  const solved = solver(boundProgram(problem, known), { entries: ENTRIES, gap });
  return solved && { cost: solved.bound, boards: solved.x.slice(0, problem.stocks.length) };
}

/** The same with parts of boards and rips, which is found much sooner and is no more: null where there is no answer. */
export function partBound(problem: Problem, solver: Solver): number | null {
  const program = { ...boundProgram(problem, NOTHING_KNOWN), whole: false };
  return solver(program, { entries: ENTRIES, gap: 0 })?.bound ?? null;
}

/** Boards (by stock), rips (by place), pieces missing and choices, in columns one after the other, and what holds of them. */
function boundProgram(problem: Problem, { prices, impossible }: Known): Program {
  const { kinds, stocks } = problem;
  const wanted = wantedOf(problem);
  const places = stocks.flatMap(({ sections, leaves }, stock) =>
    sections.flatMap((section, s) =>
      kinds.flatMap(({ overhead, pieces }, kind) => {
        const room = section.length - overhead;
        const fits = leaves[kind]! > 0 && pieces.some(({ length }) => length <= room);
        return fits && kinds[kind]!.width <= section.width
          ? [{ stock, section: s, kind, room, column: 0 }]
          : [];
      }),
    ),
  );
  const first = stocks.length;
  const rips = places.map((place, i) => ({ ...place, column: first + i }));
  const rows: { terms: [number, number][]; least: number }[] = [];
  // Across: the rips of a section have room in all boards of its stock together.
  stocks.forEach(({ sections }, stock) => {
    sections.forEach(({ width }, section) => {
      const here = rips.filter((rip) => rip.stock === stock && rip.section === section);
      if (here.length === 0) return;
      rows.push({
        terms: [
          [stock, width],
          ...here.map(({ column, kind }): [number, number] => [column, -kinds[kind]!.width]),
        ],
        least: 0,
      });
    });
  });
  for (const { stocks: own, copies } of groupsOf(problem))
    if (own.length > 1 && Number.isFinite(copies))
      rows.push({ terms: own.map((stock): [number, number] => [stock, -1]), least: -copies });
  // Along: enough rips for every piece by count, and for all pieces of a kind by length.
  const first2 = first + rips.length;
  let piece = 0;
  const missing: number[] = [];
  kinds.forEach(({ pieces }, kind) => {
    const own = rips.filter((rip) => rip.kind === kind);
    const lengthOf = (counts: readonly number[]) =>
      counts.reduce((sum, count, i) => sum + count * pieces[i]!.length, 0);
    const slack = pieces.map(() => first2 + piece++);
    missing.push(...slack);
    pieces.forEach(({ length }, i) => {
      rows.push({
        terms: [
          ...own.map(({ column, stock, room }): [number, number] => [
            column,
            stocks[stock]!.leaves[kind]! * Math.max(0, Math.floor(room / length)),
          ]),
          [slack[i]!, 1],
        ],
        least: wanted[kind]![i]!,
      });
    });
    if (pieces.length > 1)
      rows.push({
        terms: [
          ...own.map(({ column, stock, room }): [number, number] => [
            column,
            stocks[stock]!.leaves[kind]! * Math.max(0, room),
          ]),
          ...slack.map((column, i): [number, number] => [column, pieces[i]!.length]),
        ],
        least: lengthOf(wanted[kind]!),
      });
  });
  // At any prices no board gives more than its best, and all boards together give what is wanted.
  for (const price of prices) {
    const best = stocks.map((_, stock) => stock).map(bestSawing(problem, price));
    best.forEach(({ most, rips: worth }, stock) => {
      rows.push({
        terms: [
          [stock, most * (1 + 1e-9)],
          ...rips
            .filter((rip) => rip.stock === stock)
            .map(({ column, section, kind }): [number, number] => [column, -worth[section]![kind]!]),
        ],
        least: 0,
      });
    });
    const each = price.flat();
    const all = wanted.flat().reduce((sum, count, i) => sum + count * each[i]!, 0);
    if (all > 0)
      rows.push({
        terms: [
          ...best.map(({ most }, stock): [number, number] => [stock, most / all]),
          ...missing.map((column, i): [number, number] => [column, each[i]! / all]),
        ],
        least: 1 - 1e-9,
      });
  }
  const dear = 1000 * Math.max(1, ...stocks.map(({ cost }) => cost));
  // Of boards that are not enough one stock at least has to have more.
  const choices = impossible.flatMap((counts, n) => counts.map((_, stock) => ({ n, stock })));
  const firstChoice = first2 + piece;
  impossible.forEach((counts, n) => {
    const own = counts.map(
      (_, stock) => firstChoice + choices.findIndex((of) => of.n === n && of.stock === stock),
    );
    rows.push({ terms: own.map((column): [number, number] => [column, 1]), least: 1 });
    counts.forEach((count, stock) => {
      rows.push({
        terms: [
          [stock, 1],
          [own[stock]!, -(count + 1)],
        ],
        least: 0,
      });
    });
  });
  return {
    costs: [
      ...stocks.map(({ cost }) => cost),
      ...rips.map(() => 0),
      ...missing.map(() => dear),
      ...choices.map(() => 0),
    ],
    rows: rows.filter(({ terms }) => terms.length > 0),
    most: [
      ...stocks.map(({ copies }) => (Number.isFinite(copies) ? copies : null)),
      ...rips.map(() => null),
      ...missing.map(() => null),
      ...choices.map(() => 1),
    ],
    whole: true,
  };
}
