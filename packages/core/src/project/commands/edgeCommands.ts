import { makeRing } from '../../making/registry.js';
import { mitred, type Stock } from '../../making/stock.js';
import { type Mm, mm } from '../../measure/quantity.js';
import { type Said, say, sayMm } from '../../measure/said.js';
import { prepare } from '../prepare.js';
import type { Command, Outcome } from './command.js';
import { named, type Rings } from './each.js';
import { setFixed } from './ringCommands.js';

/** A size at the saw that a ring is to come to: where the stop stands, or how wide the strip is ripped. */
export type SawSize = { readonly longEdgeMm: Mm } | { readonly stripWidthMm: Mm };

/** Halvings of the range in which a size is looked for: far below what anybody measures. */
const HALVINGS = 60;
/** A size that is missed by more cannot be had (mm). */
const MISSED = 1e-4;
const LEAST = 1;
const MOST = 1000;

/**
 * Fixes a ring to the size that its longest mitred pieces, or the strips they are cut from, come to a length: a stop that stands
 * already, a strip that is there. With a long edge the ring keeps its radial width and gets another diameter; with a strip it
 * keeps its diameter and gets another hole.
 */
export const cutTo = (index: number, size: SawSize): Command => ({
  label: `${'longEdgeMm' in size ? 'Long edge' : 'Strip width'} of ring ${index + 1}`,
  apply(draft, ripping) {
    const prepared = prepare(draft, ripping);
    if (!prepared.ok) return { reasons: prepared.reasons };
    const here = prepared.value.rings[index];
    if (!here) return undefined;
    const { made, need } = here;
    const now = made.ok ? made.value.gives : need;
    const { making } = draft.rings[index]!;
    const sawn = (outer: number, inner: number): number | null => {
      const ring = makeRing(making, {
        heightMm: need.heightMm,
        outerRadiusMm: mm(outer),
        innerRadiusMm: mm(inner),
      });
      const pieces = ring.ok ? ring.value.kinds.flatMap(({ stock }) => sawnFrom(stock)) : [];
      if (pieces.length === 0) return null;
      return Math.max(...pieces.map((piece) => ('longEdgeMm' in size ? piece.longEdgeMm : piece.widthMm)));
    };
    if (sawn(now.outerRadiusMm, now.innerRadiusMm) === null)
      return wrong(index, say`Ring ${index + 1} has no mitred pieces; it is sized by its diameter.`);
    const wide = now.outerRadiusMm - now.innerRadiusMm;
    const found =
      'longEdgeMm' in size
        ? solved((outer) => sawn(outer, outer - wide), size.longEdgeMm, Math.max(LEAST, wide), MOST)
        : solved(
            (w) => sawn(now.outerRadiusMm, now.outerRadiusMm - w),
            size.stripWidthMm,
            0.1,
            now.outerRadiusMm,
          );
    if (found === null) {
      const asked = 'longEdgeMm' in size ? size.longEdgeMm : size.stripWidthMm;
      const what = 'longEdgeMm' in size ? 'long edge' : 'strip width';
      return wrong(index, say`Ring ${index + 1} cannot be made with a ${what} of ${sayMm(asked)}.`);
    }
    const fixed =
      'longEdgeMm' in size
        ? { outerRadiusMm: mm(found), innerRadiusMm: mm(Math.max(0, found - wide)) }
        : { outerRadiusMm: mm(now.outerRadiusMm), innerRadiusMm: mm(Math.max(0, now.outerRadiusMm - found)) };
    return setFixed([index], fixed).apply(draft);
  },
});

const sawnFrom = (stock: Stock) => {
  const piece = mitred(stock);
  return piece && piece.cutAngle > 0 ? [piece] : [];
};

/** Where something that grows comes to a value; null where it does not between two ends. What cannot be made is too small. */
function solved(of: (x: number) => number | null, value: number, least: number, most: number): number | null {
  let [low, high] = [least, most];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    const here = of(middle);
    if (here === null || here < value) low = middle;
    else high = middle;
  }
  const found = of(high);
  return found !== null && Math.abs(found - value) < MISSED ? high : null;
}

const wrong = (index: number, message: Said): Outcome => ({
  reasons: [{ code: 'saw-size', path: `rings.${index}.fixed`, message }],
});

/** Fixes several rings to one long edge, the stop that the longest of them needs: each of the others becomes a little larger. */
export const stopTogether = (rings: Rings, longEdgeMm: Mm): Command => ({
  label: `One stop for ${named(rings)}`,
  apply(draft, ripping) {
    for (const index of rings) {
      const outcome = cutTo(index, { longEdgeMm }).apply(draft, ripping);
      if (outcome?.reasons) return outcome;
    }
    return undefined;
  },
});
