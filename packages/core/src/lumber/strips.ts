import { sayMm } from '../measure/format.js';
import { type Mm, mm, type Rad } from '../measure/quantity.js';
import { done, type Result, refuse } from '../measure/reason.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import type { Shop } from '../settings/shop.js';
import { kerfAlong, lengthFor, meanLength, type StripSetting, wedgeAlong } from './cutting.js';

/** Pieces of one length wanted from a strip: for a ring (its index), or spare (null). */
export interface Cut {
  readonly ring: number | null;
  readonly longEdgeMm: Mm;
  readonly count: number;
}

/** Everything cut from strips of one wood, width, planed thickness and angle. */
export interface StripWant {
  readonly wood: string;
  readonly widthMm: Mm;
  readonly thicknessMm: Mm;
  readonly cutAngle: Rad;
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

/** One test piece a setting and a percentage, rounded up, for every length that is cut. */
export function withSpares(cuts: readonly Cut[], shop: Shop): Cut[] {
  const lengths = new Map<number, number>();
  for (const cut of cuts) {
    const same =
      [...lengths.keys()].find((edge) => Math.abs(edge - cut.longEdgeMm) < SAME_LENGTH) ?? cut.longEdgeMm;
    lengths.set(same, (lengths.get(same) ?? 0) + cut.count);
  }
  const spares = [...lengths].map(([edge, count]) => ({
    ring: null,
    longEdgeMm: mm(edge),
    count: shop.testPieces + Math.ceil((count * shop.sparePercent) / 100),
  }));
  return [...cuts, ...spares.filter((spare) => spare.count > 0)];
}

/**
 * Divides what is wanted into strips no longer than the shop's, whole pieces only, the trim off first and the
 * hold-back tail never cut. All strips but the last are full length; the last is as long as it has to be.
 */
export function cutIntoStrips(want: StripWant, shop: Shop): Result<StripList> {
  const setting: StripSetting = { ...want, kerfMm: shop.kerfMm };
  const kerf = kerfAlong(setting);
  const spent = shop.endTrimMm + shop.holdBackMm;
  const room = shop.stripLengthMm - spent + SAME_LENGTH;
  const strips: Strip[] = [];
  let open: { cuts: Cut[]; count: number; mean: number } = { cuts: [], count: 0, mean: 0 };
  const close = (lengthMm: number) => {
    strips.push({ lengthMm: mm(lengthMm), cuts: open.cuts });
    open = { cuts: [], count: 0, mean: 0 };
  };
  for (const cut of want.cuts) {
    const mean = meanLength(setting, cut.longEdgeMm);
    if (lengthFor(setting, 1, mean) > room) return tooLong(cut, lengthFor(setting, 1, mean) + spent, shop);
    let left = cut.count;
    while (left > 0) {
      const free = room - wedgeAlong(setting) - kerf * (open.count + 1) - open.mean;
      const fits = Math.min(left, Math.floor(free / (mean + kerf)));
      if (fits <= 0) {
        close(shop.stripLengthMm);
        continue;
      }
      open.cuts.push({ ...cut, count: fits });
      open.count += fits;
      open.mean += fits * mean;
      left -= fits;
    }
  }
  if (open.count > 0) close(lengthFor(setting, open.count, open.mean) + spent);
  return done({ ...want, strips });
}

function tooLong(cut: Cut, needed: number, shop: Shop): Result<never> {
  const whose = cut.ring === null ? 'A spare segment' : `A segment of ring ${cut.ring + 1}`;
  return refuse(
    'segment-longer-than-strip',
    cut.ring === null ? 'shop.stripLengthMm' : `rings.${cut.ring}`,
    `${whose} needs a strip of ${sayMm(needed)} with its trim and hold-back, and strips are ${sayMm(shop.stripLengthMm)} long: use more segments or longer strips.`,
    { most: shop.stripLengthMm },
  );
}
