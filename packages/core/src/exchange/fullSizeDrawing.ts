import type { FullSize } from '../making/picture.js';
import type { FlatDrawing } from './drawing.js';

/** Left free round each part, and how high words stand over it, mm. */
const FREE = 12;
const WORDS = 4;

/** Names of the layers that lines lie on. */
const LAYERS = { outline: 'Outline', middle: 'Middle', saw: 'Saw', hole: 'Holes', cross: 'Crosses' } as const;

/** What is laid on the work, side by side on one drawing, each under its title. */
export function fullSizeDrawing(parts: readonly FullSize[]): FlatDrawing {
  const reaches = parts.map(({ lines }) => {
    const points = lines.flatMap((line) => line.points);
    const most = (of: readonly number[]) => Math.max(...of.map(Math.abs));
    return { across: most(points.map(({ x }) => x)), up: most(points.map(({ y }) => y)) };
  });
  const tall = 2 * Math.max(...reaches.map(({ up }) => up));
  let left = FREE;
  const placed = parts.map((part, i) => {
    const { across } = reaches[i]!;
    const from = left;
    left += 2 * across + FREE;
    return { ...part, from, middle: { x: from + across, y: FREE + tall / 2 } };
  });
  return {
    widthMm: left,
    heightMm: tall + 2 * FREE + 2 * WORDS,
    lines: placed.flatMap(({ title, lines, middle }) =>
      lines.map(({ is, points, closed }) => ({
        layer: LAYERS[is],
        title,
        closed,
        points: points.map(({ x, y }) => ({ x: x + middle.x, y: y + middle.y })),
      })),
    ),
    texts: placed.map(({ title, from }) => ({
      layer: 'Words',
      at: { x: from, y: tall + 1.5 * FREE },
      heightMm: WORDS,
      words: title,
    })),
  };
}
