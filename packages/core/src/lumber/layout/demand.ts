import { sayMm } from '../../measure/format.js';
import { type Mm, mm } from '../../measure/quantity.js';
import type { Reason } from '../../measure/reason.js';
import { boardFeet } from '../../measure/volume.js';
import type { Shop } from '../../settings/shop.js';
import { type Board, clearSections, type Section, surfacedThickness, tooNarrow } from '../board.js';
import { cutsFor, endsAlong, kerfAlong, pieceAlong, type StripSetting } from '../cutting.js';
import type { Lumber } from '../lumber.js';
import { type Owner, ringName } from '../owners.js';
import { QUARTERS, type Quarter, quarterFor } from '../quarters.js';
import type { Cut } from '../strips.js';
import { greedy } from './greedy.js';
import { costOf as costOfBoards, missingIn, type Problem } from './problem.js';

/** Pieces of one size, and for whom they are, in the order in which they are cut. */
export interface DemandPiece {
  readonly along: Mm;
  readonly edgeMm: Mm;
  readonly owners: readonly (Pick<Cut, 'ring' | 'purpose' | 'hand' | 'numbers'> & {
    readonly count: number;
  })[];
}

/** Strips of one setting, or blocks of one size, with all that is cut from them. */
export interface DemandKind {
  readonly what: 'strip' | 'block';
  readonly name: string;
  readonly setting: StripSetting;
  readonly widthMm: Mm;
  readonly thicknessMm: Mm;
  readonly tailMm: Mm;
  readonly pieces: readonly DemandPiece[];
}

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

/** What the layout of one wood is asked with: pieces, boards, and the same in whole tenths of a millimetre for solving. */
export interface Demand {
  readonly wood: string;
  readonly kinds: readonly DemandKind[];
  /** By stock: the boards in it, all alike; one, to be bought as often as it takes, where it is a size of the yard's. */
  readonly stocks: readonly (readonly StockBoard[])[];
  readonly problem: Problem;
  /** Pieces that fit on no board at all. They are not laid out. */
  readonly reasons: readonly Reason[];
}

/** What is made least of. */
export const GOALS = ['cost', 'waste', 'boards'] as const;
export type Goal = (typeof GOALS)[number];

/** What a board on hand counts of one that is bought: what is there is used first. */
const ON_HAND = 0.01;

const up = (sizeMm: number): number => Math.ceil(10 * sizeMm - 1e-6);
const down = (sizeMm: number): number => Math.floor(10 * sizeMm + 1e-6);

/** The demand of every wood: what lumber lists, `boards` on hand, and what the yard sells where `buying`. */
export function demandsOf(
  lumber: Lumber,
  boards: readonly Board[],
  shop: Shop,
  { goal = 'cost', buying = true, nameOf = ringName }: { goal?: Goal; buying?: boolean; nameOf?: Owner } = {},
): Demand[] {
  const woods = new Set([...lumber.strips, ...lumber.panels].map(({ wood }) => wood));
  return [...woods].map((wood) => {
    const of = (partMm: number) => demandOf(wood, lumber, boards, shop, { goal, buying, nameOf, partMm });
    const whole = of(Number.POSITIVE_INFINITY);
    const tries = [whole, ...partsFor(whole).map(of)];
    return tries.reduce((best, next) => (isBetter(next, best) ? next : best));
  });
}

/** Lengths of parts that are tried, as quantiles of what strips of the wood need; shorter ones are not worth their tails (mm). */
const QUANTILES = [0.95, 0.8, 0.6];
const LEAST_PART = 250;

/** Lengths that boards might be crosscut into: enough for most strips in one. */
function partsFor({ kinds, problem }: Demand): number[] {
  const needs = problem.kinds
    .map(
      ({ overhead, pieces }) => overhead + pieces.reduce((sum, { length, count }) => sum + length * count, 0),
    )
    .sort((a, b) => a - b);
  const longest = Math.max(0, ...kinds.flatMap(({ pieces }) => pieces.map(({ along }) => along)));
  const parts = QUANTILES.map((share) => (needs[Math.floor(share * (needs.length - 1))] ?? 0) / 10 + 1);
  return [...new Set(parts.map((part) => Math.max(LEAST_PART, longest + LEAST_PART / 2, part)))];
}

