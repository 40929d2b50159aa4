import { existsSync } from 'node:fs';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { Database } from '../database.js';
import { filesOf, makeFolder, removeDatabase, settle, syncFile } from '../files.js';
import { hold } from '../opening/lock.js';
import { type CheckedBackup, checkBackup } from './check.js';
import { inserting } from './inserting.js';
import { backupName } from './listed.js';
import { writeBackup } from './write.js';

/** Makes a database of what a backup holds, whole or not at all. Throws a `Refusal` when the backup is not sound. */
export async function databaseFrom(backup: string, file: string): Promise<CheckedBackup> {
  removeDatabase(file);
  await (await Database.open(file)).close();
  const db = new Sqlite(file);
  try {
    db.exec('BEGIN');
    const checked = await checkBackup(backup, inserting(db));
    db.exec('COMMIT');
    db.pragma('wal_checkpoint(TRUNCATE)');
    db.close();
    syncFile(file);
    return checked;
  } catch (error) {
    db.close();
    removeDatabase(file);
    throw error;
  }
}

/** What a restore did: what came back, and where what it replaced is kept; null where there was nothing. */
export interface Restored extends CheckedBackup {
  readonly replaced: string | null;
}

/** Puts a backup in the place of what an open database holds, which is kept as a backup of its own first. */
export async function restoreInto(database: Database, folder: string, backup: string): Promise<Restored> {
  const { unborn, database: file } = filesOf(folder);
  const checked = await databaseFrom(backup, unborn);
  let replaced = '';
  try {
    // In one turn of the line: a write between backup and exchange would be acknowledged and in neither.
    await database.replace(async () => {
      replaced = await keptFirst(folder);
      settle(unborn, file);
    });
  } catch (error) {
    removeDatabase(unborn);
    throw error;
  }
  return { ...checked, replaced };
}

/**
 * The same where no server runs. What is there and cannot be read as a database is kept as it is, its files beside the
 * backups. Throws a `Refusal` when the folder is in use or the backup not sound.
 */
export async function restoreFolder(folder: string, backup: string): Promise<Restored> {
  makeFolder(folder);
  const held = hold(folder);
  try {
    const { unborn, database: file } = filesOf(folder);
    const checked = await databaseFrom(backup, unborn);
    const replaced = existsSync(file) ? await keptFirst(folder).catch(() => setAside(folder)) : null;
    if (existsSync(file)) await settledAlone(file);
    settle(unborn, file);
    return { ...checked, replaced };
  } finally {
    held.free();
  }
}

const keptFirst = async (folder: string): Promise<string> => {
  const { backups, database } = filesOf(folder);
  const out = join(backups, backupName('before-restore', new Date()));
  await writeBackup(database, out);
  await checkBackup(out);
  return out;
};

/** Brings the log into the database, so that none is left beside the one that takes its place. */
async function settledAlone(file: string): Promise<void> {
  const db = new Sqlite(file);
  try {
    db.pragma('wal_checkpoint(TRUNCATE)');
  } finally {
    db.close();
  }
}

/** Moves the files of a database that cannot be read out of the way, unread. */
function setAside(folder: string): string {
  const { backups, database } = filesOf(folder);
  makeFolder(backups);
  const aside = join(backups, `unreadable-${new Date().toISOString().replace(/[:.]/g, '-')}.sqlite`);
  for (const end of ['-wal', '-shm', '']) if (existsSync(database + end)) settle(database + end, aside + end);
  return aside;
}
