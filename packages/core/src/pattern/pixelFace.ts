/**
 * A pixel face five high, this project's own: every letter as five rows from the top down, rows between slashes. Small
 * letters are shown as capitals.
 */
const FACE: Readonly<Record<string, string>> = {
  A: '.##./#..#/####/#..#/#..#',
  B: '###./#..#/###./#..#/###.',
  C: '.###/#.../#.../#.../.###',
  D: '###./#..#/#..#/#..#/###.',
  E: '####/#.../###./#.../####',
  F: '####/#.../###./#.../#...',
  G: '.###/#.../#.##/#..#/.###',
  H: '#..#/#..#/####/#..#/#..#',
  I: '###/.#./.#./.#./###',
  J: '..##/...#/...#/#..#/.##.',
  K: '#..#/#.#./##../#.#./#..#',
  L: '#.../#.../#.../#.../####',
  M: '#...#/##.##/#.#.#/#...#/#...#',
  N: '#...#/##..#/#.#.#/#..##/#...#',
  O: '.##./#..#/#..#/#..#/.##.',
  P: '###./#..#/###./#.../#...',
  Q: '.##./#..#/#..#/#.##/.###',
  R: '###./#..#/###./#.#./#..#',
  S: '.###/#.../.##./...#/###.',
  T: '#####/..#../..#../..#../..#..',
  U: '#..#/#..#/#..#/#..#/.##.',
  V: '#...#/#...#/.#.#./.#.#./..#..',
  W: '#...#/#...#/#.#.#/##.##/#...#',
  X: '#...#/.#.#./..#../.#.#./#...#',
  Y: '#...#/.#.#./..#../..#../..#..',
  Z: '####/..#./.#../#.../####',
  Ä: '#..#/.##./#..#/####/#..#',
  Ö: '#..#/.##./#..#/#..#/.##.',
  Ü: '#..#/..../#..#/#..#/.##.',
  0: '.##./#.##/##.#/#..#/.##.',
  1: '.#./##./.#./.#./###',
  2: '###./...#/.##./#.../####',
  3: '###./...#/.##./...#/###.',
  4: '#..#/#..#/####/...#/...#',
  5: '####/#.../###./...#/###.',
  6: '.##./#.../###./#..#/.##.',
  7: '####/...#/..#./.#../.#..',
  8: '.##./#..#/.##./#..#/.##.',
  9: '.##./#..#/.###/...#/.##.',
  '.': '././././#',
  ',': './././#/#',
  '-': '.../.../###/.../...',
  '–': '..../..../####/..../....',
  '!': '#/#/#/./#',
  '?': '##./..#/.#./.../.#.',
  ':': './#/./#/.',
  '’': '#/#/././.',
  '&': '.#.../#.#../.##.#/#..#./.##.#',
  '+': '.../.#./###/.#./...',
  '/': '..#/..#/.#./#../#..',
  ' ': '../../../../..',
};

const HEIGHT = 5;

/** Letters that the pixel face has. */
export const PIXEL_LETTERS: readonly string[] = Object.keys(FACE);

/** A text as rows of lit and unlit pixels from the top down; what letters it has none for. */
export interface SetText {
  readonly rows: readonly (readonly boolean[])[];
  readonly missing: readonly string[];
}

/** Sets a line in the pixel face, one unlit column between letters. */
export function setInPixels(text: string): SetText {
  const letters = [...text.toLocaleUpperCase('en').replaceAll("'", '’')];
  const missing = [...new Set(letters.filter((letter) => !(letter in FACE)))];
  const glyphs = letters.filter((letter) => letter in FACE).map((letter) => FACE[letter]!.split('/'));
  const rows = Array.from({ length: HEIGHT }, (_, y) =>
    glyphs.flatMap((glyph, i) => [
      ...(i > 0 ? [false] : []),
      ...[...glyph[y]!].map((pixel) => pixel === '#'),
    ]),
  );
  return { rows, missing };
}
