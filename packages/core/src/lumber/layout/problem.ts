/**
 * What is to be laid out, in whole tenths of a millimetre, sizes rounded up and boards down: rips across the width of
 * boards, pieces along the rips. One wood at a time.
 */
export interface Problem {
  readonly kinds: readonly RipKind[];
  readonly stocks: readonly Stock[];
  /** The least length and width of a leftover that is kept; all are where it is left out. */
  readonly keeps?: { readonly length: number; readonly width: number };
}

/** A kind of strip: everything that is cut with one setting from strips of one width and thickness. */
export interface RipKind {
  /** Across the board, the rip's kerf with it. */
  readonly width: number;
  /** Along a strip, besides its pieces: the first cut, slanted ends, the tail that is held back. */
  readonly overhead: number;
  /** Sizes along the strip, kerf with each, and how many are wanted. */
  readonly pieces: readonly { readonly length: number; readonly count: number }[];
}

/** Boards that are alike. */
export interface Stock {
  /** Clear parts, the rip's kerf added to the width: the last rip needs none. */
  readonly sections: readonly { readonly length: number; readonly width: number }[];
  readonly copies: number;
  /** Stocks that are the very same boards, crosscut in another way, name the same group and share its copies; alone where left out. */
  readonly group?: number;
  readonly cost: number;
  /** By kind: how many strips one rip gives when it is resawn; 0 where the board is too thin. */
  readonly leaves: readonly number[];
}

/** How many of each piece of one kind follow each other along a strip. */
export type Run = readonly number[];

/** Rips of one kind from a section that are cut alike: a run for every leaf. */
export interface Rips {
  readonly section: number;
  readonly kind: number;
  readonly runs: readonly Run[];
}

/** One board of a stock, sawn up. */
export interface Sawn {
  readonly stock: number;
  readonly rips: readonly Rips[];
}

/** Boards that are sawn, and pieces that no board gave: by kind and piece. */
export interface Answer {
  readonly boards: readonly Sawn[];
  readonly missing: readonly (readonly number[])[];
}

export const costOf = ({ stocks }: Problem, { boards }: Pick<Answer, 'boards'>): number =>
  boards.reduce((sum, { stock }) => sum + stocks[stock]!.cost, 0);

/** What a piece that is missing costs in a program: more than any board. */
export const missingCost = ({ stocks }: Problem): number =>
  1000 * Math.max(1, ...stocks.map(({ cost }) => cost));

export const missingIn = ({ missing }: Answer): number =>
  missing.flat().reduce((sum, count) => sum + count, 0);

/** What a board gives, by kind and piece. */
export function yieldOf({ kinds }: Problem, rips: readonly Rips[]): number[][] {
  const given = kinds.map(({ pieces }) => pieces.map(() => 0));
  for (const { kind, runs } of rips)
    for (const run of runs)
      run.forEach((count, piece) => {
        given[kind]![piece]! += count;
      });
  return given;
}

export const wantedOf = ({ kinds }: Problem): number[][] =>
  kinds.map(({ pieces }) => pieces.map(({ count }) => count));

/** The same boards, crosscut in one way or another: places of their stocks, and how many boards there are. */
export interface Group {
  readonly stocks: readonly number[];
  readonly copies: number;
}

/** Stocks by the boards that they are. */
export function groupsOf({ stocks }: Problem): Group[] {
  const groups = new Map<string, { stocks: number[]; copies: number }>();
  stocks.forEach(({ group, copies }, s) => {
    const key = group === undefined ? `alone ${s}` : `group ${group}`;
    const known = groups.get(key);
    if (known) known.stocks.push(s);
    else groups.set(key, { stocks: [s], copies });
  });
  return [...groups.values()];
}

/** For every stock the place of its group. */
export function groupOfStocks(problem: Problem): number[] {
  const of = problem.stocks.map(() => 0);
  groupsOf(problem).forEach(({ stocks }, g) => {
    for (const s of stocks) of[s] = g;
  });
  return of;
}
