import { describe, expect, test } from 'vitest';
import { formatLength } from '../measure/format.js';
import { mm } from '../measure/quantity.js';
import { DEFAULT_SHOP, shopSchema } from './shop.js';
import { roundLength, startingShop } from './startingShop.js';

const lengthsIn = (of: unknown, path = ''): [string, number][] =>
  typeof of === 'object' && of !== null
    ? Object.entries(of).flatMap(([key, value]) =>
        typeof value === 'number' && key.endsWith('Mm')
          ? [[`${path}${key}`, value] as [string, number]]
          : lengthsIn(value, `${path}${key}.`),
      )
    : [];

describe('a shop to start with', () => {
  test.each(['inch-fraction', 'mm'] as const)(
    '%s: all lengths are round, and close to what is usual',
    (units) => {
      const shop = startingShop(units);
      expect(shopSchema.parse(shop)).toEqual(shop);
      const usual = new Map(lengthsIn(DEFAULT_SHOP));
      const grid = units === 'mm' ? 0.05 : 25.4 / 64;
      for (const [path, length] of lengthsIn(shop)) {
        // What is finer than a rule is left alone.
        if (usual.get(path)! < grid) {
          expect(length).toBe(usual.get(path));
          continue;
        }
        expect(Math.abs(length / grid - Math.round(length / grid)), path).toBeLessThan(1e-6);
        const was = usual.get(path)!;
        if (!/Step|Together/.test(path))
          expect(Math.abs(length - was), path).toBeLessThanOrEqual(Math.max(0.0601 * was, grid / 2));
      }
      expect(lengthsIn(shop).length).toBeGreaterThan(30);
    },
  );
  // What a shop in either system would write on its wall: common practice.
  test('four inches are held back, or a hundred millimetres; kerfs are an eighth, or three', () => {
    const [inches, metric] = [startingShop('inch-fraction'), startingShop('mm')];
    expect(formatLength(inches.holdBackMm, 'inch-fraction')).toBe('4"');
    expect(formatLength(inches.swingRadiusMm, 'inch-fraction')).toBe('8"');
    expect([metric.holdBackMm, metric.kerfMm, metric.reachMm, metric.ripStepMm]).toEqual([100, 3, 300, 0.5]);
    expect(metric.units).toBe('mm');
  });
  test('what no round length is close to stays as it is', () => {
    expect(roundLength(mm(0.01), 'mm')).toBe(0.01);
    expect(roundLength(mm(0), 'mm')).toBe(0);
    expect(roundLength(mm(7.62), 'mm')).toBeCloseTo(8, 9);
  });
});
