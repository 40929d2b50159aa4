import { describe, expect, test } from 'vitest';
import { mm } from '../measure/quantity.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { figureSchema, SHIPPED_FIGURES } from '../wood/figure.js';
import { figureOf, speciesSchema } from '../wood/species.js';
import { growthOf, lightAt, mixed } from './figure.js';

const figure = (ringMm: number, contrast: number, pores: 'none' | 'fine' | 'coarse' = 'none') => ({
  ringMm: mm(ringMm),
  contrast,
  pores,
});

describe('wood that grew', () => {
  test('numbers are well mixed: evenly spread, and none like its neighbour', () => {
    const drawn = Array.from({ length: 20_000 }, (_, i) => mixed(i % 200, Math.floor(i / 200), 3, 7));
    const bins = Array.from({ length: 10 }, (_, b) => drawn.filter((x) => Math.floor(10 * x) === b).length);
    // Ten bins of 2,000 ± 42: five standard deviations of the binomial distribution.
    for (const bin of bins) expect(Math.abs(bin - 2000)).toBeLessThan(212);
    const pairs = drawn.slice(1).map((x, i) => (x - 0.5) * (drawn[i]! - 0.5));
    expect(Math.abs(pairs.reduce((a, b) => a + b) / pairs.length)).toBeLessThan(0.004);
  });
  test.each([1.5, 3, 7])(
    'growth lines %s mm apart are met as often as that going out from the pith',
    (ringMm) => {
      const met = Array.from({ length: 12 }, (_, seed) => {
        const growth = growthOf(figure(ringMm, 60), seed);
        const far = Math.hypot(growth.pithAcross, growth.pithUp);
        const [ux, uy] = [-growth.pithAcross / far, -growth.pithUp / far];
        let [ends, dark] = [0, false];
        for (let s = 0; s < 300; s += 0.05) {
          const light = lightAt(growth, 0, s * ux, s * uy) / growth.shade;
          if (dark && light > 0.9) ends++;
          dark = light < 0.72 || (dark && light <= 0.9);
        }
        return ends;
      });
      const mean = met.reduce((a, b) => a + b) / met.length;
      expect(mean).toBeGreaterThan(0.8 * (300 / ringMm));
      expect(mean).toBeLessThan(1.2 * (300 / ringMm));
    },
  );
  test('fibres run along: light changes far less along the grain than across it', () => {
    const growth = growthOf(figure(3, 25, 'coarse'), 11);
    const change = (dx: number, dy: number) => {
      let sum = 0;
      for (let i = 0; i < 2000; i++) {
        const [x, y] = [(i % 50) * 1.7, Math.floor(i / 50) * 0.9];
        sum += Math.abs(lightAt(growth, x + dx, y + dy, 4) - lightAt(growth, x, y, 4));
      }
      return sum;
    };
    expect(change(0.5, 0)).toBeLessThan(0.4 * change(0, 0.5));
  });
  test('light stays within what a picture can show, for every shipped wood', () => {
    for (const of of Object.values(SHIPPED_FIGURES))
      for (let i = 0; i < 300; i++) {
        const light = lightAt(growthOf(of, i), i * 3.1, 40 - i * 0.7, i * 0.3);
        expect(light).toBeGreaterThan(0.25);
        expect(light).toBeLessThan(1.12);
      }
  });
  test('a wood of one’s own has the figure that is said of it, or a plain one', () => {
    const [maple] = SHIPPED_WOODS;
    expect(figureOf(maple!)).toEqual(SHIPPED_FIGURES[maple!.id]);
    const own = speciesSchema.parse({ ...maple, id: 'own-wood', figure: figure(5, 40, 'coarse') });
    expect(figureOf(own)).toEqual(figure(5, 40, 'coarse'));
    expect(figureOf({ id: 'own-wood' }).contrast).toBeGreaterThan(0);
    const wrong = figureSchema.safeParse(figure(0, 140));
    expect(wrong.error?.issues.map(({ path }) => path[0])).toEqual(['ringMm', 'contrast']);
  });
});
