import { createHash } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { copyOf, edit, NO_HISTORY, type Project, run, SHIPPED_WOODS, writeProjectFile } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { changeMachine, Database, keepPassphrase } from '@fellside/database';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type Sqlite from 'better-sqlite3';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, test, vi } from 'vitest';
import { Attempts } from './door/attempts.js';
import { hostNamed, isLoopback } from './door/hosts.js';
import { createServer } from './server.js';
import { settingsFrom } from './settings.js';
import { GivenUp, Threads } from './threads/threads.js';

const folder = mkdtempSync(join(tmpdir(), 'fellside-trust-'));
const usual = { ...settingsFrom({}), webFolder: folder };
let app: NestExpressApplication;
const http = () => request(app.getHttpServer());
const database = () => app.get(Database);
const query = (sql: string, values: unknown[] = []) =>
  database().write((manager) => manager.query(sql, values));

beforeAll(async () => {
  app = await createServer({ ...usual, dataFolder: join(folder, 'own') });
  await app.init();
});
afterAll(async () => {
  await app.close();
  rmSync(folder, { recursive: true, force: true });
});

const cup = (name = 'Cup'): Project => ({ ...structuredClone(demoProjects()[0]!), name });
const stored = async (name?: string) =>
  (
    await http()
      .post('/api/projects')
      .send({ document: cup(name) })
      .expect(201)
  ).body as {
    id: string;
    revision: number;
  };
const put = (id: string, revision: number, document: unknown) =>
  http().put(`/api/projects/${id}`).send({ revision, document, history: NO_HISTORY });

describe('a disk that is full for a moment', () => {
  const writes: readonly [string, () => request.Test][] = [
    ['a piece', () => http().post('/api/projects').send({ document: cup() })],
    [
      'a file',
      () =>
        http()
          .post('/api/projects/import')
          .send({ text: writeProjectFile(cup(), []) }),
    ],
    [
      'a board',
      () =>
        http()
          .post('/api/boards/replace')
          .send({ remove: [], add: [BOARD] }),
    ],
    ['a picture', () => http().post('/api/pictures').set('content-type', 'image/png').send(PNG)],
    [
      'a wood',
      () =>
        http()
          .post('/api/woods')
          .send({ ...SHIPPED_WOODS[0]!, id: 'own-pear', name: 'Pear', letter: 'Pq' }),
    ],
    ['a ring', () => http().post('/api/stash').send(RING)],
    ['a pattern', () => http().post('/api/patterns').send(PATTERN)],
    ['the shop', () => http().put('/api/shop').send(SHOP)],
  ];
  test.each(writes)('%s is answered with 503 and not kept, and the next save is whole', async (_, write) => {
    const db = (database() as unknown as { connection: Sqlite.Database }).connection;
    const exec = db.exec.bind(db);
    const spy = vi.spyOn(db, 'exec').mockImplementation((sql: string) => {
      if (sql !== 'COMMIT') return exec(sql);
      exec('ROLLBACK');
      throw Object.assign(new Error('database or disk is full'), { code: 'SQLITE_FULL' });
    });
    const answer = await write();
    expect(answer.status).toBe(503);
    expect(answer.body.message).toMatch(/^Nothing was saved\. The disk is full/);
    expect((await http().get('/api/health')).body.writable).toMatchObject({ ok: false });
    spy.mockRestore();
    expect((await write()).status).toBeLessThan(300);
    expect((await http().get('/api/health')).body.writable).toEqual({ ok: true });
    expect(db.inTransaction).toBe(false);
  });
});

const PNG = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 7, 7]);
const BOARD = {
  wood: 'sugar-maple',
  lengthMm: 1000,
  widthMm: 150,
  thicknessMm: 25.4,
  surfaced: false,
  price: null,
  moisturePercent: null,
  note: '',
  defects: [],
};
const RING = {
  name: 'Spare ring',
  outerMm: 60,
  innerMm: 40,
  heightMm: 18,
  species: Array.from({ length: 12 }, () => 'sugar-maple'),
  of: { way: 'flat', count: 12 },
};
const PATTERN = {
  holds: 'motif',
  name: 'Squares',
  motif: { kind: 'chequer', tones: ['light', 'dark'], values: { repeats: 12, high: 1 } },
};
const SHOP = { ...(await import('@fellside/core')).DEFAULT_SHOP, kerfMm: 2.5 };

