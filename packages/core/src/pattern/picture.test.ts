import { describe, expect, test } from 'vitest';
import { layBlock } from './block.js';
import { lettersAsBlock, pixelsOf } from './lettering.js';
import { pictureInWoods } from './picture.js';
import { PIXEL_LETTERS, setInPixels } from './pixelFace.js';
import { meanLight, type Raster } from './raster.js';
import type { Wall } from './reach.js';

const wall = (rings: number, count: number): Wall =>
  Array.from({ length: rings }, () => ({
    segments: count,
    stretches: Array.from({ length: count }, (_, place) => ({
      place,
      from: place / count,
      to: (place + 1) / count,
    })),
  }));

/** A picture of so many pixels, each with a colour. */
function raster(width: number, height: number, colour: (x: number, y: number) => readonly number[]): Raster {
  const rgba = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) rgba.set(colour(x, y), 4 * (y * width + x));
  return { width, height, rgba };
}

const INKS = [
  { key: 'light', colour: '#e6d2aa' },
  { key: 'middle', colour: '#ae744a' },
  { key: 'dark', colour: '#3f2f27' },
];
const rgb = (hex: string) => [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16));
const hanging = (rings: number, times = 1, widthTurns = 1 / times) => ({
  rings: Array.from({ length: rings }, (_, ring) => ({ ring, heightMm: 10 })),
  from: 0,
  widthTurns,
  times,
});

describe('pictures in woods', () => {
  const picture = raster(8, 4, (x, y) => [...rgb(INKS[(x + 2 * y) % 3]!.colour), 255]);
  test.each([false, true])('a picture made of the very woods comes out as it is (dithered: %s)', (dither) => {
    const laid = pictureInWoods(wall(4, 8), picture, hanging(4), { inks: INKS, dither });
    expect(laid).toHaveLength(32);
    for (const { ring, place, key } of laid) expect(key).toBe(INKS[(place + 2 * (3 - ring)) % 3]!.key);
  });
  test('tiled it comes side by side; rings of another count see the same parts', () => {
    const laid = pictureInWoods(wall(4, 48), picture, hanging(4, 3), { inks: INKS, dither: false });
    for (const { ring, place, key } of laid)
      expect(key).toBe(INKS[((Math.floor(place / 2) % 8) + 2 * (3 - ring)) % 3]!.key);
  });
  test('dithering comes nearer to an even grey than the nearest wood does', () => {
    const even = raster(4, 4, () => [150, 118, 86, 255]);
    const lightOf = (key: string) =>
      meanLight(
        raster(1, 1, () => [...rgb(INKS.find((ink) => ink.key === key)!.colour), 255]),
        {
          left: 0,
          right: 1,
          top: 0,
          bottom: 1,
        },
      ).light;
    const off = (dither: boolean) => {
      const laid = pictureInWoods(wall(12, 48), even, hanging(12), { inks: INKS, dither });
      const mean = [0, 1, 2].map(
        (c) => laid.reduce((sum, { key }) => sum + lightOf(key)[c]!, 0) / laid.length,
      );
      const wanted = meanLight(even, { left: 0, right: 4, top: 0, bottom: 4 }).light;
      return Math.hypot(...mean.map((value, c) => value - wanted[c]!));
    };
    expect(off(true)).toBeLessThan(0.35 * off(false));
  });
  test('where the picture is empty, places stay as they are', () => {
    const half = raster(2, 1, (x) => [0, 0, 0, x === 0 ? 255 : 0]);
    const laid = pictureInWoods(wall(1, 8), half, hanging(1), { inks: INKS, dither: true });
    expect(laid.map(({ place }) => place)).toEqual([0, 1, 2, 3]);
  });
});

describe('letters', () => {
  test('every letter of the pixel face is five rows of one width and has ink, but for the space', () => {
    for (const letter of PIXEL_LETTERS) {
      const { rows, missing } = setInPixels(letter);
      expect(missing).toEqual([]);
      expect(rows).toHaveLength(5);
      expect(new Set(rows.map((row) => row.length)).size).toBe(1);
      expect(rows.some((row) => row.includes(true))).toBe(letter !== ' ');
    }
    const shapes = PIXEL_LETTERS.map((letter) => JSON.stringify(setInPixels(letter).rows));
    expect(new Set(shapes).size).toBe(shapes.length);
  });
  test('a text is read again from the segments it is set into, whatever the letters missing are told', () => {
    const { rows, missing } = setInPixels('Tarn ★ 26');
    expect(missing).toEqual(['★']);
    const block = lettersAsBlock(rows, {
      letter: 'dark',
      ground: 'light',
      columnTurns: 1 / 96,
      ringsARow: 2,
    });
    const laid = layBlock(wall(10, 96), block, { ring: 0, from: 0, times: 1 });
    const columns = rows[0]!.length;
    expect(laid).toHaveLength(10 * (columns + 2));
    rows.forEach((row, y) => {
      row.forEach((lit, x) => {
        const tones = laid.filter(({ ring, place }) => Math.floor((9 - ring) / 2) === y && place === x + 1);
        expect(tones.map(({ tone }) => tone)).toEqual(lit ? ['dark', 'dark'] : ['light', 'light']);
      });
    });
  });
  test('without a ground only the letters are laid', () => {
    const { rows } = setInPixels('I');
    const block = lettersAsBlock(rows, { letter: 'accent', ground: null, columnTurns: 1 / 12, ringsARow: 1 });
    const laid = layBlock(wall(5, 12), block, { ring: 0, from: 0, times: 1 });
    expect(laid).toHaveLength(rows.flat().filter(Boolean).length);
  });
  test('a drawn line becomes pixels where half of a cell is inked', () => {
    const drawn = raster(40, 20, (x, y) => [0, 0, 0, x >= 20 && y < 10 ? 255 : 0]);
    expect(pixelsOf(drawn, 2, 1)).toEqual([
      [false, false, true, true],
      [false, false, false, false],
    ]);
  });
});
