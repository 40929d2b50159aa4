import { expect, test } from 'vitest';
import { fencesOf, isBetter, largestLeft } from './merit.js';
import type { Answer, Problem } from './problem.js';

// By hand: two kinds of strip, 300 and 200 tenths wide, from boards of 10,000 × 1,000; the second stock is dearer and in two parts.
const problem: Problem = {
  kinds: [
    { width: 300, overhead: 0, pieces: [{ length: 1000, count: 4 }] },
    { width: 200, overhead: 0, pieces: [{ length: 1000, count: 4 }] },
  ],
  stocks: [
    { sections: [{ length: 10_000, width: 1000 }], copies: 9, cost: 5, leaves: [1, 1] },
    {
      sections: [
        { length: 6000, width: 1000 },
        { length: 4000, width: 1000 },
      ],
      copies: 9,
      cost: 5,
      leaves: [1, 1],
    },
    { sections: [{ length: 10_000, width: 1000 }], copies: 9, cost: 6, leaves: [1, 1] },
  ],
};
type Boards = Answer['boards'];
const rip = (kind: number, section = 0) => ({ section, kind, runs: [[4]] });
const answer = (boards: Boards, missing = 0): Answer => ({ boards, missing: [[missing], [0]] }) as Answer;
const one = (stock: number, ...kinds: number[]): Boards =>
  [{ stock, rips: kinds.map((kind) => rip(kind)) }] as Boards;

test('an answer that lacks less is better, whatever it costs; then the cheaper one', () => {
  const [none, some] = [answer(one(2, 0, 1)), answer(one(0, 0), 1)];
  expect([isBetter(problem, none, some), isBetter(problem, some, none)]).toEqual([true, false]);
  const [cheap, dear] = [answer(one(0, 0, 1)), answer(one(2, 0, 1))];
  expect([isBetter(problem, cheap, dear), isBetter(problem, dear, cheap)]).toEqual([true, false]);
  // One is no better than itself.
  expect(isBetter(problem, cheap, cheap)).toBe(false);
});

test('then fewer fences, board by board; then the larger leftover; then fewer parts', () => {
  const apart = [...one(0, 0), ...one(0, 1)];
  const mixed = [...one(0, 0, 1), ...one(0, 0, 1)];
  expect([fencesOf(problem, { boards: apart }), fencesOf(problem, { boards: mixed })]).toEqual([2, 4]);
  expect([
    isBetter(problem, answer(apart), answer(mixed)),
    isBetter(problem, answer(mixed), answer(apart)),
  ]).toEqual([true, false]);
  const [narrow, wide] = [answer(one(0, 1)), answer(one(0, 0))];
  expect([largestLeft(problem, narrow), largestLeft(problem, wide)]).toEqual([10_000 * 800, 10_000 * 700]);
  expect([isBetter(problem, narrow, wide), isBetter(problem, wide, narrow)]).toEqual([true, false]);
  // Nothing worth keeping is left of either: the one in one part is better.
  const keeps = { ...problem, keeps: { length: 20_000, width: 0 } };
  const [whole, parted] = [answer(one(0, 0)), answer(one(1, 0))];
  expect(largestLeft(keeps, whole)).toBe(0);
  expect([isBetter(keeps, whole, parted), isBetter(keeps, parted, whole)]).toEqual([true, false]);
});

test('a leftover counts from the least that is kept on, length and width', () => {
  const left = (length: number, width: number) =>
    largestLeft({ ...problem, keeps: { length, width } }, { boards: one(0, 0) });
  expect(left(10_000, 700)).toBe(7_000_000);
  expect(left(10_001, 700)).toBe(0);
  expect(left(10_000, 701)).toBe(0);
  // Of two parts the one that nothing is ripped from counts whole.
  expect(largestLeft(problem, { boards: one(1, 0) })).toBe(Math.max(6000 * 700, 4000 * 1000));
});
