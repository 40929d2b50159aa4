import { existsSync, rmSync, statSync } from 'node:fs';
import Sqlite from 'better-sqlite3';

/** A connection that only reads, and leaves the folder as it found it. */
export interface Reading {
  readonly db: Sqlite.Database;
  close(): void;
}

/**
 * Opens a database to be read. Beside a file in WAL mode SQLite makes an empty log even for a reader, and a reader cannot
 * take it away again: an empty log that was not there before goes with it, for at the next start a log that is there
 * means that none was lost.
 */
export function openToRead(file: string, timeout = 5000): Reading {
  const [log, index] = [`${file}-wal`, `${file}-shm`];
  const logThere = existsSync(log);
  const db = new Sqlite(file, { readonly: true, fileMustExist: true, timeout });
  return {
    db,
    close() {
      db.close();
      if (logThere || !existsSync(log) || statSync(log).size > 0) return;
      rmSync(log, { force: true });
      rmSync(index, { force: true });
    },
  };
}
