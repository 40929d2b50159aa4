import { boardFeet } from '../../measure/volume.js';
import type { Shop } from '../../settings/shop.js';
import type { Lumber } from '../lumber.js';
import { QUARTERS } from '../quarters.js';
import type { WoodLayout } from './placed.js';

/** What to ask for at the yard, of one wood in one thickness. */
export interface Buying {
  readonly wood: string;
  readonly quarter: string;
  /** Boards of the yard's sizes, where they were laid out. */
  readonly boards: readonly { readonly widthMm: number; readonly lengthMm: number; readonly count: number }[];
  /** Nominal, without and with the shop's allowance. */
  readonly boardFeet: number;
  readonly withAllowance: number;
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
      const withAllowance = feet * (1 + shop.wastePercent / 100);
      const planed = [...lumber.strips, ...lumber.panels]
        .filter((list) => list.wood === wood && list.quarter === quarter.name)
        .map(({ thicknessMm }) => thicknessMm);
      return [
        {
          wood,
          quarter: quarter.name,
          boards: [...sizes.values()],
          boardFeet: feet,
          withAllowance,
          cubicMetres: (withAllowance * boardFeetVolume) / 1e9,
          price: each === undefined ? null : each * withAllowance,
          thinMm:
            quarter.name === '4/4' ? [...new Set(planed.filter((t) => t < THIN * quarter.surfacedMm))] : [],
        },
      ];
    }),
  );
}

/** Volume of a board foot, mm³. */
const boardFeetVolume = 1 / boardFeet(1);
