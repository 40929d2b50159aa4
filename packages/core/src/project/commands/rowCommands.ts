import { boardRowsOf, placesOf } from '../../making/registry.js';
import type { Mm } from '../../measure/quantity.js';
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

/** Glues the boards of rings up from other rows: rows that are moved or copied keep their woods. */
export const setRows = (rings: Rings, rows: readonly RowChange[]): Command => ({
  label: `Layers of ${named(rings)}`,
  apply: each(rings, (ring, index) => {
    const { making } = ring;
    const board = boardRowsOf(making);
    if (!board) return undefined;
    const parsed = parsedMaking(
      index,
      board.withSizes(
        making,
        rows.map(({ sizeMm }) => sizeMm),
      ),
    );
    if ('reasons' in parsed) return parsed;
    const next = parsed.making;
    const before = [...ring.woods];
    const kept = board.sizes(making).map((_, row) => board.places(making, row));
    const inRows = kept.reduce((sum, places) => sum + places.length, 0);
    // What is in no row, spacers, comes after all rows and stays what it is.
    const rest = before.slice(inRows);
    const woods = Array.from({ length: placesOf(next) }, () => before[0]!);
    rows.forEach(({ like, key }, row) => {
      const from = kept[like] ?? kept[0]!;
      board.places(next, row).forEach((place, i) => {
        woods[place] = key ?? before[from[i] ?? from[0]!]!;
      });
    });
    rest.forEach((wood, i) => {
      woods[woods.length - rest.length + i] = wood;
    });
    ring.making = next;
    ring.woods = woods;
    return undefined;
  }),
});
