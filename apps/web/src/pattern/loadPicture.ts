import type { Raster } from '@fellside/core';

/** Pictures are read at most this large, px: many times what the segments of a ring can show. */
const MOST = 1200;

/** Reads a PNG, JPEG or SVG file as pixels; null where it is no picture. */
export async function loadPicture(file: Blob): Promise<Raster | null> {
  try {
    const image = new Image();
    image.src = await addressOf(file);
    await image.decode();
    const [wide, tall] = [image.naturalWidth || 600, image.naturalHeight || 600];
    const share = Math.min(1, MOST / Math.max(wide, tall));
    const canvas = document.createElement('canvas');
    canvas.width = Math.max(1, Math.round(wide * share));
    canvas.height = Math.max(1, Math.round(tall * share));
    const context = canvas.getContext('2d', { willReadFrequently: true });
    if (!context) return null;
    context.drawImage(image, 0, 0, canvas.width, canvas.height);
    const { width, height } = canvas;
    return { width, height, rgba: context.getImageData(0, 0, width, height).data };
  } catch {
    return null;
  }
}

/** A file as an address that holds it whole: the page's safeguards let no other in. */
const addressOf = (file: Blob): Promise<string> =>
  new Promise((done, failed) => {
    const reader = new FileReader();
    reader.onload = () => done(reader.result as string);
    reader.onerror = () => failed(reader.error);
    reader.readAsDataURL(file);
  });
