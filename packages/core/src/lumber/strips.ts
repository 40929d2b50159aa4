import type { Cutting, Hand } from '../making/stock.js';
import { type Mm, mm, type Rad } from '../measure/quantity.js';
import { done, type Result, refuse } from '../measure/reason.js';
import { say, sayMm } from '../measure/said.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import type { Owner, Roll } from '../ring/owner.js';
import type { Shop } from '../settings/shop.js';
import { cutsFor, endsAlong, kerfAlong, lengthFor, pieceAlong, type StripSetting } from './cutting.js';

/** What pieces are for: a ring, spares, or those of the other hand that come out whether wanted or not. */
export type Purpose = 'piece' | 'spare' | 'other-hand';

/** Pieces of one length wanted from a strip. */
export interface Cut {
  /** What they go to; null for spares and pieces of the other hand. */
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

/** One strip: its length end to end, trim and hold-back tail included, and what is cut from it in order. */
export interface Strip {
  readonly lengthMm: Mm;
  readonly cuts: readonly Cut[];
}

export interface StripList extends StripWant {
  readonly strips: readonly Strip[];
}

const sameLength = (a: Cut, b: Cut): boolean => Math.abs(a.longEdgeMm - b.longEdgeMm) < SAME_LENGTH;

/** Cuts of one length together: the first of them, and how many pieces they are. */
function byLength(cuts: readonly Cut[]): { first: Cut; count: number }[] {
  const lengths: { first: Cut; count: number }[] = [];
  for (const cut of cuts) {
    const same = lengths.find(({ first }) => sameLength(first, cut));
    if (same) same.count += cut.count;
    else lengths.push({ first: cut, count: cut.count });
  }
  return lengths;
}

/** Without what is true of single pieces: order and hand. */
const alike = ({ numbers: _, hand: __, ...cut }: Cut): Cut => cut;

/** Spares of the size of a cut. */
export const spareOf = (cut: Cut, count: number): Cut => ({
  ...alike(cut),
  owner: null,
  purpose: 'spare',
  count,
});

/** One test piece a setting and a percentage, rounded up, for every length that is cut. */
export function withSpares(cuts: readonly Cut[], shop: Shop): Cut[] {
  const spares = byLength(cuts).map(({ first, count }) =>
    spareOf(first, shop.testPieces + Math.ceil((count * shop.sparePercent) / 100)),
  );
  return [...cuts, ...spares.filter((spare) => spare.count > 0)];
}

/** Between two fences left and right leaning pieces come in turn: as many of the one as of the other are cut. */
export function withOtherHand(cuts: readonly Cut[]): Cut[] {
  const missing = byLength(cuts).flatMap(({ first }): Cut[] => {
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

/**
 * Divides what is wanted into strips no longer than the shop's, whole pieces only, the trim off first and the
 * hold-back tail never cut. All strips but the last are full length; the last is as long as it has to be.
 */
export function cutIntoStrips(want: StripWant, shop: Shop, roll: Roll): Result<StripList> {
  const setting: StripSetting = { ...want, kerfMm: shop.kerfMm };
  const kerf = kerfAlong(setting);
  const spent = shop.endTrimMm + shop.holdBackMm;
  const room = shop.stripLengthMm - spent + SAME_LENGTH;
  const each = cutsFor(setting, 1) - cutsFor(setting, 0);
  const strips: Strip[] = [];
  let open: { cuts: Cut[]; count: number; total: number } = { cuts: [], count: 0, total: 0 };
  const close = (lengthMm: number) => {
    strips.push({ lengthMm: mm(lengthMm), cuts: open.cuts });
    open = { cuts: [], count: 0, total: 0 };
  };
  for (const cut of want.cuts) {
    const along = pieceAlong(setting, cut.longEdgeMm, cut.boardEdgeMm);
    if (!(along + each * kerf > 0)) return withoutLength(cut, roll);
    if (lengthFor(setting, 1, along) > room)
      return tooLong(cut, lengthFor(setting, 1, along) + spent, shop, roll);
    let cutSoFar = 0;
    while (cutSoFar < cut.count) {
      const free = room - endsAlong(setting) - kerf * cutsFor(setting, open.count) - open.total;
      const fits = Math.min(cut.count - cutSoFar, Math.floor(free / (along + each * kerf)));
      if (fits <= 0) {
        close(shop.stripLengthMm);
        continue;
      }
      const numbers = cut.numbers?.slice(cutSoFar, cutSoFar + fits);
      open.cuts.push({ ...cut, count: fits, ...(numbers && { numbers }) });
      open.count += fits;
      open.total += fits * along;
      cutSoFar += fits;
    }
  }
  if (open.count > 0) close(lengthFor(setting, open.count, open.total) + spent);
  return done({ ...want, strips });
}

function withoutLength(cut: Cut, roll: Roll): Result<never> {
  const whose = cut.owner === null ? 'A spare segment' : `A segment of ${roll.nameOf(cut.owner)}`;
  return refuse(
    'segment-without-length',
    cut.owner === null ? '' : roll.pathOf(cut.owner),
    say`${whose} would have no length along its strip: the strip is too wide for its angle. Take a smaller step of widths.`,
  );
}

function tooLong(cut: Cut, needed: number, shop: Shop, roll: Roll): Result<never> {
  const whose = cut.owner === null ? 'A spare segment' : `A segment of ${roll.nameOf(cut.owner)}`;
  return refuse(
    'segment-longer-than-strip',
    cut.owner === null ? 'shop.stripLengthMm' : roll.pathOf(cut.owner),
    say`${whose} needs a strip of ${sayMm(needed)} with its trim and hold-back, and strips are ${sayMm(shop.stripLengthMm)} long: use more segments or longer strips.`,
    { most: shop.stripLengthMm },
  );
}
