import { sayMm } from '../measure/format.js';
import type { Check, Subject } from './check.js';

/** Segments too short to be held at the saw. */
export const shortSegmentChecks = ({ rings, shop }: Subject): Check[] =>
  rings.flatMap(({ index, pieces }) => {
    const edges = pieces.flatMap(({ kind: { stock } }) =>
      stock.from === 'strip' && stock.cutAngle > 0 ? [stock.boardEdgeMm ?? stock.longEdgeMm] : [],
    );
    const shortest = Math.min(...edges);
    if (shortest >= shop.shortestEdgeMm) return [];
    const message = `Ring ${index + 1} has segments with a long edge of ${sayMm(shortest)}; under ${sayMm(shop.shortestEdgeMm)} they cannot be held at the saw.`;
    const fewer = { does: 'fewer-segments' as const, ring: index, shortestMm: shop.shortestEdgeMm };
    return [{ code: 'short-segment', ring: index, message, remedies: [fewer] }];
  });
