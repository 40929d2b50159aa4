import fc from 'fast-check';
import load from 'highs';
import { beforeAll, expect, test } from 'vitest';
import { boundAt, generated, masterOf } from './columns.js';
import { type Problem, wantedOf } from './problem.js';
import { type Solver, solverOf } from './program.js';
import { solve } from './solve.js';

let solver: Solver;
beforeAll(async () => {
  solver = solverOf(await load());
});

/** Problems so small that every way to saw every board can be written down. */
const tinyProblem: fc.Arbitrary<Problem> = fc
  .record({
    kinds: fc.array(
      fc.record({
        width: fc.integer({ min: 15, max: 40 }),
        overhead: fc.integer({ min: 0, max: 20 }),
        pieces: fc.array(
          fc.record({ length: fc.integer({ min: 15, max: 60 }), count: fc.integer({ min: 1, max: 3 }) }),
          { minLength: 1, maxLength: 2 },
        ),
      }),
      { minLength: 1, maxLength: 2 },
    ),
    stocks: fc.array(
      fc.record({
        sections: fc.array(
          fc.record({ length: fc.integer({ min: 50, max: 130 }), width: fc.integer({ min: 20, max: 80 }) }),
          { minLength: 1, maxLength: 1 },
        ),
        copies: fc.constantFrom(1, 2, Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY),
        cost: fc.constantFrom(0.04, 0.07, 1, 3, 4, 5, 7),
      }),
      { minLength: 1, maxLength: 3 },
    ),
  })
  .map(({ kinds, stocks }) => ({
    kinds,
    stocks: stocks.map((stock) => ({ ...stock, leaves: kinds.map(() => 1) })),
  }));

/** All that a board can give, no more of anything than is wanted, by trying every rip and every run. */
function everyYield({ kinds, stocks }: Problem, stock: number, wanted: readonly number[][]): number[][] {
  const { length, width } = stocks[stock]!.sections[0]!;
  const runs = kinds.flatMap(({ pieces, overhead, width: across }, kind) => {
    const all = pieces.reduce<number[][]>(
      (begun, _, i) =>
        begun.flatMap((run) => Array.from({ length: wanted[kind]![i]! + 1 }, (_, n) => [...run, n])),
      [[]],
    );
    return all
      .filter((run) => run.reduce((sum, n, i) => sum + n * pieces[i]!.length, overhead) <= length)
      .map((run) => ({
        across,
        gives: kinds.flatMap((of, k) => of.pieces.map((_, i) => (k === kind ? run[i]! : 0))),
      }));
  });
  const most = wanted.flat();
  const found = new Map<string, number[]>();
  const saw = (room: number, from: number, gives: number[]) => {
    found.set(gives.join(), gives);
    for (let i = from; i < runs.length; i++)
      if (runs[i]!.across <= room && runs[i]!.gives.some((n) => n > 0))
        saw(
          room - runs[i]!.across,
          i,
          gives.map((n, p) => Math.min(most[p]!, n + runs[i]!.gives[p]!)),
        );
  };
  saw(
    width,
    0,
    most.map(() => 0),
  );
  return [...found.values()];
}

/** The least cost by trying every board after every other; infinite where something would be missing. */
function leastCost(problem: Problem, yields: readonly number[][][]): number {
  const known = new Map<string, number>();
  const least = (wanted: readonly number[], left: readonly number[]): number => {
    if (wanted.every((n) => n === 0)) return 0;
    const key = `${wanted.join()}|${left.join()}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    let best = Number.POSITIVE_INFINITY;
    yields.forEach((ways, s) => {
      if (left[s]! <= 0) return;
      const rest = left.map((n, i) => (i === s ? n - 1 : n));
      for (const gives of ways) {
        const then = wanted.map((n, i) => Math.max(0, n - gives[i]!));
        if (then.every((n, i) => n === wanted[i])) continue;
        best = Math.min(best, problem.stocks[s]!.cost + least(then, rest));
      }
    });
    known.set(key, best);
    return best;
  };
  return least(
    wantedOf(problem).flat(),
    problem.stocks.map(({ copies }) => copies),
  );
}

test('no bound is above the whole linear program, nor above the best of all answers, by trying everything', () => {
  let together = 0;
  fc.assert(
    fc.property(tinyProblem, (problem) => {
      const wanted = wantedOf(problem);
      const yields = problem.stocks.map((_, s) => everyYield(problem, s, wanted));
      const columns = yields.flatMap((ways, stock) =>
        ways.map((gives) => ({ sawn: { stock, rips: [] }, gives })),
      );
      const linear = solver(masterOf(problem, columns, false), { entries: 1e6, gap: 0 })!.value;
      const work = generated(problem, solver, []);
      let step = work.next();
      while (!step.done) {
        expect(step.value.bound).toBeLessThanOrEqual(linear * (1 + 1e-7) + 1e-7);
        step = work.next();
      }
      const best = leastCost(problem, yields);
      if (!Number.isFinite(best)) return;
      together++;
      const { bound, cost } = solve(problem, solver);
      expect(bound).toBeLessThanOrEqual(best + 1e-6);
      expect(cost).toBeGreaterThanOrEqual(best - 1e-6);
    }),
    { numRuns: 300, endOnFailure: true },
  );
  expect(together).toBeGreaterThan(100);
});

test('a bound by hand: one board on hand that earns, and one to buy', () => {
  const section = [{ length: 100, width: 50 }];
  const stocks = [
    { sections: section, copies: 2, cost: 1, leaves: [1] },
    { sections: section, copies: Number.POSITIVE_INFINITY, cost: 10, leaves: [1] },
  ];
  // Prices at which a board to buy would be worth 20: halved, 30 become 15, and each of two boards on hand earns 8 − 1 = 7.
  expect(boundAt({ kinds: [], stocks }, 30, [16, 20])).toBe(15 - 2 * 7);
  // Where nothing can be bought prices stand as they are.
  expect(boundAt({ kinds: [], stocks: stocks.slice(0, 1) }, 30, [16])).toBe(30 - 2 * 15);
});
