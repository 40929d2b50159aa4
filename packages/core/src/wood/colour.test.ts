import { describe, expect, test } from 'vitest';
import { agedColour } from './ageing.js';
import { SHIPPED_WOODS } from './catalogue.js';
import { difference, type LabColour, mixed, SIGHTS, seen } from './colour.js';

const lab = (l: number, a: number, b: number): LabColour => ({ mode: 'lab65', l, a, b }) as LabColour;

/** G. Sharma, W. Wu, E. N. Dalal, “The CIEDE2000 color-difference formula”, 2005, test data; from memory. */
const PUBLISHED = [
  [lab(50, 2.6772, -79.7751), lab(50, 0, -82.7485), 2.0425],
  [lab(50, 2.5, 0), lab(50, 0, -2.5), 4.3065],
  [lab(50, 2.5, 0), lab(73, 25, -18), 27.1492],
  [lab(2.0776, 0.0795, -1.135), lab(0.9033, -0.0636, -0.5514), 0.9082],
] as const;

describe('how different colours look', () => {
  test.each(PUBLISHED)('published pair %#', (a, b, expected) => {
    expect(difference(a, b)).toBeCloseTo(expected, 4);
    expect(difference(b, a)).toBeCloseTo(expected, 4);
  });
  test('black and white are 100 apart, a colour from itself 0', () => {
    expect(difference('#000000', '#ffffff')).toBeCloseTo(100, 1);
    for (const { colour } of SHIPPED_WOODS) expect(difference(colour, colour)).toBe(0);
  });
});

describe('ageing', () => {
  test('every shipped wood has a colour to go to; it is new at first and goes there without turning back', () => {
    for (const wood of SHIPPED_WOODS) {
      expect(agedColour(wood, 0)).toBe(wood.colour);
      const far = [1, 5, 20, 100].map((years) => difference(wood.colour, agedColour(wood, years)));
      expect(far.at(-1)).toBeGreaterThan(1);
      for (let i = 1; i < far.length; i++) expect(far[i]!).toBeGreaterThanOrEqual(far[i - 1]! - 0.5);
    }
  });
  test('after its half-time a wood of one’s own is half way; one that says nothing stays', () => {
    const own = { id: 'plum', colour: '#c08060', aged: { colour: '#604020', halfYears: 4 } };
    expect(agedColour(own, 4)).toBe(mixed('#c08060', '#604020', 0.5));
    expect(agedColour({ id: 'plum', colour: '#c08060' }, 40)).toBe('#c08060');
  });
  test('cherry comes nearer to walnut with the years, as people find', () => {
    const wood = (id: string) => SHIPPED_WOODS.find((other) => other.id === id)!;
    const apart = (years: number) =>
      difference(agedColour(wood('black-cherry'), years), agedColour(wood('black-walnut'), years));
    expect(apart(5)).toBeLessThan(0.6 * apart(0));
  });
});

describe('other eyes', () => {
  test('greys stay what they are for every eye; in grey nothing has a colour', () => {
    for (const sight of SIGHTS) expect(difference(seen('#808080', sight), '#808080')).toBeLessThan(1);
    const [r, g, b] = [1, 3, 5].map((at) => seen('#a1412a', 'grey').slice(at, at + 2));
    expect(r).toBe(g);
    expect(g).toBe(b);
  });
  test('red and green of one lightness come together without red or green, and not without blue', () => {
    const apart = (sight: (typeof SIGHTS)[number]) =>
      difference(seen('#b0503c', sight), seen('#687838', sight));
    expect(apart('deutan')).toBeLessThan(0.5 * apart('usual'));
    expect(apart('tritan')).toBeGreaterThan(0.7 * apart('usual'));
  });
});
