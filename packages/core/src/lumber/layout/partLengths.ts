import { nextStep } from '../../measure/step.js';
import type { Shop } from '../../settings/shop.js';
import type { Section } from '../board.js';
import { bestAcross } from './across.js';
import { bestSawing } from './columns.js';
import type { Demand, FoundWay } from './demand.js';
import { bestRun } from './knapsack.js';
import { groupsOf, type RipKind, type Stock, wantedOf } from './problem.js';
import { down } from './tenths.js';

type Prices = readonly (readonly number[])[];

/** A way has to be worth so much more than those known, as a share, to be tried. */
const BETTER = 1e-4;

/**
 * Ways to crosscut boards that are worth more than those known, when every piece has a price: parts of any length at which a strip
 * of the best pieces ends, put together along each clear part (a knapsack of parts over one of rips over one of pieces: Gilmore and
 * Gomory, Operations Research 13, 1965, in three stages). At most one for every group of boards, none where none is better.
 */
export function pricedWays({ problem, whole }: Demand, prices: Prices, shop: Shop): FoundWay[] {
  const wanted = wantedOf(problem);
  const bestOf = bestSawing(problem, prices);
  return groupsOf(problem).flatMap(({ stocks }) => {
    const like = problem.stocks[stocks[0]!]!;
    const group = like.group!;
    const sections = whole[group]![0]!.sections;
    const parts = sections.map((section) =>
      bestParts(section, lengthsFor(section, problem.kinds, like, prices, wanted, shop), shop, (part) =>
        worthOf(part, problem.kinds, like, prices, wanted, shop),
      ),
    );
    const value = parts.reduce((sum, part) => sum + part.value, 0);
    const known = Math.max(...stocks.map((stock) => bestOf(stock).value));
    if (value <= Math.max(known, like.cost) * (1 + BETTER)) return [];
    return [{ group, way: parts.map(({ lengths }) => lengths) }];
  });
}

/** Lengths at which a strip of the pieces that are worth most ends, mm, on the step of lengths. */
function lengthsFor(
  section: Section,
  kinds: readonly RipKind[],
  { leaves }: Stock,
  prices: Prices,
  wanted: Prices,
  shop: Shop,
): number[] {
  const lengths = new Set<number>();
  kinds.forEach((kind, k) => {
    if (leaves[k] === 0 || kind.width > down(section.widthMm + shop.ripKerfMm)) return;
    let end = kind.overhead;
    bestRun(kind, down(section.lengthMm), prices[k]!, wanted[k]!).counts.forEach((count, piece) => {
      for (let n = 0; n < count; n++) {
        end += kind.pieces[piece]!.length;
        lengths.add(nextStep((end + 1) / 10, shop.lengthStepMm));
      }
    });
  });
  return [...lengths].filter((lengthMm) => lengthMm <= section.lengthMm);
}

/** What the rips of a part are worth at most. */
function worthOf(
  { lengthMm, widthMm }: Section,
  kinds: readonly RipKind[],
  { leaves }: Stock,
  prices: Prices,
  wanted: Prices,
  shop: Shop,
): number {
  const items = kinds.map((kind, k) => ({
    width: kind.width,
    value: leaves[k]! > 0 ? leaves[k]! * bestRun(kind, down(lengthMm), prices[k]!, wanted[k]!).value : 0,
    limit: Number.MAX_SAFE_INTEGER,
  }));
  return bestAcross(down(widthMm + shop.ripKerfMm), items).value;
}

/** Parts that are worth most together along a section, the longest first; the last is what is left of it and not told. */
function bestParts(
  section: Section,
  lengths: readonly number[],
  { kerfMm }: Shop,
  worth: (part: Section) => number,
): { readonly lengths: readonly number[]; readonly value: number } {
  const room = Math.floor(section.lengthMm + kerfMm + 1e-6);
  const items = lengths.map((lengthMm) => ({
    lengthMm,
    takes: Math.ceil(lengthMm + kerfMm - 1e-6),
    value: worth({ ...section, lengthMm }),
  }));
  const best = new Float64Array(room + 1);
  const taken = new Int32Array(room + 1).fill(-1);
  for (let at = 1; at <= room; at++) {
    best[at] = best[at - 1]!;
    items.forEach(({ takes, value }, i) => {
      if (takes > at || best[at - takes]! + value <= best[at]! + 1e-12) return;
      best[at] = best[at - takes]! + value;
      taken[at] = i;
    });
  }
  const parts: number[] = [];
  for (let at = room; at > 0; ) {
    const item = items[taken[at]!];
    if (item) parts.push(item.lengthMm);
    at -= item ? item.takes : 1;
  }
  return { lengths: parts.sort((a, b) => b - a).slice(0, -1), value: best[room]! };
}
