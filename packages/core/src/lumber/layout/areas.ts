import type { Shop } from '../../settings/shop.js';
import type { DemandKind } from './kinds.js';
import type { LaidBoard, LaidPiece, LaidStrip } from './placed.js';

/** Where the area of a board goes, mm²; all of it together is the board. */
export interface BoardAreas {
  /** Pieces, spares with them, seen from above; where a strip is resawn, of one leaf. */
  readonly pieces: number;
  /** Of strips besides their pieces: crosscuts, slanted ends, what is held back or left behind the last piece. */
  readonly ends: number;
  /** Saw cuts beside strips. */
  readonly kerf: number;
  readonly offcuts: number;
  /** Ends and the jointed edge, defects, and what is too small to keep. */
  readonly rest: number;
}

const areaOf = ({ lengthMm, widthMm }: { readonly lengthMm: number; readonly widthMm: number }) =>
  lengthMm * widthMm;

/** Area of a piece on its strip: its mean length times the strip's width. */
function pieceArea({ toMm, fromMm, edgeMm }: LaidPiece, { setting, widthMm }: DemandKind): number {
  const mean =
    setting.cutting === 'same-edge' ? edgeMm - widthMm * Math.tan(setting.cutAngle) : toMm - fromMm;
  return mean * widthMm;
}

export function areasOf(
  { stock, sections, strips, offcuts }: LaidBoard,
  kinds: readonly DemandKind[],
  shop: Shop,
): BoardAreas {
  const sum = (of: (strip: LaidStrip) => number) => strips.reduce((total, strip) => total + of(strip), 0);
  const pieces = sum(({ leaves, kind }) =>
    Math.max(...leaves.map((leaf) => leaf.reduce((all, piece) => all + pieceArea(piece, kinds[kind]!), 0))),
  );
  const kept = offcuts.reduce((total, offcut) => total + areaOf(offcut), 0);
  const ripped = sum(areaOf);
  // The last kerf of a section may run out beyond its edge.
  const kerf = sum(({ lengthMm, yMm, widthMm, xMm }) => {
    const section = sections.find(
      (own) => Math.abs(own.xMm - xMm) < 1e-6 && yMm >= own.yMm - 1e-6 && yMm < own.yMm + own.widthMm,
    )!;
    return lengthMm * Math.min(shop.ripKerfMm, Math.max(0, section.yMm + section.widthMm - yMm - widthMm));
  });
  const ends = ripped - pieces;
  const whole = stock.lengthMm * stock.widthMm;
  return { pieces, ends, kerf, offcuts: kept, rest: whole - pieces - ends - kerf - kept };
}
