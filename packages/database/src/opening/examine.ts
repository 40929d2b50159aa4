import { existsSync, statSync } from 'node:fs';
import type Sqlite from 'better-sqlite3';
import { newestBackup } from '../backup/listed.js';
import { Refusal, sqliteCode } from '../failure.js';
import { filesOf } from '../files.js';
import { heldSentence } from './lock.js';
import { MIGRATIONS } from './options.js';
import { openToRead, type Reading } from './toRead.js';

/** What a look at a database before it is opened for use found. */
export interface Examined {
  /** Migrations of ours that it lacks. */
  readonly pending: number;
}

/** Value of SQLite's `user_version` while a server has the database open; 0 after a clean stop. */
export const IN_USE = 1;

/**
 * Looks at the database of a folder without changing a byte of it. Throws a `Refusal`, a sentence with the way back, when
 * it is damaged, emptied, half missing or newer than this program. `asItIs` lets damage pass, to save what can be saved.
 */
export function examine(folder: string, { full = false, asItIs = false } = {}): Examined {
  const { database, log } = filesOf(folder);
  const logThere = existsSync(log);
  if (statSync(database).size === 0) throw refusal(folder, 'is empty: nothing is in it any more');
  let reading: Reading;
  try {
    reading = openToRead(database, 500);
  } catch (error) {
    throw judged(folder, error);
  }
  const { db } = reading;
  try {
    const tables = namesIn(db, `SELECT name FROM sqlite_master WHERE type = 'table'`);
    if (!tables.has('migrations')) throw refusal(folder, `holds no pieces: ${lost(logThere)}`);
    const ran = [...namesIn(db, 'SELECT name FROM migrations')];
    const known: Map<string, (typeof MIGRATIONS)[number]> = new Map(
      MIGRATIONS.map((each) => [each.migration.name, each]),
    );
    if (ran.some((name) => !known.has(name)))
      throw new Refusal(
        `The database in ${folder} was written by a newer Fellside. Use that one; nothing was changed.`,
      );
    const missing = ran.flatMap((name) => known.get(name)!.tables).filter((table) => !tables.has(table));
    if (missing.length > 0) throw refusal(folder, `lacks what it had (${missing.join(', ')})`);
    if (!asItIs) {
      const [found] = db.pragma(full ? 'integrity_check(1)' : 'quick_check(1)') as Record<string, string>[];
      if (Object.values(found!)[0] !== 'ok') throw refusal(folder, 'is damaged');
      if (db.pragma('user_version', { simple: true }) === IN_USE && !logThere)
        throw refusal(folder, `may be older than what was saved last: ${lost(false)}`);
    }
    return { pending: MIGRATIONS.length - ran.length };
  } catch (error) {
    throw judged(folder, error);
  } finally {
    reading.close();
  }
}

const lost = (logThere: boolean): string =>
  logThere
    ? 'its tables are gone'
    : 'its write-ahead log, fellside.sqlite-wal, is missing beside it (copy both files, or make a backup)';

const namesIn = (db: Sqlite.Database, query: string): Set<string> =>
  new Set(
    db
      .prepare(query)
      .all()
      .map((row) => (row as { name: string }).name),
  );

function judged(folder: string, error: unknown): Error {
  const code = sqliteCode(error) ?? '';
  if (/^SQLITE_(CORRUPT|NOTADB|FORMAT)/.test(code)) return refusal(folder, 'is damaged');
  if (code.startsWith('SQLITE_BUSY')) return new Refusal(heldSentence(folder));
  return error as Error;
}

/** What is wrong, and the way back. */
function refusal(folder: string, wrong: string): Refusal {
  const newest = newestBackup(folder);
  const back = newest
    ? `The newest backup is ${newest.path} of ${newest.madeAt.slice(0, 16).replace('T', ' ')}: npx fellside restore "${newest.path}" puts it back.`
    : 'There is no backup in its folder “backups”.';
  return new Refusal(
    `The database ${filesOf(folder).database} ${wrong}. Nothing was changed. ${back} What can still be read: npx fellside rescue OUT.zip writes it to a file that can be restored; FELLSIDE_AS_IT_IS=1 opens it as it is.`,
  );
}

/** A folder that had a database and has none now: never silently an empty shelf. Throws a `Refusal`. */
export function refuseIfLost(folder: string): void {
  const { database, log, backups } = filesOf(folder);
  if (existsSync(log)) throw refusal(folder, 'is missing; only its write-ahead log is there');
  if (newestBackup(folder))
    throw new Refusal(
      `The database ${database} is missing, though backups of it are there. ${wayBack(folder)} To begin with an empty shelf, move the folder ${backups} away.`,
    );
}

const wayBack = (folder: string): string => {
  const newest = newestBackup(folder)!;
  return `npx fellside restore "${newest.path}" puts the newest back, of ${newest.madeAt.slice(0, 16).replace('T', ' ')}.`;
};
