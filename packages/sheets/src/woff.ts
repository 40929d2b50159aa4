import { inflateSync } from 'node:zlib';

/** Bytes of a WOFF's header and of an entry of its directory, and of the same in a font that is not packed. */
const [HEADER, ENTRY] = [44, 20];
const [SFNT_HEADER, SFNT_ENTRY] = [12, 16];

/** Tables begin at whole words. */
const padded = (length: number) => (length + 3) & ~3;

/**
 * The font in a WOFF file, its tables unpacked: what reads a packed one inflates a table anew for every glyph.
 * Source: W3C, WOFF File Format 1.0, sections 3 to 5; OpenType specification, table directory.
 */
export function unpacked(woff: Buffer): Buffer {
  if (woff.toString('latin1', 0, 4) !== 'wOFF') throw new Error('This is no WOFF file.');
  const count = woff.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, i) => {
    const entry = woff.subarray(HEADER + i * ENTRY, HEADER + (i + 1) * ENTRY);
    const [offset, packed, length] = [4, 8, 12].map((at) => entry.readUInt32BE(at)) as [
      number,
      number,
      number,
    ];
    const bytes = woff.subarray(offset, offset + packed);
    return { entry, length, bytes: packed < length ? inflateSync(bytes) : bytes };
  });
  const start = SFNT_HEADER + count * SFNT_ENTRY;
  const font = Buffer.alloc(start + tables.reduce((sum, { length }) => sum + padded(length), 0));
  woff.copy(font, 0, 4, 8);
  font.writeUInt16BE(count, 4);
  // What a search by halves goes by: the largest power of two that is no more than the count.
  const halvings = Math.floor(Math.log2(count));
  const range = 2 ** halvings * SFNT_ENTRY;
  font.writeUInt16BE(range, 6);
  font.writeUInt16BE(halvings, 8);
  font.writeUInt16BE(count * SFNT_ENTRY - range, 10);
  let offset = start;
  tables.forEach(({ entry, length, bytes }, i) => {
    const at = SFNT_HEADER + i * SFNT_ENTRY;
    entry.copy(font, at, 0, 4);
    entry.copy(font, at + 4, 16, 20);
    font.writeUInt32BE(offset, at + 8);
    font.writeUInt32BE(length, at + 12);
    bytes.copy(font, offset);
    offset += padded(length);
  });
  return font;
}
