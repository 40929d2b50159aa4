import Sqlite from 'better-sqlite3';
import { Refusal, sqliteCode } from '../failure.js';
import { filesOf } from '../files.js';

/** A held data folder; let go of with `free`, and by the system when the process ends, however it ends. */
export interface Hold {
  free(): void;
}

/**
 * Holds a data folder for this process (decision 18): an exclusive lock on a small database of its own, so that the real
 * one can be read beside us. Throws a `Refusal` when another process holds it.
 */
export function hold(folder: string): Hold {
  const lock = new Sqlite(filesOf(folder).lock, { timeout: 300 });
  try {
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock.close();
    if (sqliteCode(error)?.startsWith('SQLITE_BUSY')) throw new Refusal(heldSentence(folder));
    throw error;
  }
  return { free: () => lock.close() };
}

export const heldSentence = (folder: string): string =>
  `Another Fellside is running on the data folder ${folder}. Use that one, or set FELLSIDE_DATA to another folder.`;
