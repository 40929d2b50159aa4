import { describe, expect, test } from 'vitest';
import { fromDegrees, mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { EXAMPLE_NEED, madeRing, refusalOf } from '../../testing/rings.js';
import { compoundAngles } from './staves.js';

describe('staves', () => {
  test('a square corner leaning 38°: mitre 31.6°, blade 33.9°', () => {
    // Mitre-saw manuals' crown moulding table, written down from memory.
    const { mitre, bladeTilt } = compoundAngles(4, fromDegrees(38));
    expect((mitre * 180) / Math.PI).toBeCloseTo(31.6, 1);
    expect((bladeTilt * 180) / Math.PI).toBeCloseTo(33.9, 1);
  });

  test('upright they are bevelled at half their angle; lying flat they are a flat ring', () => {
    expect(compoundAngles(12, 0)).toEqual({ mitre: 0, bladeTilt: expect.closeTo(Math.PI / 12, 12) });
    expect(compoundAngles(12, Math.PI / 2)).toEqual({
      mitre: expect.closeTo(Math.PI / 12, 12),
      bladeTilt: expect.closeTo(0, 12),
    });
  });

  test('their faces meet at the angle that the figures tell (normals of two laid staves)', () => {
    const made = madeRing({ way: 'segmented', count: 8, staves: { leanDeg: 25 } });
    const normal = (place: number) => {
      const { bottom, top } = made.lay(place)[0]!;
      const [a, b, c] = [bottom[0]!, bottom[1]!, top[0]!];
      const [u, v] = [
        { x: b.x - a.x, y: b.y - a.y },
        { x: c.x - a.x, y: c.y - a.y },
      ];
      const n = [u.y * 20, -u.x * 20, u.x * v.y - u.y * v.x];
      const length = Math.hypot(...n);
      return n.map((value) => value / length);
    };
    const [p, q] = [normal(0), normal(1)];
    const between = Math.PI - Math.acos(p.reduce((sum, value, i) => sum + value * q[i]!, 0));
    expect(made.figures.find(({ key }) => key === 'angle-between-faces')!.value).toBeCloseTo(between, 10);
  });

  test('leaning so far that they meet is refused', () => {
    expect(
      plain(
        refusalOf(
          { way: 'segmented', count: 8, staves: { leanDeg: 70 } },
          { ...EXAMPLE_NEED, innerRadiusMm: mm(30), heightMm: mm(60) },
        )?.message ?? '',
      ),
    ).toMatch(/Leaning by 70° over 60 mm/);
  });
});
