import type { StripStock } from '../making/stock.js';
import { remembered } from '../measure/memo.js';
import { SAME_ANGLE } from '../measure/tolerance.js';
import { ownerKey } from '../ring/owner.js';
import type { Shop } from '../settings/shop.js';
import type { OwnedPieces } from './owned.js';

/** Pieces that are cut besides those that a ring takes: in case, and to try the setting of the saw. */
export interface Besides {
  readonly of: OwnedPieces;
  readonly spares: number;
  /** Spares that were asked for by hand. */
  readonly asked: number;
  readonly tests: number;
}

type FromStrip = OwnedPieces & { readonly kind: { readonly stock: StripStock } };

const isFromStrip = (pieces: OwnedPieces): pieces is FromStrip => pieces.kind.stock.from === 'strip';

/**
 * Spares of every ring and wood, so many per cent of its pieces rounded up, of its commonest length; and test pieces for every
 * setting of angle and tilt but the square one, of its commonest wood. Those that were asked for by hand come on top.
 */
export function besidesOf(
  pieces: readonly OwnedPieces[],
  { sparePercent, testPieces }: Pick<Shop, 'sparePercent' | 'testPieces'>,
): ReadonlyMap<OwnedPieces, Besides> {
  const sawn = pieces.filter(isFromStrip);
  const [spares, tests] = [new Map<OwnedPieces, number>(), new Map<OwnedPieces, number>()];
  for (const same of groupedBy(sawn, (of) => keysOf(of).spare))
    spares.set(commonest(same), Math.ceil((countOf(same) * sparePercent) / 100 - 1e-9));
  const mitred = sawn.filter(
    ({ kind: { stock } }) => stock.cutAngle > SAME_ANGLE || stock.bladeTilt > SAME_ANGLE,
  );
  for (const same of groupedBy(mitred, (of) => keysOf(of).setting)) {
    const woods = groupedBy(same, ({ wood }) => wood);
    const [wood] = woods.sort((a, b) => countOf(b) - countOf(a));
    tests.set(commonest(wood!), testPieces);
  }
  return new Map(sawn.map((of) => [of, counted(of, spares.get(of) ?? 0, tests.get(of) ?? 0)]));
}

/** The same as before as long as the numbers are. */
const counted = remembered(
  (of: OwnedPieces, spares: number, tests: number): Besides => ({ of, spares, asked: of.spares ?? 0, tests }),
);

/** Pieces that are sawn off strips: slices of one piece are one. */
const cutCount = ({ count, kind: { stock } }: FromStrip): number =>
  Math.ceil(count / (stock.slicing?.inRing ?? 1));

const countOf = (pieces: readonly FromStrip[]): number =>
  pieces.reduce((sum, each) => sum + cutCount(each), 0);

const commonest = (pieces: readonly FromStrip[]): FromStrip =>
  pieces.reduce((most, each) => (cutCount(each) > cutCount(most) ? each : most));

/** What spares are counted by, owner and wood, and test pieces by, the setting of the saw. */
const keysOf = remembered(({ owner, wood, kind: { stock } }: FromStrip) => ({
  spare: `${ownerKey(owner)} ${wood}`,
  setting: `${angle(stock.cutAngle)} ${angle(stock.bladeTilt)}`,
}));

/** An angle as a key: the same for settings that are the same. */
const angle = (rad: number): number => Math.round(rad / SAME_ANGLE);

function groupedBy<T>(all: readonly T[], keyOf: (of: T) => string): T[][] {
  const groups = new Map<string, T[]>();
  for (const of of all) {
    const key = keyOf(of);
    const group = groups.get(key);
    if (group) group.push(of);
    else groups.set(key, [of]);
  }
  return [...groups.values()];
}