/** Whether boards crosscut so give more, or the same for less, by what is laid out at once. */
function isBetter(next: Demand, best: Demand): boolean {
  if (next.reasons.length > best.reasons.length) return false;
  const [a, b] = [next, best].map(({ problem }) => ({ problem, answer: greedy(problem) }));
  const lacks = missingIn(a!.answer) - missingIn(b!.answer);
  if (lacks !== 0) return lacks < 0;
  return costOfBoards(a!.problem, a!.answer) < costOfBoards(b!.problem, b!.answer) * (1 - 1e-9);
}

function demandOf(
  wood: string,
  lumber: Lumber,
  boards: readonly Board[],
  shop: Shop,
  { goal, buying, nameOf, partMm }: { goal: Goal; buying: boolean; nameOf: Owner; partMm: number },
): Demand {
  const all = [
    ...stripKinds(wood, lumber, shop),
    ...blockKinds(wood, lumber, shop, widest(wood, boards, shop, buying)),
  ];
  const own = boards.filter((board) => board.wood === wood);
  const stocks = [
    ...alike(own.map((board) => onHand(board, shop, partMm))),
    ...(buying ? sold(wood, all, shop, partMm).map((board) => [board]) : []),
  ];
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
    ...all.flatMap((kind, k) => (fits[k]!.every(Boolean) ? [] : [fitsNowhere(kind, fits[k]!, nameOf)])),
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
      sections: same[0]!.sections.map(({ lengthMm, widthMm }) => ({
        length: down(lengthMm),
        width: down(widthMm + shop.ripKerfMm),
      })),
      copies: same[0]!.board ? same.length : Number.POSITIVE_INFINITY,
      cost: costOf(same[0]!, goal),
      leaves: kinds.map(({ from }) => leaves[s]![from]!),
    })),
  };
  return { wood, kinds, stocks, problem, reasons };
}

const costOf = (board: StockBoard, goal: Goal): number => {
  const full = { cost: board.price ?? board.boardFeet, waste: board.boardFeet, boards: 1 }[goal];
  return board.board ? ON_HAND * full : full;
};

/** What a piece takes along its strip, its kerfs with it. */
const lengthOf = ({ setting }: DemandKind, { along }: DemandPiece): number =>
  along + (cutsFor(setting, 1) - cutsFor(setting, 0)) * kerfAlong(setting);

const overheadOf = ({ setting, tailMm }: DemandKind): number =>
  up(cutsFor(setting, 0) * kerfAlong(setting) + endsAlong(setting) + tailMm);

function stripKinds(wood: string, { strips }: Lumber, shop: Shop): DemandKind[] {
  return strips
    .filter((list) => list.wood === wood)
    .map((list): DemandKind => {
      const setting: StripSetting = { ...list, kerfMm: shop.kerfMm };
      const pieces: { along: Mm; edgeMm: Mm; owners: DemandPiece['owners'][number][] }[] = [];
      for (const cut of list.cuts) {
        const along = mm(pieceAlong(setting, cut.longEdgeMm, cut.boardEdgeMm));
        const same = pieces.find((piece) => Math.abs(piece.along - along) < 1e-6);
        if (same) same.owners.push(cut);
        else pieces.push({ along, edgeMm: cut.longEdgeMm, owners: [cut] });
      }
      return {
        what: 'strip',
        name: 'strip',
        setting,
        widthMm: list.widthMm,
        thicknessMm: list.thicknessMm,
        tailMm: shop.holdBackMm,
        pieces,
      };
    });
}

/** Blocks are crosscut square; one that no board is wide enough for is glued up from equal parts. */
function blockKinds(wood: string, { panels }: Lumber, shop: Shop, widestMm: number): DemandKind[] {
  return panels
    .filter((panel) => panel.wood === wood)
    .map((panel): DemandKind => {
      const parts = Math.max(1, Math.ceil((panel.widthMm - 1e-6) / Math.max(1, widestMm)));
      const widthMm = mm(panel.widthMm / parts + (parts > 1 ? shop.edgeJointMm : 0));
      const setting: StripSetting = {
        widthMm,
        thicknessMm: panel.thicknessMm,
        cutAngle: 0,
        bladeTilt: 0,
        cutting: 'turned-over',
        kerfMm: shop.kerfMm,
      };
      return {
        what: 'block',
        name: parts > 1 ? `${panel.name}, part of ${parts} glued edge to edge` : panel.name,
        setting,
        widthMm,
        thicknessMm: panel.thicknessMm,
        tailMm: mm(0),
        pieces: [
          {
            along: panel.lengthMm,
            edgeMm: panel.lengthMm,
            owners: [{ ring: panel.ring, purpose: 'ring', count: parts * panel.count }],
          },
        ],
      };
    });
}

