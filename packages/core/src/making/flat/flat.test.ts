import { describe, expect, test } from 'vitest';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { worded } from '../../testing/rings.js';
import { makeRing, makingSchema } from '../registry.js';
import { segmentStock } from '../segments.js';
import { partsFromDegrees } from './parts.js';
import { anglesOf, flatRing } from './ring.js';

const sized = (count: number, outer: number, inner: number) => {
  const ring = flatRing(count, anglesOf(count), {
    outerRadiusMm: mm(outer),
    innerRadiusMm: mm(inner),
    heightMm: mm(1),
  });
  if (!ring.ok) throw new Error('ring');
  return segmentStock(ring.value.faces, Math.PI / count, 1);
};

describe('a flat ring', () => {
  // Engineering handbooks' table of regular polygons, written down from memory.
  test.each([
    [6, 1.1547],
    [8, 0.82843],
    [12, 0.5359],
    [16, 0.39782],
    [24, 0.2633],
  ])('%i segments: long edge ÷ radius of the inscribed circle is %f', (count, ratio) =>
    expect(sized(count, 1, 0).longEdgeMm).toBeCloseTo(ratio, 5),
  );
  test.each([
    [6, 1],
    [8, 0.76537],
    [12, 0.51764],
    [16, 0.39018],
    [24, 0.26105],
  ])('%i segments: short edge ÷ radius of the hole’s circumscribed circle is %f', (count, ratio) =>
    expect(sized(count, 2, 1).shortEdgeMm).toBeCloseTo(ratio, 5),
  );
  // Common practice.
  test.each([
    [8, 22.5],
    [12, 15],
    [18, 10],
    [24, 7.5],
  ])('%i segments are cut at %f°', (count, angle) =>
    expect((sized(count, 100, 80).cutAngle * 180) / Math.PI).toBeCloseTo(angle, 12),
  );
});

describe('unequal segments', () => {
  const need = { outerRadiusMm: mm(100), innerRadiusMm: mm(80), heightMm: mm(20) };

  test('wide and narrow ones are two kinds; together they close the circle', () => {
    const made = makeRing({ way: 'segmented', count: 12, parts: [2, 1] }, need);
    if (!made.ok) throw new Error(plain(made.reasons[0]!.message));
    const [wide, narrow] = made.value.kinds;
    expect(made.value.kinds.map(({ places }) => places.length)).toEqual([6, 6]);
    // 2·Ro·tan(β/2) with β = 40° and 20°; the hole's corners are those of the wide ones: w = Ro − Ri·cos 20°.
    expect(wide!.stock).toMatchObject({
      longEdgeMm: expect.closeTo(72.794, 3),
      widthMm: expect.closeTo(24.8246, 4),
    });
    expect(narrow!.stock).toMatchObject({ longEdgeMm: expect.closeTo(35.2654, 4) });
    expect(made.value.placeAt(90 * Math.cos(0.7), 90 * Math.sin(0.7), 5)).toBe(1);
    // Ro·|sec 20° − sec 10°|
    expect(made.value.figures[0]!.value).toBeCloseTo(4.8751, 3);
  });

  test('a pattern that does not go into the count, or a segment too wide for a mitre, is refused', () => {
    const parsed = makingSchema.safeParse({ way: 'segmented', count: 10, parts: [1, 1, 2] });
    expect(parsed.error?.issues[0]?.message).toMatch(/does not go into 10/);
    expect(makeRing({ way: 'segmented', count: 3, parts: [1, 1, 9] }, need)).toMatchObject({
      ok: false,
      reasons: [{ code: 'segment-wide' }],
    });
  });

  test('angles in degrees have to make up the circle', () => {
    expect(partsFromDegrees([40, 20], 12)).toEqual({ ok: true, value: [40, 20] });
    expect(worded(partsFromDegrees([40, 25], 12))).toMatchObject({
      reasons: [{ message: expect.stringMatching(/6 times round, add up to 390°; they have to make 360°/) }],
    });
    expect(partsFromDegrees([40, 20, 30], 10)).toMatchObject({ reasons: [{ code: 'parts-do-not-go-in' }] });
  });
});
