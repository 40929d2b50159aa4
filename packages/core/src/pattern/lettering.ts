import type { Block } from './block.js';
import { meanLight, type Raster } from './raster.js';
import type { ToneName } from './tones.js';

export interface Lettering {
  readonly letter: ToneName;
  /** Tone of what lies between the letters; null: as it is. */
  readonly ground: ToneName | null;
  /** How much of the way round one column takes, turns: one segment, mostly. */
  readonly columnTurns: number;
  /** Rings a row of pixels is high. */
  readonly ringsARow: number;
}

/**
 * Lit and unlit pixels, rows from the top down, as a block that can be laid on a wall; an unlit column either side. It may
 * come out wider than the way round: what lays it looks whether it fits.
 */
export function lettersAsBlock(
  rows: readonly (readonly boolean[])[],
  { letter, ground, columnTurns, ringsARow }: Lettering,
): Block {
  const columns = rows[0]!.length + 2;
  const rings = [...rows].reverse().flatMap((row) =>
    Array.from({ length: ringsARow }, () =>
      [false, ...row, false].flatMap((lit, i) => {
        const tone = lit ? letter : ground;
        return tone ? [{ from: i / columns, to: (i + 1) / columns, tone }] : [];
      }),
    ),
  );
  return { widthTurns: columns * columnTurns, rows: rings };
}

/** Half of a cell has to be ink for the cell to be lit. */
const INKED = 0.5;

/**
 * A text drawn in any face, ink on nothing, as lit and unlit pixels: `rows` high and as wide as it comes out with cells
 * of the shape `aspect` (width over height).
 */
export function pixelsOf(drawn: Raster, rows: number, aspect: number): boolean[][] {
  const tall = drawn.height / rows;
  const columns = Math.max(1, Math.round(drawn.width / (tall * aspect)));
  const wide = drawn.width / columns;
  return Array.from({ length: rows }, (_, y) =>
    Array.from({ length: columns }, (_, x) => {
      const frame = { left: x * wide, right: (x + 1) * wide, top: y * tall, bottom: (y + 1) * tall };
      return meanLight(drawn, frame).cover >= INKED;
    }),
  );
}
