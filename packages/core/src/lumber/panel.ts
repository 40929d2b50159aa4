import type { PieceKind } from '../making/contract.js';
import { planedThickness, planingOf } from '../making/planing.js';
import type { PanelStock } from '../making/stock.js';
import { type Mm, mm } from '../measure/quantity.js';
import type { Said } from '../measure/said.js';
import { nextStep } from '../measure/step.js';
import type { Owner } from '../ring/owner.js';
import type { Shop } from '../settings/shop.js';
import type { OwnedPieces } from './owned.js';

/** Blocks of board that discs, plugs or staves are sawn from. */
export interface Panel {
  readonly owner: Owner;
  readonly wood: string;
  /** What the pieces that come from it are called. */
  readonly name: Said;
  readonly shape: PanelStock['shape'];
  readonly count: number;
  readonly lengthMm: Mm;
  readonly widthMm: Mm;
  readonly thicknessMm: Mm;
  /** Thickness that is left when the ring is sanded, of all slices together where it is sliced. */
  readonly netMm: Mm;
  /** Lost in slicing it, and what of the block is not sliced. */
  readonly resawMm: Mm;
  /** Of one piece as it lies in the ring. */
  readonly pieceMm3: number;
}

/** The blocks that discs, plugs and staves are sawn from; null of pieces that come from elsewhere. */
export const panelFor = (
  { owner, wood, kind, count, volumeMm3, sanded }: OwnedPieces,
  shop: Shop,
): Panel | null =>
  kind.stock.from === 'panel'
    ? panelOf(kind.stock, { owner, wood, name: kind.name, ...blocksOf(kind, count, volumeMm3) }, shop, sanded)
    : null;

/** Blocks that pieces come from, and what of each is left in the ring: one for each piece, or all from a few. */
function blocksOf(
  { stock, places, heightMm }: PieceKind,
  count: number,
  volumeMm3: number,
): { readonly count: number; readonly pieceMm3: number } {
  const all = stock.from === 'panel' ? stock.blocks : undefined;
  const slices = stock.from === 'panel' && stock.slicing ? stock.slicing.keptMm / heightMm : 1;
  if (stock.from === 'panel' && stock.givesMm3 !== undefined) return { count, pieceMm3: stock.givesMm3 };
  if (all === undefined) return { count, pieceMm3: slices * volumeMm3 };
  const blocks = Math.ceil((all * count) / places.length);
  return { count: blocks, pieceMm3: (count * volumeMm3) / blocks };
}

/** Shapes that are planed to size before they are glued up; the faces of the others are sanded with the ring's. */
const PLANED: readonly PanelStock['shape'][] = ['stave', 'layer', 'dowel'];

const panelOf = (
  { shape, lengthMm, widthMm, thicknessMm, slicing }: PanelStock,
  of: Pick<Panel, 'owner' | 'wood' | 'name' | 'count' | 'pieceMm3'>,
  shop: Shop,
  sanded: 0 | 1 | 2 = 2,
): Panel => ({
  ...of,
  shape,
  // A dowel is as thick as its hole; all others are cut to their shape from something a little larger.
  lengthMm: shape === 'dowel' ? lengthMm : mm(nextStep(lengthMm, shop.lengthStepMm)),
  widthMm: shape === 'dowel' ? widthMm : mm(nextStep(widthMm, shop.ripStepMm)),
  netMm: slicing ? slicing.keptMm : thicknessMm,
  resawMm: slicing ? mm(thicknessMm - slicing.keptMm) : mm(0),
  thicknessMm: PLANED.includes(shape) ? thicknessMm : planedThickness(thicknessMm, planingOf(shop, sanded)),
});
