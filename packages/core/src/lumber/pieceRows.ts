import { planedStrip } from '../making/planing.js';
import { mitred, type PanelStock, type Stock, type StripStock } from '../making/stock.js';
import type { Mm, Rad } from '../measure/quantity.js';
import { type Said, say, sayMm, sayRad } from '../measure/said.js';
import type { Owner } from '../ring/owner.js';
import type { Shop } from '../settings/shop.js';
import type { OwnedPieces } from './owned.js';
import { panelFor } from './panel.js';
import { CUTTING_SAID } from './strips.js';

/** Pieces of one kind and wood of one owner. Screen, paper and tables show these rows and add nothing. */
export interface PieceRow {
  readonly owner: Owner;
  /** Whether it is the first row of its owner. */
  readonly first: boolean;
  readonly wood: string;
  readonly name: Said;
  readonly count: number;
  readonly from: Stock['from'];
  /** Of the mitre, from square; null where nothing is mitred. */
  readonly cutAngle: Rad | null;
  readonly bladeTilt: Rad | null;
  /** Of a stave that tapers, from the grain. */
  readonly taper: Rad | null;
  readonly hand: StripStock['hand'] | null;
  readonly longEdgeMm: Mm | null;
  readonly shortEdgeMm: Mm | null;
  readonly lengthMm: Mm | null;
  readonly widthMm: Mm | null;
  readonly thicknessMm: Mm | null;
  /** Thickness that its wood is planed to. */
  readonly planedMm: Mm | null;
  /** As it lies in the ring. */
  readonly heightMm: Mm;
  /** What it is sawn from and to what sizes, in words. */
  readonly sizes: readonly Said[];
}

interface Owners {
  readonly rings: readonly { readonly pieces: readonly OwnedPieces[] }[];
  readonly slants: readonly { readonly pieces: readonly OwnedPieces[] }[];
  readonly blanks: readonly { readonly pieces: readonly OwnedPieces[] }[];
}

/** All pieces as the work stands: blanks beside it, bands, then the rings, the top one first. */
export const pieceRows = ({ rings, slants, blanks }: Owners, shop: Shop): PieceRow[] =>
  [...blanks, ...slants, ...[...rings].reverse()].flatMap(({ pieces }) =>
    pieces.map((of, i) => rowOf(of, i === 0, shop)),
  );

function rowOf(of: OwnedPieces, first: boolean, shop: Shop): PieceRow {
  const { owner, wood, kind, count } = of;
  const { name, stock, heightMm } = kind;
  const piece = mitred(stock);
  const panel = stock.from === 'panel' ? stock : null;
  const strip = stock.from === 'strip' ? stock : null;
  return {
    owner,
    first,
    wood,
    name,
    count,
    from: stock.from,
    cutAngle: piece && piece.cutAngle > 0 ? piece.cutAngle : null,
    bladeTilt: (strip ?? panel)?.bladeTilt || null,
    taper: panel?.mitre || null,
    hand: strip?.hand ?? null,
    longEdgeMm: piece?.longEdgeMm ?? null,
    shortEdgeMm: piece?.shortEdgeMm ?? null,
    lengthMm: panel?.lengthMm ?? null,
    widthMm: (piece ?? panel)?.widthMm ?? null,
    thicknessMm: (strip ?? panel)?.thicknessMm ?? null,
    planedMm: planedOf(of, shop),
    heightMm,
    sizes: sizesOf(stock),
  };
}

/** Thickness that the wood of pieces is planed to, as the strips or blocks of the same pieces have it. */
const planedOf = (of: OwnedPieces, shop: Shop): Mm | null => {
  const { stock } = of.kind;
  if (stock.from === 'strip') return planedStrip(stock, shop, of.sanded ?? 2);
  return panelFor(of, shop)?.thicknessMm ?? null;
};

/** What a piece is sawn from and to what sizes, in words. */
export function sizesOf(stock: Stock): Said[] {
  if (stock.from === 'stash') return ['from the stash'];
  if (stock.from === 'panel') return panelSizes(stock);
  const { cutAngle, longEdgeMm, shortEdgeMm, widthMm } = stock;
  if (cutAngle === 0) return [say`${sayMm(widthMm)} thick`, say`${sayMm(longEdgeMm)} long`];
  const sizes = [
    say`long edge ${sayMm(longEdgeMm)}`,
    say`short edge ${sayMm(shortEdgeMm)}`,
    say`width ${sayMm(widthMm)}`,
    say`cut at ${sayRad(cutAngle)}, ${sayRad(2 * cutAngle)} in all`,
  ];
  if (stock.from === 'slice') return [...sizes, 'sliced off the thick ring'];
  const { bladeTilt, cutting, slicing, thicknessMm } = stock;
  return [
    ...sizes,
    ...(bladeTilt > 0 ? [say`blade tilted ${sayRad(bladeTilt)}`] : []),
    ...(cutting === 'turned-over' ? [] : [CUTTING_SAID[cutting]]),
    ...(slicing ? [say`${sayMm(thicknessMm)} high, for ${slicing.slices} slices`] : []),
  ];
}

function panelSizes(stock: PanelStock): Said[] {
  const { shape, lengthMm, widthMm, thicknessMm, narrowMm, mitre, bladeTilt, blocks, slicing } = stock;
  const size = say`${sayMm(lengthMm)} × ${sayMm(widthMm)} × ${sayMm(thicknessMm)}`;
  switch (shape) {
    case 'disc':
    case 'plug':
      return [say`${sayMm(widthMm)} across`];
    case 'dowel':
      return [say`${sayMm(widthMm)} across, ${sayMm(lengthMm)} long`];
    case 'layer':
      return [say`from ${blocks === undefined || blocks === 1 ? 'a layer' : say`${blocks} layers`} ${size}`];
    case 'block':
      return [say`block ${size}`, ...(slicing ? [say`for ${slicing.slices} slices`] : [])];
    case 'stave':
      return [
        say`${sayMm(lengthMm)} along the grain`,
        narrowMm === undefined || narrowMm === widthMm
          ? say`${sayMm(widthMm)} wide`
          : say`${sayMm(widthMm)} to ${sayMm(narrowMm)} wide`,
        say`${sayMm(thicknessMm)} thick`,
        ...(bladeTilt ? [say`blade tilted ${sayRad(bladeTilt)}`] : []),
        ...(mitre ? [say`tapered ${sayRad(mitre)} from the grain`] : []),
      ];
  }
}
