import type { Raster } from '@fellside/core';

/** Faces that letters can be drawn in: those that ship with Fellside. */
export const FACES = {
  hanken: { name: 'Hanken Grotesk', font: '600', family: '"Hanken Grotesk Variable"' },
  'hanken-black': { name: 'Hanken Grotesk, black', font: '900', family: '"Hanken Grotesk Variable"' },
  literata: { name: 'Literata', font: '600', family: '"Literata Variable"' },
  'literata-black': { name: 'Literata, black', font: '900', family: '"Literata Variable"' },
} as const;
export type Face = keyof typeof FACES;

/** Height of a drawn line of letters, px: many times a segment. */
const SIZE = 160;

/** A line drawn in a face, ink on nothing, cut close; null where nothing is inked or nothing can be drawn. */
export async function drawLine(text: string, face: Face): Promise<Raster | null> {
  const { font, family } = FACES[face];
  const set = `${font} ${SIZE}px ${family}`;
  await document.fonts.load(set, text);
  const canvas = document.createElement('canvas');
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) return null;
  context.font = set;
  canvas.width = Math.min(8192, Math.ceil(context.measureText(text).width + SIZE));
  canvas.height = 2 * SIZE;
  context.font = set;
  context.fillText(text, SIZE / 2, 1.4 * SIZE);
  const { width, height } = canvas;
  return closeCut({ width, height, rgba: context.getImageData(0, 0, width, height).data });
}

/** The part of a raster that anything covers. */
function closeCut({ width, height, rgba }: Raster): Raster | null {
  let [left, right, top, bottom] = [width, -1, height, -1];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      if (rgba[4 * (y * width + x) + 3]! > 100) {
        left = Math.min(left, x);
        right = Math.max(right, x);
        top = Math.min(top, y);
        bottom = Math.max(bottom, y);
      }
  if (right < left) return null;
  const [wide, tall] = [right - left + 1, bottom - top + 1];
  const cut = new Uint8ClampedArray(4 * wide * tall);
  for (let y = 0; y < tall; y++) {
    const from = 4 * ((top + y) * width + left);
    cut.set(rgba.subarray(from, from + 4 * wide), 4 * y * wide);
  }
  return { width: wide, height: tall, rgba: cut };
}
