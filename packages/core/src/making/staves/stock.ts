import { mm } from '../../measure/quantity.js';
import type { PieceKind } from '../contract.js';
import type { PanelStock, StripStock } from '../stock.js';
import type { Faces } from '../wedge.js';
import { compoundOf, LYING } from './staves.js';

/** A ring of staves as it is sized: its faces, and its height before anything is sawn off it. */
export interface StavedRing {
  readonly faces: Faces;
  readonly heightMm: number;
}

/**
 * A piece that a ring of segments would have sawn off a strip, as it is sawn where the ring is of staves: on end, out of a
 * board as thick as the piece is deep, square to its face. What is not mitred stays as it is.
 */
export function standing(kind: PieceKind, ring: StavedRing): PieceKind {
  const { stock } = kind;
  if (stock.from !== 'strip' || stock.cutAngle === 0) return kind;
  const name = kind.name === LYING.called ? 'Stave' : kind.name;
  return { ...kind, name, grain: 'upright', stock: staveOf(stock, ring) };
}

/** What lies between staves stands like them, and is as long as they are. */
export const standingBetween = (
  kind: PieceKind & { readonly stock: StripStock },
  ring: StavedRing,
): PieceKind => ({
  ...kind,
  grain: 'upright',
  heightMm: mm(ring.heightMm),
  stock: betweenOf(kind.stock, ring),
});

/** A stave, or one layer of it: bevelled edges, as wide as the whole of it at the outside. */
export function staveOf(stock: StripStock, { faces, heightMm }: StavedRing): PanelStock {
  const t = Math.atan(faces.lean);
  const half = stock.cutAngle;
  const edgeAt = (dz: number) => mm(2 * (faces.outerRadiusMm + dz) * Math.tan(half));
  const spread = (Math.abs(faces.lean) * heightMm) / 2;
  return {
    from: 'panel',
    shape: 'stave',
    lengthMm: mm(heightMm / Math.cos(t)),
    widthMm: edgeAt(spread),
    narrowMm: edgeAt(-spread),
    thicknessMm: mm(stock.widthMm * Math.cos(t)),
    ...compoundOf(half, t),
  };
}

/** A spacer between staves: as thick as its joint, square. */
export function betweenOf({ longEdgeMm, widthMm }: StripStock, { faces, heightMm }: StavedRing): PanelStock {
  const t = Math.atan(faces.lean);
  return {
    from: 'panel',
    shape: 'stave',
    lengthMm: mm(heightMm / Math.cos(t)),
    widthMm: mm(longEdgeMm * Math.cos(t)),
    thicknessMm: widthMm,
  };
}
