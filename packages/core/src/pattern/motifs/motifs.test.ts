import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyUse, evenRow, ringOf, shown } from '../../testing/motifs.js';
import {
  begunFor,
  begunMotif,
  countsNear,
  dividesInto,
  type MotifUse,
  motifUseSchema,
  repeatsNear,
} from '../motifUse.js';
import { MOTIFS, motifOf } from './registry.js';

const begun = (kind: string, values: Record<string, number> = {}): MotifUse => {
  const use = begunMotif(motifOf(kind)!);
  return { ...use, values: { ...use.values, ...values } };
};

describe.each(MOTIFS)('$name', (motif) => {
  test('is well formed as it is begun, and says what it looks like', () => {
    expect(motifUseSchema.safeParse(begunMotif(motif)).success).toBe(true);
    expect(motif.says.length).toBeGreaterThan(10);
  });

  test('gives every segment one of its tones, whatever the count and the numbers', () => {
    fc.assert(
      fc.property(anyUse(motif), fc.integer({ min: 1, max: 90 }), fc.nat(30), (use, count, row) => {
        expect(motifUseSchema.safeParse(use).success).toBe(true);
        const tones = ringOf(use, evenRow(count, row, 31));
        expect(tones).toHaveLength(count);
        expect(tones.every((tone) => tone >= 0 && tone < use.tones.length)).toBe(true);
      }),
      { numRuns: 40 },
    );
  });

  test('refuses numbers beyond its limits, strange ones and too few tones, with a sentence', () => {
    const use = begunMotif(motif);
    const number = motif.numbers[0]!;
    const wrong = [
      { ...use, values: { ...use.values, [number.key]: number.most + 1 } },
      { ...use, values: { ...use.values, strange: 1 } },
      { ...use, tones: use.tones.slice(0, motif.tones.least - 1) },
    ];
    for (const given of wrong) {
      const read = motifUseSchema.safeParse(given);
      expect(read.success).toBe(false);
      expect(read.error!.issues.some(({ message }) => message.length > 20)).toBe(true);
    }
  });
});

const REPEATING = MOTIFS.filter(
  ({ kind, numbers }) => kind !== 'panels' && numbers.some(({ key }) => key === 'repeats'),
);

test.each(REPEATING)(
  '$name comes again as often round as it says, on counts that it says divide',
  (motif) => {
    fc.assert(
      fc.property(
        anyUse(motif),
        fc.integer({ min: 1, max: 3 }),
        fc.nat(20),
        fc.boolean(),
        (use, times, row, half) => {
          const repeats = use.values.repeats!;
          const unit = dividesInto(use);
          const count = unit * times;
          if (unit === 1 || count % repeats !== 0) return;
          const tones = ringOf(use, evenRow(count, row, 21, half ? 0.5 : 0));
          expect(tones.slice(count / repeats)).toEqual(tones.slice(0, count - count / repeats));
        },
      ),
      { numRuns: 60 },
    );
  },
);

test.each(MOTIFS.filter(({ mirrors }) => mirrors))(
  '$name is the same in a mirror on the index mark',
  (motif) => {
    fc.assert(
      fc.property(anyUse(motif), fc.integer({ min: 1, max: 4 }), fc.nat(20), (use, times, row) => {
        const tones = ringOf(use, evenRow(dividesInto(use) * times, row, 21));
        expect([...tones].reverse()).toEqual(tones);
      }),
      { numRuns: 60 },
    );
  },
);

test('drawn by lot: no run is longer than allowed, also across the index mark, and a seed is always the same', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 3, max: 5 }),
      fc.integer({ min: 1, max: 4 }),
      fc.integer({ min: 4, max: 60 }),
      fc.nat(9999),
      (tones, run, count, seed) => {
        const use: MotifUse = {
          ...begun('scatter', { run, seed }),
          tones: Array.from({ length: tones }, () => 'dark' as const),
        };
        const drawn = ringOf(use, evenRow(count, 3));
        const twice = [...drawn, ...drawn].join('');
        for (let tone = 0; tone < tones; tone++)
          expect(twice.includes(String(tone).repeat(run + 1))).toBe(false);
        expect(ringOf(use, evenRow(count, 3))).toEqual(drawn);
      },
    ),
  );
});

test('known pictures: a chequer, a fret, a zigzag, cubes of three tones', () => {
  expect(shown(begun('chequer', { repeats: 3 }), 6, 2)).toEqual(['#.#.#.', '.#.#.#']);
  expect(shown(begun('key', { repeats: 2 }), 12, 6)).toEqual([
    '#####.#####.',
    '#...#.#...#.',
    '#.#.#.#.#.#.',
    '#.###.#.###.',
    '#.....#.....',
    '############',
  ]);
  expect(shown(begun('zigzag', { repeats: 2, rise: 3, thick: 1, apart: 4 }), 12, 4)).toEqual([
    '............',
    '..##....##..',
    '.#..#..#..#.',
    '#....##....#',
  ]);
  expect(shown(begun('blocks', { repeats: 2 }), 4, 6)).toEqual([
    '....',
    'o#o#',
    'o#o#',
    '....',
    '#o#o',
    '#o#o',
  ]);
});

test('neighbouring rings of different counts show the same pattern round the circle', () => {
  const use = begun('stripes', { repeats: 4, columns: 3, wide: 1 });
  const coarse = ringOf(use, evenRow(12));
  const fine = ringOf(use, evenRow(48));
  expect(fine).toEqual(coarse.flatMap((tone) => [tone, tone, tone, tone]));
});

