import fc from 'fast-check';
import type { Motif, Row } from '../pattern/motif.js';
import { motifOf } from '../pattern/motifs/registry.js';
import { begunMotif, type MotifUse } from '../pattern/motifUse.js';

/** A motif with any numbers it may have; repeats are kept few, so that counts stay small. */
export const anyUse = (motif: Motif): fc.Arbitrary<MotifUse> =>
  fc
    .tuple(
      fc.integer({ min: motif.tones.least, max: motif.tones.most }),
      ...motif.numbers.map(({ key, least, most, fraction }) => {
        const top = key === 'repeats' ? Math.min(6, most) : Math.min(least + 12, most);
        const value = fraction
          ? fc.integer({ min: Math.ceil(8 * least), max: Math.floor(8 * top) }).map((n) => n / 8)
          : fc.integer({ min: least, max: top });
        return value.map((number) => [key, number] as const);
      }),
    )
    .map(([tones, ...values]) => ({
      ...begunMotif(motif),
      tones: Array.from(
        { length: tones },
        (_, i) => (['light', 'dark', 'accent', 'middle'] as const)[i % 4]!,
      ),
      values: Object.fromEntries(values),
    }));

/** A ring of equal segments, the first beginning at a share of a segment from the index mark. */
export const evenRow = (count: number, row = 0, rows = 12, turn = 0): Row => ({
  row,
  rows,
  middles: Array.from({ length: count }, (_, i) => ((i + 0.5 + turn) / count) % 1),
});

export const ringOf = (use: MotifUse, row: Row): number[] =>
  motifOf(use.kind)!.ring(row, use.values, use.tones.length);

/** Rings of a motif from the top down, a letter for each tone. */
export const shown = (use: MotifUse, count: number, rows: number): string[] =>
  Array.from({ length: rows }, (_, row) =>
    ringOf(use, evenRow(count, row, rows))
      .map((tone) => '.#o+'[tone])
      .join(''),
  ).reverse();
