import fc from 'fast-check';
import { expect, test } from 'vitest';
import { integrate } from './quadrature.js';

test('exact for polynomials up to degree 7, as Gauss-Legendre with four points has to be', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: -9, max: 9 }), { minLength: 8, maxLength: 8 }),
      fc.integer({ min: 1, max: 5 }),
      (powers, to) => {
        const value = (x: number) => powers.reduce((sum, factor, i) => sum + factor * x ** i, 0);
        const primitive = powers.reduce((sum, factor, i) => sum + (factor * to ** (i + 1)) / (i + 1), 0);
        expect(integrate(value, 0, to)).toBeCloseTo(primitive, 6);
      },
    ),
  );
});
