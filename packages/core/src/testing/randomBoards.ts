import fc from 'fast-check';
import { type Board, boardSchema } from '../lumber/board.js';
import { between } from './numbers.js';

/** A board on hand of one of the woods, with defects that lie within it. */
export const anyBoard = (woods: readonly string[]): fc.Arbitrary<Board> =>
  fc
    .record({
      id: fc.uuid(),
      wood: fc.constantFrom(...woods),
      lengthMm: between(400, 2600),
      widthMm: between(60, 300),
      thicknessMm: fc.constantFrom(25.4, 31.75, 38.1, 50.8),
      surfaced: fc.boolean(),
      price: fc.option(between(1, 40)),
      defects: fc.array(
        fc.record({
          x: between(0, 0.9),
          y: between(0, 0.9),
          length: between(0.02, 0.1),
          width: between(0.05, 0.1),
        }),
        { maxLength: 3 },
      ),
    })
    .map(({ defects, ...board }) =>
      boardSchema.parse({
        ...board,
        moisturePercent: null,
        note: '',
        defects: defects.map(({ x, y, length, width }) => ({
          kind: 'knot',
          xMm: x * board.lengthMm,
          yMm: y * board.widthMm,
          lengthMm: length * board.lengthMm,
          widthMm: width * board.widthMm,
        })),
      }),
    );
