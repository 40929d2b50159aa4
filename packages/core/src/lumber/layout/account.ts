import type { Shop } from '../../settings/shop.js';
import { cutsFor, endsAlong, kerfAlong, meanLength } from '../cutting.js';
import type { WoodLedger } from '../ledger.js';
import type { Lumber, WoodNeed } from '../lumber.js';
import { areasOf } from './areas.js';
import type { DemandKind } from './kinds.js';
import type { LaidBoard, LaidPiece, WoodLayout } from './placed.js';
import type { StockBoard } from './stock.js';

/** What is entered for pieces, strips and boards, mm³. */
const PARTS = [
  'segments',
  'faceSanding',
  'spares',
  'otherHand',
  'resawing',
  'kerf',
  'wedges',
  'corners',
  'tails',
  'strips',
  'planing',
  'ripping',
  'trims',
  'offcuts',
  'boards',
  'onHand',
] as const;
type Parts = Record<(typeof PARTS)[number], number>;

/** Volumes nearer than this are the same: a millionth of a segment (mm³). */
const SAME_VOLUME = 0.01;

/** Where the wood goes: from what is needed of it to the boards as they are laid out. */
function accountOf(need: WoodNeed, layout: WoodLayout | undefined, shop: Shop): WoodLedger {
  const sum = Object.fromEntries(PARTS.map((part) => [part, 0])) as Parts;
  for (const board of layout?.boards ?? []) enterBoard(sum, board, layout!.kinds, shop);
  const { finishedMm3, segmentsMm3, stashMm3 } = need;
  const short = segmentsMm3 - stashMm3 - sum.segments;
  return {
    ...sum,
    finished: finishedMm3,
    shavings: segmentsMm3 - finishedMm3,
    segments: segmentsMm3,
    stash: stashMm3,
    short: Math.abs(short) < SAME_VOLUME ? 0 : short,
    bought: sum.boards - sum.onHand,
  };
}

/** Thickness that a board has before it is planed, mm. */
const roughOf = ({ board, quarter }: StockBoard): number => board?.thicknessMm ?? quarter!.roughMm;

function enterBoard(sum: Parts, laid: LaidBoard, kinds: readonly DemandKind[], shop: Shop): void {
  const rough = roughOf(laid.stock);
  const { pieces, ends, kerf, offcuts, rest } = areasOf(laid, kinds, shop);
  let planed = 0;
  for (const { kind, leaves, lengthMm } of laid.strips)
    for (const leaf of leaves) {
      enterLeaf(sum, kinds[kind]!, leaf, lengthMm);
      planed += lengthMm * kinds[kind]!.widthMm * kinds[kind]!.thicknessMm;
    }
  sum.strips += planed;
  sum.planing += (pieces + ends) * rough - planed;
  sum.ripping += kerf * rough;
  sum.trims += rest * rough;
  sum.offcuts += offcuts * rough;
  const whole = laid.stock.lengthMm * laid.stock.widthMm * rough;
  sum.boards += whole;
  if (laid.stock.board) sum.onHand += whole;
}

/** One strip, or one leaf of a resawn one. */
function enterLeaf(sum: Parts, kind: DemandKind, leaf: readonly LaidPiece[], lengthMm: number): void {
  const { setting, widthMm, thicknessMm } = kind;
  const section = widthMm * thicknessMm;
  const kerf = cutsFor(setting, leaf.length) * kerfAlong(setting);
  let used = kerf + endsAlong(setting);
  sum.kerf += kerf * section;
  sum.wedges += endsAlong(setting) * section;
  for (const piece of leaf) {
    const along = piece.toMm - piece.fromMm;
    used += along;
    enterPiece(sum, kind, piece, along);
  }
  sum.tails += (lengthMm - used) * section;
}

/** One piece: what stays in the ring, what slicing and sanding take, the wedge beside it, the corners of a block. */
function enterPiece(sum: Parts, kind: DemandKind, piece: LaidPiece, along: number): void {
  const { setting, widthMm, thicknessMm, blockMm3 } = kind;
  const { purpose, keptMm, resawMm, edgeMm } = piece;
  const face = (kind.what === 'block' ? along : meanLength(setting, edgeMm)) * widthMm;
  sum.wedges += (along * widthMm - face) * thicknessMm;
  if (purpose === 'spare' || purpose === 'test') sum.spares += face * thicknessMm;
  else if (purpose === 'other-hand') sum.otherHand += face * thicknessMm;
  else {
    const inRing = blockMm3 ?? face * keptMm;
    sum.segments += inRing;
    sum.corners += face * keptMm - inRing;
    sum.resawing += face * resawMm;
    sum.faceSanding += face * (thicknessMm - keptMm - resawMm);
  }
}

/** What one wood of a piece takes, by the boards that are laid out for it. */
export interface WoodAccount extends WoodNeed {
  readonly ledger: WoodLedger;
  /** Strips and blocks that are sawn. */
  readonly strips: number;
  readonly blocks: number;
  /** Boards that are sawn, and as the yard charges them: those on hand, and those that are bought. */
  readonly boards: number;
  readonly onHandFeet: number;
  readonly boughtFeet: number;
}

/** The accounts of all woods that a piece needs, in its order; of a wood without a layout nothing is sawn. */
export function accountsOf(
  { woods }: Pick<Lumber, 'woods'>,
  layouts: readonly WoodLayout[],
  shop: Shop,
): WoodAccount[] {
  return woods.map((need) => {
    const layout = layouts.find(({ wood }) => wood === need.wood);
    const boards = layout?.boards ?? [];
    const counted = (what: 'strip' | 'block') =>
      boards.flatMap(({ strips }) => strips.filter(({ kind }) => layout!.kinds[kind]!.what === what)).length;
    const feet = (onHand: boolean) =>
      boards.reduce((sum, { stock }) => sum + ((stock.board !== null) === onHand ? stock.boardFeet : 0), 0);
    return {
      ...need,
      ledger: accountOf(need, layout, shop),
      strips: counted('strip'),
      blocks: counted('block'),
      boards: boards.length,
      onHandFeet: feet(true),
      boughtFeet: feet(false),
    };
  });
}
