import {
  closeSync,
  copyFileSync,
  createWriteStream,
  existsSync,
  mkdirSync,
  mkdtempSync,
  openSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import Sqlite from 'better-sqlite3';
import { DataSource, type EntityManager } from 'typeorm';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { ZipFile } from 'yazl';
import { openArchive } from './backup/archive.js';
import { makeBackup, tidy, USUAL_AUTOMATIC } from './backup/automatic.js';
import { checkBackup } from './backup/check.js';
import { backupName, backupsIn } from './backup/listed.js';
import { rescue } from './backup/rescue.js';
import { restoreFolder, restoreInto } from './backup/restore.js';
import { writeBackup } from './backup/write.js';
import type { Database } from './database.js';
import { ProjectEntity } from './entities/project.js';
import { CannotWrite } from './failure.js';
import { filesOf } from './files.js';
import { examine } from './opening/examine.js';
import { openDatabase } from './opening/open.js';
import { databaseOptions, MIGRATIONS } from './opening/options.js';
import { shelved } from './shelved.js';

const folders: string[] = [];
const folder = () => {
  const made = mkdtempSync(join(tmpdir(), 'fellside-db-'));
  folders.push(made);
  return made;
};
afterEach(() => {
  vi.restoreAllMocks();
  for (const made of folders.splice(0)) rmSync(made, { recursive: true, force: true });
});

const document = (name: string) =>
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
const insert = (manager: EntityManager, id: string) =>
  manager.insert(ProjectEntity, {
    id,
    revision: 1,
    document: document(id),
    history: '{"past":[],"future":[]}',
    savedAt: '2026-11-28T10:00:00Z',
    removedAt: null,
    ...shelved(document(id)).columns,
  });
const idsIn = (file: string) => {
  const db = new Sqlite(file, { readonly: true });
  const rows = db.prepare('SELECT id FROM projects ORDER BY id').all() as { id: string }[];
  db.close();
  return rows.map(({ id }) => id);
};
/** A folder with a database that holds some pieces and was stopped cleanly. */
async function holding(...ids: string[]) {
  const at = folder();
  const { database, close } = await openDatabase(at);
  for (const id of ids) await database.write((manager) => insert(manager, id));
  await close();
  return at;
}
const connectionOf = (database: Database) =>
  (database as unknown as { connection: Sqlite.Database }).connection;

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
      manager.query('SELECT id, name, "heightMm", "diameterMm" FROM projects ORDER BY id'),
    );
    expect(rows).toEqual([
      { id: 'broken', name: null, heightMm: null, diameterMm: null },
      { id: 'old', name: 'Old bowl', heightMm: 90, diameterMm: 120 },
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

describe('a backup', () => {
  test('holds everything, comes back in an empty folder, and keeps what it replaces', async () => {
    const at = await holding('one', 'two');
    const db = new Sqlite(filesOf(at).database);
    const bytes = Buffer.from([0x89, 0x50, 0x4e, 0x47, 1, 2, 3]);
    const { createHash } = await import('node:crypto');
    const key = createHash('sha256').update(bytes).digest('hex');
    db.prepare('INSERT INTO pictures VALUES (?, ?, ?)').run(key, 'image/png', bytes);
    db.exec(`INSERT INTO woods VALUES ('plum', '{"id":"plum"}')`);
    db.exec(`INSERT INTO shop VALUES (1, '{"units":"mm"}')`);
    db.exec(`INSERT INTO project_versions VALUES ('one', 1, '{"schema":6}', '2026-01-01')`);
    db.exec(`UPDATE projects SET removedAt = '2026-02-02', document = 'no json' WHERE id = 'two'`);
    db.close();
    const out = join(folder(), 'all.zip');
    const counts = await writeBackup(filesOf(at).database, out);
    expect(counts).toEqual({
      pieces: 1,
      removed: 1,
      versions: 1,
      woods: 1,
      boards: 0,
      stash: 0,
      patterns: 0,
      pictures: 1,
    });
    const empty = folder();
    expect((await restoreFolder(empty, out)).replaced).toBeNull();
    const dump = (file: string) => {
      const read = new Sqlite(file, { readonly: true });
      const tables = [
        'projects',
        'project_versions',
        'woods',
        'shop',
        'pictures',
        'stash',
        'pattern',
        'board',
      ];
      const all = tables.map((table) => read.prepare(`SELECT * FROM ${table} ORDER BY 1`).all());
      read.close();
      return all.map((rows) =>
        rows.map((row) => ({
          ...(row as object),
          name: null,
          heightMm: null,
          diameterMm: null,
          woods: null,
        })),
      );
    };
    expect(dump(filesOf(empty).database)).toEqual(dump(filesOf(at).database));
    // Over another house: what was there is a backup of its own.
    const other = await holding('theirs');
    const { replaced } = await restoreFolder(other, out);
    expect(idsIn(filesOf(other).database)).toEqual(['one', 'two']);
    await restoreFolder(other, replaced!);
    expect(idsIn(filesOf(other).database)).toEqual(['theirs']);
  });

  test('that is damaged, cut short or of a newer Fellside is refused whole, and nothing is changed', async () => {
    const at = await holding('one');
    const out = join(folder(), 'all.zip');
    await writeBackup(filesOf(at).database, out);
    const sound = readFileSync(out);
    const mine = await holding('mine');
    const tries: [Buffer, RegExp][] = [
      [sound.subarray(0, sound.length / 2), /cannot be read as a backup/],
      [Buffer.from('hello'), /cannot be read as a backup/],
    ];
    // A flipped bit in the middle of the compressed content.
    const flipped = Buffer.from(sound);
    flipped[120]! ^= 0x40;
    tries.push([flipped, /damaged|not what it was/]);
    for (const [bytes, sentence] of tries) {
      writeFileSync(out, bytes);
      await expect(restoreFolder(mine, out)).rejects.toThrow(sentence);
      expect(idsIn(filesOf(mine).database)).toEqual(['mine']);
      expect(existsSync(filesOf(mine).unborn)).toBe(false);
    }
  });

  test('put back while others write loses nothing that was acknowledged', async () => {
    const at = await holding('old');
    const out = join(folder(), 'all.zip');
    await writeBackup(filesOf(at).database, out);
    const { database, close } = await openDatabase(at);
    let over = false;
    const work = restoreInto(database, at, out).finally(() => {
      over = true;
    });
    const acknowledged: string[] = [];
    for (let n = 0; !over && n < 2000; n++) {
      await database.write((manager) => insert(manager, `w${n}`));
      acknowledged.push(`w${n}`);
    }
    const { replaced } = await work;
    const now = await database.read((manager) => manager.find(ProjectEntity));
    await close();
    const before = folder();
    await restoreFolder(before, replaced!);
    const kept = new Set([...now.map(({ id }) => id), ...idsIn(filesOf(before).database)]);
    expect(acknowledged.filter((id) => !kept.has(id))).toEqual([]);
    expect(acknowledged.length).toBeGreaterThan(0);
  });

  test('whose content was changed after it was made is refused, though the ZIP is sound', async () => {
    const at = await holding('one');
    const out = join(folder(), 'all.zip');
    await writeBackup(filesOf(at).database, out);
    const archive = await openArchive(out);
    const forged = new ZipFile();
    for (const path of Object.keys(archive.manifest.files)) {
      const content = (await archive.read(path)).toString('utf8');
      forged.addBuffer(Buffer.from(content.replaceAll('"one"', '"two"')), path);
    }
    forged.addBuffer(Buffer.from(JSON.stringify(archive.manifest)), 'fellside-backup.json');
    forged.end();
    archive.close();
    await pipeline(forged.outputStream, createWriteStream(out));
    await expect(checkBackup(out)).rejects.toThrow(/is not what it was/);
  });

  test('is rotated by day, week and month; those made by hand stay', async () => {
    const at = await holding('one');
    const out = join(folder(), 'all.zip');
    await writeBackup(filesOf(at).database, out);
    const { backups } = filesOf(at);
    mkdirSync(backups, { recursive: true });
    const day = 24 * 3_600_000;
    const from = Date.parse('2026-11-28T10:00:00Z');
    for (let n = 0; n < 100; n++)
      copyFileSync(out, join(backups, backupName('automatic', new Date(from - n * day))));
    copyFileSync(out, join(backups, backupName('by-hand', new Date(from - 500 * day))));
    tidy(backups, { ...USUAL_AUTOMATIC, days: 3, weeks: 2, months: 2 });
    // By hand: the last three days; the last day of the two newest weeks (Sat 28th, Sun 22nd); of the two months (28 Nov, 31 Oct).
    expect(backupsIn(backups).map(({ madeAt }) => madeAt.slice(0, 10))).toEqual([
      '2026-11-28',
      '2026-11-27',
      '2026-11-26',
      '2026-11-22',
      '2026-10-31',
      '2025-07-16',
    ]);
  });

  test('is made while the database is written to, as it was at one moment', async () => {
    const at = folder();
    const { database, close } = await openDatabase(at);
    await database.write((manager) => insert(manager, 'a'));
    const out = join(folder(), 'all.zip');
    const made = writeBackup(filesOf(at).database, out);
    await database.write((manager) => insert(manager, 'b'));
    await made;
    expect((await checkBackup(out)).counts.pieces).toBe(1);
    await close();
  });
});

test('what can still be read of a damaged database is rescued into a backup', async () => {
  const ids = Array.from({ length: 60 }, (_, i) => `piece-${String(i).padStart(3, '0')}`);
  const at = folder();
  const { database, close } = await openDatabase(at);
  await database.write(async (manager) => {
    for (const id of ids)
      await manager.insert(ProjectEntity, {
        id,
        revision: 1,
        document: `{"schema":6,"note":"${'x'.repeat(3000)}"}`,
        history: '{}',
        savedAt: '2026-01-01',
        removedAt: null,
      });
  });
  await close();
  const file = openSync(filesOf(at).database, 'r+');
  const { size } = statSync(filesOf(at).database);
  writeSync(file, Buffer.alloc(4096, 0xa5), 0, 4096, Math.floor(size / 4096 / 2) * 4096);
  closeSync(file);
  expect(() => examine(at)).toThrow(/is damaged/);
  const out = join(folder(), 'rescued.zip');
  await rescue(at, out).catch(() => null);
  const found = existsSync(out) ? (await checkBackup(out)).counts.pieces : 0;
  expect(found).toBeGreaterThan(20);
});
