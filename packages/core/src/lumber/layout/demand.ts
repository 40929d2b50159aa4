import type { Reason } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { eachOnce, type Roll } from '../../ring/owner.js';
import type { Shop } from '../../settings/shop.js';
import { type Board, tooNarrow } from '../board.js';
import type { Lumber } from '../lumber.js';
import { type Crosscut, crosscuts, mostWays, partsOf, usefulParts } from './crosscuts.js';
import { gluedUp } from './gluedUp.js';
import { blockKind, blocksOf, type DemandKind, lengthOf, overheadOf, stripKinds } from './kinds.js';
import { leastFeet } from './least.js';
import { groupsOf, type Problem, type Stock } from './problem.js';
import { alike, leavesOf, onHand, type StockBoard, sold } from './stock.js';
import { down, up } from './tenths.js';

/** A way to crosscut the boards of a group. */
export interface FoundWay {
  readonly group: number;
  readonly way: Crosscut;
}

/** What the layout of one wood is asked with: pieces, boards, and the same in whole tenths of a millimetre for solving. */
export interface Demand {
  readonly wood: string;
  readonly kinds: readonly DemandKind[];
  /**
   * By stock: the boards in it, all alike and crosscut alike; one, to be bought as often as it takes, where it is a size of the yard's.
   * The same boards come several times, crosscut in different ways.
   */
  readonly stocks: readonly (readonly StockBoard[])[];
  readonly problem: Problem;
  /** Pieces that fit on no board at all. They are not laid out. */
  readonly reasons: readonly Reason[];
  /** The boards of each group before they are crosscut. */
  readonly whole: readonly (readonly StockBoard[])[];
  /** Ways to crosscut them that were found besides those that are tried in any case. */
  readonly found: readonly FoundWay[];
  /** Board feet that no layout at all needs less of. */
  readonly leastFeet: number;
}

/** What is made least of. */
export const GOALS = ['cost', 'waste', 'boards'] as const;
export type Goal = (typeof GOALS)[number];

/** What a board on hand counts of one that is bought: what is there is used first. */
const ON_HAND = 0.01;

/** The demand of every wood: what lumber lists, `boards` on hand, and what the yard sells where `buying`. */
export function demandsOf(
  lumber: Lumber,
  boards: readonly Board[],
  shop: Shop,
  roll: Roll,
  { goal = 'cost', buying = true }: { goal?: Goal; buying?: boolean } = {},
): Demand[] {
  const woods = new Set([...lumber.strips, ...lumber.panels].map(({ wood }) => wood));
  return [...woods].map((wood) => {
    const strips = stripKinds(wood, lumber, shop);
    const blocks = blocksOf(wood, lumber);
    const own = boards.filter((board) => board.wood === wood);
    const widestMm = widest(own, shop, buying);
    return gluedUp(blocks, widestMm, (parts) => {
      const kinds = [...strips, ...blocks.map((block, i) => blockKind(block, parts[i]!, shop))];
      return demandOf(wood, kinds, own, shop, { goal, buying, roll });
    });
  });
}

function demandOf(
  wood: string,
  all: readonly DemandKind[],
  own: readonly Board[],
  shop: Shop,
  { goal, buying, roll }: { goal: Goal; buying: boolean; roll: Roll },
): Demand {
  const whole = [
    ...alike(own.map((board) => onHand(board, shop))),
    ...(buying ? sold(wood, all, shop).map((board) => [board]) : []),
  ];
  const useful = usefulParts(all, shop);
  const leastMm = Math.min(...all.map((kind) => overheadOf(kind) / 10 + shortestOf(kind)));
  const grouped = whole.flatMap((same, group) =>
    crosscuts(same[0]!.sections, useful, leastMm, shop, mostWays(whole.length)).flatMap((way) => {
      const boards = crosscutAlike(same, way, shop);
      return boards ? [{ group, boards }] : [];
    }),
  );
  const stocks = grouped.map(({ boards: crosscut }) => crosscut);
  const leaves = stocks.map(([board]) => all.map((kind) => leavesOf(kind, board!, shop)));
  const fits = all.map((kind, k) =>
    kind.pieces.map(
      (piece) =>
        // Of a wood without any board all is short, and nothing too large.
        stocks.length === 0 ||
        stocks.some(
          ([board], s) =>
            leaves[s]![k]! > 0 &&
            board!.sections.some(
              (section) =>
                up(kind.widthMm) <= down(section.widthMm) &&
                overheadOf(kind) + up(lengthOf(kind, piece)) <= down(section.lengthMm),
            ),
        ),
    ),
  );
  const reasons = [
    ...own.flatMap((board) => {
      const least = Math.min(...all.map(({ widthMm }) => widthMm));
      return all.length > 0 && board.widthMm < least ? [tooNarrow(board, least)] : [];
    }),
    ...all.flatMap((kind, k) => (fits[k]!.every(Boolean) ? [] : [fitsNowhere(kind, fits[k]!, roll)])),
  ];
  const kinds = all.flatMap((kind, k) => {
    const pieces = kind.pieces.filter((_, i) => fits[k]![i]);
    return pieces.length > 0 ? [{ ...kind, pieces, from: k }] : [];
  });
  const problem: Problem = {
    kinds: kinds.map((kind) => ({
      width: up(kind.widthMm + shop.ripKerfMm),
      overhead: overheadOf(kind),
      pieces: kind.pieces.map((piece) => ({
        length: up(lengthOf(kind, piece)),
        count: piece.owners.reduce((sum, { count }) => sum + count, 0),
      })),
    })),
    stocks: stocks.map((same, s) => ({
      sections: sectionsOf(same[0]!, shop),
      copies: same[0]!.board ? same.length : Number.POSITIVE_INFINITY,
      group: grouped[s]!.group,
      cost: costOf(same[0]!, goal),
      leaves: kinds.map(({ from }) => leaves[s]![from]!),
    })),
    keeps: { length: up(shop.leastOffcutMm.lengthMm), width: up(shop.leastOffcutMm.widthMm) },
  };
  const leastOf = leastFeet(
    kinds,
    whole.map(([board]) => board!),
    shop,
  );
  return { wood, kinds, stocks, problem, reasons, whole, found: [], leastFeet: leastOf };
}

