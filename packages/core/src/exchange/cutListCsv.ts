import { mitred } from '../making/stock.js';
import { INCH, trimZeros, type UnitSystem } from '../measure/format.js';
import { degrees } from '../measure/quantity.js';
import type { Plan } from '../project/plan.js';
import { rollOf } from '../ring/owner.js';
import type { Species } from '../wood/species.js';
import { csvOf } from './csv.js';

type Row = Record<string, string | number>;

/**
 * The cut list as CSV (RFC 4180): one row for every ring, wood and kind of piece. Lengths are plain numbers, in inches
 * to 0.001 or mm to 0.01; the headings carry the unit.
 */
export function cutListCsv(plan: Plan, woods: readonly Species[], system: UnitSystem): string {
  const unit = system === 'mm' ? 'mm' : 'in';
  const size = (mm: number) => trimZeros(unit === 'mm' ? mm.toFixed(2) : (mm / INCH).toFixed(3));
  const woodOf = new Map(woods.map((wood) => [wood.id, wood.name]));
  const { nameOf } = rollOf(plan);
  const rows = [...plan.rings, ...plan.slants, ...plan.blanks].flatMap(({ pieces }) =>
    pieces.map(({ owner, wood, kind, count }): Row => {
      const { stock } = kind;
      const strip = mitred(stock);
      const panel = stock.from === 'panel' ? stock : null;
      const tilt = stock.from === 'stash' || stock.from === 'slice' ? undefined : stock.bladeTilt;
      return {
        for: nameOf(owner),
        piece: kind.name,
        wood: woodOf.get(wood) ?? wood,
        count,
        'cut angle °': strip ? trimZeros(degrees(strip.cutAngle).toFixed(2)) : '',
        'blade tilt °': tilt ? trimZeros(degrees(tilt).toFixed(2)) : '',
        'mitre from the grain °': panel?.mitre ? trimZeros(degrees(panel.mitre).toFixed(2)) : '',
        hand: stock.from === 'strip' ? (stock.hand ?? '') : '',
        [`long edge ${unit}`]: strip ? size(strip.longEdgeMm) : '',
        [`short edge ${unit}`]: strip ? size(strip.shortEdgeMm) : '',
        [`width ${unit}`]: strip || panel ? size((strip ?? panel!).widthMm) : '',
        [`length ${unit}`]: panel ? size(panel.lengthMm) : '',
        [`thickness ${unit}`]: 'thicknessMm' in stock ? size(stock.thicknessMm) : '',
        [`height ${unit}`]: size(kind.heightMm),
        from: stock.from,
      };
    }),
  );
  return csvOf(rows);
}
