import { type Board, boardSchema } from '../lumber/board.js';
import type { Lumber, PanelEntry, StripEntry } from '../lumber/lumber.js';
import { fromDegrees, mm, rad } from '../measure/quantity.js';
import { ringOwner } from '../ring/owner.js';

export const INCH = 25.4;
export const wood = 'black-walnut';

/** A disc in one piece. */
export const disc = (acrossMm: number): PanelEntry => ({
  owner: ringOwner(`disc ${acrossMm}`),
  wood,
  name: 'Disc',
  shape: 'disc',
  count: 1,
  lengthMm: mm(acrossMm),
  widthMm: mm(acrossMm),
  thicknessMm: mm(20),
  netMm: mm(18.5),
  resawMm: mm(0),
  pieceMm3: (Math.PI / 4) * acrossMm ** 2 * 18.5,
  quarter: '4/4',
});

/** A ring of twelve: long edges and a width, cut at 15°. */
export const ring = (longEdgeMm: number, widthMm: number): StripEntry => ({
  wood,
  widthMm: mm(widthMm),
  thicknessMm: mm(20),
  cutAngle: fromDegrees(15),
  bladeTilt: rad(0),
  cutting: 'turned-over',
  quarter: '4/4',
  cuts: [
    {
      owner: ringOwner(`ring ${longEdgeMm}`),
      purpose: 'piece',
      longEdgeMm: mm(longEdgeMm),
      count: 12,
      keptMm: mm(18.5),
      resawMm: mm(0),
    },
  ],
});

export const lumberOf = (strips: StripEntry[], panels: PanelEntry[]): Lumber => ({
  strips,
  panels,
  woods: [],
  reasons: [],
});
/** A 4/4 board of the same wood. */
export const onHand = (lengthMm: number, widthMm: number): Board =>
  boardSchema.parse({
    id: 'b',
    wood,
    lengthMm,
    widthMm,
    thicknessMm: INCH,
    surfaced: false,
    price: null,
    moisturePercent: null,
    note: '',
    defects: [],
  });
