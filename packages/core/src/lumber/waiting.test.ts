import { expect, test } from 'vitest';
import { demoBoards } from '../demo/boards.js';
import { mm } from '../measure/quantity.js';
import { USUAL_CLIMATE } from '../settings/climate.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { moistureRange } from '../wood/moisture.js';
import type { Board } from './board.js';
import { waitingBoards } from './waiting.js';

const board = (change: Partial<Board>): Board => ({
  ...demoBoards()[0]!,
  id: 'b',
  wood: 'sugar-maple',
  lengthMm: mm(1000),
  widthMm: mm(200),
  thicknessMm: mm(25.4),
  ...change,
});
const { dry, damp } = moistureRange(USUAL_CLIMATE);
const room = (dry + damp) / 2;
const waiting = (...boards: Board[]) => waitingBoards(boards, SHIPPED_WOODS, USUAL_CLIMATE);

test('the wettest waits longest; one without a reading is left out, one that is near enough waits no day', () => {
  const told = waiting(
    board({ id: 'near', moisturePercent: room + 0.5 }),
    board({ id: 'unknown', moisturePercent: null }),
    board({ id: 'wet', moisturePercent: 25 }),
    board({ id: 'damp', moisturePercent: 14 }),
  );
  expect(told.map(({ board: { id } }) => id)).toEqual(['wet', 'damp', 'near']);
  expect(told[2]!.days).toBe(0);
  expect(told[0]!.weight).toBeCloseTo((100 + room) / 125, 9);
});

test('sizes by the shrinkage of the Wood Handbook: sugar maple 9.9 % tangential and 4.8 % radial, green to dry', () => {
  // From 30 % on, straight to oven-dry: so much of the whole shrinkage as of the moisture is lost, by hand, over the size at 10 %.
  const [green] = waiting(board({ moisturePercent: 60 }));
  const by = (whole: number) => ((30 - room) / 30) * (whole / (1 - (whole * 20) / 30));
  expect(green!.widthMm).toBeCloseTo(200 * (1 - by(0.099)), 6);
  expect(green!.thicknessMm).toBeCloseTo(25.4 * (1 - by(0.048)), 6);
  // Wetter than saturated it is heavier, and no larger.
  const [soaked] = waiting(board({ moisturePercent: 90 }));
  expect(soaked!.widthMm).toBe(green!.widthMm);
  expect(soaked!.weight).toBeLessThan(green!.weight);
  const [dryBoard] = waiting(board({ moisturePercent: 4 }));
  expect(dryBoard!.widthMm).toBeGreaterThan(200);
});
