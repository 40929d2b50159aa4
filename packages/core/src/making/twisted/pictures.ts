import type { Point } from '../../ring/plane.js';
import { boxOutline } from '../faced/pictures.js';
import type { StepPicture } from '../picture.js';

/** Board and disc as pictures. */
export function twistedPictures(
  { stripsMm, kerfMm }: { readonly stripsMm: readonly number[]; readonly kerfMm: number },
  across: readonly { from: number; to: number }[],
  outlines: readonly (readonly Point[])[],
  radius: number,
  boardMm: number,
  heights: readonly number[],
): StepPicture[] {
  const width = stripsMm.reduce((a, b) => a + b, 0);
  let low = 0;
  const cuts = heights.slice(0, -1).map((height) => {
    low += height;
    const y = low + kerfMm / 2;
    low += kerfMm;
    return { from: { x: -width / 2, y }, to: { x: width / 2, y }, is: 'cut' as const };
  });
  return [
    {
      step: 'board',
      title: 'Board',
      says: 'The board from its end, with the cuts that slice the disc.',
      parts: across.map(({ from, to }, place) => ({ outline: boxOutline(from, 0, to, boardMm), place })),
      lines: cuts,
      sizes: [
        { from: { x: -width / 2, y: 0 }, to: { x: width / 2, y: 0 }, mm: width },
        { from: { x: width / 2, y: 0 }, to: { x: width / 2, y: boardMm }, mm: boardMm },
      ],
    },
    {
      step: 'disc',
      title: 'Disc',
      says: 'The disc from above: every slice of it has these strips.',
      parts: outlines.flatMap((outline, place) => (outline.length > 0 ? [{ outline, place }] : [])),
      lines: [],
      sizes: [{ from: { x: -radius, y: -radius }, to: { x: radius, y: -radius }, mm: 2 * radius }],
    },
  ];
}
