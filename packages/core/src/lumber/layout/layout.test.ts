import fc from 'fast-check';
import load from 'highs';
import { beforeAll, describe, expect, test } from 'vitest';
import { demoProjects } from '../../demo/index.js';
import { mm } from '../../measure/quantity.js';
import { fromZod, plain } from '../../measure/said.js';
import { plan } from '../../project/plan.js';
import { rollOf } from '../../ring/owner.js';
import { DEFAULT_SHOP } from '../../settings/shop.js';
import { between } from '../../testing/numbers.js';
import { NOBODY } from '../../testing/pieces.js';
import { anyProject } from '../../testing/random.js';
import { anyBoard } from '../../testing/randomBoards.js';
import { textbook } from '../../testing/textbook.js';
import { type Board, boardSchema, clearSections, type Section, surfacedThickness } from '../board.js';
import { cutsFor, endsAlong, kerfAlong } from '../cutting.js';
import { bestAcross } from './across.js';
import { areasOf } from './areas.js';
import { buyingOf } from './buying.js';
import { type Demand, demandsOf } from './demand.js';
import { greedy } from './greedy.js';
import { howMany } from './howMany.js';
import { bestRun } from './knapsack.js';
import { placed, type WoodLayout } from './placed.js';
import { costOf, missingIn, type Problem } from './problem.js';
import { modelOf, type Solver, solverOf } from './program.js';
import { solve } from './solve.js';

let solver: Solver;
beforeAll(async () => {
  solver = solverOf(await load());
});

const board = (change: { readonly [K in keyof Board]?: unknown }): Board =>
  boardSchema.parse({
    id: 'b1',
    wood: 'sugar-maple',
    lengthMm: 2400,
    widthMm: 150,
    thicknessMm: 25.4,
    surfaced: false,
    price: null,
    moisturePercent: null,
    note: '',
    defects: [],
    ...change,
  });

const lumberOf = (index: number) => {
  const made = plan(demoProjects()[index]!, DEFAULT_SHOP);
  if (!made.ok) throw new Error('plan');
  return made.value.lumber;
};

