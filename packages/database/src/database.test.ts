import { copyFileSync, rmSync } from 'node:fs';
import { describe, expect, test, vi } from 'vitest';
import { ProjectEntity } from './entities/project.js';
import { CannotWrite } from './failure.js';
import { filesOf } from './files.js';
import { openDatabase } from './opening/open.js';
import { connectionOf, folder, idsIn, insert } from './testing/folders.js';

describe('a write', () => {
  test('that the disk has no room for is not acknowledged, and the next one is whole', async () => {
    const at = folder();
    const { database, close } = await openDatabase(at);
    const db = connectionOf(database);
    const pages = db.pragma('page_count', { simple: true }) as number;
    db.pragma(`max_page_count = ${pages}`);
    const large = 'x'.repeat(200_000);
    const full = database.write((manager) => manager.query(`INSERT INTO "shop" VALUES (1, ?)`, [large]));
    await expect(full).rejects.toThrow(CannotWrite);
    await expect(full).rejects.toThrow(/The disk is full/);
    expect(database.writable).toMatchObject({ ok: false, sentence: expect.stringMatching(/disk is full/) });
    expect(connectionOf(database).inTransaction).toBe(false);
    db.pragma('max_page_count = 1000000');
    await database.write((manager) => insert(manager, 'after'));
    expect(database.writable).toEqual({ ok: true });
    await close();
    expect(idsIn(filesOf(at).database)).toEqual(['after']);
  });

  test.each(['SQLITE_FULL', 'SQLITE_IOERR_FSYNC'])(
    'whose COMMIT fails with %s after SQLite rolled back by itself leaves no transaction for the next to nest in',
    async (code) => {
      const at = folder();
      const { database, close } = await openDatabase(at);
      const db = connectionOf(database);
      const exec = db.exec.bind(db);
      vi.spyOn(db, 'exec').mockImplementation((sql: string) => {
        if (sql !== 'COMMIT') return exec(sql);
        exec('ROLLBACK');
        throw Object.assign(new Error('no room'), { code });
      });
      for (const id of ['a', 'b'])
        await expect(database.write((manager) => insert(manager, id))).rejects.toThrow(CannotWrite);
      vi.restoreAllMocks();
      await database.write((manager) => insert(manager, 'c'));
      // Another connection sees only what was committed.
      expect(idsIn(filesOf(at).database)).toEqual(['c']);
      await close();
    },
  );

  test('is refused when SQLite ended its transaction on the way, though no error reached it', async () => {
    const { database, close } = await openDatabase(folder());
    const db = connectionOf(database);
    const work = database.write(async (manager) => {
      await insert(manager, 'half');
      db.exec('ROLLBACK');
    });
    await expect(work).rejects.toThrow(/ended the transaction by itself/);
    await close();
  });

  test.each([
    ['deleted', (file: string) => rmSync(file)],
    [
      'moved and replaced by another',
      (file: string) => {
        copyFileSync(file, `${file}.copy`);
        rmSync(file);
        copyFileSync(`${file}.copy`, file);
      },
    ],
  ])('into a file that was %s meanwhile is not acknowledged', async (_, harm) => {
    const at = folder();
    const { database, close } = await openDatabase(at);
    harm(filesOf(at).database);
    await expect(database.write((manager) => insert(manager, 'lost'))).rejects.toThrow(/moved or deleted/);
    await close();
  });

  test('that throws keeps nothing; writes and reads go one after another', async () => {
    const at = folder();
    const { database, close } = await openDatabase(at);
    const order: string[] = [];
    const slow = database.write(async (manager) => {
      await insert(manager, 'slow');
      await new Promise((go) => setTimeout(go, 30));
      order.push('slow');
      throw new Error('no after all');
    });
    const read = database.read(async (manager) => {
      order.push('read');
      return manager.count(ProjectEntity);
    });
    await expect(slow).rejects.toThrow('no after all');
    expect(await read).toBe(0);
    expect(order).toEqual(['slow', 'read']);
    await close();
  });
});
