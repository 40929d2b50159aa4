import type { Roll } from '../../ring/owner.js';
import type { Shop } from '../../settings/shop.js';
import type { Board } from '../board.js';
import type { Lumber } from '../lumber.js';
import { demandsOf } from './demand.js';
import { atOnce } from './greedy.js';
import { placed, type WoodLayout } from './placed.js';

/** Every wood laid out at once, not solved: what is there before anything better is found. */
export const laidAtOnce = (
  lumber: Lumber,
  boards: readonly Board[],
  shop: Shop,
  roll: Roll,
  options?: Parameters<typeof demandsOf>[4],
): WoodLayout[] =>
  demandsOf(lumber, boards, shop, roll, options).map((demand) =>
    placed(demand, atOnce(demand.problem), shop),
  );
