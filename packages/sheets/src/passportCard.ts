import { type Passport, passportRows, type UnitSystem } from '@fellside/core';
import PDFDocument from 'pdfkit';
import { withFonts } from './fonts.js';
import { INK, PT, QUIET } from './page.js';

/** Sizes of the card, wide by high, mm (ISO 216 for A6 and A7). */
export const CARD_SIZES = { a6: [148, 105], a7: [105, 74], label: [90, 50] } as const;
export type CardSize = keyof typeof CARD_SIZES;

/** What a card shows. */
export interface CardAsk {
  readonly passport: Passport;
  readonly units: UnitSystem;
  readonly size: CardSize;
  /** The piece from the front, PNG, and its width over its height. */
  readonly picture: Uint8Array;
  readonly aspect: number;
  /** A code that is scanned: dark squares of a square of so many on a side, row by row. */
  readonly code: { readonly size: number; readonly dark: ArrayLike<number | boolean> };
}

/** Lines of a passport that a label has room for. */
const SHORT: readonly string[] = ['Maker', 'Number', 'Made', 'Pieces', 'Woods', 'Finish'];
/** The lines that a card of a size shows, and its code holds. */
export const cardRows = (passport: Passport, units: UnitSystem, size: CardSize): [string, string][] =>
  passportRows(passport, units).filter(([label]) => size !== 'label' || SHORT.includes(label));

const EDGE = 5;

/** One card as PDF: what stands beside the piece at a show. Words that find no room are made smaller, down to what can be read. */
export function passportCard({ passport, units, size, picture, aspect, code }: CardAsk): Promise<Uint8Array> {
  const [wide, high] = CARD_SIZES[size];
  const doc = new PDFDocument({
    size: [wide * PT, high * PT],
    margin: 0,
    info: { Title: `${passport.name}: passport`, Creator: 'Fellside' },
  });
  withFonts(doc);
  const parts: Uint8Array[] = [];
  const done = new Promise<Uint8Array>((finished, failed) => {
    doc.on('data', (part: Uint8Array) => parts.push(part));
    doc.on('end', () => finished(Buffer.concat(parts)));
    doc.on('error', failed);
  });
  const square = Math.min(26, high * 0.32);
  const column = wide * 0.36;
  const tall = high - 3 * EDGE - square;
  const [pictureWide, pictureHigh] =
    aspect > column / tall ? [column, column / aspect] : [tall * aspect, tall];
  doc.image(
    Buffer.from(picture),
    (EDGE + (column - pictureWide) / 2) * PT,
    (EDGE + tall - pictureHigh) * PT,
    {
      width: pictureWide * PT,
      height: pictureHigh * PT,
    },
  );
  const dot = square / code.size;
  const [left, top] = [EDGE + (column - square) / 2, high - EDGE - square];
  for (let i = 0; i < code.size * code.size; i++)
    if (code.dark[i])
      doc.rect(
        (left + (i % code.size) * dot) * PT,
        (top + Math.floor(i / code.size) * dot) * PT,
        dot * PT,
        dot * PT,
      );
  doc.fillColor(INK).fill();
  const x = EDGE * 2 + column;
  const rows = cardRows(passport, units, size);
  const width = (wide - x - EDGE) * PT;
  // From a size that reads at arm's length down to the smallest that can be read.
  for (let points = size === 'a6' ? 10 : 8; ; points -= 0.5) {
    const heights = rows.map(([label, value]) =>
      doc.font('text').fontSize(points).heightOfString(`${label}  ${value}`, { width }),
    );
    const title = doc
      .font('bold')
      .fontSize(points * 1.6)
      .heightOfString(passport.name, { width });
    const whole = title + heights.reduce((sum, height) => sum + height, 0) + rows.length * 1.5;
    if (whole > (high - 2 * EDGE) * PT && points > 4.5) continue;
    doc.fillColor(INK).text(passport.name, x * PT, EDGE * PT, { width });
    let y = EDGE * PT + title + 3;
    rows.forEach(([label, value], i) => {
      // What finds no room in the smallest words is left to the code and the page.
      if (y + heights[i]! > (high - EDGE) * PT) return;
      doc
        .font('text')
        .fontSize(points)
        .fillColor(QUIET)
        .text(`${label}  `, x * PT, y, { width, continued: true });
      doc.fillColor(INK).text(value);
      y += heights[i]! + 1.5;
    });
    break;
  }
  doc.end();
  return done;
}
