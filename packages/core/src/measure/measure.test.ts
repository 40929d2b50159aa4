import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { between } from '../testing/numbers.js';
import { editableLength, formatAngle, formatLength, UNIT_SYSTEMS } from './format.js';
import { parseLength } from './parse.js';
import { fromDegrees, mm, rad } from './quantity.js';
import { forZod, fromZod, plain, quantitiesOf, say, sayList, sayMm, sayRad, sentenceIn } from './said.js';
import { parseTurn, turnSaid } from './turn.js';
import { BOARD_FOOT, boardFeet } from './volume.js';

const read = (text: string, system: (typeof UNIT_SYSTEMS)[number] = 'inch-fraction') => {
  const result = parseLength(text, system);
  return result.ok ? (result.value as number) : plain(result.reasons[0]!.message);
};

describe('reading lengths', () => {
  test.each([
    ['1 3/8', 34.925],
    ['1-3/8"', 34.925],
    ['1.375', 34.925],
    ['35mm', 35],
    ['3.5 cm', 35],
    ['3/4 + 1/32', 19.84375],
    ['2 - 1/16', 49.2125],
    ['1⅜', 34.925],
    ['1 3⁄8″', 34.925],
    ["2'", 609.6],
    ['10 + 5 mm', 15],
    ['-1/2', -12.7],
  ])('%s', (text, expected) => expect(read(text)).toBeCloseTo(expected, 10));

  test('numbers without a unit follow the user’s units', () => expect(read('12,5', 'mm')).toBe(12.5));

  test.each(['', 'abc', '1/0', '1 2 3', '3/4 +', '1e9', 'NaN', 'Infinity'])(
    'refuses “%s” with a sentence',
    (text) => {
      expect(read(text)).toMatch(/is not a length; write it like/);
    },
  );
});

describe('showing lengths', () => {
  test('fractions to 1/64 with the side the rest lies on', () => {
    expect(formatLength(mm(34.925), 'inch-fraction')).toBe('1 3/8"');
    expect(formatLength(mm(35), 'inch-fraction')).toBe('1 3/8"+');
    expect(formatLength(mm(34.85), 'inch-fraction')).toBe('1 3/8"−');
    expect(formatLength(mm(25.399), 'inch-fraction')).toBe('1"');
    expect(formatLength(mm(0), 'inch-fraction')).toBe('0"');
  });

  test('decimals, millimetres, angles', () => {
    expect(formatLength(mm(34.925), 'inch-decimal')).toBe('1.375"');
    expect(formatLength(mm(34.928), 'mm')).toBe('34.93 mm');
    expect(formatAngle(fromDegrees(7.5))).toBe('7.5°');
  });

  test('what stands in a field reads back as the same length, in every system', () => {
    fc.assert(
      fc.property(between(0, 2000), fc.constantFrom(...UNIT_SYSTEMS), (value, system) => {
        const back = read(editableLength(mm(value), system), system);
        expect(Math.abs((back as number) - value)).toBeLessThan(0.0051);
      }),
    );
  });

  test('sentences follow the user’s units', () => {
    const said = say`Ring ${2} is ${sayMm(25.4)} tall, ${12} segments at ${sayRad(Math.PI / 12, 'cut-angle')}.`;
    expect(sentenceIn(said, 'inch-fraction')).toBe('Ring 2 is 1" tall, 12 segments at 15°.');
    expect(sentenceIn(said, 'mm')).toBe('Ring 2 is 25.4 mm tall, 12 segments at 15°.');
    expect(sentenceIn(say`Off by ${sayMm(0.1)}.`, 'inch-fraction')).toBe('Off by 0.004".');
  });

  test('sentences keep their quantities, whatever they are put into', () => {
    const inner = say`${sayMm(3)} thick`;
    const said = say`${'Spacers'}: ${sayList([inner, say`${sayMm(5)} long`], '; ')}.`;
    expect(quantitiesOf(said).map(({ value }) => value)).toEqual([3, 5]);
    expect(plain(said)).toBe('Spacers: 3 mm thick; 5 mm long.');
    expect(say`nothing in ${'it'}`).toBe('nothing in it');
    expect(fromZod(forZod(said))).toEqual(said);
    expect(plain(fromZod(forZod('[sic] as it is')))).toBe('[sic] as it is');
  });
});

test('a board foot is 2.359 737 × 10⁻³ m³ (NIST SP 811, Appendix B, from memory)', () => {
  expect(BOARD_FOOT / 1e9).toBeCloseTo(2.359737e-3, 9);
  expect(boardFeet(304.8 * 304.8 * 25.4)).toBeCloseTo(1, 12);
});

test('NaN is a programmer’s mistake and throws', () => expect(() => mm(Number.NaN)).toThrow(/not a length/));

describe('a turn', () => {
  test.each([
    ['1/2', 0.5],
    ['½', 0.5],
    ['0,25', 0.25],
    ['-1 1/2', -1.5],
  ])('“%s” is in segments', (text, segments) => {
    expect(parseTurn(text)).toEqual({ ok: true, value: segments });
  });
  test.each([
    ['7.5°', Math.PI / 24],
    ['7 1/2 deg', Math.PI / 24],
    ['-90 degrees', -Math.PI / 2],
  ])('“%s” is an angle', (text, angle) => {
    expect(parseTurn(text)).toEqual({ ok: true, value: { angle: expect.closeTo(angle, 12) } });
  });
  test.each(['', '1/0', 'half', '7.5"', '°'])('“%s” is refused', (text) => {
    expect(parseTurn(text)).toMatchObject({ ok: false, reasons: [{ code: 'not-a-turn' }] });
  });
  test('half a segment of 24, and none', () => {
    expect(turnSaid({ segments: 0.5, angle: rad(Math.PI / 24) })).toBe('½ = 7.5°');
    expect(turnSaid({ segments: 0, angle: rad(0) })).toBe('0');
  });
});
