import { boardFeet } from '../../measure/volume.js';
import type { Shop } from '../../settings/shop.js';
import type { WoodLedger } from '../ledger.js';
import type { Lumber } from '../lumber.js';
import { QUARTERS } from '../quarters.js';
import type { WoodLayout } from './placed.js';

/** What to ask for at the yard, of one wood in one thickness. */
export interface Buying {
  readonly wood: string;
  readonly quarter: string;
  /** Boards of the yard's sizes, where they were laid out. */
  readonly boards: readonly { readonly widthMm: number; readonly lengthMm: number; readonly count: number }[];
  /** As the yard charges them; ends, edges and defects are in them, so that nothing comes on top. */
  readonly boardFeet: number;
  readonly cubicMetres: number;
  readonly price: number | null;
  /** Planed thicknesses that are charged as full inches all the same, mm. */
  readonly thinMm: readonly number[];
}

/** Anything thinner than an inch is charged as an inch; strips planed to less than this share of it are told. */
const THIN = 0.6;

/** What has to be bought for a layout, wood by wood and thickness by thickness. */
export function buyingOf(layouts: readonly WoodLayout[], lumber: Lumber, shop: Shop): Buying[] {
  return layouts.flatMap(({ wood, boards }) =>
    QUARTERS.flatMap((quarter): Buying[] => {
      const bought = boards
        .filter(({ stock }) => stock.quarter?.name === quarter.name)
        .map(({ stock }) => stock);
      if (bought.length === 0) return [];
      const feet = bought.reduce((sum, board) => sum + board.boardFeet, 0);
      const sizes = new Map<string, { widthMm: number; lengthMm: number; count: number }>();
      for (const { widthMm, lengthMm } of bought) {
        const key = `${widthMm} ${lengthMm}`;
        const known = sizes.get(key) ?? { widthMm, lengthMm, count: 0 };
        sizes.set(key, { ...known, count: known.count + 1 });
      }
      const each = shop.prices[wood];
      const planed = [...lumber.strips, ...lumber.panels]
        .filter((list) => list.wood === wood && list.quarter === quarter.name)
        .map(({ thicknessMm }) => thicknessMm);
      return [
        {
          wood,
          quarter: quarter.name,
          boards: [...sizes.values()],
          boardFeet: feet,
          cubicMetres: (feet * boardFeetVolume) / 1e9,
          price: each === undefined ? null : each * feet,
          thinMm:
            quarter.name === '4/4' ? [...new Set(planed.filter((t) => t < THIN * quarter.surfacedMm))] : [],
        },
      ];
    }),
  );
}

/** Volume of a board foot, mm³. */
const boardFeetVolume = 1 / boardFeet(1);

/**
 * Rule of thumb for boards that are bought by board feet alone and chosen at the yard: strips and blocks with what planer and rip saw
 * take, and the shop's allowance on top for all that no layout has deducted.
 */
export const byFeetAlone = ({ strips, planing, ripping }: WoodLedger, { wastePercent }: Shop): number =>
  boardFeet(strips + planing + ripping) * (1 + wastePercent / 100);
