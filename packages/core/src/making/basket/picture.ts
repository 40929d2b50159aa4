import type { PicturePart, StepPicture } from '../picture.js';

/** Rows and segments that the picture shows. */
const ROWS = 3;
const SHOWN = 5;

/** Three rings of a basket from outside, half a segment on from each other, laid flat. */
export function basketPicture(
  { count, hand }: { readonly count: number; readonly hand: 'left' | 'right' },
  edge: number,
  level: number,
  moved: number,
  heightMm: number,
): StepPicture {
  const pitch = edge + level;
  const lean = (hand === 'right' ? 1 : -1) * moved;
  const parts = Array.from({ length: ROWS }, (_, row) =>
    Array.from({ length: SHOWN }, (_, i): PicturePart[] => {
      const from = (i + (row % 2) / 2) * pitch;
      const [low, high] = [row * heightMm, (row + 1) * heightMm];
      const band = (left: number, right: number) => [
        { x: left - lean / 2, y: low },
        { x: right - lean / 2, y: low },
        { x: right + lean / 2, y: high },
        { x: left + lean / 2, y: high },
      ];
      return [
        { outline: band(from, from + level), place: count + i },
        { outline: band(from + level, from + pitch), place: i },
      ];
    }).flat(),
  ).flat();
  return {
    step: 'stack',
    title: 'Rings',
    says: 'Three rings from outside, each half a segment on from the one below: wafers and segments as they lean.',
    parts,
    lines: [],
    sizes: [{ from: { x: level, y: 0 }, to: { x: pitch, y: 0 }, mm: edge }],
  };
}
