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

/** What a row of a wall shows at each pixel of a canvas. */
interface ShownRow {
  /** Ring and place; a ring of `NOTHING` where nothing is drawn. */
  readonly ring: Int16Array;
  readonly place: Int16Array;
  readonly end: Uint8Array;
  readonly ink: Uint8Array;
  readonly upright: Uint8Array;
  /** Whether a joint is drawn there: in all its pixel rows, or in the lowest of them alone. */
  readonly joint: Uint8Array;
}

const NOTHING = -2;
const ALL_THE_WAY = 1;
const LOWEST = 2;

const emptyRow = (width: number): ShownRow => ({
  ring: new Int16Array(width).fill(NOTHING),
  place: new Int16Array(width),
  end: new Uint8Array(width),
  ink: new Uint8Array(width),
  upright: new Uint8Array(width),
  joint: new Uint8Array(width),
});

/**
 * Fills a canvas from a sampled wall: `columnsOf` gives the column of the wall that a pixel shows, −1 for none. Pixel rows that show
 * the same row of the wall differ in their grain alone.
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
  let [below, here] = [emptyRow(width), emptyRow(width)];
  let last = -1;
  for (let y = height - 1; y >= 0; y--) {
    const row = rowAt(wall, upward.heightAt(y));
    if (row < 0) continue;
    const lowest = row !== last;
    if (lowest) {
      [below, here] = [here, below];
      showRow(here, below, wall, row, columnsOf(row), inks);
    }
    last = row;
    const { ring, place, end, ink, upright, joint } = here;
    for (let x = 0; x < width; x++) {
      if (ring[x]! < 0) continue;
      const colour =
        place[x]! < 0 ? THROUGH : shadeOf(inks.inks[ink[x]!]!, upright[x] === 1, end[x]!, x, y, hatches);
      const joined = joint[x] === ALL_THE_WAY || (lowest && joint[x] === LOWEST);
      pixels[y * width + x] = joined ? darkened(colour) : colour;
    }
  }
}

/** What a row of the wall shows, over what the row below it does: where the place changes there is a joint. */
function showRow(
  { ring, place, end, ink, upright, joint }: ShownRow,
  below: ShownRow,
  wall: SampledWall,
  row: number,
  columns: Int32Array,
  inks: Inks,
): void {
  const [first, width] = [row * wall.columns, ring.length];
  const placeAt = (x: number) => wall.place[first + columns[x]!]!;
  for (let x = 0; x < width; x++) {
    if (columns[x]! < 0) {
      ring[x] = NOTHING;
      continue;
    }
    const sample = first + columns[x]!;
    const [r, p] = [wall.ring[sample]!, wall.place[sample]!];
    ring[x] = r;
    place[x] = p;
    end[x] = wall.end[sample]!;
    ink[x] = inks.ofPlace[r]?.[p] ?? 0;
    upright[x] = inks.upright[r]?.[p] ?? 0;
    const besideRing = x > 0 ? ring[x - 1]! : NOTHING;
    const besidePlace = x > 0 ? place[x - 1]! : 0;
    const under = below.ring[x]!;
    const edge = besideRing !== NOTHING && besideRing !== r;
    const begins = besideRing !== NOTHING && besidePlace !== p && !hidesGlue(inks, r, besidePlace, p);
    // A joint that runs nearly level is met from below; one that is met in the next pixel is drawn there.
    const beginsAbove =
      under === r &&
      below.place[x] !== p &&
      !hidesGlue(inks, r, below.place[x]!, p) &&
      (x + 1 >= width || columns[x + 1]! < 0 || placeAt(x + 1) === p);
    const edgeAbove = under !== NOTHING && under !== r;
    joint[x] = edge || begins ? ALL_THE_WAY : edgeAbove || beginsAbove ? LOWEST : 0;
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
