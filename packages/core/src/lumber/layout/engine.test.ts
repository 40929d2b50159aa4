import fc from 'fast-check';
import load from 'highs';
import { beforeAll, describe, expect, test } from 'vitest';
import { demoProjects } from '../../demo/index.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { plan } from '../../project/plan.js';
import { DEFAULT_SHOP, type Shop } from '../../settings/shop.js';
import { between } from '../../testing/numbers.js';
import { NOBODY } from '../../testing/pieces.js';
import { type Board, boardSchema } from '../board.js';
import { wholeBound } from './bound.js';
import { bestSawing, columnOf, distinct, generated, masterOf } from './columns.js';
import { crosscuts, partsOf } from './crosscuts.js';
import { demandsOf } from './demand.js';
import { greedy, ripOff, sawAgain } from './greedy.js';
import { fullRun } from './knapsack.js';
import { packed } from './packing.js';
import { placed } from './placed.js';
import { type Answer, costOf, missingIn, type Problem, wantedOf, yieldOf } from './problem.js';
import type { Solver } from './program.js';
import { solverOf } from './program.js';
import { solve } from './solve.js';
import { onHand } from './stock.js';

let solver: Solver;
beforeAll(async () => {
  solver = solverOf(await load());
});

const anyProblem: fc.Arbitrary<Problem> = fc
  .record({
    kinds: fc.array(
      fc.record({
        width: fc.integer({ min: 15, max: 80 }),
        overhead: fc.integer({ min: 0, max: 30 }),
        pieces: fc.array(
          fc.record({ length: fc.integer({ min: 10, max: 60 }), count: fc.integer({ min: 1, max: 12 }) }),
          { minLength: 1, maxLength: 3 },
        ),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    stocks: fc.array(
      fc.record({
        sections: fc.array(
          fc.record({ length: fc.integer({ min: 60, max: 300 }), width: fc.integer({ min: 30, max: 200 }) }),
          { minLength: 1, maxLength: 3 },
        ),
        copies: fc.constantFrom(1, 2, Number.POSITIVE_INFINITY),
        cost: fc.integer({ min: 1, max: 9 }),
        thick: fc.constantFrom(1, 2),
      }),
      { minLength: 1, maxLength: 4 },
    ),
  })
  .map(({ kinds, stocks }) => ({
    kinds,
    stocks: stocks.map(({ thick, ...stock }) => ({ ...stock, leaves: kinds.map(() => thick) })),
  }));

/** Whether an answer can be sawn: rips fit across, runs along, no stock is used more often than it is there. */
function canBeSawn(problem: Problem, { boards, missing }: Answer): void {
  const used = problem.stocks.map(() => 0);
  for (const { stock, rips } of boards) {
    used[stock]!++;
    const { sections, leaves } = problem.stocks[stock]!;
    sections.forEach(({ length, width }, s) => {
      const here = rips.filter(({ section }) => section === s);
      expect(here.reduce((sum, { kind }) => sum + problem.kinds[kind]!.width, 0)).toBeLessThanOrEqual(width);
      for (const { kind, runs } of here) {
        const { overhead, pieces } = problem.kinds[kind]!;
        expect(runs.length).toBeLessThanOrEqual(leaves[kind]!);
        for (const run of runs)
          expect(
            run.reduce((sum, count, i) => sum + count * pieces[i]!.length, overhead),
          ).toBeLessThanOrEqual(length);
      }
    });
  }
  used.forEach((count, s) => {
    expect(count).toBeLessThanOrEqual(problem.stocks[s]!.copies);
  });
  const given = boards.map(({ rips }) => yieldOf(problem, rips));
  wantedOf(problem).forEach((counts, kind) => {
    counts.forEach((count, piece) => {
      const all = given.reduce((sum, of) => sum + of[kind]![piece]!, 0);
      expect(all + missing[kind]![piece]!).toBeGreaterThanOrEqual(count);
    });
  });
}

describe('answers', () => {
  test('the one at once and the solved one can be sawn, and the solved one is no worse', () => {
    fc.assert(
      fc.property(anyProblem, (problem) => {
        const first = greedy(problem);
        canBeSawn(problem, first);
        const { answer, cost, bound, heuristic } = solve(problem, solver);
        canBeSawn(problem, answer);
        expect(missingIn(answer)).toBeLessThanOrEqual(missingIn(first));
        expect(cost).toBeLessThanOrEqual(heuristic + 1e-9);
        expect(bound).toBeLessThanOrEqual(cost + 1e-6);
      }),
      { numRuns: 40, endOnFailure: true },
    );
  });
  test('boards sawn one after the other give no more than they did before, and never one piece twice', () => {
    fc.assert(
      fc.property(anyProblem, (problem) => {
        const stocks = problem.stocks.flatMap((_, s) => [s]);
        canBeSawn(problem, sawAgain(problem, stocks));
        const wanted = wantedOf(problem);
        const { runs, length } = ripOff(problem, { stock: 0, section: 0, kind: 0 }, wanted);
        const worth = runs.reduce(
          (sum, run) =>
            sum + run.reduce((all, count, i) => all + count * problem.kinds[0]!.pieces[i]!.length, 0),
          0,
        );
        expect(length).toBe(worth);
        expect(wanted).toEqual(wantedOf(problem));
      }),
    );
  });
  test('a strip too short for its overhead gives nothing', () => {
    const kind = { width: 10, overhead: 50, pieces: [{ length: 10, count: 5 }] };
    expect(fullRun(kind, 40, [5])).toEqual([0]);
    expect(fullRun(kind, 75, [5])).toEqual([2]);
  });
});

describe('bounds', () => {
  test('no board is worth more at any prices than its best, whatever is sawn from it', () => {
    fc.assert(
      fc.property(
        anyProblem,
        fc.array(between(0, 3), { minLength: 12, maxLength: 12 }),
        (problem, numbers) => {
          let at = 0;
          const prices = problem.kinds.map(({ pieces }) => pieces.map(() => numbers[at++ % numbers.length]!));
          problem.stocks.forEach((_, stock) => {
            const best = bestSawing(problem, prices)(stock);
            const value = columnOf(problem, best.sawn).gives.reduce(
              (sum, count, i) => sum + count * prices.flat()[i]!,
              0,
            );
            expect(value).toBeCloseTo(best.value, 6);
            expect(best.most).toBeGreaterThanOrEqual(best.value - 1e-9);
            const sawn = sawAgain(problem, [stock]).boards[0];
            const other = sawn
              ? columnOf(problem, sawn).gives.reduce((sum, count, i) => sum + count * prices.flat()[i]!, 0)
              : 0;
            expect(other).toBeLessThanOrEqual(best.most + 1e-6);
          });
        },
      ),
    );
  });
  test('the linear bound rises, the whole one is no lower where nothing is missing, and neither passes an answer', () => {
    fc.assert(
      fc.property(anyProblem, (given) => {
        const problem = {
          ...given,
          stocks: given.stocks.map((stock) => ({ ...stock, copies: Number.POSITIVE_INFINITY })),
        };
        const first = greedy(problem);
        if (missingIn(first) > 0) return;
        const begun = distinct(first.boards.map((sawn) => columnOf(problem, sawn)));
        const work = generated(problem, solver, begun);
        let last = 0;
        let step = work.next();
        while (!step.done) {
          expect(step.value.bound).toBeGreaterThanOrEqual(last - 1e-9);
          last = step.value.bound;
          step = work.next();
        }
        const { bound, prices, columns } = step.value;
        const relaxed = solver(masterOf(problem, columns, false), { entries: 1e6, gap: 0 })!;
        expect(bound).toBeLessThanOrEqual(relaxed.value * (1 + 1e-6) + 1e-6);
        const whole = wholeBound(problem, { prices: [prices], impossible: [] }, solver);
        expect(whole!.cost).toBeLessThanOrEqual(costOf(problem, first) + 1e-6);
        // Boards that are forbidden are not taken again.
        const again = wholeBound(problem, { prices: [prices], impossible: [whole!.boards] }, solver);
        if (again) expect(again.boards.some((count, s) => count > whole!.boards[s]!)).toBe(true);
      }),
      { numRuns: 25, endOnFailure: true },
    );
  });
  test('packing board by board finds an answer or proves that there is none', () => {
    const problem: Problem = {
      kinds: [
        { width: 60, overhead: 0, pieces: [{ length: 100, count: 2 }] },
        { width: 50, overhead: 0, pieces: [{ length: 100, count: 1 }] },
      ],
      stocks: [{ sections: [{ length: 100, width: 110 }], copies: 9, cost: 1, leaves: [1, 1] }],
    };
    // 60 + 50 fit across 110; two of 60 do not: one board is too few, two are enough.
    expect(packed(problem, [0], solver)).toEqual({ answer: null, impossible: true });
    const two = packed(problem, [0, 0], solver);
    expect(two.impossible).toBe(false);
    canBeSawn(problem, two.answer!);
    expect(missingIn(two.answer!)).toBe(0);
    expect(solve(problem, solver)).toMatchObject({ cost: 2, bound: 2 });
  });
});

const board = (change: { readonly [K in keyof Board]?: unknown }): Board =>
  boardSchema.parse({
    id: 'b1',
    wood: 'sugar-maple',
    lengthMm: 2000,
    widthMm: 160,
    thicknessMm: 25.4,
    surfaced: false,
    price: null,
    moisturePercent: null,
    note: '',
    defects: [],
    ...change,
  });

const demandOf = (shop: Partial<Shop>, boards: Board[], index = 0, buying = false) => {
  const full = { ...DEFAULT_SHOP, ...shop };
  const made = plan(demoProjects()[index]!, full);
  if (!made.ok) throw new Error('plan');
  const all = demandsOf(made.value.lumber, boards, full, NOBODY, { buying });
  return { all, shop: full, maple: all.find(({ wood }) => wood === 'sugar-maple')! };
};

describe('boards as they are sawn', () => {
  test('every way to crosscut a board has its parts in a row, on steps, the kerfs between them, all of it and nothing twice', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 400, max: 3000 }),
        fc.array(fc.integer({ min: 60, max: 900 }), { maxLength: 8 }),
        (lengthMm, useful) => {
          const [whole] = onHand(board({ lengthMm }), DEFAULT_SHOP).sections;
          const ways = crosscuts([whole!], useful, 150, DEFAULT_SHOP).map(
            (way) => partsOf([whole!], way, DEFAULT_SHOP)!,
          );
          expect(ways[0]).toHaveLength(1);
          expect(ways.length).toBeLessThanOrEqual(25);
          for (const parts of ways) {
            let at = whole!.xMm;
            for (const part of parts) {
              expect(part.xMm - at).toBeGreaterThan(-1e-6);
              expect(part.xMm - at).toBeLessThan(DEFAULT_SHOP.lengthStepMm);
              expect(part.lengthMm).toBeGreaterThan(0);
              const steps = part.lengthMm / DEFAULT_SHOP.lengthStepMm;
              expect(Math.abs(steps - Math.round(steps))).toBeLessThan(1e-6);
              at = part.xMm + part.lengthMm + DEFAULT_SHOP.kerfMm;
            }
            expect(at - DEFAULT_SHOP.kerfMm).toBeLessThanOrEqual(whole!.xMm + whole!.lengthMm + 1e-6);
            // What is left behind is less than a step for every part.
            expect(whole!.xMm + whole!.lengthMm - at).toBeLessThan(
              (parts.length + 1) * DEFAULT_SHOP.lengthStepMm + DEFAULT_SHOP.kerfMm,
            );
          }
          const first = (length: number) =>
            ways.some(([part]) => length - part!.lengthMm < DEFAULT_SHOP.lengthStepMm);
          const fits = useful.filter((length) => length + DEFAULT_SHOP.kerfMm < whole!.lengthMm);
          if (fits.length > 0) expect(first(fits[0]!)).toBe(true);
        },
      ),
    );
  });
  test('a board that is dearer is used last, and one on hand before any that is bought', () => {
    const prices = [40, 2];
    const boards = prices.map((price, i) => board({ id: `b${i}`, price, widthMm: 320 }));
    const { maple, shop } = demandOf({}, boards, 0, true);
    const used = placed(maple, solve(maple.problem, solver).answer, shop).boards.map(
      ({ stock }) => stock.board?.id,
    );
    expect(used[0]).toBe('b1');
    expect(used).not.toContain(undefined);
  });
  test('a disc wider than any board is glued up from equal parts', () => {
    const { all } = demandOf({}, [board({ wood: 'black-cherry', widthMm: 60 })], 1);
    const cherry = all.find(({ wood }) => wood === 'black-cherry')!;
    const glued = cherry.kinds.find(({ name }) => plain(name).includes('glued edge to edge'))!;
    const parts = Number(/part of (\d+)/.exec(plain(glued.name))![1]);
    expect(parts).toBeGreaterThan(1);
    expect(glued.pieces[0]!.owners[0]!.count).toBe(parts);
    expect(glued.widthMm).toBeLessThan(60);
  });
  test('what is behind the last piece is crosscut off and kept where it is long enough', () => {
    const { maple, shop } = demandOf({}, [board({ lengthMm: 2400, widthMm: 330 })]);
    const layout = placed(maple, greedy(maple.problem), shop);
    const kept = layout.boards.flatMap(({ offcuts }) => offcuts);
    expect(kept.length).toBeGreaterThan(0);
    for (const { lengthMm, widthMm } of kept) {
      expect(lengthMm).toBeGreaterThanOrEqual(shop.leastOffcutMm.lengthMm);
      expect(widthMm).toBeGreaterThanOrEqual(shop.leastOffcutMm.widthMm);
    }
    const none = placed(maple, greedy(maple.problem), {
      ...shop,
      leastOffcutMm: { lengthMm: mm(3000), widthMm: mm(1000) },
    });
    expect(none.boards.flatMap(({ offcuts }) => offcuts)).toEqual([]);
  });
  test('a wood without any board is short of everything, and nothing is too large', () => {
    const { all } = demandOf({}, []);
    for (const demand of all) {
      expect(demand.reasons).toEqual([]);
      const wanted = wantedOf(demand.problem)
        .flat()
        .reduce((a, b) => a + b, 0);
      expect(missingIn(greedy(demand.problem))).toBe(wanted);
      expect(missingIn(solve(demand.problem, solver).answer)).toBe(wanted);
    }
  });
  test('goals: fewest boards takes no more boards than least cost', () => {
    const boards = [60, 90, 120, 200, 260].map((widthMm, i) =>
      board({ id: `b${i}`, widthMm, lengthMm: 900 }),
    );
    const made = plan(demoProjects()[0]!, DEFAULT_SHOP);
    if (!made.ok) throw new Error('plan');
    const count = (goal: 'cost' | 'boards') => {
      const demand = demandsOf(made.value.lumber, boards, DEFAULT_SHOP, NOBODY, { goal, buying: false }).find(
        ({ wood }) => wood === 'sugar-maple',
      )!;
      const { answer } = solve(demand.problem, solver);
      return { boards: answer.boards.length, missing: missingIn(answer) };
    };
    const [fewest, cheapest] = [count('boards'), count('cost')];
    expect(fewest.missing).toBe(cheapest.missing);
    expect(fewest.boards).toBeLessThanOrEqual(cheapest.boards);
  });
});
