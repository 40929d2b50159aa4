/** A linear program: the least Σ cost·x with rows Σ coefficient·x ≥ least, every x from 0 to its `most`. */
export interface Program {
  readonly costs: readonly number[];
  readonly rows: readonly {
    readonly terms: readonly (readonly [column: number, by: number])[];
    readonly least: number;
  }[];
  readonly most?: readonly (number | null)[];
  /** Whether all x are whole numbers. */
  readonly whole: boolean;
}

/** What a solver says: null where it has no proven answer in its time. */
export interface Solved {
  readonly value: number;
  readonly x: readonly number[];
  /** Of every row; empty for whole numbers. */
  readonly duals: readonly number[];
}

export interface Limits {
  readonly seconds: number;
  /** Distance from the proven bound at which a whole answer is good enough, as a share. */
  readonly gap: number;
}

/** `proven` is false where it ran out of time with some answer. */
export type Solver = (program: Program, limits: Limits) => (Solved & { readonly proven: boolean }) | null;

/** What is asked of HiGHS (highs on npm: `solve` of its one-shot interface); it is handed in, since it comes as WebAssembly. */
export interface HighsLike {
  solve(
    problem: string,
    options?: { readonly time_limit?: number; readonly mip_rel_gap?: number; readonly output_flag?: boolean },
  ): {
    readonly Status: string;
    readonly ObjectiveValue: number;
    readonly Columns: Readonly<Record<string, { readonly Index: number; readonly Primal?: number }>>;
    readonly Rows: readonly { readonly Index: number; readonly Dual?: number }[];
  };
}

export const solverOf =
  (highs: HighsLike): Solver =>
  (program, { seconds, gap }) => {
    const answer = highs.solve(lpText(program), {
      time_limit: seconds,
      mip_rel_gap: gap,
      output_flag: false,
    });
    const proven = answer.Status === 'Optimal';
    const x = program.costs.map((_, i) => answer.Columns[`x${i}`]?.Primal ?? Number.NaN);
    if (!proven && (answer.Status !== 'Time limit reached' || x.some((value) => !Number.isFinite(value))))
      return null;
    return {
      proven,
      value: answer.ObjectiveValue,
      // It may answer −0, and a hair beside whole numbers.
      x: x.map((value) => (program.whole ? Math.round(value) : value) + 0),
      duals: program.whole ? [] : answer.Rows.map(({ Dual = 0 }) => Dual),
    };
  };

const figure = (value: number): string => `${value < 0 ? '-' : '+'} ${Math.abs(value).toPrecision(15)}`;

/** Terms a few to a line: the format limits how long lines are. */
const sum = (terms: readonly (readonly [number, number])[]): string =>
  terms.map(([column, by], i) => `${figure(by)} x${column}${i % 8 === 7 ? '\n' : ''}`).join(' ');

/** The program in the CPLEX LP format, which HiGHS reads. */
export function lpText({ costs, rows, most, whole }: Program): string {
  const bounds = (most ?? []).flatMap((limit, i) => (limit === null ? [] : [` 0 <= x${i} <= ${limit}`]));
  const general = whole
    ? `General\n${costs.map((_, i) => ` x${i}${i % 16 === 15 ? '\n' : ''}`).join('')}\n`
    : '';
  return `Minimize
 obj: ${sum(costs.map((cost, i) => [i, cost] as const))}
Subject To
${rows.map(({ terms, least }, i) => ` r${i}: ${sum(terms)} >= ${least.toPrecision(15)}`).join('\n')}
Bounds
${bounds.join('\n')}
${general}End
`;
}
