import { describe, expect, test } from 'vitest';
import { UNSANDED } from '../../making/planing.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { type Answers, BOOK, lean, OUTSIDE_IN, ring, SLICED, SPACERS } from '../../testing/answers.js';
import { EXAMPLE_NEED, madeRing } from '../../testing/rings.js';

describe('a slice of a leaning ring', () => {
  const tilted = { ...SPACERS, lean: lean('same-edge', 15) };
  const heights = [8, 12, 8];
  const members = heights.map((height) => ({ ...EXAMPLE_NEED, heightMm: mm(height) }));
  const whole = madeRing(ring(tilted), { ...EXAMPLE_NEED, heightMm: mm(8 + 12 + 8 + 2 * 2 + 1) });
  test.each([0, 1, 2])('number %i is the whole ring between its own heights', (index) => {
    const need = { ...members[index]!, body: { members, index } };
    const slice = madeRing(ring({ ...tilted, ...SLICED }), need);
    // Half of what is cleaned up lies below the lowest slice, a kerf between each.
    const bottom = 0.5 + heights.slice(0, index).reduce((sum, height) => sum + height + 2, 0);
    let met = 0;
    for (let i = 0; i < 600; i++) {
      const [angle, radius] = [i * 2.399963, 80 + ((i * 0.618) % 1) * 20];
      const [x, y, z] = [
        radius * Math.cos(angle),
        radius * Math.sin(angle),
        ((i * 0.754) % 1) * heights[index]!,
      ];
      const place = slice.placeAt(x, y, z);
      expect(place).toBe(whole.placeAt(x, y, bottom + z));
      if (place !== null && place >= 12) met++;
    }
    expect(met).toBeGreaterThan(10);
    expect(slice.gives).toEqual(whole.gives);
  });
});

test.each<readonly [string, Answers]>([
  ['upright', SLICED],
  ['leaning', { ...SLICED, ...SPACERS, lean: lean('same-edge', 20) }],
  ['opened like a book', { ...BOOK, ...OUTSIDE_IN }],
])(
  'the thickness of a strip is what stays of it, what is sawn away and what is cleaned up: %s',
  (_, answers) => {
    const members = [8, 12, 8].map((height) => ({ ...EXAMPLE_NEED, heightMm: mm(height) }));
    const need = { ...members[0]!, ...(answers.after?.done === 'sliced' && { body: { members, index: 0 } }) };
    for (const { stock } of madeRing(ring(answers), need).kinds) {
      if (stock.from !== 'strip' || !stock.slicing) throw new Error('not sliced');
      const { keptMm, kerfMm, slices, cleanUpMm } = stock.slicing;
      expect(stock.thicknessMm).toBeCloseTo(keptMm + (slices - 1) * kerfMm + cleanUpMm, 9);
    }
  },
);

test.each<readonly [string, Answers, string, boolean]>([
  ['whole', {}, '1 to 12', true],
  ['sliced', SLICED, '1 to 12', true],
  ['opened, two from each block', BOOK, '1 to 6', false],
])('what is numbered of a ring in order along the strip, %s', (_, answers, says, ends) => {
  const given = ring({ ...answers, ...(ends && { inOrder: true }) });
  const told = plain(
    madeRing(given, EXAMPLE_NEED)
      .steps(UNSANDED)
      .find(({ id }) => id === 'number')!.says,
  );
  expect(told).toContain(`Number the pieces ${says} as they come off`);
  expect(told.includes('the figure does not run on')).toBe(ends);
});

test('leaves of a book of two layers have one wood each, and number like those of one', () => {
  const made = madeRing(ring({ count: 8, ...OUTSIDE_IN, ...BOOK }));
  expect([0, 3, 4, 7, 8, 15].map((place) => made.mark(place))).toEqual(['1a', '4a', '4b', '1b', '1a', '1b']);
  expect(made.kinds.map(({ stock }) => stock.from === 'strip' && stock.thicknessMm)).toEqual([43, 43]);
});
