import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import type { EntityManager } from 'typeorm';
import { afterEach, vi } from 'vitest';
import type { Database } from '../database.js';
import { ProjectEntity } from '../entities/project.js';
import { openDatabase } from '../opening/open.js';
import { shelved } from '../shelved.js';

const folders: string[] = [];
export const folder = () => {
  const made = mkdtempSync(join(tmpdir(), 'fellside-db-'));
  folders.push(made);
  return made;
};
afterEach(() => {
  vi.restoreAllMocks();
  for (const made of folders.splice(0)) rmSync(made, { recursive: true, force: true });
});

export const document = (name: string) =>
  JSON.stringify({
    name,
    form: {
      points: [
        { radiusMm: 40, heightMm: 0 },
        { radiusMm: 60, heightMm: 90 },
      ],
    },
    rings: [],
    palette: [{ key: 'a', wood: 'sugar-maple' }],
  });
export const insert = (manager: EntityManager, id: string) =>
  manager.insert(ProjectEntity, {
    id,
    revision: 1,
    document: document(id),
    history: '{"past":[],"future":[]}',
    savedAt: '2026-11-28T10:00:00Z',
    removedAt: null,
    ...shelved(document(id)).columns,
  });
export const idsIn = (file: string) => {
  const db = new Sqlite(file, { readonly: true });
  const rows = db.prepare('SELECT id FROM projects ORDER BY id').all() as { id: string }[];
  db.close();
  return rows.map(({ id }) => id);
};
/** A folder with a database that holds some pieces and was stopped cleanly. */
export async function holding(...ids: string[]) {
  const at = folder();
  const { database, close } = await openDatabase(at);
  for (const id of ids) await database.write((manager) => insert(manager, id));
  await close();
  return at;
}
export const connectionOf = (database: Database): Sqlite.Database =>
  (database as unknown as { connection: Sqlite.Database }).connection;
