import {
  closeSync,
  copyFileSync,
  createWriteStream,
  existsSync,
  mkdirSync,
  openSync,
  readFileSync,
  statSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import Sqlite from 'better-sqlite3';
import { describe, expect, test } from 'vitest';
import { ZipFile } from 'yazl';
import { ProjectEntity } from '../entities/project.js';
import { filesOf } from '../files.js';
import { examine } from '../opening/examine.js';
import { openDatabase } from '../opening/open.js';
import { folder, holding, idsIn, insert } from '../testing/folders.js';
import { openArchive } from './archive.js';
import { tidy, USUAL_AUTOMATIC } from './automatic.js';
import { checkBackup } from './check.js';
import { backupName, backupsIn } from './listed.js';
import { rescue } from './rescue.js';
import { restoreFolder, restoreInto } from './restore.js';
import { writeBackup } from './write.js';

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
    db.exec(`INSERT INTO ticks VALUES ('t1', 'one', 'ring-r9/saw', 14, '2026-11-29T10:00:00Z', 'tablet')`);
    db.exec(
      `INSERT INTO journal VALUES ('j1', 'one', '2026-11-29T10:05:00Z', '{"kind":"note","text":"Split."}')`,
    );
    const photo = db.prepare('INSERT INTO photos VALUES (?, ?, ?, ?, ?)');
    photo.run('f1', 'one', 'image/jpeg', Buffer.from([0xff, 0xd8, 0xff, 9]), Buffer.from([0xff, 0xd8, 0xff]));
    photo.run('f2', 'one', 'image/png', bytes, null);
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
      photos: 2,
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
        'ticks',
        'journal',
        'photos',
      ];
      const all = tables.map((table) => read.prepare(`SELECT * FROM ${table} ORDER BY 1`).all());
      read.close();
      return all.map((rows) =>
        rows.map((row) => ({
          ...(row as object),
          name: null,
          heightMm: null,
          diameterMm: null,
          kind: null,
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
