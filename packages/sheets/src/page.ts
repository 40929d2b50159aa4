import PDFDocument from 'pdfkit';
import { fonts } from './fonts.js';

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
      margin: 0,
      autoFirstPage: false,
      bufferPages: true,
      info: { Title: `${name}: shop sheets`, Creator: 'Fellside' },
    });
    const { text, bold } = fonts();
    this.doc.registerFont('text', text);
    this.doc.registerFont('bold', bold);
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

  /** A table with a head on every page; widths are shares. */
  table(title: string, columns: readonly Column[], rows: readonly (readonly string[])[]): void {
    const whole = columns.reduce((sum, { share }) => sum + share, 0);
    const widths = columns.map(({ share }) => (share / whole) * this.inner);
    const row = (cells: readonly string[], bold: boolean, colour: string) => {
      let x = MARGIN;
      cells.forEach((cell, i) => {
        const { right = false } = columns[i]!;
        this.words(cell, x, this.y, {
          size: 8.5,
          bold,
          colour,
          width: widths[i]! - 1.5,
          align: right ? 'right' : 'left',
        });
        x += widths[i]!;
      });
      this.y += 5;
    };
    const head = () => {
      row(
        columns.map(({ name }) => name),
        false,
        QUIET,
      );
      this.rule(this.y - 0.8);
    };
    this.need(16, title);
    head();
    for (const cells of rows) {
      if (this.y + 5 > this.bottom) {
        this.page(`${title}, continued`);
        head();
      }
      row(cells, false, INK);
    }
    this.y += 3;
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