describe('the shelf', () => {
  test('comes in pages with what a list needs; names are found; the newest come first', async () => {
    for (let n = 0; n < 5; n++) await stored(`Bowl 50%_${n}`);
    const { body } = await http().get('/api/projects?from=1&count=2&named=bowl 50%25_').expect(200);
    expect(body).toMatchObject({ total: 5, tallestMm: cup().form.points.at(-1)!.heightMm });
    expect(body.pieces.map(({ name }: { name: string }) => name)).toEqual(['Bowl 50%_3', 'Bowl 50%_2']);
    expect(Object.keys(body.pieces[0]).sort()).toEqual([
      'diameterMm',
      'heightMm',
      'id',
      'name',
      'removedAt',
      'revision',
      'savedAt',
      'unreadable',
      'woods',
    ]);
    await http().get('/api/projects?count=100000').expect(422);
  });

  test('one unreadable piece costs one piece, and its raw text can be saved; a newer one is left alone', async () => {
    const [broken, newer] = [await stored('Broken'), await stored('Newer')];
    await query(`UPDATE projects SET document = '{"name": "Bro' WHERE id = ?`, [broken.id]);
    const later = JSON.stringify({ ...cup('Newer'), schema: 999 });
    await query('UPDATE projects SET document = ? WHERE id = ?', [later, newer.id]);
    const { body } = await http().get('/api/projects?count=200').expect(200);
    const of = (id: string) => body.pieces.find((piece: { id: string }) => piece.id === id);
    expect(of(broken.id)).toMatchObject({
      name: 'Broken',
      unreadable: expect.stringMatching(/cannot be read/),
    });
    expect(of(newer.id).unreadable).toMatch(/newer Fellside/);
    expect((await http().get(`/api/projects/${broken.id}/raw`).expect(200)).text).toBe('{"name": "Bro');
    expect((await http().get(`/api/projects/${newer.id}`).expect(422)).body.reasons[0].message).toMatch(
      /newer/,
    );
    await put(newer.id, 1, cup('Mine')).expect(409);
    expect((await http().get(`/api/projects/${newer.id}/raw`)).text).toBe(later);
    for (const { id } of [broken, newer]) {
      await http().delete(`/api/projects/${id}`).expect(204);
      await http().delete(`/api/projects/${id}/for-good`).expect(204);
    }
  });

  test('draws a piece as PNG, the same until it is saved again', async () => {
    const { id } = await stored();
    const png = await http()
      .get(`/api/projects/${id}/drawings/1`)
      .expect(200)
      .expect('content-type', 'image/png');
    expect(png.body.subarray(1, 4).toString()).toBe('PNG');
    expect(png.headers['cache-control']).toMatch(/immutable/);
    await put(id, 1, {
      ...cup(),
      palette: cup().palette.map((entry) => ({ ...entry, wood: 'wenge' })),
    }).expect(200);
    const darker = await http().get(`/api/projects/${id}/drawings/2`).expect(200);
    expect(Buffer.compare(darker.body, png.body)).not.toBe(0);
    await http().get(`/api/projects/${id}/drawings/9`).expect(404);
  });
});