describe('cutting stock', () => {
  test('the textbook case comes to its optimum of 73 rolls, proven', () => {
    const { cost, bound } = solve(textbook, solver);
    expect([cost, bound]).toEqual([73, 73]);
  });
  test('a bound is never above what can be reached: small cases against trying every way', () => {
    const small = fc.record({
      kinds: fc.array(
        fc.record({
          width: fc.integer({ min: 20, max: 90 }),
          length: fc.integer({ min: 20, max: 90 }),
          count: fc.integer({ min: 1, max: 4 }),
        }),
        { minLength: 1, maxLength: 2 },
      ),
      costs: fc.tuple(fc.integer({ min: 3, max: 9 }), fc.integer({ min: 3, max: 9 })),
    });
    fc.assert(
      fc.property(small, ({ kinds, costs }) => {
        const problem: Problem = {
          kinds: kinds.map(({ width, length, count }) => ({
            width,
            overhead: 0,
            pieces: [{ length, count }],
          })),
          stocks: [100, 160].map((size, s) => ({
            sections: [{ length: size, width: size }],
            copies: 8,
            cost: costs[s]!,
            leaves: kinds.map(() => 1),
          })),
        };
        const { cost, bound, answer } = solve(problem, solver);
        if (missingIn(answer) > 0) return;
        const best = leastByTrying(problem);
        expect(bound).toBeLessThanOrEqual(best + 1e-6);
        expect(cost).toBeGreaterThanOrEqual(best - 1e-6);
        expect(cost).toBe(costOf(problem, answer));
        expect(cost).toBeCloseTo(best, 6);
      }),
      { numRuns: 60 },
    );
  });
  test('knapsacks along and across against trying every number', () => {
    const items = fc.array(
      fc.record({
        size: fc.integer({ min: 3, max: 30 }),
        value: fc.integer({ min: 1, max: 50 }),
        limit: fc.integer({ min: 0, max: 4 }),
      }),
      { minLength: 1, maxLength: 4 },
    );
    fc.assert(
      fc.property(items, fc.integer({ min: 5, max: 90 }), (all, room) => {
        const tried = (at: number, left: number): number => {
          const item = all[at];
          if (!item) return 0;
          return Math.max(
            ...Array.from({ length: item.limit + 1 }, (_, n) =>
              n * item.size > left ? 0 : n * item.value + tried(at + 1, left - n * item.size),
            ),
          );
        };
        const across = bestAcross(
          room,
          all.map(({ size, value, limit }) => ({ width: size, value, limit })),
        );
        expect(across.value).toBe(tried(0, room));
        expect(across.counts.reduce((sum, n, i) => sum + n * all[i]!.value, 0)).toBe(across.value);
        const kind = { width: 1, overhead: 2, pieces: all.map(({ size }) => ({ length: size, count: 9 })) };
        const along = bestRun(
          kind,
          room + 2,
          all.map(({ value }) => value),
          all.map(({ limit }) => limit),
        );
        expect(along.value).toBe(tried(0, room));
        expect(along.most).toBe(along.value);
      }),
    );
  });
  test('programs go to the solver row by row, with their limits', () => {
    const program = {
      costs: [1, -2],
      rows: [
        {
          terms: [
            [0, 1],
            [1, -3],
          ] as const,
          least: 2,
        },
        { terms: [[1, 1]] as const, least: -4 },
      ],
      most: [null, 4],
      whole: true,
    };
    expect(modelOf(program, Number.POSITIVE_INFINITY)).toMatchObject({
      colUpper: [Number.POSITIVE_INFINITY, 4],
      rowLower: [2, -4],
      matrix: { starts: [0, 2, 3], indices: [0, 1, 1], values: [1, -3, 1] },
      integrality: [1, 1],
    });
    expect(modelOf({ ...program, whole: false }, 1e30).integrality).toEqual([0, 0]);
  });
  test('a program that is stopped early says that nothing is proven, or nothing; always the same', async () => {
    // Twenty covering rows over fifty columns of 0 or 1: no answer is proven at the root.
    const figures = (s: number) => Array.from({ length: 50 }, (_, i) => 50 + ((i * s * 7919 + s * 31) % 151));
    const hard = {
      costs: figures(1),
      rows: Array.from({ length: 20 }, (_, k) => ({
        terms: figures(k + 3).map((by, i) => [i, by] as const),
        least: 2501,
      })),
      most: Array.from({ length: 50 }, () => 1),
      whole: true,
    };
    const solver = solverOf(await load());
    const [first, again] = [solver(hard, { entries: 1000, gap: 0 }), solver(hard, { entries: 1000, gap: 0 })];
    expect(first).toEqual(again);
    expect(first?.proven ?? false).toBe(false);
    const whole = solver(hard, { entries: 1e8, gap: 0 })!;
    expect(whole.proven).toBe(true);
    expect(whole.bound).toBe(whole.value);
    if (first)
      expect([first.bound <= whole.value + 1e-6, first.value >= whole.value - 1e-6]).toEqual([true, true]);
    for (const { terms, least } of hard.rows)
      expect(terms.reduce((sum, [i, by]) => sum + by * whole.x[i]!, 0)).toBeGreaterThanOrEqual(least - 1e-6);
  });
});

/** Least cost by trying all numbers of boards and all ways to fill them; kinds of one piece each. */
function leastByTrying({ kinds, stocks }: Problem): number {
  const ways = stocks.map(({ sections }) => {
    const [{ width, length }] = sections as [{ width: number; length: number }];
    const all: number[][] = [];
    const go = (at: number, left: number, given: number[]): void => {
      const kind = kinds[at];
      if (!kind) {
        all.push(given);
        return;
      }
      const each = Math.floor(length / kind.pieces[0]!.length);
      for (let n = 0; n * kind.width <= left; n++) go(at + 1, left - n * kind.width, [...given, n * each]);
    };
    go(0, width, []);
    return all;
  });
  const known = new Map<string, number>();
  const least = (wanted: readonly number[]): number => {
    if (wanted.every((count) => count <= 0)) return 0;
    const key = wanted.join(' ');
    const before = known.get(key);
    if (before !== undefined) return before;
    let best = Number.POSITIVE_INFINITY;
    ways.forEach((all, stock) => {
      for (const given of all) {
        if (given.every((count, i) => count === 0 || wanted[i]! <= 0)) continue;
        const rest = wanted.map((count, i) => Math.max(0, count - given[i]!));
        best = Math.min(best, stocks[stock]!.cost + least(rest));
      }
    });
    known.set(key, best);
    return best;
  };
  return least(kinds.map(({ pieces }) => pieces[0]!.count));
}

