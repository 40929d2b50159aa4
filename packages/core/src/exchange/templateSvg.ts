import type { Made } from '../making/contract.js';
import { biggestOf } from '../making/layOut.js';
import { trimZeros } from '../measure/format.js';
import { plain } from '../measure/said.js';
import type { Point } from '../ring/plane.js';

const figure = (value: number): string => trimZeros(value.toFixed(3));

/** Left free round the drawing, and the line that a printer is checked by, mm. */
const MARGIN = 12;
const MEASURE = 100;

/**
 * A ring from above at full size in mm, with a line of 100 mm to check the printer by: every piece as a closed path with
 * its place as title, for templates and for a router.
 */
export function templateSvg(made: Made): string {
  const places = made.kinds.flatMap((kind) =>
    kind.places.map((place) => ({ place, name: plain(kind.name) })),
  );
  const outlines = places.flatMap(({ place, name }) => {
    const part = biggestOf(made.lay(place));
    return part ? [{ name, outline: part.top }] : [];
  });
  const reach = made.cornerMm + MARGIN;
  const size = 2 * reach;
  const path = (outline: readonly Point[]) =>
    `M${outline.map(({ x, y }) => `${figure(x + reach)} ${figure(reach - y)}`).join('L')}Z`;
  const high = size + MARGIN;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${figure(size)}mm" height="${figure(high)}mm" viewBox="0 0 ${figure(size)} ${figure(high)}">
  <g fill="none" stroke="#000000" stroke-width="0.2">
${outlines.map(({ name, outline }) => `    <path d="${path(outline)}"><title>${name}</title></path>`).join('\n')}
    <path d="M${MARGIN} ${figure(high - 6)}h${MEASURE}m0 -2v4m-${MEASURE} 0v-4"/>
  </g>
  <text x="${MARGIN + MEASURE + 3}" y="${figure(high - 4.5)}" font-size="4" font-family="sans-serif">100 mm</text>
</svg>
`;
}
