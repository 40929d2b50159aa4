import type { ToneName } from './tones.js';

/** A ring as a motif sees it. */
export interface Row {
  /** Counted from the lowest ring of the motif, 0 first; and how many rings it has. */
  readonly row: number;
  readonly rows: number;
  /** Where the middle of each segment lies round the piece from the index mark, in turns from 0 to 1. */
  readonly middles: readonly number[];
}

/** A number that a motif is given. Where it has `choices` they name its values from `least` on. */
export interface MotifNumber {
  readonly key: string;
  readonly label: string;
  readonly least: number;
  readonly most: number;
  readonly start: number;
  readonly fraction?: true;
  readonly choices?: readonly string[];
}

export type Values = Readonly<Record<string, number>>;

/** The tones that a motif is laid in. Where `most` is larger than the names given the last one goes on. */
export interface MotifTones {
  readonly names: readonly string[];
  readonly start: readonly ToneName[];
  readonly least: number;
  readonly most: number;
}

/**
 * A pattern across rings, defined round the circle and up the rings: it says for the middle of every segment which of its
 * tones shows there, whatever the number of segments in a ring.
 */
export interface Motif {
  readonly kind: string;
  readonly name: string;
  /** What it looks like, in one line. */
  readonly says: string;
  readonly tones: MotifTones;
  readonly numbers: readonly MotifNumber[];
  /** Whether it is the same seen in a mirror that stands on the index mark; left out where it is not. */
  readonly mirrors?: true;
  /** Segments round a ring have to be a multiple of this for the motif to come out whole. */
  divides(values: Values, tones: number): number;
  /** Index of the tone of every segment of a ring. */
  ring(row: Row, values: Values, tones: number): number[];
}

/** A hair forwards, so that a middle on the border of two columns belongs to the one counter-clockwise of it. */
const HAIR = 1e-6;

/** Which of so many equal columns round the piece a middle lies in, 0 to columns − 1. */
export const columnOf = (middle: number, columns: number): number =>
  modulo(Math.floor(middle * columns + HAIR), columns);

/** Where in its repeat a middle lies, 0 to 1, of so many repeats round the piece. */
export const within = (middle: number, repeats: number): number => modulo(middle * repeats, 1);

/** Remainder that is never negative. */
export const modulo = (a: number, n: number): number => ((a % n) + n) % n;

/** Up and down once in a unit: 0 at 0, 1 at a half, 0 at 1. */
export const triangle = (x: number): number => 1 - Math.abs(1 - 2 * modulo(x, 1));

/** Tone by tone for every segment on its own. */
export const each = (row: Row, tone: (middle: number, row: number) => number): number[] =>
  row.middles.map((middle) => tone(middle, row.row));

/** A whole number of repeats round the piece: most motifs ask for it. */
export const repeats = (start: number, most = 120): MotifNumber => ({
  key: 'repeats',
  label: 'Repeats round the piece',
  least: 1,
  most,
  start,
});

export const TWO_TONES: MotifTones = {
  names: ['Ground', 'Figure'],
  start: ['light', 'dark'],
  least: 2,
  most: 2,
};
