/** What may be put across a width, in the same whole units, worth something, up to so many times. */
export interface Item {
  readonly width: number;
  readonly value: number;
  readonly limit: number;
}

/**
 * The most that what is looked at so far is worth, for every width there may be: a staircase. From a width on, how much, and
 * whether the bundle looked at last is among it.
 */
interface Stairs {
  readonly widths: readonly number[];
  readonly values: readonly number[];
  readonly taken: readonly boolean[];
}

/** The staircase with another bundle, up to a width: the old one, and the old one moved by the bundle, whichever is higher. */
function climbed(
  { widths, values }: Stairs,
  bundle: { readonly width: number; readonly value: number },
  width: number,
): Stairs {
  const next = { widths: [] as number[], values: [] as number[], taken: [] as boolean[] };
  let [without, withIt] = [0, Number.NEGATIVE_INFINITY];
  // What is moved begins later: it is the last to end.
  for (let i = 0, j = 0; j < widths.length; ) {
    const [old, moved] = [widths[i] ?? Number.POSITIVE_INFINITY, widths[j]! + bundle.width];
    const from = Math.min(old, moved);
    if (from > width) break;
    if (old === from) without = values[i++]!;
    if (moved === from) withIt = values[j++]! + bundle.value;
    // Of two that are worth the same, the one without the bundle stands.
    const taken = withIt > without;
    const value = taken ? withIt : without;
    if (value === next.values.at(-1) && taken === next.taken.at(-1)) continue;
    next.widths.push(from);
    next.values.push(value);
    next.taken.push(taken);
  }
  return next;
}

/**
 * Items across a width, no more of each than its limit: dynamic programming over the widths at which more is to be had (Kellerer,
 * Pferschy and Pisinger, Knapsack Problems, 2004, 3.4, with lists; from memory), exact. How many of each, and the value.
 */
export function bestAcross(width: number, items: readonly Item[]): { counts: number[]; value: number } {
  const counts = items.map(() => 0);
  if (width <= 0) return { counts, value: 0 };
  // Bounded items are taken in bundles of 1, 2, 4, … so that every number up to the limit can be made.
  const bundles = items.flatMap(({ width: wide, value, limit }, item) => {
    if (value <= 0 || wide > width) return [];
    const most = Math.min(limit, Math.floor(width / wide));
    const sizes: number[] = [];
    for (let size = 1, rest = most; rest > 0; size *= 2) {
      sizes.push(Math.min(size, rest));
      rest -= sizes.at(-1)!;
    }
    return sizes.map((size) => ({ item, size, width: size * wide, value: size * value }));
  });
  // Where there is room for all, nothing has to be chosen.
  if (bundles.reduce((all, bundle) => all + bundle.width, 0) <= width) {
    for (const { item, size } of bundles) counts[item]! += size;
    return { counts, value: bundles.reduce((all, bundle) => all + bundle.value, 0) };
  }
  const flights: Stairs[] = [{ widths: [0], values: [0], taken: [false] }];
  for (const bundle of bundles) flights.push(climbed(flights.at(-1)!, bundle, width));
  for (let b = bundles.length - 1, left = width; b >= 0; b--) {
    const { widths, taken } = flights[b + 1]!;
    if (!taken[widths.findLastIndex((from) => from <= left)]) continue;
    const bundle = bundles[b]!;
    counts[bundle.item]! += bundle.size;
    left -= bundle.width;
  }
  return { counts, value: flights.at(-1)!.values.at(-1)! };
}
