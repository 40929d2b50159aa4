import fc from 'fast-check';
import load from 'highs';
import { beforeAll, describe, expect, test } from 'vitest';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { DEFAULT_SHOP, type Shop } from '../../settings/shop.js';
import { disc, INCH, lumberOf, onHand, ring } from '../../testing/lumber.js';
import { between } from '../../testing/numbers.js';
import { NOBODY } from '../../testing/pieces.js';
import type { Lumber } from '../lumber.js';
import { boardCuts } from './boardCuts.js';
import { bestSawing } from './columns.js';
import { demandsOf, triedOf, withWays } from './demand.js';
import { givenOf, givenSchema, placedGiven } from './given.js';
import { greedy } from './greedy.js';
import { howMany } from './howMany.js';
import { laidOut } from './layingOut.js';
import { fencesOf, isBetter, largestLeft } from './merit.js';
import { pricedWays } from './partLengths.js';
import { placed } from './placed.js';
import { type Answer, costOf, missingIn, type Problem } from './problem.js';
import { type Solver, solverOf } from './program.js';
import { tidied } from './tidy.js';

let solver: Solver;
beforeAll(async () => {
  solver = solverOf(await load());
});

const demandOf = (
  lumber: Lumber,
  boards: Parameters<typeof demandsOf>[1],
  change: Partial<Shop> = {},
  buying = false,
) => demandsOf(lumber, boards, { ...DEFAULT_SHOP, ...change }, NOBODY, { buying })[0]!;

describe('a disc whole or glued up from parts', () => {
  const size = (widthMm: number, lengthMm: number) => ({ widthMm: mm(widthMm), lengthMm: mm(lengthMm) });
  const parts = (yard: Shop['yard'], lumber = lumberOf([], [disc(300)])) => {
    const { kinds } = demandOf(lumber, [], { yard }, true);
    return kinds.map(({ widthMm }) => Math.round(300 / widthMm));
  };
  // By hand: 330 × 600 mm are 2.1 bd ft of 4/4, 180 × 700 are 1.4, and both halves of 300 × 153 come one behind the other.
  test('of the narrower boards where that is less wood', () => {
    expect(parts([size(330, 600)])).toEqual([1]);
    expect(parts([size(330, 600), size(180, 700)])).toEqual([2]);
    expect(parts([size(330, 600), size(180, 1100)])).toEqual([1]);
  });
  test('in one piece where nothing is bought less for it: a joint is work', () => {
    const boards = [onHand(600, 330), onHand(700, 180)];
    const whole = demandOf(lumberOf([], [disc(300)]), boards, { yard: [size(150, 1000)] }, true);
    expect(whole.kinds.map(({ widthMm }) => widthMm)).toEqual([300]);
    const onStep = demandOf(
      lumberOf([], [disc(307.3)]),
      [],
      { yard: [size(180, 1000)], ripStepMm: mm(0.5) },
      true,
    );
    expect((2 * onStep.kinds[0]!.widthMm) % 1).toBe(0);
  });
  test('from as many parts as the widest board asks for, and never what is turned round', () => {
    expect(parts([size(120, 1200)])).toEqual([3]);
    const stave = { ...disc(300), shape: 'stave' as const };
    expect(parts([size(330, 600), size(180, 700)], lumberOf([], [stave]))).toEqual([1]);
  });
});

const price = between(0.001, 0.01);

test('lengths of parts that prices ask for: no board in two parts of any length on the step is worth more', () => {
  fc.assert(
    fc.property(
      fc.tuple(fc.integer({ min: 50, max: 90 }), fc.integer({ min: 50, max: 90 })),
      fc.tuple(price, price, price),
      fc.integer({ min: 900, max: 1500 }),
      (edges, prices, longMm) => {
        const shop = { ...DEFAULT_SHOP, lengthStepMm: mm(5) };
        const lumber = lumberOf([ring(edges[0], 30), ring(edges[1], 44)], [disc(120)]);
        const demand = demandOf(lumber, [onHand(longMm, 150)], shop);
        const priced = demand.problem.kinds.map(({ pieces }, k) =>
          pieces.map(({ length }) => prices[k]! * length),
        );
        const bestOf = ({ problem }: typeof demand) =>
          Math.max(...problem.stocks.map((_, s) => bestSawing(problem, priced)(s).value));
        const lastOf = ({ problem }: typeof demand) =>
          bestSawing(problem, priced)(problem.stocks.length - 1).value;
        const ways = pricedWays(demand, priced, shop);
        const found = bestOf(ways.length > 0 ? withWays(demand, ways, shop)! : demand);
        if (ways.length > 0) expect(found).toBeGreaterThan(bestOf(demand));
        for (let first = 50; first < longMm - 60; first += 15) {
          const two = withWays(demand, [{ group: 0, way: [[first]] }], shop);
          if (two) expect(lastOf(two)).toBeLessThanOrEqual(found * (1 + 2e-4));
        }
      },
    ),
    { numRuns: 40 },
  );
});

