import { describe, expect, test } from 'vitest';
import { START_IDS } from '../making/registry.js';
import { area } from '../ring/plane.js';
import { examplePicture } from './example.js';

describe('pictures of what comes out of a starting point', () => {
  test.each(START_IDS.filter((start) => start !== 'stock'))(
    '%s fills the front of its ring, or the whole of it from above',
    (start) => {
      const picture = examplePicture(start)!;
      const { seen, parts, halfWidth, height } = picture;
      const shown = parts.reduce((sum, { outline }) => sum + Math.abs(area(outline)), 0);
      // Open work has holes, solid rings corners, and a ball fills π/4 of its square; nothing is drawn twice.
      const hole = seen === 'above' && start === 'layered' ? Math.PI * 42 ** 2 : 0;
      const whole = (seen === 'front' ? 2 * halfWidth * height : Math.PI * halfWidth ** 2) - hole;
      expect(shown / whole).toBeGreaterThan(start === 'open' ? 0.5 : start === 'globe' ? 0.78 : 0.85);
      expect(shown / whole).toBeLessThan(1.01);
      for (const { x, y } of parts.flatMap(({ outline }) => outline)) {
        expect(Math.abs(x)).toBeLessThanOrEqual(halfWidth * 1.001);
        expect(Number.isFinite(y)).toBe(true);
      }
    },
  );
  test('where tones are meant they show; a ring from the stash has none until one is chosen', () => {
    expect(new Set(examplePicture('laminated')!.parts.map(({ tone }) => tone)).size).toBeGreaterThan(1);
    expect(new Set(examplePicture('spaced')!.parts.map(({ tone }) => tone))).toEqual(
      new Set(['light', 'dark']),
    );
    expect(examplePicture('stock')).toBeNull();
    expect(examplePicture('medallion')!.seen).toBe('above');
    expect(examplePicture('staved')!.grain.length).toBeGreaterThan(10);
  });
});