/** Whether they share more than rounding leaves, 10 nm. */
const overlap = (a: Section, b: Section): boolean =>
  Math.min(a.xMm + a.lengthMm, b.xMm + b.lengthMm) - Math.max(a.xMm, b.xMm) > 1.1e-5 &&
  Math.min(a.yMm + a.widthMm, b.yMm + b.widthMm) - Math.max(a.yMm, b.yMm) > 1.1e-5;

/** Every rule that a layout has to keep, whatever its demand. */
function sound(demand: Demand, layout: WoodLayout): void {
  const shop = DEFAULT_SHOP;
  const cut = new Map<string, number>();
  const count = (key: string, by: number) => cut.set(key, (cut.get(key) ?? 0) + by);
  for (const laid of layout.boards) {
    const { stock, strips, offcuts } = laid;
    const defects = stock.board?.defects ?? [];
    strips.forEach((strip, i) => {
      // Never a strip for spares alone that nobody asked for.
      expect(
        strip.leaves.flat().some(({ purpose, asked }) => asked || !['spare', 'test'].includes(purpose)),
      ).toBe(true);
      const { setting, thicknessMm, tailMm } = layout.kinds[strip.kind]!;
      expect(strip.yMm).toBeGreaterThanOrEqual(shop.edgeJointMm - 1e-6);
      expect(strip.yMm + strip.widthMm).toBeLessThanOrEqual(stock.widthMm + 1e-6);
      expect(strip.xMm).toBeGreaterThanOrEqual(shop.endTrimMm - 1e-6);
      expect(strip.xMm + strip.lengthMm).toBeLessThanOrEqual(stock.lengthMm - shop.endTrimMm + 1e-6);
      for (const defect of defects) expect(overlap(strip, defect)).toBe(false);
      for (const other of strips.slice(i + 1)) {
        // The saw goes between them.
        const wider = { ...strip, widthMm: strip.widthMm + shop.ripKerfMm - 0.11 };
        const otherWider = { ...other, widthMm: other.widthMm + shop.ripKerfMm - 0.11 };
        expect(overlap(wider, other) || overlap(strip, otherWider)).toBe(false);
      }
      const planed = strip.leaves.length * thicknessMm + (strip.leaves.length - 1) * shop.resawKerfMm;
      expect(planed).toBeLessThanOrEqual(stock.thicknessMm + 1e-6);
      const kerf = kerfAlong(setting);
      for (const leaf of strip.leaves) {
        let reached = endsAlong(setting) / 2;
        for (const { fromMm, toMm, owner, purpose } of leaf) {
          expect(fromMm - reached).toBeGreaterThanOrEqual(kerf - 1e-6);
          reached = toMm + (cutsFor(setting, 1) === 2 && setting.cutting === 'same-edge' ? kerf : 0);
          count(`${strip.kind} ${owner?.id} ${purpose}`, 1);
        }
        expect(strip.lengthMm - leaf.at(-1)!.toMm - endsAlong(setting) / 2).toBeGreaterThanOrEqual(
          tailMm - 1e-6,
        );
      }
    });
    offcuts.forEach((offcut, i) => {
      for (const other of offcuts.slice(i + 1)) expect(overlap(offcut, other)).toBe(false);
    });
    const { pieces, ends, kerf, offcuts: kept, rest } = areasOf(laid, layout.kinds, shop);
    for (const area of [pieces, ends, kerf, kept, rest]) expect(area).toBeGreaterThanOrEqual(-1e-6);
    expect(Math.abs(pieces + ends + kerf + kept + rest - stock.lengthMm * stock.widthMm)).toBeLessThan(1);
  }
  for (const { kind, owner, purpose, count: lost } of [...layout.missing, ...layout.leftOut])
    count(`${kind} ${owner?.id} ${purpose}`, lost);
  for (const { purpose } of layout.leftOut) expect(['spare', 'test']).toContain(purpose);
  const wanted = new Map<string, number>();
  demand.kinds.forEach(({ pieces }, kind) => {
    for (const { owners } of pieces)
      for (const { owner, purpose, count: each } of owners) {
        const key = `${kind} ${owner?.id} ${purpose}`;
        wanted.set(key, (wanted.get(key) ?? 0) + each);
      }
  });
  expect(new Map([...cut].sort())).toEqual(new Map([...wanted].sort()));
  const used = layout.boards.flatMap(({ stock }) => stock.board?.id ?? []);
  expect(new Set(used).size).toBe(used.length);
}