describe('answers that cost the same', () => {
  const problem: Problem = {
    kinds: [
      { width: 300, overhead: 0, pieces: [{ length: 1000, count: 2 }] },
      { width: 200, overhead: 0, pieces: [{ length: 1000, count: 2 }] },
    ],
    stocks: [
      { sections: [{ length: 1000, width: 600 }], copies: 2, cost: 1, group: 0, leaves: [1, 1] },
      {
        sections: [
          { length: 500, width: 600 },
          { length: 500, width: 600 },
        ],
        copies: 2,
        cost: 1,
        group: 0,
        leaves: [1, 1],
      },
    ],
    keeps: { length: 400, width: 150 },
  };
  const rip = (kind: number) => ({ section: 0, kind, runs: [[1]] });
  const answer = (...boards: number[][]): Answer => ({
    boards: boards.map((kinds) => ({ stock: 0, rips: kinds.map(rip) })),
    missing: [[0], [0]],
  });
  test('fewer fences come first, then one large leftover that is kept', () => {
    const [mixed, apart] = [answer([0, 1], [0, 1]), answer([0, 0], [1, 1])];
    expect([fencesOf(problem, mixed), fencesOf(problem, apart)]).toEqual([4, 2]);
    // 600 − 500 is too narrow to keep, 600 − 400 is not.
    expect([largestLeft(problem, mixed), largestLeft(problem, apart)]).toEqual([0, 200_000]);
    expect(isBetter(problem, apart, mixed)).toBe(true);
    expect(isBetter(problem, mixed, apart)).toBe(false);
    expect(fencesOf(problem, tidied(problem, mixed))).toBe(2);
    // As many fences: 600 − 400 kept, or 600 − 300 and 600 − 200.
    expect(isBetter(problem, answer([0], [1]), apart)).toBe(true);
    expect(isBetter(problem, apart, answer([0], [1]))).toBe(false);
    const dearer = { ...problem, stocks: problem.stocks.map((of) => ({ ...of, copies: 3 })) };
    expect(isBetter(dearer, answer([0, 0], [1], [1]), mixed)).toBe(false);
    expect(isBetter(problem, { ...apart, missing: [[1], [0]] }, mixed)).toBe(false);
  });
  test('tidying never costs more nor lacks more, on any demand', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 40, max: 90 }), { minLength: 1, maxLength: 4 }), (edges) => {
        const lumber = lumberOf(
          edges.map((edge, i) => ring(edge, 25 + 7 * i)),
          [disc(120)],
        );
        const demand = demandOf(lumber, [onHand(1500, 160), onHand(900, 160)], {}, true);
        const before = greedy(demand.problem);
        const after = tidied(demand.problem, before);
        expect(missingIn(after)).toBe(missingIn(before));
        expect(costOf(demand.problem, after)).toBeLessThanOrEqual(costOf(demand.problem, before) + 1e-9);
        expect(isBetter(demand.problem, before, after)).toBe(false);
      }),
      { numRuns: 15 },
    );
  });
});

test('a solved layout in lengths that were looked for is handed on and comes out the same', () => {
  const lumber = lumberOf([ring(70, 30), ring(61, 44)], [disc(130)]);
  const first = demandOf(lumber, [onHand(1250, 160)], {}, true);
  const longer = withWays(first, [{ group: 0, way: [[427]] }], DEFAULT_SHOP)!;
  expect(longer.problem.stocks).toHaveLength(first.problem.stocks.length + 1);
  expect(triedOf(longer)).toBeGreaterThanOrEqual(triedOf(first));
  const stock = longer.stocks.length - 1;
  const rips = [{ section: 0, kind: longer.kinds.length - 1, runs: [[1]] }];
  const answer: Answer = { boards: [{ stock, rips }], missing: [] };
  const told = givenOf([{ wood: first.wood, answer, found: longer.found }]);
  const back = placedGiven([first], givenSchema.parse(JSON.parse(JSON.stringify(told))), DEFAULT_SHOP);
  expect(back.ok && back.value[0]).toEqual(placed(longer, answer, DEFAULT_SHOP));
  const absurd = [{ ...told[0]!, found: [{ group: 0, way: [[5000]] }] }];
  expect(placedGiven([first], absurd, DEFAULT_SHOP).ok).toBe(false);
  expect(placedGiven([first], [{ ...told[0]!, found: [{ group: 99, way: [[50]] }] }], DEFAULT_SHOP).ok).toBe(
    false,
  );
});

