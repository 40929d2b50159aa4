import { glyphFromLoops, plain, type Raster, type SawnFrom } from '@fellside/core';
import { contours } from 'd3-contour';
import { drawLine, type Face } from '../../pattern/faces.js';
import { readFile } from '../../workers/reading.js';

type Glyph = Extract<SawnFrom, { is: 'letters' }>['glyphs'][number];

/** Outlines of a raster's ink, y up, in pixels: where half of a pixel is covered. */
function traced({ width, height, rgba }: Raster): [number, number][][] {
  // A blank border closes what touches the edge.
  const [wide, tall] = [width + 2, height + 2];
  const ink = new Array<number>(wide * tall).fill(0);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) ink[(y + 1) * wide + x + 1] = rgba[4 * (y * width + x) + 3]! / 255;
  const { coordinates } = contours().size([wide, tall]).contour(ink, 0.5);
  return coordinates
    .flat()
    .map((ring) => ring.slice(0, -1).map(([x, y]): [number, number] => [x!, tall - y!]));
}

/** Letters of a text as outlines of a face, and which of them stands in each segment; a sentence where it cannot be. */
export async function glyphsOfText(
  text: string,
  face: Face,
): Promise<{ glyphs: Glyph[]; order: number[] } | string> {
  const letters = [...text.trim()];
  if (letters.length === 0) return 'There are no letters yet; type some first.';
  const glyphs: Glyph[] = [];
  const order: number[] = [];
  // All letters are drawn as high as the face's capitals, so that small ones stay small.
  const capital = (await drawLine('H', face))?.height;
  if (!capital) return 'Letters cannot be drawn in this browser.';
  for (const letter of letters) {
    if (letter === ' ') {
      order.push(-1);
      continue;
    }
    const known = glyphs.findIndex(({ name }) => name === letter);
    if (known >= 0) {
      order.push(known);
      continue;
    }
    const raster = await drawLine(letter, face);
    if (!raster) return `The face has no ${letter}.`;
    const glyph = glyphFromLoops(letter, traced(raster), capital);
    if (typeof glyph === 'string') return glyph;
    order.push(glyphs.length);
    glyphs.push(glyph);
  }
  return { glyphs, order };
}

/** One outline from a drawing, as high as it is; a sentence where there is none. */
export async function glyphsOfFile(file: File, read = readFile<'readOutline'>): Promise<Glyph | string> {
  const answer = await read('readOutline', [file.name, await file.text()]);
  return answer.ok ? answer.value : plain(answer.reasons[0]!.message);
}
