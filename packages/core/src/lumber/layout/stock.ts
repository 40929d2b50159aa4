import type { Mm } from '../../measure/quantity.js';
import { boardFeet } from '../../measure/volume.js';
import type { Shop } from '../../settings/shop.js';
import { type Board, chargedFeet, clearSections, type Section, surfacedThickness } from '../board.js';
import { QUARTERS, type Quarter, quarterFor } from '../quarters.js';
import type { DemandKind } from './kinds.js';

/** A board that may be sawn: one on hand, or a size that the yard sells. */
export interface StockBoard {
  readonly board: Board | null;
  readonly quarter: Quarter | null;
  readonly lengthMm: Mm;
  readonly widthMm: Mm;
  /** When planed. */
  readonly thicknessMm: Mm;
  /** Its clear parts, crosscut into lengths where that leaves less. */
  readonly sections: readonly Section[];
  readonly boardFeet: number;
  /** Of the whole board; null where no price is known. */
  readonly price: number | null;
}

/** A board less its ends and its jointed edge, its defects sawn out. */
export function usable(
  lengthMm: number,
  widthMm: number,
  shop: Shop,
  defects: Board['defects'] = [],
): Section[] {
  const whole = {
    xMm: shop.endTrimMm,
    yMm: shop.edgeJointMm,
    lengthMm: lengthMm - 2 * shop.endTrimMm,
    widthMm: widthMm - shop.edgeJointMm,
  };
  return clearSections(whole, defects, shop.ripKerfMm);
}

export function onHand(board: Board, shop: Shop): StockBoard {
  const { lengthMm, widthMm, price, wood } = board;
  const feet = chargedFeet(board, shop);
  const each = price ?? shop.prices[wood] ?? null;
  return {
    board,
    quarter: null,
    lengthMm,
    widthMm,
    thicknessMm: surfacedThickness(board),
    sections: usable(lengthMm, widthMm, shop, board.defects),
    boardFeet: feet,
    price: each === null ? null : each * feet,
  };
}

/** Sizes of the yard in the thicknesses that are wanted. */
export function sold(wood: string, kinds: readonly DemandKind[], shop: Shop): StockBoard[] {
  const quarters = new Set(kinds.flatMap(({ thicknessMm }) => quarterFor(thicknessMm) ?? []));
  return QUARTERS.filter((quarter) => quarters.has(quarter)).flatMap((quarter) =>
    shop.yard.map(({ lengthMm, widthMm }): StockBoard => {
      const feet = boardFeet(lengthMm * widthMm * quarter.roughMm);
      const each = shop.prices[wood];
      return {
        board: null,
        quarter,
        lengthMm,
        widthMm,
        thicknessMm: quarter.surfacedMm,
        sections: usable(lengthMm, widthMm, shop),
        boardFeet: feet,
        price: each === undefined ? null : each * feet,
      };
    }),
  );
}

/** How many strips of a kind one rip gives when it is resawn; 1 where it is not, 0 where the board is too thin. */
export function leavesOf(
  { thicknessMm, widthMm }: Pick<DemandKind, 'thicknessMm' | 'widthMm'>,
  board: Pick<StockBoard, 'thicknessMm'>,
  shop: Shop,
): number {
  if (board.thicknessMm < thicknessMm - 0.01) return 0;
  // A rip stands on edge under the bandsaw's guides.
  if (!shop.resaws || widthMm > shop.resawHeightMm) return 1;
  const leaf = thicknessMm + shop.resawCleanMm + shop.resawKerfMm;
  return Math.max(1, Math.floor((board.thicknessMm + shop.resawKerfMm + 1e-6) / leaf));
}

/** Boards on hand by what they are alike in. */
export function alike(boards: readonly StockBoard[]): StockBoard[][] {
  const groups = new Map<string, StockBoard[]>();
  for (const stock of boards) {
    const { lengthMm, widthMm, thicknessMm, price, board } = stock;
    const key = JSON.stringify([lengthMm, widthMm, thicknessMm, price, board?.defects]);
    groups.set(key, [...(groups.get(key) ?? []), stock]);
  }
  return [...groups.values()];
}
