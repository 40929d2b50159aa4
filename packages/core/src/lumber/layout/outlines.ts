import type { Point } from '../../ring/plane.js';
import type { DemandKind } from './kinds.js';
import type { LaidPiece, LaidStrip } from './placed.js';

/** A piece as it is drawn on its board, mm from the board's left end and lower edge. */
export interface DrawnPiece {
  readonly piece: LaidPiece;
  readonly outline: readonly Point[];
}

/**
 * The pieces of one leaf of a strip on their board, long and short edges taking turns, or the same edge at the bottom. A tilted
 * blade is drawn by what it does in the middle of the thickness.
 */
export function drawnPieces(strip: LaidStrip, { setting, widthMm }: DemandKind, leaf = 0): DrawnPiece[] {
  const slant = widthMm * Math.tan(setting.cutAngle);
  const same = setting.cutting === 'same-edge';
  return (strip.leaves[leaf] ?? []).map((piece, i) => {
    const [from, to] = [strip.xMm + piece.fromMm, strip.xMm + piece.toMm];
    const [low, high] = [strip.yMm, strip.yMm + widthMm];
    // Half a slant beyond the middle at the long edge, half a slant within it at the short one.
    const up = same ? [0, slant] : i % 2 === 0 ? [-slant / 2, slant / 2] : [slant / 2, -slant / 2];
    const [a, b] = up as [number, number];
    return {
      piece,
      outline: [
        { x: from + a, y: low },
        { x: to - a, y: low },
        { x: to - b, y: high },
        { x: from + b, y: high },
      ],
    };
  });
}
