import type { Cutting, Hand } from '../making/stock.js';
import type { Mm, Rad } from '../measure/quantity.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import type { Owner } from '../ring/owner.js';

/**
 * What pieces are for: a ring, to try a setting of the saw, to have one more, or those of the other hand that come out whether
 * wanted or not.
 */
export type Purpose = 'piece' | 'test' | 'spare' | 'other-hand';

/** What each is called where no ring is named. */
export const PURPOSE_SAID: Record<Exclude<Purpose, 'piece'>, string> = {
  test: 'test piece',
  spare: 'spare',
  'other-hand': 'other hand',
};

/** How a strip goes through the saw, in a few words. */
export const CUTTING_SAID: Record<Cutting, string> = {
  'turned-over': 'turned over',
  'same-edge': 'same edge out',
  'two-fences': 'two fences',
};

/** Pieces of one length wanted from a strip. */
export interface Cut {
  /** What they go to; null for test pieces, spares and pieces of the other hand. */
  readonly owner: Owner | null;
  readonly purpose: Purpose;
  readonly longEdgeMm: Mm;
  /** Long edge of the whole piece where the strip is one layer of a board. */
  readonly boardEdgeMm?: Mm;
  readonly count: number;
  /** Height that is left of each in the ring, or in all its slices together. */
  readonly keptMm: Mm;
  /** Lost in resawing each and cleaning up its slices. */
  readonly resawMm: Mm;
  readonly hand?: Hand;
  /** Spares that were asked for by hand: a strip may be ripped for them alone. */
  readonly asked?: true;
  /** Numbers of the pieces in the order in which they are cut, where it matters. */
  readonly numbers?: readonly number[];
}

/** Everything cut from strips of one wood, width, planed thickness and setting of the saw. */
export interface StripWant {
  readonly wood: string;
  readonly widthMm: Mm;
  readonly thicknessMm: Mm;
  readonly cutAngle: Rad;
  readonly bladeTilt: Rad;
  readonly cutting: Cutting;
  readonly cuts: readonly Cut[];
}

const sameLength = (a: Cut, b: Cut): boolean => Math.abs(a.longEdgeMm - b.longEdgeMm) < SAME_LENGTH;

/** The first cut of every length. */
const firstOfLengths = (cuts: readonly Cut[]): Cut[] =>
  cuts.filter((cut, i) => cuts.findIndex((first) => sameLength(first, cut)) === i);

/** Without what is true of single pieces: order and hand. */
const alike = ({ numbers: _, hand: __, ...cut }: Cut): Cut => cut;

/** Pieces of the size of a cut that go to nobody. */
export const moreOf = (cut: Cut, purpose: 'spare' | 'test', count: number): Cut => ({
  ...alike(cut),
  owner: null,
  purpose,
  count,
});

/** Between two fences left and right leaning pieces come in turn: as many of the one as of the other are cut. */
export function withOtherHand(cuts: readonly Cut[]): Cut[] {
  const missing = firstOfLengths(cuts).flatMap((first): Cut[] => {
    const same = cuts.filter((cut) => sameLength(cut, first));
    const of = (hand: Hand) =>
      same.filter((cut) => cut.hand === hand).reduce((sum, { count }) => sum + count, 0);
    const [left, right] = [of('left'), of('right')];
    if (left === right) return [];
    const hand = left < right ? 'left' : 'right';
    return [{ ...alike(first), owner: null, purpose: 'other-hand', hand, count: Math.abs(left - right) }];
  });
  return [...cuts, ...missing];
}
