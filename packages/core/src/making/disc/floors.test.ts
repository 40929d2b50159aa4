import { describe, expect, test } from 'vitest';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { area } from '../../ring/plane.js';
import { madeRing, refusalOf } from '../../testing/rings.js';
import { layOut } from '../layOut.js';
import { makingSchema, type ParamsOf } from '../registry.js';
import { nearest } from '../wedge.js';
import { starHolding } from './star.js';

const NEED = { outerRadiusMm: mm(90), innerRadiusMm: mm(0), heightMm: mm(10) };
const star = (points: number, borderMm = 0): ParamsOf<'disc'> => ({
  way: 'disc',
  sawnFrom: { is: 'star', points, lit: 'clockwise', borderMm: mm(borderMm) },
});
const cabin = (rounds: number): ParamsOf<'disc'> => ({
  way: 'disc',
  sawnFrom: { is: 'cabin', rounds, heart: 0.2, laid: 'left' },
});

const angleAt = (a: { x: number; y: number }, b: typeof a, c: typeof a): number => {
  const [ux, uy, vx, vy] = [a.x - b.x, a.y - b.y, c.x - b.x, c.y - b.y];
  return (Math.atan2(Math.abs(ux * vy - uy * vx), ux * vx + uy * vy) * 180) / Math.PI;
};

describe('a star', () => {
  // Plane geometry: a rhomb of side e with the angle 360°/P at the centre.
  test.each([5, 6, 8, 12, 16])('of %i points is made of rhombs whose sides are all e', (points) => {
    const { sideMm, tipMm, shortMm, holdsMm } = starHolding(points, 90);
    expect(Math.hypot(tipMm / 2, shortMm / 2)).toBeCloseTo(sideMm, 9);
    expect(tipMm).toBeCloseTo(2 * sideMm * Math.cos(Math.PI / points), 9);
    // The polygon through the tips holds the disc: apothem = circumradius · cos(180°/P).
    expect(tipMm * Math.cos(Math.PI / points)).toBeCloseTo(holdsMm, 9);
  });
  test.each([
    [6, 120, 30],
    [8, 90, 45],
  ])('of %i points has infill of %i° in the valley and %i° at its base', (points, apex, base) => {
    const made = madeRing(star(points), NEED);
    const [valley, tip, next] = made.lay(2 * points)[0]!.bottom;
    expect(angleAt(tip!, valley!, next!)).toBeCloseTo(apex, 6);
    expect(angleAt(valley!, tip!, next!)).toBeCloseTo(base, 6);
  });
  test('fills its polygon without gaps: areas add up to the P-gon, with the border to the outer one', () => {
    const whole = (made: ReturnType<typeof madeRing>) =>
      layOut(made).reduce((sum, { bottom }) => sum + area(bottom), 0);
    const gon = (apothem: number, P: number) => P * apothem * apothem * Math.tan(Math.PI / P);
    expect(whole(madeRing(star(8), NEED))).toBeCloseTo(gon(90, 8), 6);
    expect(whole(madeRing(star(8, 14), NEED))).toBeCloseTo(gon(90, 8), 6);
    expect(whole(madeRing(star(11, 14), NEED))).toBeCloseTo(gon(90, 11), 6);
  });
  test('counts light and dark halves, infill and border', () => {
    const counts = madeRing(star(8, 14), NEED).kinds.map(({ name, places }) => [name, places.length]);
    expect(counts).toEqual([
      ['Lit half', 8],
      ['Shaded half', 8],
      ['Infill', 8],
      ['Border', 8],
    ]);
  });
  test.each([4, 17])('of %i points is refused with the limits', (points) => {
    const parsed = makingSchema.safeParse(star(points));
    expect(parsed.success).toBe(false);
    expect(parsed.error?.issues[0]?.message).toBe(
      `A star of ${points} points is asked for; it has to have 5 to 16.`,
    );
  });
  test('no room inside its border is refused', () => {
    expect(plain(refusalOf(star(8, 88), NEED)?.message ?? '')).toMatch(/at least 4 mm\.$/);
  });
});

describe('a log cabin', () => {
  test('grows by four logs a round to a square that holds the disc', () => {
    const made = madeRing(cabin(5), NEED);
    expect(made.kinds).toHaveLength(21);
    const whole = layOut(made).reduce((sum, { bottom }) => sum + area(bottom), 0);
    expect(whole).toBeCloseTo(180 * 180, 6);
    const last = made.lay(20)[0]!.bottom;
    expect(Math.min(...last.map((p, i) => nearest(p, last[(i + 1) % 4]!)))).toBeGreaterThan(70);
  });
  test('logs that would be too thin are refused', () => {
    expect(refusalOf(cabin(12), { ...NEED, outerRadiusMm: mm(10) })?.code).toBe('logs-too-thin');
  });
});
