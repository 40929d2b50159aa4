import type { Made } from '../making/contract.js';
import { biggestOf } from '../making/layOut.js';
import { plain } from '../measure/said.js';
import { turned } from '../ring/plane.js';
import type { FlatDrawing } from './drawing.js';

/** Left free round a ring, and the line that a printer is checked by, mm. */
const MARGIN = 12;
const MEASURE = 100;

/** A ring from above at full size: every piece a closed line on the layer of its kind, with a line of 100 mm. */
export function ringDrawing(made: Made, turn: number, name: string): FlatDrawing {
  const reach = made.cornerMm + MARGIN;
  const lines = made.kinds.flatMap((kind) =>
    kind.places.flatMap((place) => {
      const part = biggestOf(made.lay(place));
      if (!part) return [];
      const points = turned(part.top, turn).map(({ x, y }) => ({ x: x + reach, y: y + reach + MARGIN }));
      return [
        { layer: plain(kind.name), title: `${name}, ${plain(kind.name)} ${place + 1}`, closed: true, points },
      ];
    }),
  );
  return {
    widthMm: Math.max(2 * reach, MEASURE + 2 * MARGIN),
    heightMm: 2 * reach + MARGIN,
    lines: [
      ...lines,
      {
        layer: 'Measure',
        title: '100 mm',
        closed: false,
        points: [
          { x: MARGIN, y: MARGIN },
          { x: MARGIN + MEASURE, y: MARGIN },
        ],
      },
    ],
    texts: [{ layer: 'Measure', at: { x: MARGIN, y: MARGIN + 2 }, heightMm: 4, words: '100 mm' }],
  };
}
