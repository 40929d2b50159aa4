import { describe, expect, test } from 'vitest';
import { plain } from '../measure/said.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { readBoardsCsv } from './readBoardsCsv.js';

const read = (text: string) => {
  const answer = readBoardsCsv(text, SHIPPED_WOODS);
  if (!answer.ok) throw new Error(plain(answer.reasons[0]!.message));
  return answer.value;
};
const INCHES = 'wood,length in,width in,thickness in,surfaced,price,moisture %,note,defects\n';
/** Every line that is wrong, as `line: sentence`. */
const wrongIn = (text: string) => read(text).wrong.map(({ line, message }) => `${line}: ${plain(message)}`);

describe('boards as people type them', () => {
  test('fractions, inch marks, nominal thicknesses, decimal commas', () => {
    const { boards } = read(
      `${INCHES}hard maple,48 1/2,"5,5",4/4,no,"8,50",8 %,,\nHard Maple,48",6-1/4",4/4,yes,,,,\nhard maple,1200mm,6 in,1 3/4,,,,,\n`,
    );
    // 48½ in = 1231.9 mm; 4/4 is 25.4 mm rough and 13/16 in = 20.6375 mm surfaced (hardwood trade standard, craft notes 9).
    expect(boards.map(({ lengthMm, widthMm, thicknessMm }) => [lengthMm, widthMm, thicknessMm])).toEqual([
      [expect.closeTo(1231.9, 9), expect.closeTo(139.7, 9), 25.4],
      [expect.closeTo(1219.2, 9), expect.closeTo(158.75, 9), 20.6375],
      [1200, expect.closeTo(152.4, 9), expect.closeTo(44.45, 9)],
    ]);
    expect(boards[0]).toMatchObject({ price: 8.5, moisturePercent: 8, surfaced: false });
  });
  test('defects with decimal commas and fractions, in a file with semicolons too', () => {
    const { boards, wrong } = read(
      'wood;length mm;width mm;thickness mm;defects\nhard maple;2000;150,5;26;"knot 120,5 30 20 15,25; Crack 1900 0 100 3"\n',
    );
    expect(wrong).toEqual([]);
    expect(boards[0]).toMatchObject({
      widthMm: 150.5,
      defects: [
        { kind: 'knot', xMm: 120.5, yMm: 30, lengthMm: 20, widthMm: 15.25 },
        { kind: 'crack', xMm: 1900 },
      ],
    });
    expect(
      read(`${INCHES}hard maple,48,6,4/4,,,,,knot 12-1/2 1 1/2" 3/4\n`).boards[0]!.defects[0],
    ).toMatchObject({
      xMm: 317.5,
      lengthMm: 12.7,
      widthMm: expect.closeTo(19.05, 9),
    });
  });
  test('quoted cells with commas, quotation marks and line breaks; lines are counted as an editor counts them', () => {
    const text = `${INCHES}\n"hard maple","48","6","4/4",,,,"by the ""blue"" shelf,\r\nthird row\nfrom below",\n\nhard maple,wide,6,4/4,,,,,\nelfwood,48,6,4/4,,,,,\n`;
    const { boards, lines } = read(text);
    expect(boards.map(({ note }) => note)).toEqual(['by the "blue" shelf,\r\nthird row\nfrom below']);
    expect(lines).toEqual([3]);
    expect(wrongIn(text)).toEqual([
      '7: Length: “wide” is not a length; write it like 1 3/8, 1.375, 3/4 + 1/32 or 35mm.',
      '8: The wood “elfwood” is not among the woods here.',
    ]);
  });
  test.each([
    [
      'a cell too many',
      'hard maple,48,6,4/4,,,,,,1,5\n',
      /^2: “1” stands in column 10, which has no heading/,
    ],
    [
      'a defect with too few sizes',
      'hard maple,48,6,4/4,,,,,knot 12 1\n',
      /^2: Defect 1 is “knot 12 1”; it has to be a kind and four/,
    ],
    [
      'a defect with a size too many',
      'hard maple,48,6,4/4,,,,,knot 12 1 1 1 9\n',
      /it has to be a kind and four sizes/,
    ],
    ['a kind that is none', 'hard maple,48,6,4/4,,,,,worm 12 1 1 1\n', /A defect is one of crack, knot/],
    ['a quotation mark that stays open', 'hard maple,48,6,4/4,,,,"shelf,\n', /^2: A quotation mark/],
    ['a price that is none', 'hard maple,48,6,4/4,,cheap,,,\n', /^2: Price is/],
    ['nothing for a size', 'hard maple,,6,4/4,,,,,\n', /^2: Length: “” is not a length/],
  ])('%s is told, and nothing dropped silently', (_, row, says) => {
    const [wrong, ...more] = wrongIn(INCHES + row);
    expect(wrong).toMatch(says);
    expect(more).toEqual([]);
    expect(read(INCHES + row).boards).toEqual([]);
  });
  test('line breaks and texts without end in a cell are told shortly', () => {
    expect(wrongIn(`${INCHES}hard maple,"4\n8",6,4/4,,,,,\n`)).toEqual([
      expect.stringMatching(/^2: Length: “4\n8” is not a length/),
    ]);
    const [long] = wrongIn(`${INCHES}${'w'.repeat(1e5)},${' 1'.repeat(1e5)},6,4/4,,,,,\n`);
    expect(long!.length).toBeLessThan(300);
  });
  test('a heading that is there twice refuses the file', () => {
    const answer = readBoardsCsv('wood,length mm,width mm,thickness mm,Width mm\n', SHIPPED_WOODS);
    expect(answer.ok ? '' : plain(answer.reasons[0]!.message)).toBe(
      'Line 1 has the column “width mm” twice.',
    );
  });
});
