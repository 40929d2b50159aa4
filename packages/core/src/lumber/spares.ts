import type { StripStock } from '../making/stock.js';
import { remembered } from '../measure/memo.js';
import { SAME_ANGLE } from '../measure/tolerance.js';
import type { Shop } from '../settings/shop.js';
import type { OwnedPieces } from './owned.js';

/** Pieces that come from strips. */
export type FromStrip = OwnedPieces & { readonly kind: { readonly stock: StripStock } };

/** Pieces that are cut besides those that a ring takes: in case, and to try the setting of the saw. */
export interface Besides {
  readonly of: FromStrip;
  readonly spares: number;
  /** Spares that were asked for by hand. */
  readonly asked: number;
  readonly tests: number;
}

const isFromStrip = (pieces: OwnedPieces): pieces is FromStrip => pieces.kind.stock.from === 'strip';

/**
 * Spares of every owner and wood, so many per cent of its pieces rounded up, of its commonest length; and test pieces for every
 * setting of angle and tilt but the square one, of its commonest wood. Those that were asked for by hand come on top.
 * `lots` are the pieces of one owner each; the answer has those of strips, in their order.
 */
export function besidesOf(
  lots: readonly (readonly OwnedPieces[])[],
  { sparePercent, testPieces }: Pick<Shop, 'sparePercent' | 'testPieces'>,
): readonly Besides[] {
  const given = lots.map((lot) => lotOf(lot, sparePercent));
  const sawn = given.flatMap(({ sawn }) => sawn);
  if (testPieces === 0) return sawn;
  const mitred = talliedBy(given.flatMap(({ mitred }) => mitred));
  const ofSettings = new Map<string, Tally>();
  for (const tally of mitred) {
    const most = ofSettings.get(tally.setting);
    if (!most || tally.count > most.count) ofSettings.set(tally.setting, tally);
  }
  const tried = new Set([...ofSettings.values()].map(({ commonest }) => commonest));
  return sawn.map((each) => (tried.has(each.of) ? tested(each, testPieces) : each));
}

/** The pieces of one owner that come from strips with the spares of each wood, and those that are mitred put together. */
interface Lot {
  readonly sawn: readonly Besides[];
  readonly mitred: readonly Tally[];
}

const lotOf = remembered((lot: readonly OwnedPieces[], sparePercent: number): Lot => {
  const sawn = lot.filter(isFromStrip);
  const woods = new Map(talliedBy(sawn.map((of) => tallyOf(of, ''))).map((tally) => [tally.wood, tally]));
  return {
    sawn: sawn.map((of) => {
      const { count, commonest } = woods.get(of.wood)!;
      const spares = of === commonest ? Math.ceil((count * sparePercent) / 100 - 1e-9) : 0;
      return { of, spares, asked: of.spares ?? 0, tests: 0 };
    }),
    mitred: talliedBy(sawn.filter(isMitred).map((of) => tallyOf(of, settingOf(of)))),
  };
});

/** The same with pieces to try the saw. */
const tested = remembered((each: Besides, tests: number): Besides => ({ ...each, tests }));

/** Pieces of one wood and setting of the saw put together: how many, and the kind of which there are most. */
interface Tally {
  readonly setting: string;
  readonly wood: string;
  readonly count: number;
  readonly most: number;
  readonly commonest: FromStrip;
}

function tallyOf(of: FromStrip, setting: string): Tally {
  const count = cutCount(of);
  return { setting, wood: of.wood, count, most: count, commonest: of };
}

/** Tallies of one setting and wood as one, in the order in which the first of each came. */
function talliedBy(tallies: readonly Tally[]): Tally[] {
  const all = new Map<string, Tally>();
  for (const tally of tallies) {
    const key = `${tally.setting} ${tally.wood}`;
    const before = all.get(key);
    all.set(key, before ? together(before, tally) : tally);
  }
  return [...all.values()];
}

const together = (a: Tally, b: Tally): Tally => ({
  ...(b.most > a.most ? b : a),
  count: a.count + b.count,
});

/** Pieces that are sawn off strips: slices of one piece are one. */
const cutCount = ({ count, kind: { stock } }: FromStrip): number =>
  Math.ceil(count / (stock.slicing?.inRing ?? 1));

const isMitred = ({ kind: { stock } }: FromStrip): boolean =>
  stock.cutAngle > SAME_ANGLE || stock.bladeTilt > SAME_ANGLE;

/** What test pieces are counted by, the setting of the saw. */
const settingOf = ({ kind: { stock } }: FromStrip): string =>
  `${angle(stock.cutAngle)} ${angle(stock.bladeTilt)}`;

/** An angle as a key: the same for settings that are the same. */
const angle = (rad: number): number => Math.round(rad / SAME_ANGLE);
