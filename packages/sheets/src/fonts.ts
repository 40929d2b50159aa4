import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { create } from 'fontkit';
import { unpacked } from './woff.js';

const require = createRequire(import.meta.url);

/** The text face of the application in a weight, from the package that ships it (static WOFF: the PDF writer reads no WOFF2). */
const face = (weight: number) =>
  create(
    unpacked(
      readFileSync(
        require.resolve(`@fontsource/hanken-grotesk/files/hanken-grotesk-latin-${weight}-normal.woff`),
      ),
    ),
  );

let faces: { readonly text: ReturnType<typeof face>; readonly bold: ReturnType<typeof face> } | undefined;

/**
 * Makes both weights known to a document, as `text` and `bold`. They are read once for all documents: handed a file, the writer
 * reads and inflates it anew for every cell of a table and every glyph. (It takes a font that is read; its types do not say so.)
 */
export function withFonts(doc: PDFKit.PDFDocument): void {
  faces ??= { text: face(400), bold: face(700) };
  for (const [name, font] of Object.entries(faces)) doc.registerFont(name, font as unknown as Buffer);
}
