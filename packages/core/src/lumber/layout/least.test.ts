import { expect, test } from 'vitest';
import { demoProjects } from '../../demo/index.js';
import { mm, rad } from '../../measure/quantity.js';
import { DEFAULT_SHOP } from '../../settings/shop.js';
import { planned } from '../../testing/pieces.js';
import { demandsOf, triedOf } from './demand.js';
import { greedy } from './greedy.js';
import type { DemandKind } from './kinds.js';
import { leastFeet } from './least.js';
import { missingIn } from './problem.js';
import { onHand, sold } from './stock.js';

const shop = { ...DEFAULT_SHOP, endTrimMm: mm(50), edgeJointMm: mm(0), resaws: false };
const kind = (count: number, change: Partial<DemandKind> = {}): DemandKind => ({
  what: 'strip',
  name: 'strip',
  setting: {
    widthMm: mm(40),
    thicknessMm: mm(20),
    cutAngle: rad(0),
    bladeTilt: rad(0),
    cutting: 'turned-over',
    kerfMm: mm(3),
  },
  widthMm: mm(40),
  leastWidthMm: mm(40),
  thicknessMm: mm(20),
  tailMm: mm(0),
  pieces: [
    {
      along: mm(100),
      edgeMm: mm(100),
      owners: [{ owner: null, purpose: 'piece', count, keptMm: mm(20), resawMm: mm(0) }],
    },
  ],
  ...change,
});
const board = (lengthMm: number, widthMm: number, thicknessMm = 25.4) =>
  onHand(
    {
      id: 'a',
      wood: 'wenge',
      lengthMm: mm(lengthMm),
      widthMm: mm(widthMm),
      thicknessMm: mm(thicknessMm),
      surfaced: false,
      price: null,
      moisturePercent: null,
      note: '',
      defects: [],
    },
    shop,
  );

test('by hand: faces over what is clear of the best board, no less than the smallest board', () => {
  // 1100 × 200 mm less 50 mm at each end: 200,000 mm² clear for 2.3680 bd ft; 25 pieces of 100 × 40 are half of it.
  const stock = board(1100, 200);
  expect(stock.boardFeet).toBeCloseTo((1100 * 200 * 25.4) / 2_359_737, 5);
  expect(leastFeet([kind(60)], [stock], shop)).toBeCloseTo(1.2 * stock.boardFeet, 9);
  expect(leastFeet([kind(25)], [stock], shop)).toBe(stock.boardFeet);
  expect(leastFeet([kind(60, { leastWidthMm: mm(20) })], [stock], shop)).toBe(stock.boardFeet);
  // A board too thin gives nothing; where a thick one is resawn, two leaves share its face.
  expect(leastFeet([kind(60)], [board(1100, 200, 10)], shop)).toBe(0);
  const thick = board(1100, 200, 50.8);
  expect(leastFeet([kind(150)], [thick], { ...shop, resaws: true })).toBeCloseTo(1.5 * thick.boardFeet, 9);
  expect(leastFeet([], [stock], shop)).toBe(0);
  // A rip wider than the saw takes is not resawn; a block as wide may be glued up from parts that are.
  const wide = { widthMm: mm(200), leastWidthMm: mm(40) };
  const saw = { ...shop, resaws: true, resawHeightMm: mm(150) };
  expect(leastFeet([kind(150, wide)], [thick], saw)).toBeCloseTo(3 * thick.boardFeet, 9);
  expect(leastFeet([kind(150, { ...wide, what: 'block' })], [thick], saw)).toBeCloseTo(
    1.5 * thick.boardFeet,
    9,
  );
});

test('no layout of any piece of the show, crosscut in whatever way, needs less', () => {
  let laid = 0;
  for (const project of demoProjects()) {
    const plan = planned(project);
    const roll = {
      nameOf: () => '',
      titleOf: () => '',
      indexOf: () => 0,
      pathOf: () => '',
      ownerAt: () => null,
    };
    for (const demand of demandsOf(plan.lumber, [], DEFAULT_SHOP, roll as never)) {
      const answer = greedy(demand.problem);
      if (missingIn(answer) > 0 || demand.kinds.length === 0) continue;
      const feet = answer.boards.reduce((sum, { stock }) => sum + demand.stocks[stock]![0]!.boardFeet, 0);
      expect(demand.leastFeet).toBeLessThanOrEqual(feet + 1e-9);
      expect(demand.leastFeet).toBeGreaterThan(0.2 * feet);
      expect(triedOf(demand)).toBeGreaterThanOrEqual(1);
      const whole = sold(demand.wood, demand.kinds, DEFAULT_SHOP);
      expect(demand.leastFeet).toBeCloseTo(leastFeet(demand.kinds, whole, DEFAULT_SHOP), 9);
      laid++;
    }
  }
  expect(laid).toBeGreaterThan(20);
});
