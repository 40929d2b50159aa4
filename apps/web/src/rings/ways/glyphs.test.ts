import { describe, expect, test } from 'vitest';
import { glyphsOfFile, glyphsOfText } from './glyphs.js';

const file = (name: string, text: string) => new File([text], name);

describe('outlines from a drawing', () => {
  test('an SVG of two paths is one outline, as high as the drawing, in its middle', async () => {
    const svg = '<svg><path d="M0 0H20V40H0Z"/><path d="M5 5H15V15H5Z"/></svg>';
    const glyph = await glyphsOfFile(file('badge.svg', svg));
    if (typeof glyph === 'string') throw new Error(glyph);
    expect(glyph.name).toBe('badge');
    expect(glyph.loops).toHaveLength(2);
    const zs = glyph.loops.flat().map(([, z]) => z);
    expect([Math.min(...zs), Math.max(...zs)]).toEqual([-0.5, 0.5]);
  });
  test('curves are followed closely: a circle of Béziers has a circle’s area', async () => {
    const k = 0.5522847498;
    const d = `M1 0C1 ${k} ${k} 1 0 1C${-k} 1 -1 ${k} -1 0C-1 ${-k} ${-k} -1 0 -1C${k} -1 1 ${-k} 1 0Z`;
    const glyph = await glyphsOfFile(file('round.svg', `<svg><path d="${d}"/></svg>`));
    if (typeof glyph === 'string') throw new Error(glyph);
    const [loop] = glyph.loops;
    const area = loop!.reduce((sum, [x, y], i) => {
      const [u, v] = loop![(i + 1) % loop!.length]!;
      return sum + (x * v - u * y) / 2;
    }, 0);
    expect(area).toBeCloseTo(Math.PI / 4, 2);
  });
  test.each([
    ['empty.svg', '<svg/>', /no path/],
    ['flat.svg', '<svg><path d="M0 0H20V0Z"/></svg>', /no height/],
    ['broken.dxf', '0\nSECTION', /DXF/],
  ])('%s is told to be of no use', async (name, text, says) => {
    expect(await glyphsOfFile(file(name, text))).toMatch(says);
  });
});

test('no letters, and a browser that cannot draw, are told', async () => {
  expect(await glyphsOfText('   ', 'hanken')).toMatch(/no letters yet/);
  Object.defineProperty(document, 'fonts', { value: { load: async () => [] }, configurable: true });
  HTMLCanvasElement.prototype.getContext = () => null;
  expect(await glyphsOfText('A', 'hanken')).toMatch(/cannot be drawn/);
});
