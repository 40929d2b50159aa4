import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { EntityManager } from 'typeorm';
import { Database } from '../database.js';
import { filesOf, makeFolder, removeDatabase, settle, syncFile } from '../files.js';
import { examine, refuseIfLost } from './examine.js';
import { hold } from './lock.js';
import { openToRead } from './toRead.js';

export interface OpenWish {
  /** Fills a database that is made anew, in one transaction. */
  readonly fill?: ((manager: EntityManager) => Promise<void>) | undefined;
  /** Opens what is damaged, too. */
  readonly asItIs?: boolean;
}

/** An open database and the hold on its folder. */
export interface OpenDatabase {
  readonly database: Database;
  readonly folder: string;
  close(): Promise<void>;
}

/**
 * Opens the database of a data folder, or makes one. A new one is made under another name and takes its own when it is
 * whole, so that a kill at the first start leaves nothing half made. Throws a `Refusal` with a sentence when the folder is
 * in use, or what is there cannot be trusted.
 */
export async function openDatabase(
  folder: string,
  { fill, asItIs = false }: OpenWish = {},
): Promise<OpenDatabase> {
  makeFolder(folder);
  const held = hold(folder);
  try {
    const { database: file } = filesOf(folder);
    if (!existsSync(file)) {
      refuseIfLost(folder);
      await bear(folder, fill);
    }
    const { pending } = examine(folder, { asItIs });
    if (pending > 0) await copyBefore(folder);
    const database = await Database.open(file);
    database.begin();
    return {
      database,
      folder,
      async close() {
        await database.close();
        held.free();
      },
    };
  } catch (error) {
    held.free();
    throw error;
  }
}

async function bear(folder: string, fill: OpenWish['fill']): Promise<void> {
  const { unborn, database: file } = filesOf(folder);
  removeDatabase(unborn);
  const born = await Database.open(unborn);
  if (fill) await born.write(fill);
  await born.close();
  syncFile(unborn);
  settle(unborn, file);
}

/** Before a migration runs, the whole database is copied beside the backups, under the day and time. */
async function copyBefore(folder: string): Promise<void> {
  const { database, backups } = filesOf(folder);
  makeFolder(backups);
  const copy = join(backups, `before-upgrade-${new Date().toISOString().replace(/[:.]/g, '-')}.sqlite`);
  const { db, close } = openToRead(database);
  try {
    await db.backup(`${copy}.part`);
  } finally {
    close();
  }
  syncFile(`${copy}.part`);
  settle(`${copy}.part`, copy);
}
