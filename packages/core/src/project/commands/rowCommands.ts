import { boardsOf, placesOf } from '../../making/registry.js';
import { type Mm, mm } from '../../measure/quantity.js';
import type { Command } from './command.js';
import { each, named, type Rings } from './each.js';
import { parsedMaking } from './parsedMaking.js';

/** A row of a board as it is to be: how thick, and which row of before it is or is like; it takes the woods of that one. */
export interface RowChange {
  readonly sizeMm: Mm;
  readonly like: number;
  /** Palette key of the wood that it gets instead. */
  readonly key?: string;
}

/**
 * Sizes of rows for a board whose last row had what is left: it is no thicker for rows that are added, so that they take of
 * that row and its copies. As they are asked for where no such row stands, or where it would be used up.
 */
function fitted(sizes: readonly (Mm | null)[], rows: readonly RowChange[]): Mm[] {
  const asked = rows.map(({ sizeMm }) => sizeMm);
  const last = sizes.length - 1;
  const shares = rows.filter(({ like }) => like === last);
  if (sizes[last] !== null || shares.length === 0) return asked;
  const sum = (all: readonly (Mm | null)[]) => all.reduce((total: number, size) => total + (size ?? 0), 0);
  const over = sum(asked) - sum(sizes) - shares[0]!.sizeMm;
  const each = shares[0]!.sizeMm - over / shares.length;
  return over > 0 && each > 0 ? rows.map(({ like, sizeMm }) => (like === last ? mm(each) : sizeMm)) : asked;
}

/** Glues a board of rings up from other rows: rows that are moved or copied keep their woods, what is in no row keeps its own. */
export const setRows = (rings: Rings, rows: readonly RowChange[], which = 0): Command => ({
  label: `Layers of ${named(rings)}`,
  apply: each(rings, (ring, index) => {
    const { making } = ring;
    const board = boardsOf(making)[which];
    if (!board) return undefined;
    const parsed = parsedMaking(index, board.withSizes(making, fitted(board.sizes(making), rows)));
    if ('reasons' in parsed) return parsed;
    const next = parsed.making;
    const before = [...ring.woods];
    const kept = board.sizes(making).map((_, row) => board.places(making, row));
    // Places of rows follow each other; what comes before them and after them is in no row.
    const first = kept[0]![0]!;
    const after = before.slice(first + kept.reduce((sum, places) => sum + places.length, 0));
    const woods = Array.from({ length: placesOf(next) }, (_, place) => before[place]!);
    rows.forEach(({ like, key }, row) => {
      const from = kept[like] ?? kept[0]!;
      board.places(next, row).forEach((place, i) => {
        woods[place] = key ?? before[from[i] ?? from[0]!]!;
      });
    });
    after.forEach((wood, i) => {
      woods[woods.length - after.length + i] = wood;
    });
    ring.making = next;
    ring.woods = woods;
    return undefined;
  }),
});