describe('versions and removed pieces', () => {
  test('say what changed; the newest and the last of hours and days are kept', async () => {
    const { id } = await stored('First');
    const wider = run(cup('Second'), edit.setFormHeight(300 as never));
    if (!wider.ok) throw new Error();
    await put(id, 1, wider.value.project).expect(200);
    const { body } = await http().get(`/api/projects/${id}/versions`).expect(200);
    expect(body.map(({ revision }: { revision: number }) => revision)).toEqual([2, 1]);
    expect(body[0].changes).toContain('Named “Second”, before “First”.');
    expect(body[0].changes.join(' ')).toMatch(/Height 300 mm/);
    expect(body[1].changes).toBeNull();
    // 70 saves of one day, then one more: the sixty newest, and the last of every hour and day before.
    await query('DELETE FROM project_versions WHERE projectId = ?', [id]);
    for (let n = 0; n < 70; n++)
      await query('INSERT INTO project_versions VALUES (?, ?, ?, ?)', [
        id,
        n + 3,
        JSON.stringify(cup()),
        new Date(Date.parse('2026-01-01T10:00:00Z') + n * 60_000).toISOString(),
      ]);
    await query('UPDATE projects SET revision = 72 WHERE id = ?', [id]);
    await put(id, 72, cup('Last')).expect(200);
    const kept = (await http().get(`/api/projects/${id}/versions`)).body.map(
      (v: { revision: number }) => v.revision,
    );
    // 73 to 14 are the sixty newest; of the hour from 10:00 the last, at 10:59, is 62, in them.
    expect(kept).toEqual(Array.from({ length: 60 }, (_, i) => 73 - i));
  });

  test('saving over a piece that was removed elsewhere is a conflict that hands both sides back', async () => {
    const { id } = await stored();
    await http().delete(`/api/projects/${id}`).expect(204);
    const { body } = await put(id, 1, cup('Mine')).expect(409);
    expect(body).toMatchObject({ code: 'removed', current: { revision: 1, document: { name: 'Cup' } } });
    expect((await http().get('/api/projects?removed=true')).body.pieces[0].id).toBe(id);
    await http().delete(`/api/projects/${id}/for-good`).expect(204);
    await put(id, 1, cup('Mine')).expect(404);
    await http().post(`/api/projects/${id}/restore`).expect(404);
  });

  test('a piece on the shelf is not taken away for good', async () => {
    const { id } = await stored();
    await http().delete(`/api/projects/${id}/for-good`).expect(404);
    await http().get(`/api/projects/${id}`).expect(200);
  });

  test('a copy of a piece with a ring of the stash plans it anew, and is taken in', async () => {
    const { item } = (await http().post('/api/stash').send(RING).expect(201)).body;
    const change = run(cup('First'), edit.useStashed(8, { ...RING, item } as never));
    if (!change.ok) throw new Error();
    await http().post('/api/projects').send({ document: change.value.project }).expect(201);
    await http().post('/api/projects').send({ document: change.value.project }).expect(422);
    const copy = copyOf(change.value.project, 'Copy');
    expect(copy.rings[8]).toMatchObject({
      making: { way: 'flat', count: 12 },
      fixed: { outerMm: 60, innerMm: 40 },
    });
    await http().post('/api/projects').send({ document: copy }).expect(201);
    const text = writeProjectFile(change.value.project, []);
    expect((await http().post('/api/projects/import').send({ text }).expect(422)).body.reasons[0].code).toBe(
      'stash-taken',
    );
    await http().post('/api/projects/import').send({ text, anew: true }).expect(201);
  });
});

