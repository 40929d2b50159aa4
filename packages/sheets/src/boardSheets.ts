import {
  drawnPieces,
  formatLength,
  type LaidBoard,
  laidContents,
  mm,
  sayLaid,
  type WoodLayout,
} from '@fellside/core';
import { INK, MARGIN, type Pages, PT, QUIET } from './page.js';
import type { Shown } from './shown.js';
import { fillWood } from './woodFill.js';

/** The boards as they are sawn, all of one wood to one scale. */
export function boardSheets(pages: Pages, shown: Shown): void {
  const title = 'Boards';
  const used = shown.layouts.filter(({ boards, missing }) => boards.length + missing.length > 0);
  if (used.length === 0) return;
  pages.page(title);
  for (const layout of used) {
    const { boards, missing, wood } = layout;
    const longest = Math.max(1, ...boards.map(({ stock }) => stock.lengthMm));
    const scale = pages.inner / longest;
    const first = boards[0];
    pages.need(first ? first.stock.widthMm * scale + 16 + 4.2 * first.strips.length : 16, title);
    pages.heading(shown.species(wood)?.name ?? wood);
    for (const laid of boards) board(pages, shown, layout, laid, scale, title);
    for (const { owner, count, purpose } of missing) {
      const whose = owner ? shown.roll.nameOf(owner) : 'spares';
      pages.words(
        `Short of ${count} ${purpose === 'spare' ? 'spare pieces' : `pieces of ${whose}`}.`,
        MARGIN,
        pages.y,
        { bold: true },
      );
      pages.y += 6;
    }
    pages.y += 3;
  }
}

function board(
  pages: Pages,
  { shop, species, roll }: Shown,
  { kinds, wood }: WoodLayout,
  laid: LaidBoard,
  scale: number,
  title: string,
): void {
  const { doc } = pages;
  const { stock, strips, offcuts } = laid;
  const { units } = shop;
  const [width, height] = [stock.lengthMm * scale, stock.widthMm * scale];
  pages.need(height + 8 + 4.2 * strips.length, title);
  const from = stock.board
    ? `on hand${stock.board.note ? `: ${stock.board.note}` : ''}`
    : `to buy, ${stock.quarter?.name}`;
  pages.words(
    `${formatLength(mm(stock.widthMm), units)} × ${formatLength(mm(stock.lengthMm), units)}, ${from}`,
    MARGIN,
    pages.y,
  );
  pages.y += 5;
  const top = pages.y;
  const x = (along: number) => (MARGIN + along * scale) * PT;
  const y = (up: number) => (top + height - up * scale) * PT;
  const rectangle = (part: { xMm: number; yMm: number; lengthMm: number; widthMm: number }) =>
    doc.rect(x(part.xMm), y(part.yMm + part.widthMm), part.lengthMm * scale * PT, part.widthMm * scale * PT);
  doc
    .rect(x(0), top * PT, width * PT, height * PT)
    .lineWidth(0.6)
    .strokeColor(INK)
    .stroke();
  strips.forEach((strip, i) => {
    rectangle(strip).lineWidth(0.2).strokeColor(QUIET).stroke();
    const drawn = drawnPieces(strip, kinds[strip.kind]!);
    const trace = (of: PDFKit.PDFDocument) => {
      for (const { outline } of drawn) {
        outline.forEach((p, k) => {
          if (k === 0) of.moveTo(x(p.x), y(p.y));
          else of.lineTo(x(p.x), y(p.y));
        });
        of.closePath();
      }
      return of;
    };
    fillWood(doc, species(wood), { x: MARGIN, y: top, width, height }, trace);
    trace(doc).lineWidth(0.25).strokeColor(INK).stroke();
    pages.words(
      String(i + 1),
      MARGIN + (strip.xMm + strip.lengthMm) * scale - 5,
      top + height - (strip.yMm + strip.widthMm / 2) * scale - 1.4,
      { size: 7, bold: true },
    );
  });
  for (const defect of stock.board?.defects ?? []) rectangle(defect).fillColor(INK).fillOpacity(0.6).fill();
  doc.fillOpacity(1).dash(3, { space: 2 });
  for (const offcut of offcuts) rectangle(offcut).lineWidth(0.4).strokeColor(INK).stroke();
  doc.undash();
  pages.y = top + height + 2;
  strips.forEach((strip, i) => {
    const resawn = strip.leaves.length > 1 ? `, resawn into ${strip.leaves.length}` : '';
    const says = sayLaid(laidContents(strip), roll);
    pages.words(
      `${i + 1}.  ${formatLength(mm(strip.widthMm), units)} wide${resawn}: ${says}`,
      MARGIN + 2,
      pages.y,
      { size: 8, width: pages.inner - 2 },
    );
    pages.y += 4.2;
  });
  pages.y += 4;
}