describe('layouts', () => {
  test('random pieces on random boards: every piece once, nothing overlaps, kerfs and tails kept, areas add up', () => {
    const woods = ['sugar-maple', 'black-walnut', 'padauk'];
    fc.assert(
      fc.property(
        anyProject,
        fc.array(anyBoard(woods), { maxLength: 8 }),
        fc.boolean(),
        (project, boards, buying) => {
          const made = plan(project, DEFAULT_SHOP);
          if (!made.ok) return;
          for (const demand of demandsOf(made.value.lumber, boards, DEFAULT_SHOP, NOBODY, { buying }))
            sound(demand, placed(demand, greedy(demand.problem), DEFAULT_SHOP));
        },
      ),
      { numRuns: 40, endOnFailure: true },
    );
  });
  test('pieces of the show: what the solver gives keeps the same rules, costs no more, and its bound holds', () => {
    for (const index of [0, 1, 4, 8]) {
      const boards = [board({}), board({ id: 'b2', widthMm: 90, thicknessMm: 50.8 })];
      for (const demand of demandsOf(lumberOf(index), boards, DEFAULT_SHOP, NOBODY)) {
        const { answer, cost, heuristic, bound } = solve(demand.problem, solver);
        sound(demand, placed(demand, answer, DEFAULT_SHOP));
        expect(cost).toBeLessThanOrEqual(heuristic + 1e-9);
        expect(bound).toBeLessThanOrEqual(cost + 1e-9);
        expect(bound).toBeGreaterThan(0);
      }
    }
  });
  test('what is on hand is used before anything is bought; without the yard what is short is told', () => {
    const lumber = lumberOf(0);
    const maple = (boards: Board[], buying: boolean) =>
      demandsOf(lumber, boards, DEFAULT_SHOP, NOBODY, { buying }).find(({ wood }) => wood === 'sugar-maple')!;
    const plenty = maple([board({ widthMm: 300 }), board({ id: 'b2', widthMm: 300 })], true);
    const own = placed(plenty, solve(plenty.problem, solver).answer, DEFAULT_SHOP);
    expect(own.boards.every(({ stock }) => stock.board)).toBe(true);
    expect(buyingOf([own], lumber, DEFAULT_SHOP)).toEqual([]);
    const little = maple([board({ lengthMm: 500, widthMm: 60 })], false);
    const short = placed(little, greedy(little.problem), DEFAULT_SHOP);
    expect(short.missing.length).toBeGreaterThan(0);
    sound(little, short);
  });
  test('what fits nowhere is said by name, with its sizes', () => {
    const demand = demandsOf(
      lumberOf(1),
      [],
      { ...DEFAULT_SHOP, holdBackMm: mm(170), yard: [{ widthMm: mm(150), lengthMm: mm(200) }] },
      rollOf(demoProjects()[1]!),
    );
    const reasons = demand.flatMap(({ reasons }) => reasons);
    expect(plain(reasons[0]!.message)).toMatch(/No board gives the .*ring .*across, planed to/);
  });
  test('a thick board is resawn where the shop does so: half the width is enough', () => {
    const lumber = lumberOf(0);
    const of = (resaws: boolean) => {
      const shop = { ...DEFAULT_SHOP, resaws, resawHeightMm: mm(200) };
      const all = demandsOf(
        lumber,
        [board({ lengthMm: 450, thicknessMm: 101.6, widthMm: 900 })],
        shop,
        NOBODY,
        {
          buying: false,
        },
      );
      const demand = all.find(({ wood }) => wood === 'sugar-maple');
      return placed(demand!, greedy(demand!.problem), shop).boards.flatMap(({ strips }) => strips);
    };
    expect(Math.max(...of(false).map(({ leaves }) => leaves.length))).toBe(1);
    expect(Math.max(...of(true).map(({ leaves }) => leaves.length))).toBeGreaterThan(1);
    expect(of(true).length).toBeLessThan(of(false).length);
  });
  test('how many pieces the boards give: none, one, and more with more boards', () => {
    const lumber = lumberOf(1);
    const of = (count: number) =>
      howMany(
        demandsOf(
          lumber,
          [...new Set(lumber.woods.map(({ wood }) => wood))].flatMap((wood) =>
            Array.from({ length: count }, (_, i) =>
              board({ id: `${wood}${i}`, wood, widthMm: 300, thicknessMm: 50.8 }),
            ),
          ),
          DEFAULT_SHOP,
          NOBODY,
          { buying: false },
        ),
        solver,
        DEFAULT_SHOP,
      );
    expect(of(0)).toBe(0);
    expect(of(2)).toBeGreaterThan(of(1));
  });
});

