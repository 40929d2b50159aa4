import Papa from 'papaparse';
import { INCH, trimZeros, type UnitSystem } from '../measure/format.js';
import { degrees } from '../measure/quantity.js';
import type { Plan } from '../project/plan.js';
import type { Species } from '../wood/species.js';

type Row = Record<string, string | number>;

/**
 * The cut list as CSV (RFC 4180): one row for every ring, wood and kind of piece. Lengths are plain numbers, in inches
 * to 0.001 or mm to 0.01; the headings carry the unit.
 */
export function cutListCsv(plan: Plan, woods: readonly Species[], system: UnitSystem): string {
  const unit = system === 'mm' ? 'mm' : 'in';
  const size = (mm: number) => trimZeros(unit === 'mm' ? mm.toFixed(2) : (mm / INCH).toFixed(3));
  const nameOf = new Map(woods.map((wood) => [wood.id, wood.name]));
  const rows = plan.rings.flatMap((ring) =>
    ring.pieces.map(({ wood, kind, count }): Row => {
      const strip = kind.stock.from === 'strip' ? kind.stock : null;
      const panel = kind.stock.from === 'panel' ? kind.stock : null;
      return {
        ring: ring.index + 1,
        piece: kind.name,
        wood: nameOf.get(wood) ?? wood,
        count,
        'cut angle °': strip ? trimZeros(degrees(strip.cutAngle).toFixed(2)) : '',
        [`long edge ${unit}`]: strip ? size(strip.longEdgeMm) : '',
        [`short edge ${unit}`]: strip ? size(strip.shortEdgeMm) : '',
        [`width ${unit}`]: size((strip ?? panel!).widthMm),
        [`length ${unit}`]: panel ? size(panel.lengthMm) : '',
        [`height ${unit}`]: size(kind.heightMm),
      };
    }),
  );
  return Papa.unparse(rows, { newline: '\r\n', escapeFormulae: true });
}
