import {
  judged,
  keptUpToDate,
  type NewBoard,
  newBoardSchema,
  type Pattern,
  patternSchema,
  type Shop,
  type Species,
  type StashEntry,
  shopSchema,
  shopUpToDate,
  speciesSchema,
  stashedRingSchema,
} from '@fellside/core';
import type { EntityManager } from 'typeorm';
import type { z } from 'zod';
import { json } from '../projects/stored.js';

/** What is kept beside the pieces, as it is when it is read. */
interface Kept {
  readonly wood: Species;
  readonly board: NewBoard;
  readonly stash: StashEntry;
  readonly pattern: Pattern;
  readonly shop: Shop;
}
export type KeptSort = keyof Kept;

interface Source {
  readonly table: string;
  readonly column: string;
  readonly order: string;
  readonly schema: z.ZodType;
  /** What an older Fellside kept, as it is kept today. */
  readonly upToDate?: (given: unknown) => unknown;
}
/** The last first; of what was entered together, in the order in which it was. */
const LAST_FIRST = `"savedAt" DESC, rowid`;
const SOURCES: Record<KeptSort, Source> = {
  wood: { table: 'woods', column: 'species', order: '"id"', schema: speciesSchema },
  board: { table: 'board', column: 'board', order: LAST_FIRST, schema: newBoardSchema },
  stash: {
    table: 'stash',
    column: 'ring',
    order: LAST_FIRST,
    schema: stashedRingSchema,
    upToDate: keptUpToDate,
  },
  pattern: { table: 'pattern', column: 'pattern', order: LAST_FIRST, schema: patternSchema },
  shop: { table: 'shop', column: 'settings', order: '"id"', schema: shopSchema, upToDate: shopUpToDate },
};
export const KEPT_SORTS = Object.keys(SOURCES) as KeptSort[];

interface Row {
  readonly id: string;
  readonly raw: string;
  readonly savedAt: string | null;
}
export interface KeptRow<T> extends Row {
  /** Null where what is stored cannot be read: no JSON, or not what it has to be. */
  readonly value: T | null;
}

/** Rows of one sort in the order of its list, each judged as what comes from outside is. */
export async function keptRows<S extends KeptSort>(
  manager: EntityManager,
  sort: S,
): Promise<KeptRow<Kept[S]>[]> {
  const { table, column, order, schema, upToDate = (given) => given } = SOURCES[sort];
  const savedAt = order === LAST_FIRST ? '"savedAt"' : 'NULL';
  const rows: Row[] = await manager.query(
    `SELECT CAST("id" AS TEXT) AS "id", "${column}" AS "raw", ${savedAt} AS "savedAt" FROM "${table}" ORDER BY ${order}`,
  );
  return rows.map((row) => {
    const read = judged(schema, upToDate(json(row.raw)));
    return { ...row, value: read.ok ? (read.value as Kept[S]) : null };
  });
}

/** Rows of one sort that can be read. */
export async function readable<S extends KeptSort>(
  manager: EntityManager,
  sort: S,
): Promise<(Row & { readonly value: Kept[S] })[]> {
  const rows = await keptRows(manager, sort);
  return rows.flatMap(({ value, ...row }) => (value === null ? [] : [{ ...row, value }]));
}

/** Takes a row that cannot be read away for good; false where there is none, or where it can be read. */
export async function removeUnreadable(manager: EntityManager, sort: KeptSort, id: string): Promise<boolean> {
  const found = (await keptRows(manager, sort)).find((row) => row.id === id && row.value === null);
  if (found) await manager.query(`DELETE FROM "${SOURCES[sort].table}" WHERE "id" = ?`, [found.id]);
  return found !== undefined;
}
