import type { PieceKind } from '../contract.js';
import type { StripStock } from '../stock.js';
import type { Wedge } from '../wedge.js';
import type { TiltedParams } from './params.js';

/** Joints all move the same way round as they climb; those of wedges glued alternately upside down in turn. */
export function leaning(count: number, tau: number, { hand, cut }: TiltedParams): Wedge[] {
  const slope = Math.tan(tau) * (hand === 'right' ? 1 : -1);
  const half = Math.PI / count;
  return Array.from({ length: count }, (_, i) => {
    const wide = i % 2 === 0 ? slope : -slope;
    return {
      middle: (2 * i + 1) * half,
      half,
      shift: { x: 0, y: 0 },
      tiltFrom: cut === 'turned-over' ? -wide : slope,
      tiltTo: cut === 'turned-over' ? wide : slope,
    };
  });
}

/** The segments as one kind, of one hand. */
export function segmentKinds(stock: StripStock, count: number, heightMm: PieceKind['heightMm']): PieceKind[] {
  const name = stock.hand ? `Segment leaning ${stock.hand}` : 'Wedge, alternately upside down';
  return [
    { name, grain: 'along', heightMm, stock, places: Array.from({ length: count }, (_, place) => place) },
  ];
}
