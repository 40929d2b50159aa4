import { plain } from '@fellside/core';
import { describe, expect, test } from 'vitest';
import { beginFromRings, beginFromShape } from './begin.js';

const shape = {
  name: 'Cup',
  shape: 'vase',
  wood: 'sugar-maple',
  heightMm: '10',
  diameterMm: '6',
  wallMm: '5/16',
  ringHeightMm: '3/4',
  count: '12',
};
const rings = {
  name: 'Stack',
  wood: 'black-walnut',
  wallMm: '6',
  truingMm: '4',
  count: '12',
  fit: 'tightest',
  outer0: '120',
  inner0: '0',
  height0: '19',
  rings0: '1',
  outer1: '130',
  inner1: '80',
  height1: '19',
  rings1: '3',
};
const sentences = (begun: ReturnType<typeof beginFromShape>) =>
  begun.ok ? [] : begun.reasons.map(({ message }) => message);

describe('what is typed for a new piece', () => {
  test('a shape in inches becomes a project with a contrasting wood ready', () => {
    const begun = beginFromShape(shape, 'inch-fraction');
    expect(begun.ok && begun.value).toMatchObject({
      name: 'Cup',
      palette: [{ wood: 'sugar-maple' }, { wood: 'black-walnut' }],
    });
    expect(begun.ok && begun.value.form.points.at(-1)!.heightMm).toBe(254);
  });
  test('all that is wrong with the lengths is told at once', () => {
    const wrong = sentences(beginFromShape({ ...shape, heightMm: 'tall', wallMm: '0' }, 'inch-fraction'));
    expect(wrong.map(plain)).toEqual([
      expect.stringMatching(/^Height: “tall” is not a length/),
      'Wall has to be more than 0 mm.',
    ]);
  });
  test('rings in mm become a stack of fixed rings; walnut goes with maple', () => {
    const begun = beginFromRings(rings, 2, 'mm');
    expect(begun.ok && begun.value.rings.map(({ fixed }) => fixed?.outerRadiusMm)).toEqual([60, 65, 65, 65]);
    expect(begun.ok && begun.value.palette.map(({ wood }) => wood)).toEqual(['black-walnut', 'sugar-maple']);
  });
  test('rows that make no ring are refused by their number', () => {
    expect(plain(sentences(beginFromRings({ ...rings, rings1: 'two' }, 2, 'mm'))[0] ?? '')).toMatch(
      /Size 2: the number of rings is NaN/,
    );
    expect(plain(sentences(beginFromRings({ ...rings, outer1: '' }, 2, 'mm'))[0] ?? '')).toMatch(
      /^Size 2, outside: /,
    );
    expect(plain(sentences(beginFromRings({ ...rings, inner0: '60' }, 2, 'mm'))[0] ?? '')).toMatch(
      /lowest ring has a hole/,
    );
  });
});
