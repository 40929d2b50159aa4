import {
  boardCuts,
  boardParts,
  crosscutMarks,
  drawnPieces,
  formatLength,
  type LaidBoard,
  laidContents,
  mm,
  type NumberedBoard,
  numberedBoards,
  type Shop,
  sayLaid,
  sentenceIn,
  whoseSaid,
} from '@fellside/core';
import { INK, MARGIN, type Pages, PT, QUIET } from './page.js';
import type { Shown } from './shown.js';
import { fillWood } from './woodFill.js';

/** What stands above and below a board, mm: its head, marks of the crosscuts, a line for every cut. */
const HEAD = 11;
const LINE = 4;

/** The boards as they are sawn, all of one wood to one scale: marks, cuts in their order, and what every strip gives. */
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
    pages.need(first ? first.stock.widthMm * scale + HEAD + 7 + LINE * 4 : 16, title);
    pages.heading(shown.species(wood)?.name ?? wood);
    for (const numbered of numberedBoards(shown.layouts))
      if (numbered.layout === layout) board(pages, shown, numbered, scale, title);
    for (const { owner, count, purpose } of missing) {
      pages.words(
        `Short of ${count} ${owner ? 'pieces of ' : ''}${whoseSaid({ owner, purpose }, shown.roll)}${owner || count === 1 ? '' : 's'}.`,
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
  { number, layout, laid }: NumberedBoard,
  scale: number,
  title: string,
): void {
  const { kinds, wood } = layout;
  const { doc } = pages;
  const { stock, strips, offcuts } = laid;
  const { units } = shop;
  const [width, height] = [stock.lengthMm * scale, stock.widthMm * scale];
  const cuts = boardCuts(laid, kinds, shop);
  pages.need(height + HEAD + LINE * (cuts.length + 1), title);
  const from = stock.board
    ? `on hand${stock.board.note ? `: ${stock.board.note}` : ''}`
    : `to buy, ${stock.quarter?.name}`;
  pages.words(
    `Board ${number}: ${formatLength(mm(stock.widthMm), units)} × ${formatLength(mm(stock.lengthMm), units)}, ${from}`,
    MARGIN,
    pages.y,
    { bold: true },
  );
  pages.y += 5;
  marks(pages, laid, scale, shop);
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
  cuts.forEach((cut, i) => {
    pages.need(LINE, title);
    pages.y +=
      pages.paragraph(`${i + 1}.  ${sentenceIn(cut, units)}`, MARGIN + 2, pages.y, pages.inner - 2, 8) + 0.4;
  });
  pages.y += 1;
  pages.table(
    title,
    [
      { name: 'Strip', share: 7, right: true },
      { name: 'Part', share: 7 },
      { name: 'Width', share: 14 },
      { name: 'Length', share: 16 },
      { name: 'Planed', share: 14 },
      { name: 'Leaves', share: 9, right: true },
      { name: 'Pieces', share: 70 },
    ],
    boardParts(laid).flatMap(({ name, strips: own }) =>
      own.map(({ number: which, strip }) => [
        String(which),
        name,
        formatLength(mm(strip.widthMm), units),
        formatLength(mm(strip.lengthMm), units),
        formatLength(kinds[strip.kind]!.thicknessMm, units),
        strip.leaves.length > 1 ? String(strip.leaves.length) : '',
        sayLaid(laidContents(strip), roll),
      ]),
    ),
  );
  pages.y += 2;
}

/** Where a board is crosscut, in distances from its end, over the board. */
function marks(pages: Pages, laid: LaidBoard, scale: number, shop: Shop): void {
  let reached = MARGIN - 20;
  for (const mark of crosscutMarks(laid)) {
    const x = MARGIN + mark * scale;
    pages.doc
      .moveTo(x * PT, (pages.y + 3.2) * PT)
      .lineTo(x * PT, (pages.y + 5) * PT)
      .lineWidth(0.5)
      .strokeColor(INK)
      .stroke();
    // Marks that would lie over each other are read from the list of cuts.
    if (x - reached < 13) continue;
    pages.words(formatLength(mm(mark), shop.units), Math.min(x, MARGIN + pages.inner - 12), pages.y, {
      size: 7,
    });
    reached = x;
  }
  pages.y += 5;
}
