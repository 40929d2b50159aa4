import {
  closeSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  openSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { DataSource, type EntityManager } from 'typeorm';
import { describe, expect, test, vi } from 'vitest';
import { makeBackup } from '../backup/automatic.js';
import { filesOf } from '../files.js';
import { document, folder, holding, idsIn, insert } from '../testing/folders.js';
import { openDatabase } from './open.js';
import { databaseOptions, MIGRATIONS } from './options.js';

describe('a start', () => {
  test('leaves one whole file behind after a clean stop, and no half-made one after a kill at the first', async () => {
    const at = await holding('one');
    expect(existsSync(filesOf(at).log)).toBe(false);
    const alone = folder();
    copyFileSync(filesOf(at).database, filesOf(alone).database);
    expect(idsIn(filesOf(alone).database)).toEqual(['one']);
    // What a kill while it was being made leaves.
    const first = folder();
    writeFileSync(filesOf(first).unborn, 'half');
    const fill = vi.fn(async (manager: EntityManager) => void (await insert(manager, 'demo')));
    const { close } = await openDatabase(first, { fill });
    await close();
    expect(fill).toHaveBeenCalledOnce();
    expect(idsIn(filesOf(first).database)).toEqual(['demo']);
  });

  test('a failing first fill leaves nothing, and the next start fills it whole', async () => {
    const at = folder();
    const fails = async (manager: EntityManager) => {
      await insert(manager, 'first');
      throw new Error('killed here');
    };
    await expect(openDatabase(at, { fill: fails })).rejects.toThrow('killed here');
    expect(existsSync(filesOf(at).database)).toBe(false);
    const { close } = await openDatabase(at, {
      fill: async (manager) => void (await insert(manager, 'whole')),
    });
    await close();
    expect(idsIn(filesOf(at).database)).toEqual(['whole']);
  });

  test.each<[string, (at: string) => void, RegExp]>([
    ['emptied', (at) => truncateSync(filesOf(at).database, 0), /is empty: nothing is in it any more/],
    ['no database at all', (at) => writeFileSync(filesOf(at).database, 'hello '.repeat(2000)), /is damaged/],
    [
      'damaged in the middle',
      (at) => {
        const { size } = statSync(filesOf(at).database);
        const file = openSync(filesOf(at).database, 'r+');
        for (let page = 4096; page < size; page += 4096)
          writeSync(file, Buffer.alloc(2048, 0xa5), 0, 2048, page + 8);
        closeSync(file);
      },
      /is damaged/,
    ],
    [
      'without a table',
      (at) => {
        const db = new Sqlite(filesOf(at).database);
        db.exec('DROP TABLE board');
        db.close();
      },
      /lacks what it had \(board\)/,
    ],
    [
      'copied without its log',
      (at) => {
        const db = new Sqlite(filesOf(at).database);
        db.pragma('user_version = 1');
        db.pragma('wal_checkpoint(TRUNCATE)');
        db.close();
      },
      /may be older than what was saved last: its write-ahead log, fellside\.sqlite-wal, is missing/,
    ],
    [
      'written by a newer Fellside',
      (at) => {
        const db = new Sqlite(filesOf(at).database);
        db.exec(`INSERT INTO migrations (timestamp, name) VALUES (9999999999999, 'Later9999999999999')`);
        db.close();
      },
      /was written by a newer Fellside/,
    ],
    [
      'gone, with backups there',
      (at) => rmSync(filesOf(at).database),
      /is missing, though backups of it are there/,
    ],
  ])(
    'on a database that is %s is refused with a sentence, twice, and changes nothing',
    async (_, harm, sentence) => {
      const at = await holding('one', 'two');
      await makeBackup(filesOf(at).database, filesOf(at).backups, 'by-hand');
      harm(at);
      const bytes = () => (existsSync(filesOf(at).database) ? readFileSync(filesOf(at).database) : null);
      const before = bytes();
      for (let n = 0; n < 2; n++) await expect(openDatabase(at)).rejects.toThrow(sentence);
      expect(bytes()).toEqual(before);
      if (!String(sentence).includes('newer'))
        await expect(openDatabase(at)).rejects.toThrow(/npx fellside restore/);
    },
  );

  test('copies the database before a migration runs; the old pieces get their columns and uses', async () => {
    const at = folder();
    mkdirSync(at, { recursive: true });
    const old = new DataSource({
      ...databaseOptions(filesOf(at).database),
      migrations: MIGRATIONS.slice(0, 5).map(({ migration }) => migration),
    } as never);
    await old.initialize();
    await old.query(`INSERT INTO projects VALUES ('old', 3, ?, '{}', '2026-01-01', NULL)`, [
      JSON.stringify({
        ...JSON.parse(document('Old bowl')),
        rings: [{ making: { way: 'stock', item: 'ring-1' } }],
      }),
    ]);
    await old.query(`INSERT INTO projects VALUES ('broken', 1, '{"name":', '{}', '2026-01-01', NULL)`);
    await old.destroy();
    const { database, close } = await openDatabase(at);
    const rows = await database.read((manager) =>
      manager.query('SELECT id, name, "heightMm", "diameterMm", kind, made FROM projects ORDER BY id'),
    );
    expect(rows).toEqual([
      { id: 'broken', name: null, heightMm: null, diameterMm: null, kind: null, made: 0 },
      { id: 'old', name: 'Old bowl', heightMm: 90, diameterMm: 120, kind: 'bowl', made: 0 },
    ]);
    expect(
      await database.read((manager) => manager.query('SELECT kind, key FROM uses ORDER BY kind')),
    ).toEqual([
      { kind: 'stash', key: 'ring-1' },
      { kind: 'wood', key: 'sugar-maple' },
    ]);
    const drift = new DataSource(databaseOptions(filesOf(at).database));
    await close();
    await drift.initialize();
    expect((await drift.driver.createSchemaBuilder().log()).upQueries).toEqual([]);
    await drift.destroy();
    const [copy] = (await import('node:fs')).readdirSync(filesOf(at).backups);
    expect(copy).toMatch(/^before-upgrade-.*\.sqlite$/);
    expect(idsIn(join(filesOf(at).backups, copy!))).toEqual(['broken', 'old']);
  });
});
