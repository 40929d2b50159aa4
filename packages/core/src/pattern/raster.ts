import type { Spot, Wall } from './reach.js';
import { middleOf } from './showing.js';

/** A picture as numbers: rows from the top down, red, green, blue and cover of every pixel, 0 to 255. */
export interface Raster {
  readonly width: number;
  readonly height: number;
  readonly rgba: Uint8ClampedArray;
}

/** A window of a picture that one segment sees, in pixels. */
export interface Frame {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** Where a picture comes to lie: rings (bottom to top, with their heights in mm), a direction and how much of the way round. */
export interface Hanging {
  readonly rings: readonly { readonly ring: number; readonly heightMm: number }[];
  /** Left side of the picture, turns from the index mark. */
  readonly from: number;
  readonly widthTurns: number;
  /** How often it comes, side by side from there on. */
  readonly times: number;
}

/** A segment that sees a part of the picture. */
export interface Seer extends Spot {
  readonly frame: Frame;
  /** In which of the pictures, and where along it, 0 to 1. */
  readonly copy: number;
  readonly along: number;
}

/** Which segments see which part of a picture, rings from the top down, each from left to right. */
export function seers(
  wall: Wall,
  hanging: Hanging,
  { width, height }: Pick<Raster, 'width' | 'height'>,
): Seer[] {
  const total = hanging.rings.reduce((sum, { heightMm }) => sum + heightMm, 0);
  let up = 0;
  const rows = hanging.rings.map(({ ring, heightMm }) => {
    const [low, high] = [up / total, (up + heightMm) / total];
    up += heightMm;
    return rowOf(wall, hanging, ring, { top: height * (1 - high), bottom: height * (1 - low) }, width);
  });
  return rows.reverse().flat();
}

function rowOf(
  wall: Wall,
  { from, widthTurns, times }: Hanging,
  ring: number,
  rows: Pick<Frame, 'top' | 'bottom'>,
  width: number,
): Seer[] {
  const shown = wall[ring];
  if (!shown) return [];
  return shown.stretches
    .filter(({ place }) => place < shown.segments)
    .flatMap((stretch) => {
      const start = (((middleOf(stretch) - from + 1e-7) % 1) + 1) % 1;
      const copy = Math.floor(start / widthTurns);
      if (copy >= times) return [];
      const along = start / widthTurns - copy;
      const half = (stretch.to - stretch.from) / 2 / widthTurns;
      const [left, right] = [along - half, along + half].map((x) => Math.min(1, Math.max(0, x)) * width) as [
        number,
        number,
      ];
      return [{ ring, place: stretch.place, copy, along, frame: { left, right, ...rows } }];
    })
    .sort((a, b) => a.copy - b.copy || a.along - b.along);
}

/** Light of a stored channel value 0 to 255, 0 to 1 (sRGB, IEC 61966-2-1). */
const LIGHT = Float64Array.from({ length: 256 }, (_, i) => {
  const share = i / 255;
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
});

/** Mean light of red, green and blue in a frame, each 0 to 1, and how much of it is covered. Pixels count by their share. */
export function meanLight(
  { width, height, rgba }: Raster,
  frame: Frame,
): { light: [number, number, number]; cover: number } {
  const sum = [0, 0, 0];
  let [cover, area] = [0, 0];
  const [left, right] = widened(frame.left, frame.right, width);
  const [top, bottom] = widened(frame.top, frame.bottom, height);
  for (let y = Math.floor(top); y < Math.ceil(bottom); y++) {
    const tall = Math.min(bottom, y + 1) - Math.max(top, y);
    for (let x = Math.floor(left); x < Math.ceil(right); x++) {
      const weight = tall * (Math.min(right, x + 1) - Math.max(left, x));
      const at = 4 * (y * width + x);
      const opaque = (weight * rgba[at + 3]!) / 255;
      area += weight;
      cover += opaque;
      for (let c = 0; c < 3; c++) sum[c]! += opaque * LIGHT[rgba[at + c]!]!;
    }
  }
  const share = cover > 0 ? 1 / cover : 0;
  return { light: [sum[0]! * share, sum[1]! * share, sum[2]! * share], cover: area > 0 ? cover / area : 0 };
}

/** A stretch of pixels within 0 and `most`, at least a tenth of a pixel wide. */
function widened(from: number, to: number, most: number): [number, number] {
  const least = 0.1;
  const start = Math.min(Math.max(0, from), most - least);
  return [start, Math.min(most, Math.max(to, start + least))];
}
