import { mm } from '../../measure/quantity.js';
import type { Shop } from '../../settings/shop.js';
import type { DemandKind } from './kinds.js';
import { leavesOf, type StockBoard } from './stock.js';

/**
 * Board feet that no layout at all needs less of, however boards are crosscut and ripped: the face of all pieces without any
 * kerf, on boards that have no waste but their ends and their jointed edge (defects may lie between pieces), each piece where it
 * takes least, a block glued up from parts as narrow as the saw that resaws wants them;
 * and no less than the smallest board. Pieces that no board gives are left out.
 */
export function leastFeet(kinds: readonly DemandKind[], stocks: readonly StockBoard[], shop: Shop): number {
  const clear = stocks.map(
    ({ lengthMm, widthMm }) =>
      Math.max(0, lengthMm - 2 * shop.endTrimMm) * Math.max(0, widthMm - shop.edgeJointMm),
  );
  let feet = 0;
  for (const kind of kinds) {
    const rip = kind.what === 'block' ? { ...kind, widthMm: mm(0) } : kind;
    const rates = stocks.flatMap((stock, s) => {
      const leaves = leavesOf(rip, stock, shop);
      return leaves > 0 && clear[s]! > 0 ? [stock.boardFeet / (leaves * clear[s]!)] : [];
    });
    if (rates.length > 0) feet += faceOf(kind) * Math.min(...rates);
  }
  return feet === 0 ? 0 : Math.max(feet, Math.min(...stocks.map(({ boardFeet }) => boardFeet)));
}

/** Face of all pieces of a kind, mm²: slanted ends fit into each other, and a block may be glued up from fewer parts. */
const faceOf = ({ pieces, leastWidthMm }: DemandKind): number =>
  pieces.reduce((sum, { along, owners }) => sum + along * owners.reduce((n, { count }) => n + count, 0), 0) *
  leastWidthMm;
