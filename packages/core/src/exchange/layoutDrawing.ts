import type { Section } from '../lumber/board.js';
import { crosscutMarks } from '../lumber/layout/boardCuts.js';
import { numberedBoards, whoseSaid } from '../lumber/layout/laidRows.js';
import { drawnPieces } from '../lumber/layout/outlines.js';
import type { LaidStrip, WoodLayout } from '../lumber/layout/placed.js';
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

/**
 * All boards of a layout at full size, one above the other: boards, defects, crosscuts with their distances from the end, strips with
 * their numbers, pieces and offcuts on layers of their own. Further leaves of resawn strips lie below their board.
 */
export function layoutDrawing(
  layouts: readonly WoodLayout[],
  woods: readonly Species[],
  roll: Roll,
): FlatDrawing {
  const lines: DrawnLine[] = [];
  const texts: DrawnText[] = [];
  let up = APART;
  let most = 0;
  const word = (layer: string, x: number, y: number, words: string) =>
    texts.push({ layer, at: { x: x + APART, y }, heightMm: WORDS, words });
  for (const { number, wood, layout, laid } of numberedBoards(layouts)) {
    const name = woods.find(({ id }) => id === wood)?.name ?? wood;
    const { stock, strips, offcuts } = laid;
    const { lengthMm, widthMm } = stock;
    const line = (layer: string, part: Section, title?: string): void => {
      lines.push({ layer, points: rectangle(part, APART, up), closed: true, ...(title && { title }) });
    };
    const pieces = (strip: LaidStrip, leaf: number): void => {
      for (const { piece, outline } of drawnPieces(strip, layout.kinds[strip.kind]!, leaf))
        lines.push({
          layer: 'Pieces',
          points: outline.map(({ x, y }) => ({ x: x + APART, y: y + up })),
          closed: true,
          title: whoseSaid(piece, roll),
        });
    };
    for (const { strip, leaf, which } of furtherLeaves(strips)) {
      const below = { ...strip, yMm: 0 };
      line('Strips', below, `strip ${which}, leaf ${leaf + 1}`);
      pieces(below, leaf);
      word(
        'Words',
        strip.xMm + strip.lengthMm + WORDS,
        up + strip.widthMm / 2,
        `strip ${which}, leaf ${leaf + 1}`,
      );
      up += strip.widthMm + WORDS;
    }
    line('Boards', { xMm: 0, yMm: 0, lengthMm, widthMm }, name);
    for (const defect of stock.board?.defects ?? []) line('Defects', defect, defect.kind);
    for (const offcut of offcuts) line('Offcuts', offcut);
    strips.forEach((strip, i) => {
      const resawn = strip.leaves.length > 1 ? `, resawn into ${strip.leaves.length}` : '';
      line('Strips', strip, `strip ${i + 1}${resawn}`);
      pieces(strip, 0);
    });
    for (const mark of crosscutMarks(laid)) {
      lines.push({
        layer: 'Crosscuts',
        points: [0, widthMm].map((y) => ({ x: mark + APART, y: y + up })),
        closed: false,
      });
      word('Crosscuts', mark, up - WORDS - 2, `${Math.round(10 * mark) / 10}`);
    }
    const from = stock.board ? 'on hand' : `to buy, ${stock.quarter?.name ?? ''}`;
    word(
      'Words',
      0,
      up + widthMm + WORDS / 2,
      `board ${number}: ${name}, ${from}, ${Math.round(lengthMm)} x ${Math.round(widthMm)} mm`,
    );
    up += widthMm + APART + 2 * WORDS;
    most = Math.max(most, lengthMm);
  }
  return { widthMm: most + 3 * APART, heightMm: up, lines, texts };
}

/** Leaves of resawn strips but the first, with the numbers of their strips. */
const furtherLeaves = (strips: readonly LaidStrip[]) =>
  strips.flatMap((strip, i) =>
    strip.leaves.slice(1).map((_, leaf) => ({ strip, leaf: leaf + 1, which: i + 1 })),
  );
