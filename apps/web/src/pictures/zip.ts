import type { wallPages } from '@fellside/core';
import { strToU8, zipSync } from 'fflate';

/** Pages as one ZIP file, an SVG each. */
export function zipped(pages: ReturnType<typeof wallPages>): Blob {
  const files = Object.fromEntries(pages.map(({ name, svg }) => [name, strToU8(svg)]));
  return new Blob([zipSync(files) as unknown as BlobPart], { type: 'application/zip' });
}
