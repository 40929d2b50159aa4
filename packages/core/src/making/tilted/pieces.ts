import type { PieceKind } from '../contract.js';
import type { StripStock } from '../stock.js';

/** The segments as one kind, of one hand. */
export function segmentKinds(stock: StripStock, count: number, heightMm: PieceKind['heightMm']): PieceKind[] {
  const name = stock.hand ? `Segment leaning ${stock.hand}` : 'Wedge, alternately upside down';
  return [
    { name, grain: 'along', heightMm, stock, places: Array.from({ length: count }, (_, place) => place) },
  ];
}
