import { pieceRows } from '../lumber/pieceRows.js';
import { sentenceIn } from '../measure/said.js';
import type { Plan } from '../project/plan.js';
import { rollOf } from '../ring/owner.js';
import type { Shop } from '../settings/shop.js';
import type { Species } from '../wood/species.js';
import { csvOf } from './csv.js';
import { writer } from './writer.js';

/**
 * The cut list as CSV (RFC 4180): one row for every ring, wood and kind of piece. Lengths are plain numbers in the shop's units, in inches
 * to 0.001 or mm to 0.01; the headings carry the unit.
 */
export function cutListCsv(plan: Plan, woods: readonly Species[], shop: Shop): string {
  const { units: system } = shop;
  const { unit, size, angle, wood } = writer(woods, system);
  const { nameOf } = rollOf(plan);
  return csvOf(
    pieceRows(plan, shop).map((row) => ({
      for: nameOf(row.owner),
      piece: sentenceIn(row.name, system),
      wood: wood(row.wood),
      count: row.count,
      'cut angle °': angle(row.cutAngle),
      'blade tilt °': angle(row.bladeTilt),
      'mitre from the grain °': angle(row.taper),
      hand: row.hand ?? '',
      [`long edge ${unit}`]: size(row.longEdgeMm),
      [`short edge ${unit}`]: size(row.shortEdgeMm),
      [`width ${unit}`]: size(row.widthMm),
      [`length ${unit}`]: size(row.lengthMm),
      [`thickness ${unit}`]: size(row.thicknessMm),
      [`planed ${unit}`]: size(row.planedMm),
      [`height ${unit}`]: size(row.heightMm),
      from: row.from,
    })),
  );
}
