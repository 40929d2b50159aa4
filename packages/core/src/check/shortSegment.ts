import type { RingPlan } from '../lumber/ringPlan.js';
import { say, sayMm } from '../measure/said.js';
import type { Check, Subject } from './check.js';
import { ownersOf, ringsSaid } from './said.js';

/** Segments too short to be held at the saw: told once for all rings that have them. */
export function shortSegmentChecks({ rings, shop: { shortestEdgeMm } }: Subject): Check[] {
  const short = rings.filter((ring) => shortestEdge(ring) < shortestEdgeMm);
  if (short.length === 0) return [];
  const shortest = Math.min(...short.map(shortestEdge));
  const have = short.length === 1 ? 'has' : 'have';
  return [
    {
      code: 'short-segment',
      owners: ownersOf(short),
      message: say`${ringsSaid(short)} ${have} segments with a long edge of ${short.length === 1 ? '' : 'down to '}${sayMm(shortest)}; under ${sayMm(shortestEdgeMm)} they cannot be held at the saw.`,
      remedies: [
        { does: 'fewer-segments', rings: short.map(({ index }) => index), shortestMm: shortestEdgeMm },
      ],
    },
  ];
}

const shortestEdge = ({ pieces }: RingPlan): number =>
  pieces.reduce(
    (least, { kind: { stock } }) =>
      stock.from === 'strip' && stock.cutAngle > 0
        ? Math.min(least, stock.boardEdgeMm ?? stock.longEdgeMm)
        : least,
    Number.POSITIVE_INFINITY,
  );
