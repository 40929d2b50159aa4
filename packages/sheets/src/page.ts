import PDFDocument from 'pdfkit';
import { withFonts } from './fonts.js';

/** Papers that sheets are drawn for, mm. */
export const SHEET_PAPERS = { a4: [210, 297], letter: [215.9, 279.4] } as const;
export type SheetPaper = keyof typeof SHEET_PAPERS;

/** Points of the page description a millimetre (1 pt = 1/72 in, ISO 32000). */
export const PT = 72 / 25.4;

export const MARGIN = 14;
const FOOT = 10;
export const INK = '#1d2527';
export const QUIET = '#5b6668';
const RULE = '#b9c0bf';
/** Height that is kept for the head of a table that goes on, two lines of it (mm). */
const HEAD = 8.5;
/** Pages have no margins but the foot, where tables break. */
const BARE = { top: 0, left: 0, right: 0, bottom: (MARGIN + FOOT) * PT };

/** A document that is written in millimetres, from the top of each page down. */
export class Pages {
  readonly doc: PDFKit.PDFDocument;
  readonly width: number;
  readonly height: number;
  /** How far down the page is filled, mm. */
  y = MARGIN;
  private readonly done: Promise<Uint8Array>;

  constructor(
    readonly paper: SheetPaper,
    private readonly name: string,
  ) {
    [this.width, this.height] = SHEET_PAPERS[paper];
    this.doc = new PDFDocument({
      size: [this.width * PT, this.height * PT],
      margins: BARE,
      autoFirstPage: false,
      bufferPages: true,
      info: { Title: `${name}: shop sheets`, Creator: 'Fellside' },
    });
    withFonts(this.doc);
    const parts: Uint8Array[] = [];
    this.done = new Promise((finished, failed) => {
      this.doc.on('data', (part: Uint8Array) => parts.push(part));
      this.doc.on('end', () => finished(Buffer.concat(parts)));
      this.doc.on('error', failed);
    });
  }

  get inner(): number {
    return this.width - 2 * MARGIN;
  }

  /** Where a page has to be broken, mm. */
  get bottom(): number {
    return this.height - MARGIN - FOOT;
  }

  page(title: string): void {
    this.doc.addPage();
    this.y = MARGIN;
    this.words(title, MARGIN, this.y, { size: 16, bold: true });
    this.y += 11;
  }

  /** Begins a new page when less than so many mm are left. */
  need(mm: number, title: string): void {
    if (this.y + mm > this.bottom) this.page(`${title}, continued`);
  }

  heading(words: string): void {
    this.words(words, MARGIN, this.y, { size: 11.5, bold: true });
    this.y += 6.5;
  }

  /** Words at a place, one line, cut off where there is no room. */
  words(
    words: string,
    x: number,
    y: number,
    { size = 9, bold = false, colour = INK, width, align = 'left' }: WordsLook = {},
  ): void {
    this.doc
      .font(bold ? 'bold' : 'text')
      .fontSize(size)
      .fillColor(colour);
    const room = width === undefined ? undefined : width * PT;
    const fitted = room === undefined ? words : this.fitted(words, room);
    const own = this.doc.widthOfString(fitted);
    const at =
      room === undefined || align === 'left'
        ? x * PT
        : x * PT + (align === 'right' ? room - own : (room - own) / 2);
    this.doc.text(fitted, at, y * PT, { lineBreak: false });
  }

  private fitted(words: string, room: number): string {
    if (this.doc.widthOfString(words) <= room) return words;
    let kept = words;
    while (kept.length > 1 && this.doc.widthOfString(`${kept}…`) > room) kept = kept.slice(0, -1);
    return `${kept}…`;
  }

  /** Words over several lines; gives how high they are, mm. */
  paragraph(words: string, x: number, y: number, width: number, size = 9, colour = INK): number {
    this.doc.font('text').fontSize(size).fillColor(colour);
    const high = this.doc.heightOfString(words, { width: width * PT });
    this.doc.text(words, x * PT, y * PT, { width: width * PT });
    return high / PT;
  }

  rule(y = this.y, colour = RULE): void {
    this.doc
      .moveTo(MARGIN * PT, y * PT)
      .lineTo((this.width - MARGIN) * PT, y * PT)
      .lineWidth(0.4)
      .strokeColor(colour)
      .stroke();
  }

  /**
   * A table with a head on every page; widths are shares. The PDF library lays it out: cells wrap, and none is cut off. Columns of
   * which no cell has anything are left out.
   */
  table(title: string, columns: readonly Column[], rows: readonly (readonly string[])[]): void {
    const used = columns.map((_, i) => i).filter((i) => i === 0 || rows.some((cells) => cells[i] !== ''));
    const whole = used.reduce((sum, i) => sum + columns[i]!.share, 0);
    const columnStyles = used.map((i) => ({
      width: (columns[i]!.share / whole) * this.inner * PT,
      align: { x: columns[i]!.right ? ('right' as const) : ('left' as const), y: 'top' as const },
      padding: { top: 1.2, bottom: 1.2, left: 0, right: 5 },
      border: { top: 0, left: 0, right: 0, bottom: 0.3 },
      borderColor: RULE,
    }));
    const draw = (colour: string) =>
      this.doc
        .font('text')
        .fontSize(8.5)
        .fillColor(colour)
        .table({
          position: { x: MARGIN * PT, y: this.y * PT },
          maxWidth: this.inner * PT,
          defaultStyle: { textColor: colour },
          columnStyles,
        });
    const head = () => {
      const table = draw(QUIET);
      table.row(used.map((i) => columns[i]!.name));
      table.end();
      this.y = this.doc.y / PT;
    };
    this.need(16, title);
    head();
    const { margins } = this.doc.options;
    const broken = () => {
      this.y = MARGIN;
      this.words(`${title}, continued`, MARGIN, this.y, { size: 16, bold: true });
      this.y += 11;
      head();
    };
    // A page that the library begins has room for title and head above its rows.
    const headed = { ...BARE, top: (MARGIN + 11 + HEAD) * PT };
    this.doc.options.margins = headed;
    // The library places the first row of the next page by the margin of the page that it leaves.
    this.doc.page.margins = headed;
    this.doc.on('pageAdded', broken);
    const table = draw(INK);
    for (const cells of rows) table.row(used.map((i) => cells[i] ?? ''));
    table.end();
    this.doc.off('pageAdded', broken);
    this.doc.options.margins = margins;
    this.y = this.doc.y / PT + 3;
  }

  /** Numbers the pages and closes the document. */
  async finish(): Promise<Uint8Array> {
    const { start, count } = this.doc.bufferedPageRange();
    for (let i = start; i < start + count; i++) {
      this.doc.switchToPage(i);
      this.words(this.name, MARGIN, this.height - MARGIN - 2, {
        size: 8,
        colour: QUIET,
        width: this.inner * 0.7,
      });
      this.words(`${i + 1} of ${count}`, MARGIN, this.height - MARGIN - 2, {
        size: 8,
        colour: QUIET,
        width: this.inner,
        align: 'right',
      });
    }
    this.doc.end();
    return this.done;
  }
}

interface WordsLook {
  readonly size?: number;
  readonly bold?: boolean;
  readonly colour?: string;
  readonly width?: number;
  readonly align?: 'left' | 'right' | 'middle';
}

export interface Column {
  readonly name: string;
  readonly share: number;
  readonly right?: boolean;
}