describe('a project file', () => {
  test('carries its picture and own woods to another house, and back', async () => {
    const { key } = (await http().post('/api/pictures').set('content-type', 'image/png').send(PNG)).body;
    const own = { ...SHIPPED_WOODS[0]!, id: 'damson', name: 'Damson', letter: 'Dz' };
    await http().post('/api/woods').send(own).expect(201);
    const underlay = { picture: key, mmPerPixel: 0.5, axisPixel: 10, benchPixel: 10 };
    const document = {
      ...cup(),
      underlay,
      palette: cup().palette.map((entry) => ({ ...entry, wood: 'damson' })),
    };
    const { id } = (await http().post('/api/projects').send({ document }).expect(201)).body;
    const { text } = await http().get(`/api/projects/${id}/file`).expect(200);
    await query(`DELETE FROM pictures`);
    await query(`DELETE FROM woods WHERE id = 'damson'`);
    const taken = await http().post('/api/projects/import').send({ text }).expect(201);
    expect(taken.body.notes).toEqual([]);
    expect(Buffer.compare((await http().get(`/api/pictures/${key}`).expect(200)).body, PNG)).toBe(0);
    expect((await http().get('/api/woods')).body.map((wood: { id: string }) => wood.id)).toContain('damson');
    const wrong = text.replace(key, createHash('sha256').update('other').digest('hex'));
    expect(
      (await http().post('/api/projects/import').send({ text: wrong }).expect(201)).body.notes[0],
    ).toMatch(/left out/);
  });

  test('with a wood of other figures is asked about, and nothing here is changed', async () => {
    const mine = { ...SHIPPED_WOODS[0]!, id: 'quince', name: 'Quince', letter: 'Qz' };
    await http().post('/api/woods').send(mine).expect(201);
    const theirs = { ...mine, specificGravity: 0.9 };
    const document = {
      ...cup('Quince cup'),
      palette: cup().palette.map((entry) => ({ ...entry, wood: 'quince' })),
    };
    const text = writeProjectFile(document, [theirs]);
    const before = (await http().get('/api/projects')).body.total;
    const asked = await http().post('/api/projects/import').send({ text }).expect(409);
    expect(asked.body).toMatchObject({ code: 'woods-differ', woods: [{ id: 'quince', mine, theirs }] });
    expect((await http().get('/api/projects')).body.total).toBe(before);
    const both = await http()
      .post('/api/projects/import')
      .send({ text, woods: { quince: 'both' } })
      .expect(201);
    expect(both.body.document.palette[0].wood).toBe('quince-2');
    expect(both.body.notes).toEqual([
      'Quince was taken in as “Quince 2”.',
      expect.stringMatching(/The letter of Quince 2 is .; Qz was taken/),
    ]);
    const kept = await http()
      .post('/api/projects/import')
      .send({ text, woods: { quince: 'mine' } })
      .expect(201);
    expect(kept.body.document.palette[0].wood).toBe('quince');
    const woods = (await http().get('/api/woods')).body;
    expect(woods.find(({ id }: { id: string }) => id === 'quince').specificGravity).toBe(
      mine.specificGravity,
    );
    expect(woods.find(({ id }: { id: string }) => id === 'quince-2').specificGravity).toBe(0.9);
  });

  test('pictures that no piece, version or step uses are cleared away, others stay', async () => {
    const loose = Buffer.concat([PNG, Buffer.from([1])]);
    const { key } = (await http().post('/api/pictures').set('content-type', 'image/png').send(loose)).body;
    expect((await http().get('/api/pictures/unused')).body.pictures).toBe(1);
    expect((await http().delete('/api/pictures/unused').expect(200)).body).toEqual({
      pictures: 1,
      bytes: loose.length,
    });
    await http().get(`/api/pictures/${key}`).expect(404);
    const used = createHash('sha256').update(PNG).digest('hex');
    await http().get(`/api/pictures/${used}`).expect(200);
  });
});

