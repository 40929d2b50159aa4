import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';

const require = createRequire(import.meta.url);

/** The text face of the application in two weights, from the package that ships it (static WOFF: the PDF writer reads no WOFF2). */
const file = (weight: number) =>
  readFileSync(
    require.resolve(`@fontsource/hanken-grotesk/files/hanken-grotesk-latin-${weight}-normal.woff`),
  );

export const fonts = () => ({ text: file(400), bold: file(700) });
