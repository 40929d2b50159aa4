import { describe, expect, test } from 'vitest';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { leastContact } from '../../surface/contact.js';
import { EXAMPLE_NEED, madeRing, refusalOf } from '../../testing/rings.js';
import type { RingMaking } from '../registry.js';

describe('open rings', () => {
  const parallel = (g: number): RingMaking => ({
    way: 'segmented',
    count: 12,
    between: { put: 'gaps', gap: { sides: 'parallel', widthMm: mm(g) } },
  });
  const tapered = (share: number): RingMaking => ({
    way: 'segmented',
    count: 12,
    between: { put: 'gaps', gap: { sides: 'tapered', share } },
  });
  const theta = Math.PI / 12;

  test('parallel gaps: contact at each end, half a pitch round, by the integral over the shared radii', () => {
    const made = madeRing(parallel(6));
    const contact = leastContact({ made, turn: 0 }, { made, turn: theta }, EXAMPLE_NEED);
    const F = (r: number) => {
      const a = 3;
      return (theta * r * r) / 2 - r * r * Math.asin(a / r) - a * Math.sqrt(r * r - a * a);
    };
    expect(contact).toBeCloseTo(F(100) - F(80), 6);
    expect(contact).toBeCloseTo(351.2, 1);
  });

  test('tapered gaps: ½·(2β − θ)·(Ro² − Ri²)', () => {
    const made = madeRing(tapered(0.2));
    const contact = leastContact({ made, turn: 0 }, { made, turn: theta }, EXAMPLE_NEED);
    expect(contact).toBeCloseTo(0.5 * theta * (1 - 0.4) * (100 ** 2 - 80 ** 2), 6);
    // Aligned, each segment lies on the one below over its whole width.
    expect(leastContact({ made, turn: 0 }, { made, turn: 0 }, EXAMPLE_NEED)).toBeCloseTo(
      0.5 * theta * 0.8 * (100 ** 2 - 80 ** 2),
      6,
    );
  });

  test('on a closed ring or a disc an end is glued over all of its half', () => {
    const made = madeRing(tapered(0.25));
    const half = 0.5 * theta * 0.75 * (100 ** 2 - 80 ** 2);
    for (const lower of [{ way: 'segmented', count: 7 }, { way: 'disc' }] as const)
      expect(leastContact({ made: madeRing(lower), turn: 0.3 }, { made, turn: 0 }, EXAMPLE_NEED)).toBeCloseTo(
        half,
        4,
      );
  });

  test('little hold is warned of, none refused with the largest gap that there may be', () => {
    expect(madeRing(tapered(0.3)).warnings).toEqual([]);
    expect(plain(madeRing(tapered(0.35)).warnings[0]?.message ?? '')).toMatch(
      /4.5° at each end, under a third/,
    );
    expect(plain(refusalOf(tapered(0.5))?.message ?? '')).toMatch(
      /50 % of the circle leave no contact.*less than 50 %/,
    );
    // 2·Ro·sin(θ/2)
    expect(plain(refusalOf(parallel(26.2))?.message ?? '')).toMatch(/less than 26.11 mm/);
  });
});