describe('backups over the API', () => {
  test('made, listed, looked through, put back; what they replace is kept', async () => {
    const { id } = await stored('Before the backup');
    const { name } = (await http().post('/api/backups').expect(201)).body;
    const state = (await http().get('/api/backups').expect(200)).body;
    expect(state.last).toMatchObject({ failed: null, counts: { pieces: expect.any(Number) } });
    expect(state.backups.map((backup: { name: string }) => backup.name)).toContain(name);
    const file = await http()
      .get(`/api/backups/${name}`)
      .buffer()
      .parse((res, done) => {
        const parts: Buffer[] = [];
        res.on('data', (part) => parts.push(part));
        res.on('end', () => done(null, Buffer.concat(parts)));
      });
    await http().delete(`/api/projects/${id}`).expect(204);
    const checked = await http()
      .post('/api/backups/sent')
      .set('content-type', 'application/zip')
      .send(file.body)
      .expect(200);
    expect(checked.body.counts).toEqual(state.last.counts);
    await http().get(`/api/projects/${id}`).expect(404);
    const { replaced } = (await http().post('/api/backups/restore').send({ name: null }).expect(200)).body;
    expect((await http().get(`/api/projects/${id}`).expect(200)).body.document.name).toBe(
      'Before the backup',
    );
    await http().post('/api/backups/restore').send({ name: replaced }).expect(200);
    await http().get(`/api/projects/${id}`).expect(404);
    const refused = await http()
      .post('/api/backups/sent')
      .set('content-type', 'application/zip')
      .send('hello')
      .expect(422);
    expect(refused.body.reasons[0].message).toMatch(/cannot be read as a backup/);
    await http().post('/api/backups/restore').send({ name: null }).expect(422);
    await http().get('/api/backups/..%2f..%2fetc%2fpasswd').expect(422);
    expect((await http().post('/api/health/check').expect(200)).body).toEqual({ sound: true });
  });

  test('where automatic ones go is kept only where it can be written to', async () => {
    const { automatic } = (await http().get('/api/backups')).body;
    const elsewhere = join(folder, 'other-disk');
    await http()
      .put('/api/backups/automatic')
      .send({ ...automatic, folder: elsewhere, days: 3 })
      .expect(204);
    expect((await http().get('/api/backups')).body).toMatchObject({
      folder: elsewhere,
      automatic: { days: 3 },
    });
    await http()
      .put('/api/backups/automatic')
      .send({ ...automatic, folder: '/proc/nowhere' })
      .expect(422);
    await http()
      .put('/api/backups/automatic')
      .send({ ...automatic, days: 0, weeks: 0, months: 0 })
      .expect(422);
  });
});

