import { describe, expect, test } from 'vitest';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { area } from '../ring/plane.js';
import { madeRing, needFor } from '../testing/rings.js';
import { placesIn } from './layOut.js';
import {
  begun,
  groupsOf,
  placesOf,
  type RingMaking,
  START_IDS,
  startOf,
  tonesOf,
  withSegments,
} from './registry.js';

const FROM = { segments: 12, body: 'b' };
const NEED = { outerRadiusMm: mm(100), innerRadiusMm: mm(75), heightMm: mm(24) };
const begunRings = START_IDS.flatMap((start): (readonly [string, RingMaking])[] => {
  const making = begun(start, FROM);
  return making ? [[start, making]] : [];
});

describe.each(begunRings)('%s', (start, making) => {
  test('its pictures, where it has any, show places that it has, in lengths that are finite', () => {
    const made = madeRing(making, needFor(making, NEED));
    const pictures = made.pictures?.() ?? [];
    for (const { title, says, parts, lines, sizes } of pictures) {
      expect(title).not.toBe('');
      expect(plain(says)).toMatch(/\.$/);
      expect(parts.length).toBeGreaterThan(0);
      for (const { outline, place } of parts) {
        expect(outline.length).toBeGreaterThan(2);
        expect(outline.every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y))).toBe(true);
        if (place !== null) expect(place).toBeLessThan(placesOf(making));
      }
      for (const { from, to } of [...lines, ...sizes])
        expect([from.x, from.y, to.x, to.y].every(Number.isFinite)).toBe(true);
      for (const size of sizes)
        expect(Math.hypot(size.to.x - size.from.x, size.to.y - size.from.y)).toBeCloseTo(size.mm, 6);
    }
    expect(new Set(pictures.map(({ title }) => title)).size).toBe(pictures.length);
  });
  test('what is sawn as one segment is every place of it, once', () => {
    const made = madeRing(making, needFor(making, NEED));
    const all = made.together.flat();
    expect(new Set(all).size).toBe(all.length);
    if (made.together.length > 0) expect(made.together).toHaveLength(12);
    expect(all.every((place) => place >= 0 && place < placesIn(made.groups))).toBe(true);
  });
  test('means a tone for every place or for none, and still does with other counts', () => {
    for (const given of [making, withSegments(making, 17)]) {
      const tones = tonesOf(given);
      if (tones) expect(tones).toHaveLength(groupsOf(given).reduce((sum, { count }) => sum + count, 0));
    }
  });
  test('lines that turning must not break through lie within the ring, near before far', () => {
    const made = madeRing(making, needFor(making, NEED));
    for (const { nearMm, farMm, fromMm = 0, toMm = made.heightMm } of made.layers) {
      expect(nearMm).toBeLessThanOrEqual(farMm);
      expect(farMm).toBeLessThan(made.cornerMm + 1e-9);
      expect(fromMm).toBeGreaterThanOrEqual(0);
      expect(toMm).toBeLessThanOrEqual(made.heightMm);
    }
    expect(startOf(making)).toBe(start);
  });
});

test('the faces in the ring’s picture have together the area of its segments outside', () => {
  const making = begun('illusion', FROM)!;
  const made = madeRing(making, needFor(making, NEED));
  const ring = made.pictures!().at(-1)!;
  const width = 2 * 100 * Math.tan(Math.PI / 12);
  const drawn = ring.parts.reduce((sum, { outline }) => sum + Math.abs(area(outline)), 0);
  expect(drawn).toBeCloseTo(6 * width * 24, 4);
});
