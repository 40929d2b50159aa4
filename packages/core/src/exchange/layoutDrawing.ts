import type { Section } from '../lumber/board.js';
import { drawnPieces } from '../lumber/layout/outlines.js';
import type { WoodLayout } from '../lumber/layout/placed.js';
import type { Roll } from '../ring/owner.js';
import type { Species } from '../wood/species.js';
import type { DrawnLine, DrawnText, FlatDrawing } from './drawing.js';

/** Between boards on a drawing, and how high words stand, mm. */
const APART = 40;
const WORDS = 10;

const rectangle = ({ xMm, yMm, lengthMm, widthMm }: Section, x: number, y: number) => [
  { x: x + xMm, y: y + yMm },
  { x: x + xMm + lengthMm, y: y + yMm },
  { x: x + xMm + lengthMm, y: y + yMm + widthMm },
  { x: x + xMm, y: y + yMm + widthMm },
];

/** All boards of a layout at full size, one above the other: boards, defects, strips, pieces and offcuts on layers of their own. */
export function layoutDrawing(
  layouts: readonly WoodLayout[],
  woods: readonly Species[],
  { nameOf }: Roll,
): FlatDrawing {
  const lines: DrawnLine[] = [];
  const texts: DrawnText[] = [];
  let up = APART;
  let most = 0;
  for (const { wood, kinds, boards } of layouts) {
    const name = woods.find(({ id }) => id === wood)?.name ?? wood;
    for (const { stock, strips, offcuts } of boards) {
      const { lengthMm, widthMm } = stock;
      const line = (layer: string, part: Section, title?: string): void => {
        lines.push({ layer, points: rectangle(part, APART, up), closed: true, ...(title && { title }) });
      };
      line('Boards', { xMm: 0, yMm: 0, lengthMm, widthMm }, name);
      for (const defect of stock.board?.defects ?? []) line('Defects', defect, defect.kind);
      for (const offcut of offcuts) line('Offcuts', offcut);
      for (const strip of strips) {
        const kind = kinds[strip.kind]!;
        line('Strips', strip, strip.leaves.length > 1 ? `resawn into ${strip.leaves.length}` : undefined);
        for (const { piece, outline } of drawnPieces(strip, kind))
          lines.push({
            layer: 'Pieces',
            points: outline.map(({ x, y }) => ({ x: x + APART, y: y + up })),
            closed: true,
            title: piece.owner ? nameOf(piece.owner) : 'spare',
          });
      }
      const from = stock.board ? 'on hand' : `to buy, ${stock.quarter?.name ?? ''}`;
      texts.push({
        layer: 'Words',
        at: { x: APART, y: up + widthMm + WORDS / 2 },
        heightMm: WORDS,
        words: `${name}, ${from}, ${Math.round(lengthMm)} x ${Math.round(widthMm)} mm`,
      });
      up += widthMm + APART + 2 * WORDS;
      most = Math.max(most, lengthMm);
    }
  }
  return { widthMm: most + 2 * APART, heightMm: up, lines, texts };
}
