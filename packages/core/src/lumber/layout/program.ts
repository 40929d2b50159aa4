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

/** What a solver says: null where it has no answer. */
export interface Solved {
  readonly value: number;
  /** What no answer is less than: the value itself where it is proven. */
  readonly bound: number;
  readonly x: readonly number[];
  /** Of every row; empty for whole numbers. */
  readonly duals: readonly number[];
}

/** Limits of work, never of time: the same program has the same answer on every machine, however busy it is. */
export interface Limits {
  /** Entries of the program that may be gone through in branching, over all branches; a linear program is solved to its end. */
  readonly entries: number;
  /** Distance from the proven bound at which a whole answer is good enough, as a share. */
  readonly gap: number;
}

/** `proven` is false where it ran out of work with some answer. */
export type Solver = (program: Program, limits: Limits) => (Solved & { readonly proven: boolean }) | null;

/** A program as HiGHS takes it: rows one after the other, each with the columns it has something of (compressed sparse rows). */
interface HighsModelData {
  readonly numCols: number;
  readonly numRows: number;
  readonly colCost: readonly number[];
  readonly colLower: readonly number[];
  readonly colUpper: readonly number[];
  readonly rowLower: readonly number[];
  readonly rowUpper: readonly number[];
  readonly matrix: {
    readonly format: 'csr';
    readonly numRows: number;
    readonly numCols: number;
    readonly starts: readonly number[];
    readonly indices: readonly number[];
    readonly values: readonly number[];
  };
  readonly integrality: readonly (0 | 1)[];
}

interface HighsModel {
  readonly options: { set(values: Readonly<Record<string, number | boolean>>): unknown };
  run(): unknown;
  getModelStatus(): number;
  getObjectiveValue(): number;
  readonly info: { get(name: string): number | bigint };
  getSolution(): { readonly colValue: ArrayLike<number>; readonly rowDual: ArrayLike<number> };
}

/** What is asked of HiGHS (highs on npm: a model of its own each time); it is handed in, since it comes as WebAssembly. */
export interface HighsLike {
  readonly infinity: number;
  readonly constants: {
    readonly modelStatus: Readonly<Record<'optimal' | 'iterationLimit' | 'solutionLimit', number>>;
  };
  withModel<T>(source: HighsModelData, operation: (model: HighsModel) => T): T;
}

export const solverOf =
  (highs: HighsLike): Solver =>
  (program, { entries, gap }) => {
    const source = modelOf(program, highs.infinity);
    const { optimal, iterationLimit, solutionLimit } = highs.constants.modelStatus;
    return highs.withModel(source, (model) => {
      model.options.set({
        output_flag: false,
        mip_max_nodes: Math.max(1, Math.round(entries / Math.max(1, source.matrix.values.length))),
        mip_rel_gap: gap,
      });
      model.run();
      const status = model.getModelStatus();
      if (![optimal, iterationLimit, solutionLimit].includes(status)) return null;
      const { colValue, rowDual } = model.getSolution();
      const x = Array.from(colValue);
      if (x.length !== program.costs.length || x.some((value) => !Number.isFinite(value))) return null;
      if (program.whole && status !== optimal && !holds(program, x.map(Math.round))) return null;
      return {
        proven: status === optimal,
        value: model.getObjectiveValue(),
        bound:
          status === optimal || !program.whole
            ? model.getObjectiveValue()
            : Number(model.info.get('mip_dual_bound')),
        // It may answer −0, and a hair beside whole numbers.
        x: x.map((value) => (program.whole ? Math.round(value) : value) + 0),
        duals: program.whole ? [] : Array.from(rowDual),
      };
    });
  };

/** Whether figures are an answer to a program: one that stopped early may have none and give zeros. */
const holds = ({ rows }: Program, x: readonly number[]): boolean =>
  rows.every(({ terms, least }) => {
    const sum = terms.reduce((all, [column, by]) => all + by * x[column]!, 0);
    return sum >= least - 1e-6 * Math.max(1, Math.abs(least));
  });

export function modelOf({ costs, rows, most, whole }: Program, infinity: number): HighsModelData {
  const starts = [0];
  for (const { terms } of rows) starts.push(starts.at(-1)! + terms.length);
  return {
    numCols: costs.length,
    numRows: rows.length,
    colCost: costs,
    colLower: costs.map(() => 0),
    colUpper: costs.map((_, i) => most?.[i] ?? infinity),
    rowLower: rows.map(({ least }) => least),
    rowUpper: rows.map(() => infinity),
    matrix: {
      format: 'csr',
      numRows: rows.length,
      numCols: costs.length,
      starts,
      indices: rows.flatMap(({ terms }) => terms.map(([column]) => column)),
      values: rows.flatMap(({ terms }) => terms.map(([, by]) => by)),
    },
    integrality: costs.map(() => (whole ? 1 : 0)),
  };
}