describe('boards', () => {
  test('rough thicknesses lose what the trade takes off (hardwood grading rules, from memory)', () => {
    for (const [rough, left] of [
      [1, 13 / 16],
      [1.25, 17 / 16],
      [1.5, 21 / 16],
      [2, 1.75],
    ] as const)
      expect(surfacedThickness({ thicknessMm: mm(rough * 25.4), surfaced: false })).toBeCloseTo(
        left * 25.4,
        9,
      );
    expect(surfacedThickness({ thicknessMm: mm(20), surfaced: true })).toBe(20);
  });
  test('a cut beside a defect is made once, where rounding puts it a hair into the defect too', () => {
    const whole = { xMm: 1.2000000000000002, yMm: 0, lengthMm: 534, widthMm: 129 };
    const knots = [
      { xMm: 174.29999999999998, yMm: 59.892857142857146, lengthMm: 44.599999999999994, widthMm: 6 },
      { xMm: 203, yMm: 9.214285714285714, lengthMm: 36.5, widthMm: 5.1 },
    ];
    const sections = clearSections(whole, knots);
    expect(sections.length).toBeGreaterThan(3);
    for (const section of sections) for (const knot of knots) expect(overlap(section, knot)).toBe(false);
  });
  test('clear sections hold no defect, do not overlap and lie within the board', () => {
    fc.assert(
      fc.property(anyBoard(['x']), between(0, 20), ({ lengthMm, widthMm, defects }, trim) => {
        const whole = { xMm: trim, yMm: 0, lengthMm: lengthMm - 2 * trim, widthMm };
        const sections = clearSections(whole, defects);
        sections.forEach((section, i) => {
          for (const defect of defects) expect(overlap(section, defect)).toBe(false);
          for (const other of sections.slice(i + 1)) expect(overlap(section, other)).toBe(false);
          expect(section.xMm + section.lengthMm).toBeLessThanOrEqual(lengthMm - trim + 1e-6);
        });
        const clear = sections.reduce((sum, s) => sum + s.lengthMm * s.widthMm, 0);
        const lost = defects.reduce((sum, d) => sum + d.lengthMm * d.widthMm, 0);
        expect(clear).toBeLessThanOrEqual(whole.lengthMm * widthMm + 1e-6);
        if (defects.length === 1)
          expect(clear).toBeGreaterThan(whole.lengthMm * widthMm - lost - 45 * (lengthMm + widthMm));
      }),
    );
  });
  test.each([
    [{ widthMm: 4 }, /Width of the board is 4 mm; it has to be a length from 10 mm/],
    [{ price: 0 }, /Price is 0; it has to be a number from 0.01/],
    [
      { defects: [{ kind: 'knot' as const, xMm: mm(2300), yMm: mm(0), lengthMm: mm(200), widthMm: mm(20) }] },
      /Defect 1 reaches to 2500 mm/,
    ],
  ])('a board that cannot be is refused: %o', (change, says) => {
    const { success, error } = boardSchema.safeParse({ ...board({}), ...change });
    expect(success).toBe(false);
    expect(plain(fromZod(error!.issues[0]!.message))).toMatch(says);
  });
});