/** The widest clear part that a board of a wood has, mm. */
function widest(wood: string, boards: readonly Board[], shop: Shop, buying: boolean): number {
  const own = boards.filter((board) => board.wood === wood).flatMap((board) => onHand(board, shop).sections);
  const bought = buying ? shop.yard.map(({ widthMm }) => widthMm - shop.edgeJointMm) : [];
  return Math.max(0, ...own.map(({ widthMm }) => widthMm), ...bought) - 2 * shop.edgeJointMm;
}

/** A board less its ends and its jointed edge, its defects sawn out. */
function usable(lengthMm: number, widthMm: number, shop: Shop, defects: Board['defects'] = []): Section[] {
  const whole = {
    xMm: shop.endTrimMm,
    yMm: shop.edgeJointMm,
    lengthMm: lengthMm - 2 * shop.endTrimMm,
    widthMm: widthMm - shop.edgeJointMm,
  };
  return clearSections(whole, defects, shop.ripKerfMm);
}

/** Clear parts crosscut into equal lengths of no less than `partMm`. */
function crosscut(sections: readonly Section[], partMm: number, { kerfMm }: Shop): Section[] {
  return sections.flatMap((section): Section[] => {
    const count = Math.max(1, Math.floor((section.lengthMm + kerfMm) / (partMm + kerfMm)));
    const each = (section.lengthMm - (count - 1) * kerfMm) / count;
    return Array.from({ length: count }, (_, i) => ({
      ...section,
      xMm: section.xMm + i * (each + kerfMm),
      lengthMm: each,
    }));
  });
}

export function onHand(board: Board, shop: Shop, partMm = Number.POSITIVE_INFINITY): StockBoard {
  const { lengthMm, widthMm, thicknessMm, price, wood } = board;
  const feet = boardFeet(lengthMm * widthMm * Math.max(thicknessMm, 25.4));
  const each = price ?? shop.prices[wood] ?? null;
  return {
    board,
    quarter: null,
    lengthMm,
    widthMm,
    thicknessMm: surfacedThickness(board),
    sections: crosscut(usable(lengthMm, widthMm, shop, board.defects), partMm, shop),
    boardFeet: feet,
    price: each === null ? null : each * feet,
  };
}

/** Sizes of the yard in the thicknesses that are wanted. */
function sold(wood: string, kinds: readonly DemandKind[], shop: Shop, partMm: number): StockBoard[] {
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
        sections: crosscut(usable(lengthMm, widthMm, shop), partMm, shop),
        boardFeet: feet,
        price: each === undefined ? null : each * feet,
      };
    }),
  );
}

/** How many strips of a kind one rip gives when it is resawn; 1 where it is not, 0 where the board is too thin. */
function leavesOf({ thicknessMm }: DemandKind, board: StockBoard, shop: Shop): number {
  if (board.thicknessMm < thicknessMm - 0.01) return 0;
  if (!shop.resaws) return 1;
  const leaf = thicknessMm + shop.resawCleanMm + shop.resawKerfMm;
  return Math.max(1, Math.floor((board.thicknessMm + shop.resawKerfMm + 1e-6) / leaf));
}

/** Boards on hand by what they are alike in. */
function alike(boards: readonly StockBoard[]): StockBoard[][] {
  const groups = new Map<string, StockBoard[]>();
  for (const stock of boards) {
    const { lengthMm, widthMm, thicknessMm, price, board } = stock;
    const key = JSON.stringify([lengthMm, widthMm, thicknessMm, price, board?.defects]);
    groups.set(key, [...(groups.get(key) ?? []), stock]);
  }
  return [...groups.values()];
}

function fitsNowhere(kind: DemandKind, fits: readonly boolean[], nameOf: Owner): Reason {
  const lost = kind.pieces.filter((_, i) => !fits[i]);
  const owners = [...new Set(lost.flatMap(({ owners }) => owners.map(({ ring }) => ring)))]
    .filter((ring) => ring !== null)
    .map(nameOf);
  const longest = Math.max(...lost.map(({ along }) => along));
  const whose = owners.length > 0 ? ` of ${owners.join(', ')}` : '';
  return {
    code: 'fits-nowhere',
    path: 'boards',
    message: `No board gives the ${kind.what === 'strip' ? 'pieces' : kind.name}${whose}: wanted are ${sayMm(longest)} along, ${sayMm(kind.widthMm)} across, planed to ${sayMm(kind.thicknessMm)}, and ${sayMm(kind.tailMm)} to hold. Enter a larger board, or a larger size at the yard.`,
  };
}
