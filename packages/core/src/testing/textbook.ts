import type { Problem } from '../lumber/layout/problem.js';

/** Rolls of 5600 into widths: a widely reproduced textbook example of one-dimensional cutting stock (from memory). */
const TEXTBOOK = [
  [1380, 22],
  [1520, 25],
  [1560, 12],
  [1710, 14],
  [1820, 18],
  [1880, 18],
  [1930, 20],
  [2000, 10],
  [2050, 12],
  [2100, 14],
  [2140, 16],
  [2150, 18],
  [2200, 20],
] as const;

export const textbook: Problem = {
  kinds: TEXTBOOK.map(([width, count]) => ({ width, overhead: 0, pieces: [{ length: 1, count }] })),
  stocks: [
    {
      sections: [{ length: 1, width: 5600 }],
      copies: Number.POSITIVE_INFINITY,
      cost: 1,
      leaves: TEXTBOOK.map(() => 1),
    },
  ],
};
