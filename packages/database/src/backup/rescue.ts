import type Sqlite from 'better-sqlite3';
import { filesOf } from '../files.js';
import { hold } from '../opening/lock.js';
import { openToRead } from '../opening/toRead.js';
import type { BackupCounts } from './format.js';
import type { Reader } from './rows.js';
import { writeFrom } from './write.js';

/** What a rescue brought together, and what it had to leave. */
export interface Rescued {
  readonly counts: BackupCounts;
  /** Questions that the damaged database could not answer, each with SQLite's word on it. */
  readonly lost: readonly string[];
}

/** Nothing to read backwards. */
const EMPTY: readonly unknown[] = [];

/**
 * Writes what can still be read of a damaged database into a backup file. What cannot be read is left out and told.
 * Throws a `Refusal` when a server has the folder, and SQLite's error when not even its first page can be read.
 */
export async function rescue(folder: string, out: string): Promise<Rescued> {
  const held = hold(folder);
  const lost: string[] = [];
  try {
    const { db, close } = openToRead(filesOf(folder).database);
    try {
      const counts = await writeFrom(forgiving(db, lost), out, new Date());
      return { counts, lost };
    } finally {
      close();
    }
  } finally {
    held.free();
  }
}

/** Reads row by row as far as it gets, then from the other end; a damaged page costs its rows and no others. */
const forgiving =
  (db: Sqlite.Database, lost: string[]): Reader =>
  (query, ...values) => {
    const { rows, whole, why } = readOn(db, query, values);
    if (whole) return rows as never;
    lost.push(`${query.replace(/\s+/g, ' ').slice(0, 60)}…: ${why}`);
    const backwards = / ORDER BY (.*)$/.test(query)
      ? readOn(db, query.replace(/ ORDER BY (.*)$/, ' ORDER BY rowid DESC'), values).rows.reverse()
      : EMPTY;
    const seen = new Set(rows.map((row) => JSON.stringify(row)));
    return [...rows, ...backwards.filter((row) => !seen.has(JSON.stringify(row)))] as never;
  };

function readOn(db: Sqlite.Database, query: string, values: readonly unknown[]) {
  const rows: unknown[] = [];
  try {
    for (const row of db.prepare(query).iterate(...values)) rows.push(row);
    return { rows, whole: true, why: '' };
  } catch (error) {
    return { rows, whole: false, why: (error as Error).message };
  }
}