test('a gradient goes through its woods in order and never back, mixed or not', () => {
  for (const blend of [0, 1]) {
    const use: MotifUse = {
      ...begun('gradient', { run: 0, blend }),
      tones: ['light', 'middle', 'accent', 'dark'],
    };
    const means = Array.from({ length: 40 }, (_, row) => {
      const tones = ringOf(use, evenRow(32, row, 40));
      return tones.reduce((a, b) => a + b, 0) / tones.length;
    });
    expect(means[0]).toBeLessThan(0.3);
    expect(means[39]).toBeGreaterThan(2.7);
    const slack = blend === 1 ? 0.8 : 0;
    for (let row = 1; row < 40; row++) expect(means[row]! - means[row - 1]!).toBeGreaterThanOrEqual(-slack);
  }
});

test('counts and repeats near by with which a motif comes out whole', () => {
  const use = begun('spiral', { repeats: 5, columns: 4 });
  expect(dividesInto(use)).toBe(20);
  expect(countsNear(use, 24)).toEqual([20, 40, 60]);
  expect(repeatsNear(use, 24)).toEqual([2, 3, 6]);
  expect(repeatsNear(begun('half-and-half'), 24)).toEqual([]);
});

// Drawn by hand on squared paper: |2x − 1| + |2y − 1| ≤ 1 at the middle of every segment.
describe('drawn by hand', () => {
  const drawn = (
    kind: string,
    values: Record<string, number>,
    tones: MotifUse['tones'],
    count: number,
    rows: number,
  ) => shown({ ...begunMotif(motifOf(kind)!), tones, values }, count, rows);
  const TWO: MotifUse['tones'] = ['light', 'dark'];
  const THREE: MotifUse['tones'] = ['light', 'dark', 'accent'];
  test('diamonds, tier on tier in line and moved by half', () => {
    const low = ['...##...', '.######.', '.######.', '...##...'];
    const moved = ['#......#', '###..###', '###..###', '#......#'];
    const use = (offset: number, size = 1) => ({ repeats: 1, high: 4, offset, size });
    expect(drawn('diamonds', use(0), TWO, 8, 8)).toEqual([...low, ...low]);
    expect(drawn('diamonds', use(1), TWO, 8, 8)).toEqual([...moved, ...low]);
    expect(drawn('diamonds', use(1), TWO, 8, 12).slice(0, 4)).toEqual(low);
    expect(drawn('diamonds', use(0, 0.5), TWO, 8, 4)).toEqual([
      '........',
      '...##...',
      '...##...',
      '........',
    ]);
    expect(drawn('diamonds', { ...use(0), repeats: 2 }, TWO, 16, 4)[0]).toBe('...##......##...');
  });
  test('lozenges with their heart, and without where it is as small', () => {
    const use = (heart: number) => ({ repeats: 1, high: 4, offset: 0, size: 1, heart });
    expect(drawn('lozenges', use(0.5), THREE, 8, 4)).toEqual([
      '...##...',
      '.##oo##.',
      '.##oo##.',
      '...##...',
    ]);
    expect(drawn('lozenges', use(0.1), THREE, 8, 4)).toEqual([
      '...##...',
      '.######.',
      '.######.',
      '...##...',
    ]);
    // A middle on the very edge belongs to the heart: 3/8 and 7/8 from it.
    expect(drawn('lozenges', use(0.375), THREE, 8, 4)[1]).toBe('.##oo##.');
    expect(drawn('lozenges', use(0.875), THREE, 8, 4)[0]).toBe('...oo...');
  });
  test('the key, winding to the right and to the left, thin and thick', () => {
    const fret = ['#####.', '#...#.', '#.#.#.', '#.###.', '#.....', '######'];
    const turned = ['.#####', '.#...#', '.#.#.#', '.###.#', '.....#', '######'];
    expect(drawn('key', { repeats: 1, high: 1, hand: 0 }, TWO, 6, 6)).toEqual(fret);
    expect(drawn('key', { repeats: 1, high: 1, hand: 1 }, TWO, 6, 6)).toEqual(turned);
    expect(drawn('key', { repeats: 2, high: 2, hand: 0 }, TWO, 12, 12)).toEqual(
      fret.flatMap((line) => [line + line, line + line]),
    );
  });
  test('how many segments a motif divides into: two to a diamond and a block, six to a turn of the key', () => {
    const divides = (kind: string) => motifOf(kind)!.divides({ repeats: 6 } as never, 2);
    expect([divides('diamonds'), divides('lozenges'), divides('key')]).toEqual([12, 12, 36]);
  });
});

test.each(MOTIFS.map(({ kind }) => kind))(
  '%s: first laid, it comes out whole wherever some number of repeats does',
  (kind) => {
    const motif = motifOf(kind)!;
    for (const counts of [[12], [12, 24], [16], [18, 36], [12, 12, 16], [7]]) {
      const use = begunFor(motif, counts);
      expect(motifUseSchema.safeParse(use).success).toBe(true);
      const whole = counts.every((count) => count % dividesInto(use) === 0);
      const { least, most } = motif.numbers.find(({ key }) => key === 'repeats') ?? { least: 1, most: 0 };
      const any = Array.from({ length: most - least + 1 }, (_, i) => least + i).some((repeats) =>
        counts.every((count) => count % dividesInto({ ...use, values: { ...use.values, repeats } }) === 0),
      );
      if (any) expect(whole, counts.join()).toBe(true);
      else expect(use).toEqual(begunMotif(motif));
    }
  },
);
