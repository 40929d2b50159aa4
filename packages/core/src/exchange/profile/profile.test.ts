import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { type CurvePoint, curveThrough, pieceAt, pieceSlope, radiusAt, topOf } from '../../form/curve.js';
import { STARTING_SHAPES, startingForm } from '../../form/starting.js';
import { UNIT_SYSTEMS } from '../../measure/format.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { anyForm } from '../../testing/random.js';
import { PROFILE_FORMATS, readProfile, writeProfile } from './formats.js';

/** The farthest that one curve lies from another, square to the slope, mm. */
function apart(a: readonly CurvePoint[], b: readonly CurvePoint[]): number {
  const [one, other] = [curveThrough(a), curveThrough(b)];
  expect(topOf(other)).toBeCloseTo(topOf(one), 4);
  const height = Math.min(topOf(one), topOf(other));
  const gaps = Array.from({ length: 3000 }, (_, i) => (i * height) / 2999).map((z) => {
    const level = Math.abs(radiusAt(one, z) - radiusAt(other, z));
    return level / Math.hypot(1, pieceSlope(pieceAt(one, z), z));
  });
  return Math.max(...gaps);
}

const thereAndBack = (
  points: readonly CurvePoint[],
  format: (typeof PROFILE_FORMATS)[number],
  unit = 'mm' as const,
) => {
  const read = readProfile(writeProfile(points, format, unit), `profile.${format}`, unit);
  if (!read.ok) throw new Error(plain(read.reasons[0]!.message));
  return read.value;
};

describe.each(PROFILE_FORMATS)('a profile as %s', (format) => {
  test.each(STARTING_SHAPES)('$id comes back within 0.01 mm', (shape) => {
    const { points } = startingForm(shape, 180, 180 / shape.proportion, 6);
    for (const units of UNIT_SYSTEMS)
      expect(apart(points, thereAndBack(points, format, units as 'mm'))).toBeLessThan(0.01);
  });
  test('any form comes back within 0.01 mm', () => {
    fc.assert(
      fc.property(anyForm, ({ points }) => {
        expect(apart(points, thereAndBack(points, format))).toBeLessThan(0.01);
      }),
      { numRuns: 40 },
    );
  });
  test('what is no profile is refused with a sentence', () => {
    for (const text of ['', 'hello', '<svg></svg>', '1,2\n3']) {
      const read = readProfile(text, `a.${format}`, 'mm');
      expect(read.ok ? '' : plain(read.reasons[0]!.message)).toMatch(/\.$/);
    }
  });
});

const read = (text: string, name: string, units: 'mm' | 'inch-decimal' = 'mm') => {
  const points = readProfile(text, name, units);
  return points.ok ? points.value : plain(points.reasons[0]!.message);
};
const pairs = (points: unknown) =>
  (points as CurvePoint[]).map(({ radiusMm, heightMm }) => [radiusMm, heightMm]);

describe('files from elsewhere', () => {
  test('an SVG in inches, drawn downwards, with its base line and lower-case commands', () => {
    const svg =
      '<svg width="4in" viewBox="0 0 400 300"><path fill="none" d="M 0 300 l 200 0 l 100 -300"/></svg>';
    expect(pairs(read(svg, 'bowl.svg'))).toEqual([
      [expect.closeTo(50.8, 6), 0],
      [expect.closeTo(76.2, 6), expect.closeTo(76.2, 6)],
    ]);
  });
  test('an SVG arc is a quarter circle', () => {
    const svg = '<svg width="100mm" viewBox="0 0 100 100"><path d="M50 100 A50 50 0 0 1 100 50"/></svg>';
    const points = read(svg, 'a.svg') as CurvePoint[];
    const curve = curveThrough(points);
    for (const z of [10, 25, 40])
      expect(radiusAt(curve, z)).toBeCloseTo(100 - Math.sqrt(50 ** 2 - (50 - (50 - z)) ** 2) + 0, 1);
  });
  test('a CSV without headings is in the user’s units; rows that are no numbers are named', () => {
    expect(pairs(read('2,0\n3,1.5', 'a.csv', 'inch-decimal'))).toEqual([
      [50.8, 0],
      [expect.closeTo(76.2, 9), expect.closeTo(38.1, 9)],
    ]);
    expect(read('radius mm,height mm\n20,0\nwide,30', 'a.csv')).toMatch(/Row 3 is “wide, 30”/);
  });
  test('an outline that turns back, or comes too near the axis, is refused with the height', () => {
    expect(read('40,0\n60,50\n50,30\n45,80', 'a.csv')).toMatch(/turns back at height 50 mm/);
    expect(read('40,0\n0.2,50\n45,80', 'a.csv')).toMatch(/0.2 mm from the axis/);
    expect(read('40,10\n50,10', 'a.csv')).toMatch(/no height|at least two points/);
  });
  test('a rough or an endless outline is refused, and soon', () => {
    const rough = Array.from({ length: 20_000 }, (_, i) => `${50 + ((i * 7919) % 13) / 4},${i / 100}`).join(
      '\n',
    );
    expect(read(rough, 'scan.csv')).toMatch(/more than 400 curve points/);
    expect(read('x'.repeat(2_000_001), 'a.csv')).toMatch(/too large for an outline/);
  });
  test('a DXF bulge of 1 is half a circle', () => {
    const dxf = [
      '0',
      'SECTION',
      '2',
      'ENTITIES',
      '0',
      'LWPOLYLINE',
      '90',
      '2',
      '70',
      '0',
      '10',
      '40',
      '20',
      '0',
      '42',
      '1',
      '10',
      '40',
      '20',
      '60',
      '0',
      'ENDSEC',
      '0',
      'EOF',
    ].join('\n');
    const curve = curveThrough(read(dxf, 'a.dxf') as CurvePoint[]);
    expect(radiusAt(curve, mm(30))).toBeCloseTo(70, 1);
  });
});
