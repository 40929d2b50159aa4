import { expect, test } from 'vitest';
import { mm } from '../measure/quantity.js';
import { type Board, type NewBoard, newBoardSchema } from './board.js';
import { partOf, splitBoard } from './splitBoard.js';

const knot = { kind: 'knot' as const, xMm: mm(300), yMm: mm(40), lengthMm: mm(100), widthMm: mm(30) };
const board = {
  id: 'a',
  wood: 'wenge',
  lengthMm: mm(1000),
  widthMm: mm(120),
  thicknessMm: mm(25.4),
  surfaced: false,
  price: 9,
  moisturePercent: 8,
  note: 'rack',
  defects: [knot],
} satisfies Board;
const sizes = ({ lengthMm, widthMm }: NewBoard) => [lengthMm, widthMm];
const parts = (way: 'across' | 'along', at: number) => {
  const split = splitBoard(board, way, at, 3);
  if (!split.ok) throw new Error('split');
  return split.value;
};

test('across the knot: each part has its share of it, measured from its own end; the kerf is the second one’s loss', () => {
  const [left, right] = parts('across', 340);
  expect([sizes(left!), sizes(right!)]).toEqual([
    [340, 120],
    [657, 120],
  ]);
  expect(left!.defects).toEqual([{ ...knot, lengthMm: 40 }]);
  expect(right!.defects).toEqual([{ ...knot, xMm: 0, lengthMm: 57 }]);
  expect(right).toMatchObject({ wood: 'wenge', price: 9, moisturePercent: 8, note: 'rack' });
  expect(right).not.toHaveProperty('id');
});

test('along: above the knot nothing of it is left, below it all', () => {
  const [lower, upper] = parts('along', 75);
  expect([sizes(lower!), sizes(upper!)]).toEqual([
    [1000, 75],
    [1000, 42],
  ]);
  expect([lower!.defects, upper!.defects]).toEqual([[knot], []]);
});

test('a hair of a defect is none, and every part can be kept', () => {
  expect(partOf(board, { xMm: 0, yMm: 0, lengthMm: 300.05, widthMm: 120 }).defects).toEqual([]);
  expect(partOf(board, { xMm: 0, yMm: 0, lengthMm: 300.2, widthMm: 120 }).defects).toHaveLength(1);
  for (const part of [...parts('across', 350), ...parts('along', 50)])
    expect(newBoardSchema.safeParse(part).success).toBe(true);
});

test.each([
  ['across', 50, 947],
  ['along', 10, 107],
] as const)('cuts %s lie from %d to %d, and not a tenth beyond', (way, least, most) => {
  for (const at of [least, most]) expect(splitBoard(board, way, at, 3).ok).toBe(true);
  for (const at of [least - 0.1, most + 0.1, Number.NaN])
    expect(splitBoard(board, way, at, 3)).toMatchObject({
      ok: false,
      reasons: [{ code: 'split', limits: { least, most } }],
    });
});
