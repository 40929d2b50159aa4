import { expect, test } from 'vitest';
import type { PanelStock, Stock } from '../making/stock.js';
import { fromDegrees, mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { sizesOf } from './pieceRows.js';

const said = (stock: Stock) => sizesOf(stock).map(plain);
const panel = (change: Partial<PanelStock>): PanelStock =>
  ({
    from: 'panel',
    shape: 'layer',
    lengthMm: mm(120),
    widthMm: mm(40),
    thicknessMm: mm(9),
    ...change,
  }) as PanelStock;
const strip = (change: object): Stock =>
  ({
    from: 'strip',
    cutAngle: fromDegrees(15),
    longEdgeMm: mm(50),
    shortEdgeMm: mm(40),
    widthMm: mm(20),
    thicknessMm: mm(19),
    bladeTilt: fromDegrees(0),
    cutting: 'turned-over',
    ...change,
  }) as Stock;

test('a segment: edges, width and cut, the tilt and the way of cutting only where there are any', () => {
  expect(said(strip({}))).toEqual([
    'long edge 50 mm',
    'short edge 40 mm',
    'width 20 mm',
    'cut at 15°, 30° in all',
  ]);
  expect(said(strip({ bladeTilt: fromDegrees(8), cutting: 'same-edge' })).slice(4)).toEqual([
    'blade tilted 8°',
    expect.stringMatching(/edge/),
  ]);
  expect(said(strip({ slicing: { slices: 3 } })).at(-1)).toBe('19 mm high, for 3 slices');
  expect(said(strip({ cutAngle: fromDegrees(0) }))).toEqual(['20 mm thick', '50 mm long']);
});

test('discs, dowels, layers and blocks', () => {
  expect(said(panel({ shape: 'disc' }))).toEqual(['40 mm across']);
  expect(said(panel({ shape: 'dowel' }))).toEqual(['40 mm across, 120 mm long']);
  expect(said(panel({}))).toEqual(['from a layer 120 mm × 40 mm × 9 mm']);
  expect(said(panel({ blocks: 1 }))).toEqual(['from a layer 120 mm × 40 mm × 9 mm']);
  expect(said(panel({ blocks: 4 }))).toEqual(['from 4 layers 120 mm × 40 mm × 9 mm']);
  expect(said(panel({ shape: 'block' }))).toEqual(['block 120 mm × 40 mm × 9 mm']);
});

test('staves: tapered from the grain or not, upright or with the blade tilted', () => {
  const stave = (change: Partial<PanelStock>) => said(panel({ shape: 'stave', ...change }));
  expect(stave({})).toEqual(['120 mm along the grain', '40 mm wide', '9 mm thick']);
  expect(stave({ narrowMm: mm(40) })[1]).toBe('40 mm wide');
  expect(stave({ narrowMm: mm(32) })[1]).toBe('40 mm to 32 mm wide');
  expect(stave({ bladeTilt: fromDegrees(10), mitre: fromDegrees(2) }).slice(3)).toEqual([
    'blade tilted 10°',
    'tapered 2° from the grain',
  ]);
});
