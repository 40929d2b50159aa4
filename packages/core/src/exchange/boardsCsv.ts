import type { Board } from '../lumber/board.js';
import { INCH, trimZeros, type UnitSystem } from '../measure/format.js';
import type { Species } from '../wood/species.js';
import { csvOf } from './csv.js';

/** Boards on hand as CSV (RFC 4180), a row each. Defects: `knot 120 30 20 15; crack …`: kind, from the end, from the edge, length, width. */
export function boardsCsv(boards: readonly Board[], woods: readonly Species[], system: UnitSystem): string {
  const unit = system === 'mm' ? 'mm' : 'in';
  const size = (mm: number) => trimZeros(unit === 'mm' ? mm.toFixed(2) : (mm / INCH).toFixed(4));
  const nameOf = new Map(woods.map(({ id, name }) => [id, name]));
  const rows = boards.map((board) => ({
    wood: nameOf.get(board.wood) ?? board.wood,
    [`length ${unit}`]: size(board.lengthMm),
    [`width ${unit}`]: size(board.widthMm),
    [`thickness ${unit}`]: size(board.thicknessMm),
    surfaced: board.surfaced ? 'yes' : 'no',
    price: board.price ?? '',
    'moisture %': board.moisturePercent ?? '',
    note: board.note,
    defects: board.defects
      .map(({ kind, xMm, yMm, lengthMm, widthMm }) =>
        [kind, ...[xMm, yMm, lengthMm, widthMm].map(size)].join(' '),
      )
      .join('; '),
  }));
  return csvOf(rows);
}
