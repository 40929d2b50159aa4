import type { SampledWall } from '@fellside/core';
import type { Inks } from './inks.js';
import { darkened, shadeOf, THROUGH } from './shade.js';

/** Pixels to be filled, a number each: alpha, blue, green, red. */
export interface Canvas {
  readonly width: number;
  readonly height: number;
  readonly pixels: Uint32Array;
}

/** Where a drawing lies on its canvas: heights of the piece at pixel rows. */
export interface Upward {
  /** Height in the piece at the middle of a pixel row, mm. */
  heightAt(y: number): number;
}

/** A drawing whose foot, the bench, lies so many pixels from its top, at so many pixels a mm. */
export const standingAt = (foot: number, scale: number): Upward => ({
  heightAt: (y) => (foot - y - 0.5) / scale,
});

const rowAt = ({ rows, fromMm, toMm }: SampledWall, z: number): number =>
  z < fromMm || z >= toMm ? -1 : Math.min(rows - 1, Math.floor(((toMm - z) / (toMm - fromMm)) * rows));

/**
 * Fills a canvas from a sampled wall: `columnAt` gives the column of the wall that a pixel shows, −1 for none. Where the
 * place changes from one pixel to the next there is a joint.
 */
function fill(
  canvas: Canvas,
  wall: SampledWall,
  inks: Inks,
  upward: Upward,
  hatches: boolean,
  columnsOf: (row: number) => Int32Array,
): void {
  const { width, height, pixels } = canvas;
  const { ring: rings, place: places, end } = wall;
  /** The ring of the pixel below, −2 where nothing is drawn. */
  const below = new Int16Array(width).fill(-2);
  /** The place there. */
  const placeBelow = new Int16Array(width);
  let last = -1;
  let columns = new Int32Array(0) as Int32Array;
  // Neighbouring pixels show one piece: its ink is looked up where the piece changes.
  let [inkOf, inkAt] = [-2, -2];
  let ink = inks.inks[0]!;
  let upright = false;
  for (let y = height - 1; y >= 0; y--) {
    const row = rowAt(wall, upward.heightAt(y));
    if (row < 0) continue;
    if (row !== last) columns = columnsOf(row);
    last = row;
    const first = row * wall.columns;
    let [before, beside] = [-2, -2];
    for (let x = 0; x < width; x++) {
      const column = columns[x]!;
      if (column < 0) {
        before = -2;
        below[x] = -2;
        continue;
      }
      const sample = first + column;
      const ring = rings[sample]!;
      const place = places[sample]!;
      const under = below[x]!;
      const edge = (under >= -1 && under !== ring) || (beside >= -1 && beside !== ring);
      const beginsBeside = before !== -2 && before !== place && !hidesGlue(inks, ring, before, place);
      // A joint that runs nearly level is met from below; one that is met in the next pixel is drawn there.
      const beginsAbove =
        under === ring &&
        placeBelow[x] !== place &&
        !hidesGlue(inks, ring, placeBelow[x]!, place) &&
        (x + 1 >= width || columns[x + 1]! < 0 || places[first + columns[x + 1]!] === place);
      const joint = edge || beginsBeside || beginsAbove;
      if (ring !== inkOf || place !== inkAt) {
        [inkOf, inkAt] = [ring, place];
        ink = inks.inks[inks.ofPlace[ring]?.[place] ?? 0]!;
        upright = inks.upright[ring]?.[place] === 1;
      }
      const colour = ring < 0 ? 0 : place < 0 ? THROUGH : shadeOf(ink, upright, end[sample]!, x, y, hatches);
      pixels[y * width + x] = joint && colour !== 0 ? darkened(colour) : colour;
      before = place;
      beside = ring;
      below[x] = ring;
      placeBelow[x] = place;
    }
  }
}

/** Whether a ring hides the glue line between two of its places: they are of one segment. */
function hidesGlue({ joined }: Inks, ring: number, one: number, other: number): boolean {
  const segments = joined[ring];
  return !!segments && one >= 0 && other >= 0 && segments[one] === segments[other];
}

/** The wall laid flat, 0° at the left, as wide as the canvas. */
export function drawUnrolled(
  canvas: Canvas,
  wall: SampledWall,
  inks: Inks,
  upward: Upward,
  hatches: boolean,
): void {
  const columns = Int32Array.from({ length: canvas.width }, (_, x) =>
    Math.floor(((x + 0.5) / canvas.width) * wall.columns),
  );
  fill(canvas, wall, inks, upward, hatches, () => columns);
}

/** Where the axis stands on the canvas and how large the piece is drawn, px and px a mm. */
export interface Front {
  readonly axisX: number;
  readonly scale: number;
  /** The direction that the eye looks at, radians from the index mark. */
  readonly view: number;
  /** Nothing is drawn left of this, px. */
  readonly from?: number;
}

/** The turned outside as it is seen from the front, as much of it as lies on the canvas. */
export function drawRound(
  canvas: Canvas,
  wall: SampledWall,
  inks: Inks,
  upward: Upward,
  hatches: boolean,
  { axisX, scale, view, from = 0 }: Front,
): void {
  const columns = new Int32Array(canvas.width);
  const turn = 2 * Math.PI;
  fill(canvas, wall, inks, upward, hatches, (row) => {
    const radius = wall.radius[row]! * scale;
    for (let x = 0; x < canvas.width; x++) {
      const sine = (x + 0.5 - axisX) / radius;
      if (sine < -1 || sine > 1 || x < from) {
        columns[x] = -1;
        continue;
      }
      const share = (view + Math.asin(sine)) / turn;
      columns[x] = Math.floor((share - Math.floor(share)) * wall.columns) % wall.columns;
    }
    return columns;
  });
}
