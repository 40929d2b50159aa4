import type { Prepared, SampledWall, Side } from '@fellside/core';
import { type Canvas, drawRound, drawUnrolled, standingAt } from '../surfaces/draw.js';
import type { Inks } from '../surfaces/inks.js';
import { geometryService } from '../workers/client.js';
import type { Shape } from '../workers/geometry.js';

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** Room round a piece in a picture, as a share of its side. */
const MARGIN = 0.04;
/** Points sampled for a pixel's width, so that thin spacers are met. */
const FINE = 2;

/** A canvas of a size with the neutral ground, and its pixels laid over it by `draw`. */
export async function pictureOf(size: Size, draw: (canvas: Canvas) => void): Promise<HTMLCanvasElement> {
  const element = Object.assign(document.createElement('canvas'), size);
  const context = element.getContext('2d')!;
  context.fillStyle = '#f5f6f4';
  context.fillRect(0, 0, size.width, size.height);
  const image = context.createImageData(size.width, size.height);
  draw({ ...size, pixels: new Uint32Array(image.data.buffer) });
  const layer = await createImageBitmap(image);
  context.drawImage(layer, 0, 0);
  return element;
}

export const asPng = (element: HTMLCanvasElement): Promise<Blob | null> =>
  new Promise((done) => element.toBlob(done, 'image/png'));

/** A wall sampled as finely as a picture of a size needs. */
export const wallFor = async (
  shape: Shape,
  side: Side,
  { width, height }: Size,
): Promise<SampledWall | null> =>
  (await geometryService()?.sample('picture', shape, side, {
    columns: Math.min(8192, FINE * width),
    rows: Math.min(4096, height),
  })) ?? null;

/** The wall laid flat, as large as the picture. */
export const unrolledPicture = (wall: SampledWall, inks: Inks, hatched: boolean, size: Size) =>
  pictureOf(size, (canvas) => {
    const tall = (wall.toMm - wall.fromMm) / size.height;
    const heightAt = (y: number) => wall.toMm - (y + 0.5) * tall;
    drawUnrolled(canvas, wall, inks, { heightAt }, hatched);
  });

/** The piece as it stands, seen from the front in a direction. */
export function outsidePicture(
  wall: SampledWall,
  inks: Inks,
  hatched: boolean,
  { vessel }: Prepared,
  view: number,
  size: Size,
) {
  const { width, height } = size;
  const widest = 2 * wall.radius.reduce((most, radius) => Math.max(most, radius), 0);
  const room = 1 - 2 * MARGIN;
  const scale = Math.min((width * room) / widest, (height * room) / vessel.heightMm);
  const foot = height / 2 + (vessel.heightMm * scale) / 2;
  return pictureOf(size, (canvas) => {
    drawRound(canvas, wall, inks, standingAt(foot, scale), hatched, { axisX: width / 2, scale, view });
  });
}
