import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { create, type Font } from 'fontkit';
import { expect, test } from 'vitest';
import { withFonts } from './fonts.js';
import { unpacked } from './woff.js';

/** The faces that a document is handed, by their name. */
function handed(): Record<string, unknown> {
  const faces: Record<string, unknown> = {};
  withFonts({ registerFont: (name: string, face: unknown) => (faces[name] = face) } as never);
  return faces;
}

test('documents are handed two faces that are read already, once for all of them: of files every cell of a table is read anew', () => {
  const [first, second] = [handed(), handed()];
  expect(first).toEqual({
    text: expect.objectContaining({ postscriptName: 'HankenGrotesk-Regular' }),
    bold: expect.objectContaining({ postscriptName: 'HankenGrotesk-Bold' }),
  });
  for (const name of ['text', 'bold']) expect(second[name]).toBe(first[name]);
});

const file = createRequire(import.meta.url).resolve(
  '@fontsource/hanken-grotesk/files/hanken-grotesk-latin-400-normal.woff',
);

test('a font that is unpacked says of every glyph what its packed file says, by another reader of packed files', () => {
  const packed = readFileSync(file);
  const [theirs, ours] = [create(packed) as Font, create(unpacked(packed)) as Font];
  expect(ours.numGlyphs).toBe(theirs.numGlyphs);
  expect(ours.characterSet).toEqual(theirs.characterSet);
  expect(ours.characterSet.length).toBeGreaterThan(200);
  for (const point of theirs.characterSet) {
    const [glyph, same] = [ours, theirs].map((font) => font.glyphForCodePoint(point));
    expect(glyph!.advanceWidth).toBe(same!.advanceWidth);
    expect(glyph!.path.toSVG()).toBe(same!.path.toSVG());
  }
});

test('its directory: whole words, figures for a search by halves, and sums that hold (OpenType specification)', () => {
  const font = unpacked(readFileSync(file));
  const count = font.readUInt16BE(4);
  const [range, halvings, rest] = [6, 8, 10].map((at) => font.readUInt16BE(at));
  expect([range, rest]).toEqual([16 * 2 ** halvings!, 16 * count - range!]);
  expect(2 ** halvings!).toBeLessThanOrEqual(count);
  expect(2 ** (halvings! + 1)).toBeGreaterThan(count);
  for (let at = 12; at < 12 + count * 16; at += 16) {
    const tag = font.toString('latin1', at, at + 4);
    const [sum, offset, length] = [4, 8, 12].map((more) => font.readUInt32BE(at + more)) as number[];
    expect(offset! % 4).toBe(0);
    let words = 0;
    for (let k = offset!; k < offset! + length!; k += 4)
      // The head's sum is taken with the whole file's own sum, its third word, as nothing.
      if (tag !== 'head' || k !== offset! + 8) words = (words + font.readUInt32BE(k)) >>> 0;
    expect([tag, words]).toEqual([tag, sum]);
  }
});

test('what is no packed font is told as that', () => {
  expect(() => unpacked(Buffer.from('OTTO'))).toThrow('no WOFF');
});