/** Boards that are alike, crosscut in one way; null where they are too short for it. */
function crosscutAlike(same: readonly StockBoard[], way: Crosscut, shop: Shop): StockBoard[] | null {
  const sections = partsOf(same[0]!.sections, way, shop);
  return sections && same.map((board) => ({ ...board, sections }));
}

const sectionsOf = ({ sections }: StockBoard, { ripKerfMm }: Shop): Stock['sections'] =>
  sections.map(({ lengthMm, widthMm }) => ({ length: down(lengthMm), width: down(widthMm + ripKerfMm) }));

/** A demand whose boards may be crosscut in more ways, behind those that it has; null where its boards are too short for one. */
export function withWays(demand: Demand, found: readonly FoundWay[], shop: Shop): Demand | null {
  const stocks = [...demand.stocks];
  const solved = [...demand.problem.stocks];
  for (const { group, way } of found) {
    const boards = demand.whole[group] && crosscutAlike(demand.whole[group], way, shop);
    const like = solved.find((stock) => stock.group === group);
    if (!boards || !like) return null;
    stocks.push(boards);
    solved.push({ ...like, sections: sectionsOf(boards[0]!, shop) });
  }
  return {
    ...demand,
    stocks,
    problem: { ...demand.problem, stocks: solved },
    found: [...demand.found, ...found],
  };
}

/** In how many ways crosscutting a board is tried, at most. */
export const triedOf = ({ problem }: Demand): number =>
  Math.max(0, ...groupsOf(problem).map(({ stocks }) => stocks.length));

/** What the shortest piece of a kind takes of a strip, mm. */
const shortestOf = (kind: DemandKind): number =>
  Math.min(...kind.pieces.map((piece) => lengthOf(kind, piece)));

const costOf = (board: StockBoard, goal: Goal): number => {
  const full = { cost: board.price ?? board.boardFeet, waste: board.boardFeet, boards: 1 }[goal];
  return board.board ? ON_HAND * full : full;
};

/** The widest clear part that a board of a wood has, mm. */
function widest(own: readonly Board[], shop: Shop, buying: boolean): number {
  const clear = own.flatMap((board) => onHand(board, shop).sections);
  const bought = buying ? shop.yard.map(({ widthMm }) => widthMm - shop.edgeJointMm) : [];
  return Math.max(0, ...clear.map(({ widthMm }) => widthMm), ...bought) - 2 * shop.edgeJointMm;
}

function fitsNowhere(kind: DemandKind, fits: readonly boolean[], roll: Roll): Reason {
  const lost = kind.pieces.filter((_, i) => !fits[i]);
  const owners = eachOnce(lost.flatMap(({ owners }) => owners.flatMap(({ owner }) => owner ?? []))).map(
    roll.nameOf,
  );
  const longest = Math.max(...lost.map(({ along }) => along));
  const whose = owners.length > 0 ? ` of ${owners.join(', ')}` : '';
  return {
    code: 'fits-nowhere',
    path: 'boards',
    message: say`No board gives the ${kind.what === 'strip' ? 'pieces' : kind.name}${whose}: wanted are ${sayMm(longest)} along, ${sayMm(kind.widthMm)} across, planed to ${sayMm(kind.thicknessMm)}, and ${sayMm(kind.tailMm)} to hold. Enter a larger board, or a larger size at the yard.`,
  };
}
