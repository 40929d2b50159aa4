import { expect, test } from 'vitest';
import { plain } from '../measure/said.js';
import { agedColour } from '../wood/ageing.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { difference } from '../wood/colour.js';
import { colourNotes, darkestOf, fillerMm3 } from './colourNotes.js';
import { AGES, type TouchingPair } from './contrast.js';

const wood = (id: string) => SHIPPED_WOODS.find((each) => each.id === id)!;
const pair = (a: string, b: string, lengthMm = 200): TouchingPair => ({
  a: wood(a),
  b: wood(b),
  lengthMm,
  differences: AGES.map((years) =>
    difference(agedColour(wood(a), years), agedColour(wood(b), years)),
  ) as never,
});
const kinds = (...given: TouchingPair[]) => colourNotes(given).map(({ kind }) => kind);

test('woods that cannot be told apart, bleed, or turn round are told with what helps; others are not', () => {
  expect(kinds(pair('sugar-maple', 'black-walnut'))).toEqual([]);
  expect(kinds(pair('sugar-maple', 'red-maple'))).toContain('weak');
  expect(kinds(pair('padauk', 'sugar-maple'))).toContain('bleeds');
  // Dark beside dark: what bleeds is not seen.
  expect(kinds(pair('padauk', 'black-walnut'))).not.toContain('bleeds');
  expect(colourNotes([pair('sugar-maple', 'padauk')])[0]!.woods).toEqual(['padauk', 'sugar-maple']);
  const both = { ...pair('padauk', 'sugar-maple'), b: { ...wood('sugar-maple'), bleeds: true } };
  expect(kinds(both)).not.toContain('bleeds');
  const [turned] = colourNotes([pair('black-cherry', 'white-oak')]).filter(
    ({ kind }) => kind === 'turns-round',
  );
  expect(turned ?? null).toBeNull();
  const round = colourNotes([
    {
      ...pair('black-cherry', 'white-oak'),
      a: { ...wood('black-cherry'), colour: '#d8b890', aged: { colour: '#6b3a20', halfYears: 1 } },
    },
  ]).find(({ kind }) => kind === 'turns-round')!;
  expect(plain(round.says)).toContain('the lighter of the two when new');
  expect(kinds(pair('sugar-maple', 'red-maple', 4))).toEqual([]);
});

test('dust for filling: a tenth of a millimetre in a tenth of all joints', () => {
  expect(fillerMm3([{ joints: 12, heightMm: 20, wallMm: 8 }])).toBeCloseTo(12 * 20 * 8 * 0.01, 9);
  expect(fillerMm3([])).toBe(0);
});

test('the darkest wood is that whose dust is put by', () => {
  expect(darkestOf(['sugar-maple', 'wenge', 'black-cherry'].map(wood))?.id).toBe('wenge');
  expect(darkestOf([])).toBeUndefined();
});
