import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  edit,
  mm,
  NO_HISTORY,
  type Project,
  plain,
  run,
  SHIPPED_WOODS,
  writeProjectFile,
} from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { Database } from '@fellside/database';
import type { NestExpressApplication } from '@nestjs/platform-express';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { createServer } from './server.js';
import { settingsFrom } from './settings.js';

const folder = mkdtempSync(join(tmpdir(), 'fellside-'));
const settings = { ...settingsFrom({}), dataFolder: folder, webFolder: folder, demo: true };
let app: NestExpressApplication;
const http = () => request(app.getHttpServer());

beforeAll(async () => {
  app = await createServer(settings);
  await app.init();
});
afterAll(async () => {
  await app.close();
  rmSync(folder, { recursive: true, force: true });
});

const cup = (): Project => structuredClone(demoProjects()[0]!);
const stored = async () => (await http().post('/api/projects').send({ document: cup() }).expect(201)).body;
const taller = (project: Project): Project => {
  const change = run(project, edit.setFormHeight(mm(300)));
  if (!change.ok) throw new Error(plain(change.reasons[0]!.message));
  return change.value.project;
};

/** SQL on the server's own connection, where no service asks it. */
const query = (sql: string, values: unknown[] = []) =>
  app.get(Database).write((manager) => manager.query(sql, values));

describe('what measured rings say', () => {
  test('is told of all pieces on the shelf with how many measurements it rests on; of removed ones not', async () => {
    expect((await http().get('/api/shop/learnt').expect(200)).body).toEqual([]);
    const document = cup();
    const off = [0.1, -0.3];
    off.forEach((by, i) => {
      const ring = document.rings[i]!;
      document.rings[i] = { ...ring, measured: { heightMm: mm(ring.heightMm + by) } };
    });
    const { body } = await http().post('/api/projects').send({ document }).expect(201);
    const [learnt] = (await http().get('/api/shop/learnt').expect(200)).body;
    expect(learnt).toEqual({ kind: 'thicknessMm', spread: expect.closeTo(Math.sqrt(0.05), 9), count: 2 });
    await http().delete(`/api/projects/${body.id}`);
    expect((await http().get('/api/shop/learnt').expect(200)).body).toEqual([]);
  });
});

describe('a passport', () => {
  test('comes as a card of several sizes and as a page of its own; a size that there is not is refused', async () => {
    const { id } = await stored();
    const pdf = await http().get(`/api/projects/${id}/passport.pdf?size=label`).expect(200);
    expect(pdf.headers['content-type']).toContain('application/pdf');
    expect(pdf.body.subarray(0, 5).toString()).toBe('%PDF-');
    const { text } = await http().get(`/api/projects/${id}/passport.html`).expect(200);
    expect(text).toContain('data:image/png;base64,');
    expect(text).toContain(cup().name);
    const wrong = await http().get(`/api/projects/${id}/passport.pdf?size=a0`).expect(422);
    expect(wrong.body.reasons[0].message).toContain('a6, a7, label');
    await http().get('/api/projects/nobody/passport.html').expect(404);
    await http().delete(`/api/projects/${id}`);
  });
});

describe('the workbook', () => {
  test('has every piece of the shelf that can be planned; what is taken off is not in it', async () => {
    const before = (await http().get('/api/workbook').expect(200)).body.length;
    const { id } = await stored();
    const { body } = await http().get('/api/workbook').expect(200);
    expect(body.length).toBe(before + 1);
    expect(body.find((row: { id: string }) => row.id === id)).toMatchObject({
      name: cup().name,
      rings: 15,
      hours: null,
    });
    await http().delete(`/api/projects/${id}`);
    expect((await http().get('/api/workbook')).body.length).toBe(before);
  });
});

describe('the database', () => {
  test('is in WAL mode and flushes every commit', async () => {
    const pragma = (name: string) => app.get(Database).read((manager) => manager.query(`PRAGMA ${name}`));
    expect(await pragma('journal_mode')).toEqual([{ journal_mode: 'wal' }]);
    expect(await pragma('synchronous')).toEqual([{ synchronous: 2 }]);
  });

  test('is held by one server at a time', async () => {
    await expect(createServer(settings)).rejects.toThrow(/Another Fellside is running on the data folder/);
  });

  test('the demo is put in once', async () => {
    const { body } = await http().get('/api/projects').expect(200);
    expect(body.pieces.map(({ name }: { name: string }) => name).sort()).toEqual(
      demoProjects()
        .map(({ name }) => name)
        .sort(),
    );
  });
});