describe('the door', () => {
  test.each([
    ['localhost', true],
    ['127.0.0.1', true],
    ['127.0.0.2', true],
    ['::1', true],
    ['[::1]', true],
    ['::ffff:127.0.0.1', true],
    ['192.168.1.20', false],
    ['127.0.0.1.example.org', false],
    ['localhost.example.org', false],
    ['0.0.0.0', false],
    ['10.127.0.1', false],
  ])('%s is this machine only: %s', (name, own) => expect(isLoopback(name)).toBe(own));

  test('a Host header is read with and without its port, and refused where it is none', () => {
    expect(hostNamed('[::1]:4680')).toBe('::1');
    expect(hostNamed('Workshop.local:4680')).toBe('workshop.local');
    for (const wrong of [undefined, '', 'a b', 'user@host', 'x/y', 'evil.org:80:90'])
      expect(hostNamed(wrong)).toBeNull();
  });

  test.each([
    [{ host: 'elsewhere.example' }],
    [{ origin: 'http://elsewhere.example' }],
    [{ 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'no-cors' }],
    [{ 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate' }],
    [{ 'sec-fetch-site': 'same-site', 'sec-fetch-mode': 'cors' }],
  ])('reads and writes with %j are refused', async (headers) => {
    await http().get('/api/projects').set(headers).expect(403);
    await http().put('/api/shop').set(headers).send({}).expect(403);
  });

  test('beyond this machine it does not start without names and a passphrase, and says how', async () => {
    expect(() => settingsFrom({ FELLSIDE_HOST: '0.0.0.0' })).toThrow(/FELLSIDE_HOSTS/);
    expect(() => settingsFrom({ FELLSIDE_HOST: '0.0.0.0', FELLSIDE_HOSTS: 'http://x' })).toThrow(
      /FELLSIDE_HOSTS has/,
    );
    const settings = {
      ...usual,
      host: '0.0.0.0',
      hosts: ['workshop.local'],
      dataFolder: join(folder, 'wide'),
    };
    await expect(createServer(settings)).rejects.toThrow(/no passphrase is set.*npx fellside passphrase/);
  });

  test('others give the passphrase once; wrong ones are limited; forged sessions are none', async () => {
    const dataFolder = join(folder, 'wide');
    changeMachine(dataFolder, { passphrase: await keepPassphrase('tree wind stone') });
    const wide = await createServer({ ...usual, host: '0.0.0.0', hosts: ['workshop.local'], dataFolder });
    await wide.init();
    const from = (path: string) => request(wide.getHttpServer()).get(path).set('host', 'workshop.local');
    const enter = (passphrase: string) =>
      request(wide.getHttpServer()).post('/api/door').set('host', 'workshop.local').send({ passphrase });
    await from('/api/projects').expect(401);
    await from('/api/projects')
      .set('cookie', `fellside_session=${Date.now() + 1e9}.${'0'.repeat(64)}`)
      .expect(401);
    expect((await from('/api/door')).body).toEqual({ own: false, open: false });
    await enter('tree wind stones').expect(401);
    const entered = await enter('tree wind stone').expect(204);
    const [cookie] = entered.headers['set-cookie'] as unknown as string[];
    expect(cookie).toMatch(/HttpOnly.*SameSite=Strict/i);
    await from('/api/projects').set('cookie', cookie!).expect(200);
    // On the machine itself nothing is asked, unless somebody hands the request on.
    await request(wide.getHttpServer()).get('/api/projects').set('host', 'localhost').expect(200);
    await request(wide.getHttpServer())
      .get('/api/projects')
      .set('host', 'localhost')
      .set('x-forwarded-for', '10.0.0.9')
      .expect(401);
    await request(wide.getHttpServer())
      .put('/api/door/passphrase')
      .set('host', 'workshop.local')
      .set('cookie', cookie!)
      .send({ passphrase: 'x'.repeat(12) })
      .expect(403);
    const reach = (await from('/api/door/reach').set('cookie', cookie!).expect(200)).body;
    expect(reach.addresses[0]).toMatchObject({
      url: expect.stringMatching(/^http:\/\/workshop\.local:/),
      qr: expect.stringMatching(/<svg/),
    });
    const statuses = [];
    for (let n = 0; n < 8; n++) statuses.push((await enter(`wrong guess ${n}`)).status);
    expect(statuses.slice(-2)).toEqual([429, 429]);
    await enter('tree wind stone').expect(429);
    changeMachine(dataFolder, { passphrase: await keepPassphrase('another passphrase') });
    await from('/api/projects').set('cookie', cookie!).expect(401);
    await wide.close();
  });

  test('waits grow with every wrong guess, and end with a right one', () => {
    const attempts = new Attempts();
    const waits = Array.from({ length: 8 }, () => {
      attempts.failed(0);
      return attempts.wait(0);
    });
    expect(waits).toEqual([0, 0, 0, 0, 2000, 4000, 8000, 16_000]);
    attempts.passed();
    expect(attempts.wait(0)).toBe(0);
  });
});

describe('work beside the server', () => {
  const limits = { most: 1, mostWaiting: 1, seconds: 60, megabytes: 256 };
  test('waits in a line, is turned away when that is full, and is dropped when the asker leaves', async () => {
    const gates: (() => void)[] = [];
    const threads = new Threads<string, string>(
      new URL('file:///nowhere.js'),
      (ask) => new Promise((done) => gates.push(() => done(ask))),
      limits,
    );
    const first = threads.run('first');
    const left = new AbortController();
    const second = threads.run('second', left.signal);
    expect(threads.state).toEqual({ running: 1, waiting: 1 });
    await expect(threads.run('third')).rejects.toThrow(/1 are being worked on and 1 wait/);
    left.abort();
    gates[0]!();
    expect(await first).toBe('first');
    await expect(second).rejects.toBeInstanceOf(GivenUp);
    expect(gates).toHaveLength(1);
  });

  const worker = (code: string) =>
    new URL(
      `data:text/javascript,${encodeURIComponent(`import { parentPort } from 'node:worker_threads'; ${code}`)}`,
    );
  test.each([
    ['takes too long', 'for (;;) {}', { ...limits, seconds: 0.3 }, /longer than 0.3 s/],
    [
      'takes too much memory',
      'parentPort.on("message", () => { const all = []; for (;;) all.push(new Array(1e5).fill({}).map(() => ({}))); });',
      { ...limits, megabytes: 24 },
      /more than 24 MB/,
    ],
  ])('that %s is stopped, and the next is done', async (_, code, given, sentence) => {
    const threads = new ThreadsOf<string, string>(worker(code), async (ask) => ask, given);
    await expect(threads.run('x')).rejects.toThrow(sentence);
    expect(threads.state).toEqual({ running: 0, waiting: 0 });
    await threads.close();
  });
});

/** Threads whose worker needs no file. */
class ThreadsOf<Ask, Answer> extends Threads<Ask, Answer> {
  protected override get isBuilt() {
    return true;
  }
}

describe('what would bring it down', () => {
  const post = (document: unknown) => http().post('/api/projects').send({ document });
  const ringOf = (making: object) => ({
    ...cup(),
    rings: [{ id: 'a', heightMm: 10, making, turn: 0, woods: ['a'] }],
  });
  test.each([
    [
      '300 million segments',
      ringOf({ way: 'spaced', count: 3e8, spacers: { at: 'every', thicknessMm: 1 } }),
      /Segment count is 300000000/,
    ],
    [
      'spacers that go evenly into them',
      ringOf({ way: 'spaced', count: 3e8, spacers: { at: 'even', number: 7, thicknessMm: 1 } }),
      /Segment count/,
    ],
    ['a hundred million blocks', ringOf({ way: 'illusion', count: 1e8 }), /Segment count|rings.0.making/],
  ])('a piece with %s is refused at once', async (_, document, sentence) => {
    const { body } = await post(document).expect(422);
    expect(body.reasons.map(({ message }: { message: string }) => message).join(' ')).toMatch(sentence);
  });

  test.each([
    ['flat', { way: 'flat', count: 3e8 }],
    ['spaced', { way: 'spaced', count: 3e8, spacers: { at: 'every', thicknessMm: 1 } }],
  ])('the same at the stash, %s', async (_, of) => {
    await http()
      .post('/api/stash')
      .send({ ...RING, of })
      .expect(422);
  });

  test('deep nesting is told in a sentence, everywhere', async () => {
    const deep = `${'['.repeat(5000)}${']'.repeat(5000)}`;
    for (const path of ['/api/projects', '/api/stash', '/api/patterns', '/api/woods']) {
      const { body } = await http()
        .post(path)
        .set('content-type', 'application/json')
        .send(`{"document":${deep}}`)
        .expect(422);
      expect(body.reasons[0].message).toMatch(/nested more than 40 deep/);
    }
  });

  test('150,000 wrong woods are told in a few sentences', async () => {
    const rings = Array.from({ length: 75 }, (_, i) => ({
      ...cup().rings[1]!,
      id: `r${i}`,
      woods: Array.from({ length: 2000 }, (_, k) => `no-${k}`),
    }));
    const { body } = await post({ ...cup(), rings }).expect(422);
    expect(body.reasons.length).toBeLessThan(70);
    expect(body.reasons.at(-1).message).toMatch(/^And \d+ more things are wrong/);
  });

  test('a client that is silent is closed, and one that asks nonsense gets an answer', async () => {
    await app.listen(0, '127.0.0.1');
    const { port } = app.getHttpServer().address() as AddressInfo;
    expect(app.getHttpServer().headersTimeout).toBeLessThanOrEqual(15_000);
    const answer = await new Promise<string>((done) => {
      const socket = connect(port, '127.0.0.1', () => socket.write('NONSENSE\r\n\r\n'));
      let said = '';
      socket.on('data', (part) => {
        said += part;
      });
      socket.on('close', () => done(said));
    });
    expect(answer).toMatch(/400 Bad Request/);
  });
});