test('how many the boards give is asked of the solver where the layouts at once do not say so', () => {
  const lumber = lumberOf([ring(92, 37), ring(76, 42)], []);
  const demands = [demandOf(lumber, [onHand(1492, 149), onHand(751, 145)])];
  const never: Solver = () => null;
  expect(howMany(demands, never, DEFAULT_SHOP)).toBe(2);
  expect(howMany(demands, solver, DEFAULT_SHOP)).toBe(3);
  // Three come out whole, and a fourth is more than there is.
  const times = (by: number) => ({ ...demands[0]!, problem: timesOf(demands[0]!.problem, by) });
  expect(missingIn(laidOut(times(3), solver, DEFAULT_SHOP).answer)).toBe(0);
  expect(missingIn(laidOut(times(4), solver, DEFAULT_SHOP).answer)).toBeGreaterThan(0);
});

const timesOf = (problem: Problem, by: number): Problem => ({
  ...problem,
  kinds: problem.kinds.map((kind) => ({
    ...kind,
    pieces: kind.pieces.map(({ length, count }) => ({ length, count: by * count })),
  })),
});

test('a strip that is resawn is crosscut before, and what is behind it comes back as thick as its board', () => {
  const shop = {
    ...DEFAULT_SHOP,
    resaws: true,
    leastOffcutMm: { lengthMm: mm(200), widthMm: mm(30) },
  };
  const stave = { ...disc(40), shape: 'stave' as const, lengthMm: mm(400), count: 6 };
  const long = { ...disc(30), shape: 'stave' as const, lengthMm: mm(1440) };
  const thick = { ...onHand(1500, 100), thicknessMm: mm(3 * INCH) };
  const demand = demandOf(lumberOf([], [stave, long]), [thick], shop);
  // The board as it is, and not crosscut: three lengths of 400 in every leaf, beside one of 1440.
  const whole = { ...demand.problem, stocks: demand.problem.stocks.slice(0, 1) };
  const [board] = placed(demand, greedy(whole), shop).boards;
  const [strip] = board!.strips;
  expect(strip!.leaves.map((leaf) => leaf.length)).toEqual([3, 3]);
  const behind = board!.offcuts.find(({ xMm }) => xMm > strip!.xMm + strip!.lengthMm - 1e-6);
  expect(behind!.lengthMm).toBeGreaterThan(200);
  expect(behind!.widthMm).toBe(strip!.widthMm);
  expect(boardCuts(board!, demand.kinds, shop).map(plain).join(' ')).toMatch(
    /Crosscut.* Resaw strip 1 into 2 leaves/,
  );
});

/** One ring from boards that are alike: by hand a board gives ⌊W/w⌋ strips of ⌊(L − first cut and tail)/l⌋ pieces, since nothing else could use the rest. */
test('how many one ring comes out of boards that are alike, against counting by hand', () => {
  const whole = (min: number, max: number) => fc.integer({ min, max });
  fc.assert(
    fc.property(
      whole(30, 90),
      whole(15, 50),
      whole(1, 6),
      whole(300, 1500),
      whole(60, 250),
      (edge, across, copies, long, wide) => {
        const boards = Array.from({ length: copies }, (_, i) => ({ ...onHand(long, wide), id: `b${i}` }));
        const demand = demandOf(lumberOf([ring(edge, across)], []), boards);
        const [kind, stock] = [demand.problem.kinds[0]!, demand.problem.stocks[0]!];
        const [{ length, width }, { length: along, count }] = [stock.sections[0]!, kind.pieces[0]!];
        const each = Math.floor(width / kind.width) * Math.floor((length - kind.overhead) / along);
        expect(howMany([demand], solver, DEFAULT_SHOP)).toBe(
          Math.min(50, Math.floor((copies * stock.leaves[0]! * each) / count)),
        );
      },
    ),
    { numRuns: 40 },
  );
});