describe('what an older Fellside saved', () => {
  test('a version 1 piece opens up to date, without steps to undo that no longer fit; shop settings are filled in', async () => {
    const { form, underlay: _, ...rest } = cup();
    const old = { ...rest, schema: 1, form: { points: form.points, wallMm: 7, floorMm: 84 } };
    const step = {
      label: 'Wall',
      patches: [],
      inverse: [{ op: 'replace', path: ['form', 'wallMm'], value: 6 }],
    };
    await query(
      `INSERT INTO "projects" ("id", "revision", "document", "history", "savedAt") VALUES ('old', 1, ?, ?, '2026-01-01T00:00:00Z')`,
      [JSON.stringify(old), JSON.stringify({ past: [step], future: [] })],
    );
    const { body } = await http().get('/api/projects/old').expect(200);
    expect(body.document.form.inside).toMatchObject({ by: 'wall', walls: [{ wallMm: 7 }] });
    expect(body.history.past).toEqual([]);
    await http().delete('/api/projects/old').expect(204);
    await query(`INSERT OR REPLACE INTO "shop" VALUES (1, '{"units":"mm","kerfMm":2}')`);
    const shop = (await http().get('/api/shop').expect(200)).body;
    expect(shop).toMatchObject({ units: 'mm', kerfMm: 2, jawMostMm: 127 });
    await http().put('/api/shop').send(shop).expect(200);
    await query(`DELETE FROM "shop"`);
  });
});

describe('pictures', () => {
  const png = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 1, 2, 3]);
  test('are kept by what is in them and come back as they were', async () => {
    const kept = await http().post('/api/pictures').set('content-type', 'image/png').send(png).expect(201);
    expect(kept.body.key).toMatch(/^[0-9a-f]{64}$/);
    const again = await http().post('/api/pictures').set('content-type', 'image/png').send(png).expect(201);
    expect(again.body).toEqual(kept.body);
    const got = await http()
      .get(`/api/pictures/${kept.body.key}`)
      .expect(200)
      .expect('content-type', 'image/png');
    expect(Buffer.compare(got.body, png)).toBe(0);
  });
  test('what is no picture is refused, and an unknown one is not found', async () => {
    const text = await http()
      .post('/api/pictures')
      .set('content-type', 'image/png')
      .send('hello')
      .expect(422);
    expect(text.body.reasons[0].message).toBe('The picture is neither a PNG nor a JPEG.');
    await http().get('/api/pictures/none').expect(404);
  });
});

