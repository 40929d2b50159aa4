import fc from 'fast-check';
import { expect, test } from 'vitest';
import { smallest } from './smallest.js';

const real = (min: number, max: number) => fc.double({ min, max, noNaN: true });

test('the lowest of a parabola is where its slope is nought, or the end that is nearer to it', () => {
  fc.assert(
    fc.property(real(-10, 10), real(0.1, 20), real(-15, 25), real(0.01, 5), (low, wide, at, steep) => {
      const high = low + wide;
      const found = smallest((x) => steep * (x - at) ** 2, low, high);
      const nearest = Math.min(high, Math.max(low, at));
      expect(Math.abs(found.at - nearest)).toBeLessThan(1e-5 * wide);
      expect(found.value).toBeLessThan(steep * (nearest - at) ** 2 + 1e-9 * steep * wide * wide);
    }),
  );
});

test('near an end, between the first two samples, it is found as well', () => {
  for (const at of [0.004, 0.05, 0.09, 0.91, 0.97]) {
    const found = smallest((x) => (x - at) ** 2, 0, 1);
    expect(found.at).toBeCloseTo(at, 5);
    expect(found.value).toBeLessThan(1e-10);
  }
});

test('of what is no parabola it is as low as the lowest of ten thousand samples', () => {
  const shapes: ((x: number) => number)[] = [
    (x) => -Math.sqrt(4.0001 - x * x) + 0.3 * x,
    (x) => Math.exp(x) - 2 * x,
    (x) => Math.abs(x - 0.7) ** 1.5,
    (x) => x ** 4 - 0.2 * x,
    Math.cos,
    (x) => 5 - x,
  ];
  for (const f of shapes) {
    const samples = Array.from({ length: 10_001 }, (_, i) => f(-2 + (4 * i) / 10_000));
    expect(smallest(f, -2, 2).value).toBeLessThan(Math.min(...samples) + 1e-8);
  }
});

test('it is asked for seldom: what rises from an end on is asked once more than it is sampled', () => {
  let asked = 0;
  const counted = (f: (x: number) => number) => (x: number) => {
    asked++;
    return f(x);
  };
  expect(smallest(counted(Math.exp), 0, 3)).toEqual({ value: 1, at: 0 });
  expect(asked).toBe(8);
  asked = 0;
  smallest(counted(Math.cos), 2, 4);
  expect(asked).toBeLessThan(16);
});

test('of a stretch without length it is its only value', () => {
  expect(smallest((x) => x + 1, 4, 4)).toEqual({ value: 5, at: 4 });
});
