import type { NewBoard } from '../lumber/board.js';
import { INCH } from '../measure/format.js';
import { mm } from '../measure/quantity.js';

const inches = (value: number) => mm(value * INCH);

const rough = (
  wood: string,
  thickness: number,
  width: number,
  length: number,
  note: string,
  more: Partial<NewBoard> = {},
): NewBoard => ({
  wood,
  lengthMm: inches(length),
  widthMm: inches(width),
  thicknessMm: inches(thickness),
  surfaced: false,
  price: null,
  moisturePercent: 9,
  note,
  defects: [],
  ...more,
});

/** Boards in the rack beside the show's lathes. */
export const demoBoards = (): NewBoard[] => [
  rough('sugar-maple', 1, 6.5, 48, 'Rack, top shelf', { price: 9.5 }),
  rough('sugar-maple', 1, 5.25, 71, 'Rack, top shelf', {
    price: 9.5,
    defects: [
      { kind: 'knot', xMm: inches(22), yMm: inches(1.5), lengthMm: inches(2), widthMm: inches(1.25) },
      { kind: 'crack', xMm: mm(0), yMm: inches(2.25), lengthMm: inches(5), widthMm: inches(0.5) },
    ],
  }),
  rough('black-walnut', 1, 4.25, 31, 'From the old settle', { price: 12 }),
  rough('black-walnut', 1.5, 7, 60, 'Rack, middle shelf', {
    price: 14,
    defects: [{ kind: 'sap', xMm: mm(0), yMm: inches(6.25), lengthMm: inches(60), widthMm: inches(0.75) }],
  }),
  rough('purpleheart', 1, 3, 26, 'Bin of short ends'),
  rough('black-cherry', 1, 7.5, 40, 'Rack, middle shelf', { price: 8 }),
  rough('american-holly', 1, 4.5, 36, 'Behind the door', { moisturePercent: 11 }),
  rough('wenge', 0.8125, 5, 30, 'Bin of short ends', { surfaced: true }),
];
