import {
  type FlatDrawing,
  formatLength,
  fullSizeDrawing,
  inlayDrawing,
  type Made,
  mitred,
  profileDrawing,
  ringDrawing,
  segmentTemplates,
} from '@fellside/core';
import { INK, MARGIN, type Pages, PT, QUIET } from './page.js';
import type { Shown } from './shown.js';

/** Neighbouring pages show this much of each other, mm; and what the foot of a page takes. */
const LAP = 8;
const FOOT = 16;
/** The line that a printer is checked by, mm. */
export const MEASURE = 100;

/** Full-size templates: the outside as a card to hold against the work, one segment of every size, what is let in, holes for rods, and floors that are laid on a plan. */
export function templateSheets(pages: Pages, shown: Shown): void {
  tiled(pages, profileDrawing(shown.prepared), 'Half-section, full size');
  const segments = segmentTemplates(
    shown.plan.rings.flatMap(({ index, pieces }) =>
      pieces.flatMap(({ kind }) => {
        const piece = mitred(kind.stock);
        if (!piece || piece.cutAngle === 0) return [];
        const words = `Ring ${index + 1}: ${formatLength(piece.longEdgeMm, shown.shop.units)}`;
        return [
          {
            name: words,
            longEdgeMm: piece.longEdgeMm,
            shortEdgeMm: piece.shortEdgeMm,
            widthMm: piece.widthMm,
          },
        ];
      }),
    ),
    pages.inner,
  );
  if (segments.lines.length > 0) tiled(pages, segments, 'Segments, full size');
  for (const [i, { inlay, placed }] of shown.prepared.inlays.entries())
    if (placed.ok) {
      const name = `${inlay.patch ? 'Patch' : 'Inlay'} ${i + 1}, full size`;
      tiled(pages, inlayDrawing(inlay, placed.value, shown.prepared, shown.shop.units), name);
    }
  for (const { name, made } of shown.plan.blanks)
    if (made.ok && made.value.fullSize)
      tiled(pages, fullSizeDrawing(made.value.fullSize), `${name}, full size`);
  for (const { made, turn, course } of shown.prepared.rings)
    if (made.ok && isLaidOnPlan(made.value)) {
      const name = `Ring ${course.index + 1} from above, full size`;
      tiled(pages, ringDrawing(made.value, turn, name), name);
    }
}

/** Floors are laid on a drawing; slices of one block on that of the first. */
const isLaidOnPlan = ({ laidOnPlan, kinds }: Made): boolean =>
  laidOnPlan && kinds.some(({ stock }) => stock.from !== 'slice');

/** A drawing at full size on as many pages as it takes, lapping over each other, with crosses to lay them by and a measure. */
function tiled(pages: Pages, drawing: FlatDrawing, title: string): void {
  const { doc } = pages;
  const [wide, tall] = [pages.inner, pages.bottom - MARGIN - 11 - FOOT];
  const count = (whole: number, one: number) => Math.max(1, Math.ceil((whole - LAP) / (one - LAP)));
  const [across, down] = [count(drawing.widthMm, wide), count(drawing.heightMm, tall)];
  for (let row = 0; row < down; row++)
    for (let column = 0; column < across; column++) {
      const whole = across * down > 1 ? `: row ${row + 1} of ${down}, column ${column + 1} of ${across}` : '';
      pages.page(`${title}${whole}`);
      const [left, top] = [column * (wide - LAP), row * (tall - LAP)];
      const at = ({ x, y }: { x: number; y: number }): [number, number] => [
        (MARGIN + x - left) * PT,
        (pages.y + (drawing.heightMm - y) - top) * PT,
      ];
      doc
        .save()
        .rect(MARGIN * PT, pages.y * PT, wide * PT, tall * PT)
        .clip();
      for (const { points, closed, layer } of drawing.lines) {
        points.forEach((p, i) => {
          if (i === 0) doc.moveTo(...at(p));
          else doc.lineTo(...at(p));
        });
        if (closed) doc.closePath();
        doc
          .lineWidth(layer === 'Rings' ? 0.25 : 0.6)
          .strokeColor(layer === 'Rings' ? QUIET : INK)
          .stroke();
      }
      for (const { at: place, words, heightMm } of drawing.texts) {
        const [px, py] = at(place);
        pages.words(words, px / PT, py / PT - heightMm, { size: heightMm * PT * 0.9 });
      }
      doc.restore();
      if (across * down > 1) crosses(doc, pages.y, wide, tall);
      measure(pages, pages.y + tall + 8);
    }
}

/** Crosses in the middle of the laps, at the corners. */
function crosses(doc: PDFKit.PDFDocument, top: number, wide: number, tall: number): void {
  for (const x of [LAP / 2, wide - LAP / 2])
    for (const y of [LAP / 2, tall - LAP / 2]) {
      const [cx, cy] = [(MARGIN + x) * PT, (top + y) * PT];
      doc
        .moveTo(cx - 8, cy)
        .lineTo(cx + 8, cy)
        .moveTo(cx, cy - 8)
        .lineTo(cx, cy + 8);
    }
  doc.lineWidth(0.4).strokeColor(INK).stroke();
}

function measure(pages: Pages, y: number): void {
  const { doc } = pages;
  const [from, to] = [MARGIN * PT, (MARGIN + MEASURE) * PT];
  doc
    .moveTo(from, y * PT)
    .lineTo(to, y * PT)
    .lineWidth(0.8)
    .strokeColor(INK)
    .stroke();
  for (const x of [from, to])
    doc
      .moveTo(x, (y - 2) * PT)
      .lineTo(x, (y + 2) * PT)
      .stroke();
  const says = 'This line is 100 mm. Measure it before you cut; if it is not, print at 100 %.';
  pages.paragraph(says, MARGIN + MEASURE + 3, y - 4, pages.inner - MEASURE - 3, 8);
}
