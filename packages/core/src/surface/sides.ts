import type { Point } from '../ring/plane.js';

/** An edge of a piece's outline: on the outside, on the inside, or at a joint. */
export type EdgeSide = 'outer' | 'inner' | 'joint';

/** A side of a piece: neighbouring edges of one sort, from one corner of the outline to another. */
export interface Chain {
  readonly side: EdgeSide;
  /** Corners of the outline along it; a hole turned into a piece round the axis has none and goes all round. */
  readonly corners: readonly number[];
  /** Parts that each of its edges is drawn in. */
  readonly parts: number;
  readonly around: boolean;
}

/** An edge that runs towards the axis by more than this (cosine) is a joint. */
const RADIAL = 0.5;
/** An edge shorter than this has no direction, mm. */
export const NO_EDGE = 1e-6;

function sideOf(p: Point, q: Point): EdgeSide {
  const [dx, dy] = [q.x - p.x, q.y - p.y];
  const [mx, my] = [(p.x + q.x) / 2, (p.y + q.y) / 2];
  const length = Math.hypot(dx, dy);
  if (length < NO_EDGE) return 'inner';
  const from = Math.hypot(mx, my);
  if (from > NO_EDGE && Math.abs(dx * mx + dy * my) > RADIAL * length * from) return 'joint';
  return p.x * q.y - q.x * p.y > 0 ? 'outer' : 'inner';
}

/**
 * The sides of a piece by its outline at half its height (counter-clockwise). Where two joints meet, as at the
 * axis, there is an inner side of no length, which turning opens. `partsOf` says in how many parts an edge is drawn;
 * sides that are `given` are taken as they are.
 */
export function chainsOf(
  outline: readonly Point[],
  partsOf: (p: Point, q: Point) => number,
  given?: readonly EdgeSide[],
): Chain[] {
  const n = outline.length;
  const at = (i: number) => outline[((i % n) + n) % n]!;
  const sides = given ?? outline.map((p, i) => sideOf(p, at(i + 1)));
  const closed = sides.every((side) => side === 'outer');
  if (closed) {
    const corners = Array.from({ length: n + 1 }, (_, i) => i % n);
    return [
      { side: 'outer', corners, parts: 1, around: true },
      { side: 'inner', corners: [...corners].reverse(), parts: 1, around: true },
    ];
  }
  const start = sides.findIndex((side, i) => side !== sides[(i - 1 + n) % n] || side === 'joint');
  const chains: { side: EdgeSide; corners: number[]; parts: number; around: boolean }[] = [];
  for (let k = 0; k < n; k++) {
    const i = (start + k) % n;
    const side = sides[i]!;
    const last = chains.at(-1);
    if (last && last.side === side && side !== 'joint') {
      last.corners.push((i + 1) % n);
      last.parts = 1;
    } else {
      if (last?.side === 'joint' && side === 'joint')
        chains.push({ side: 'inner', corners: [i, i], parts: 0, around: false });
      chains.push({ side, corners: [i, (i + 1) % n], parts: partsOf(at(i), at(i + 1)), around: false });
    }
  }
  const [first, last] = [chains[0]!, chains.at(-1)!];
  if (first.side === 'joint' && last.side === 'joint')
    chains.push({ side: 'inner', corners: [start, start], parts: 0, around: false });
  const most = Math.max(1, ...chains.filter(({ side }) => side === 'outer').map(({ parts }) => parts));
  for (const chain of chains)
    if (chain.side === 'joint') chain.parts = 1;
    else if (chain.corners.length === 2) chain.parts = most;
  return chains;
}