describe('projects', () => {
  test('a save carries its revision; a stale one is refused with 409 and both sides are kept', async () => {
    const { id } = await stored();
    const mine = taller(cup());
    const theirs = { ...cup(), name: 'Theirs' };
    const put = (revision: number, document: Project) =>
      http().put(`/api/projects/${id}`).send({ revision, document, history: NO_HISTORY });
    expect((await put(1, theirs).expect(200)).body.revision).toBe(2);
    const refused = await put(1, mine).expect(409);
    expect(refused.body.current).toMatchObject({ revision: 2, document: { name: 'Theirs' } });
    expect((await http().get(`/api/projects/${id}`)).body.document).toEqual(theirs);
    expect((await put(2, mine).expect(200)).body.revision).toBe(3);
    expect((await http().get(`/api/projects/${id}`)).body.document).toEqual(mine);
    const { body: versions } = await http().get(`/api/projects/${id}/versions`).expect(200);
    expect(versions.map(({ revision }: { revision: number }) => revision)).toEqual([3, 2, 1]);
    expect((await http().get(`/api/projects/${id}/versions/2`)).body.document.name).toBe('Theirs');
  });

  test('of many saves on the same revision exactly one gets through', async () => {
    const { id } = await stored();
    const tries = Array.from({ length: 8 }, (_, i) =>
      http()
        .put(`/api/projects/${id}`)
        .send({ revision: 1, document: { ...cup(), name: `Try ${i}` }, history: NO_HISTORY }),
    );
    const statuses = (await Promise.all(tries)).map(({ status }) => status).sort();
    expect(statuses).toEqual([200, ...Array(7).fill(409)]);
  });

  test('what cannot be is refused with 422 and the list, and nothing is changed', async () => {
    const { id } = await stored();
    const bad = { ...cup(), glitter: true, rings: cup().rings.map((ring) => ({ ...ring, heightMm: -3 })) };
    const { body } = await http()
      .put(`/api/projects/${id}`)
      .send({ revision: 1, document: bad, history: NO_HISTORY })
      .expect(422);
    expect(body.reasons).toHaveLength(16);
    expect(body.reasons[0]).toMatchObject({
      path: 'rings.0.heightMm',
      message: expect.stringMatching(/Ring 1: Ring height is −1\/8"/),
    });
    expect((await http().get(`/api/projects/${id}`)).body).toMatchObject({ revision: 1, document: cup() });
    await http().put(`/api/projects/${id}`).send({ revision: 'x', document: cup() }).expect(422);
    await http().post('/api/projects').send({ document: null }).expect(422);
    await http().post('/api/projects').set('content-type', 'application/json').send('{"doc').expect(422);
  });

  test('taken off the shelf and put back; unknown ids are 404', async () => {
    const { id } = await stored();
    await http().delete(`/api/projects/${id}`).expect(204);
    await http().get(`/api/projects/${id}`).expect(404);
    await http().post(`/api/projects/${id}/restore`).expect(204);
    await http().get(`/api/projects/${id}`).expect(200);
    await http().delete('/api/projects/nobody').expect(404);
  });
});

describe('files', () => {
  const plum = { ...SHIPPED_WOODS[0]!, id: 'garden-plum', name: 'Garden plum', letter: 'Gp' };
  const file = () => {
    const project = cup();
    project.palette[0]!.wood = plum.id;
    return writeProjectFile(project, [plum]);
  };
  const take = (text: string) =>
    http().post('/api/projects/import').set('content-type', 'text/plain').send(text);

  test('a project file brings its own woods along', async () => {
    const { body } = await take(file()).expect(201);
    expect(body.document.palette[0].wood).toBe('garden-plum');
    const { body: woods } = await http().get('/api/woods').expect(200);
    expect(woods.at(-1)).toMatchObject({ id: 'garden-plum', own: true });
    await http().delete('/api/woods/garden-plum').expect(409);
  });

  test.each([
    ['a text', 'hello', /not JSON/],
    ['a document over 5 MB', `[${' '.repeat(5 * 1024 * 1024)}]`, /5.0 MB; 5 MB are allowed/],
    ['a file over 21 MB', ' '.repeat(21 * 1024 * 1024 + 1), /21.0 MB; 21 MB are allowed/],
    ['a file far over that', ' '.repeat(23 * 1024 * 1024), /larger than the 22 MB that are allowed/],
    ['a list', '[]', /not a Fellside project/],
  ])('%s is refused with a sentence', async (_, text, sentence) => {
    const before = (await http().get('/api/projects')).body.total;
    const { body } = await take(text).expect(422);
    expect(body.reasons[0].message).toMatch(sentence);
    expect((await http().get('/api/projects')).body.total).toBe(before);
  });
});

test('own woods: added once, letters kept apart, removed', async () => {
  const pear = { ...SHIPPED_WOODS[0]!, id: 'pear', name: 'Pear', letter: 'Pe' };
  await http().post('/api/woods').send(pear).expect(201);
  expect(
    (
      await http()
        .post('/api/woods')
        .send({ ...pear, id: 'pear-2', name: 'Other pear' })
        .expect(422)
    ).body.reasons[0].message,
  ).toMatch(/letter “Pe” is taken by Pear/);
  expect(
    (
      await http()
        .post('/api/woods')
        .send({ ...pear, specificGravity: 9 })
        .expect(422)
    ).body.reasons[0].path,
  ).toBe('specificGravity');
  await http().delete('/api/woods/pear').expect(204);
  await http().delete('/api/woods/sugar-maple').expect(404);
});

test('the shop is kept, and refused whole when one figure is off', async () => {
  const { body: shop } = await http().get('/api/shop').expect(200);
  await http()
    .put('/api/shop')
    .send({ ...shop, kerfMm: 2.4 })
    .expect(200);
  await http()
    .put('/api/shop')
    .send({ ...shop, kerfMm: -1 })
    .expect(422);
  expect((await http().get('/api/shop')).body.kerfMm).toBe(2.4);
});

test('pages of other origins, and other names for this machine, are not answered', async () => {
  await http()
    .post('/api/projects/import')
    .set('origin', 'http://elsewhere.example')
    .set('content-type', 'text/plain')
    .send('{}')
    .expect(403);
  await http().get('/api/projects').set('host', 'elsewhere.example').expect(403);
  await http()
    .get('/api/projects')
    .set('host', 'localhost:4680')
    .set('origin', 'http://localhost:4680')
    .expect(200);
});

test('settings say what is wrong with them', () => {
  expect(() => settingsFrom({ FELLSIDE_PORT: 'eighty' })).toThrow(/FELLSIDE_PORT is “eighty”/);
  expect(settingsFrom({}).host).toBe('127.0.0.1');
});

describe('the stash', () => {
  const ring = {
    name: 'Maple offcut ring',
    outerRadiusMm: 60,
    innerRadiusMm: 40,
    heightMm: 18,
    species: Array.from({ length: 12 }, () => 'sugar-maple'),
    of: { way: 'segmented', count: 12 },
  };
  const withRing = (item: string, name: string): Project => {
    const change = run({ ...cup(), name }, edit.useStashed(8, { ...ring, item } as never));
    if (!change.ok) throw new Error(plain(change.reasons[0]!.message));
    return change.value.project;
  };
  const usedBy = async (item: string) =>
    (await http().get('/api/stash')).body.find((other: { item: string }) => other.item === item)?.usedBy;

  test('a ring is in one piece at a time; taking it out there, by undo or removing the piece, puts it back', async () => {
    const { item } = (await http().post('/api/stash').send(ring).expect(201)).body;
    expect(await usedBy(item)).toBeNull();
    const piece = await stored();
    const body = { revision: 1, document: withRing(item, 'First'), history: NO_HISTORY };
    await http().put(`/api/projects/${piece.id}`).send(body).expect(200);
    expect(await usedBy(item)).toEqual({ id: piece.id, name: 'First' });
    await http().delete(`/api/stash/${item}`).expect(409);
    const refused = await http()
      .post('/api/projects')
      .send({ document: withRing(item, 'Second') })
      .expect(422);
    expect(refused.body.reasons[0].message).toMatch(/Ring 9: “Maple offcut ring” .* is in “First” already/);
    await http()
      .put(`/api/projects/${piece.id}`)
      .send({ ...body, revision: 2, document: cup() })
      .expect(200);
    expect(await usedBy(item)).toBeNull();
    const second = (
      await http()
        .post('/api/projects')
        .send({ document: withRing(item, 'Second') })
        .expect(201)
    ).body;
    await http().delete(`/api/projects/${second.id}`).expect(204);
    expect(await usedBy(item)).toBeNull();
    await http()
      .put(`/api/projects/${piece.id}`)
      .send({ ...body, revision: 3 })
      .expect(200);
    await http().post(`/api/projects/${second.id}/restore`).expect(422);
    await http().delete(`/api/projects/${piece.id}`).expect(204);
    await http().delete(`/api/stash/${item}`).expect(204);
    await http().delete(`/api/stash/${item}`).expect(404);
  });

  test.each([
    ['no width', { innerRadiusMm: 60 }, /no width/],
    ['too few woods', { species: ['sugar-maple'] }, /12 places and 1 woods/],
    ['a way that is not known', { of: { way: 'glued' } }, /Way of making is not known/],
    ['something unknown', { colour: 'red' }, /Unknown key “colour”/],
  ])('a ring with %s is refused and nothing kept', async (_, change, sentence) => {
    const before = (await http().get('/api/stash')).body.length;
    const { body } = await http()
      .post('/api/stash')
      .send({ ...ring, ...change })
      .expect(422);
    expect(body.reasons[0].message).toMatch(sentence);
    expect((await http().get('/api/stash')).body.length).toBe(before);
  });
});

describe('kept patterns', () => {
  const motif = { kind: 'chequer', tones: ['light', 'dark'], values: { repeats: 12, high: 1 } };
  test('are listed for every piece, newest first, and thrown away once', async () => {
    const first = (
      await http().post('/api/patterns').send({ holds: 'motif', name: 'Squares', motif }).expect(201)
    ).body;
    const block = { widthTurns: 0.5, rows: [[{ from: 0, to: 1, tone: 'dark' }]] };
    await http().post('/api/patterns').send({ holds: 'block', name: 'Bar', block }).expect(201);
    const { body } = await http().get('/api/patterns').expect(200);
    expect(body.map(({ pattern }: { pattern: { name: string } }) => pattern.name)).toEqual([
      'Bar',
      'Squares',
    ]);
    expect(body[1]).toEqual(first);
    await http().delete(`/api/patterns/${first.id}`).expect(204);
    await http().delete(`/api/patterns/${first.id}`).expect(404);
  });
  test.each([
    ['no name', { holds: 'motif', name: ' ', motif }, /Name is empty/],
    [
      'a number beyond its limits',
      { holds: 'motif', name: 'x', motif: { ...motif, values: { repeats: 0, high: 1 } } },
      /Repeats round the piece is 0/,
    ],
    [
      'a block wider than round',
      { holds: 'block', name: 'x', block: { widthTurns: 2, rows: [[]] } },
      /Width of the block is 2/,
    ],
    ['something unknown', { holds: 'motif', name: 'x', motif, extra: 1 }, /Unknown key “extra”/],
  ])('one with %s is refused with a sentence', async (_, pattern, sentence) => {
    const { body } = await http().post('/api/patterns').send(pattern).expect(422);
    expect(body.reasons.map(({ message }: { message: string }) => message).join(' ')).toMatch(sentence);
  });
});
