// Kills in the middle of edits, first starts, migrations, backups and restores: what was acknowledged has to be there.
import { copyFileSync, existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { demoProjects } from '../../packages/core/dist/demo/index.js';
import { NO_HISTORY } from '../../packages/core/dist/index.js';
import { checkBackup, writeBackup } from '../../packages/database/dist/index.js';
import { ask, freePort, pause, random, start } from './server.mjs';

const DOCUMENT = demoProjects()[0];
const folder = (name) => mkdtempSync(join(tmpdir(), `fellside-${name}-`));

/** What a database holds, read from a copy of its files: names by id, and whether SQLite finds it sound. */
function stored(data) {
  const copy = folder('copy');
  for (const name of ['fellside.sqlite', 'fellside.sqlite-wal'])
    if (existsSync(join(data, name))) copyFileSync(join(data, name), join(copy, name));
  const db = new Sqlite(join(copy, 'fellside.sqlite'));
  const [check] = db.pragma('integrity_check');
  const rows = db.prepare('SELECT id, revision, document FROM projects').all();
  db.close();
  rmSync(copy, { recursive: true, force: true });
  return {
    sound: check.integrity_check === 'ok',
    names: new Map(rows.map(({ id, document }) => [id, JSON.parse(document).name])),
  };
}

/** Saves one piece after another until the server is gone; says what was acknowledged last for each. */
async function saving(url, pieces, acknowledged, tally) {
  for (let n = 0; ; n++) {
    const id = pieces[n % pieces.length];
    const { revision } = acknowledged.get(id);
    const name = `Save ${tally.acknowledged + 1}`;
    const answer = await ask(`${url}/projects/${id}`, 'PUT', {
      revision,
      document: { ...DOCUMENT, name },
      history: NO_HISTORY,
    });
    if (answer.status === 0) return { id, name };
    if (answer.status !== 200) throw new Error(`a save was answered with ${answer.status}`);
    acknowledged.set(id, { revision: answer.body.revision, name });
    tally.acknowledged++;
  }
}

/** During edits: what was acknowledged last is stored, or what was under way when the kill came. */
async function duringEdits(kills, draw, tally) {
  const [data, port] = [folder('edits'), await freePort()];
  let server = start(data, port);
  if (!(await server.ready)) throw new Error(server.printed());
  const acknowledged = new Map();
  for (let i = 0; i < 4; i++) {
    const { body } = await ask(`${server.url}/projects`, 'POST', {
      document: { ...DOCUMENT, name: `Piece ${i}` },
    });
    acknowledged.set(body.id, { revision: 1, name: body.document.name });
    tally.acknowledged++;
  }
  const pieces = [...acknowledged.keys()];
  for (let n = 0; n < kills; n++) {
    const work = saving(server.url, pieces, acknowledged, tally);
    await pause(20 + draw() * 300);
    await server.kill();
    const underWay = await work;
    tally.kills++;
    const { sound, names } = stored(data);
    if (!sound) tally.damaged++;
    for (const [id, { name }] of acknowledged) {
      const found = names.get(id);
      if (found !== name && !(id === underWay.id && found === underWay.name)) tally.lost++;
    }
    server = start(data, port);
    if (!(await server.ready)) throw new Error(`no start after a kill: ${server.printed()}`);
    // The client learns what is there, as the browser does.
    for (const id of pieces) {
      const { body } = await ask(`${server.url}/projects/${id}`);
      acknowledged.set(id, { revision: body.revision, name: body.document.name });
    }
  }
  await server.kill('SIGTERM');
  rmSync(data, { recursive: true, force: true });
}

/** During the first start, with the demo: the next start has all of it. */
async function duringFirstStarts(kills, draw, tally) {
  const port = await freePort();
  for (let n = 0; n < kills; n++) {
    const data = folder('first');
    const server = start(data, port, { FELLSIDE_DEMO: '1' });
    await pause(200 + draw() * 1600);
    await server.kill();
    tally.kills++;
    const again = start(data, port, { FELLSIDE_DEMO: '1' });
    if (!(await again.ready)) throw new Error(`no start after a kill at the first: ${again.printed()}`);
    const { body } = await ask(`${again.url}/projects`);
    if (body.total !== demoProjects().length) tally.partial++;
    await again.kill();
    rmSync(data, { recursive: true, force: true });
  }
}

/** During a migration: the database of before comes through whole. */
async function duringMigrations(kills, draw, tally) {
  const port = await freePort();
  const before = folder('before');
  const first = start(before, port, { FELLSIDE_DEMO: '1' });
  if (!(await first.ready)) throw new Error(first.printed());
  await first.kill('SIGTERM');
  const db = new Sqlite(join(before, 'fellside.sqlite'));
  db.exec('DROP TABLE uses; DROP TABLE drawings; DROP INDEX projects_by_time');
  for (const column of ['name', 'heightMm', 'diameterMm', 'woods'])
    db.exec(`ALTER TABLE projects DROP COLUMN "${column}"`);
  db.exec("DELETE FROM migrations WHERE name LIKE 'Shelf%'");
  db.close();
  for (let n = 0; n < kills; n++) {
    const data = folder('migrated');
    copyFileSync(join(before, 'fellside.sqlite'), join(data, 'fellside.sqlite'));
    const server = start(data, port);
    await pause(200 + draw() * 1500);
    await server.kill();
    tally.kills++;
    const again = start(data, port);
    if (!(await again.ready)) throw new Error(`no start after a kill at a migration: ${again.printed()}`);
    const { body } = await ask(`${again.url}/projects`);
    if (body.total !== demoProjects().length || body.pieces.some(({ heightMm }) => heightMm === null))
      tally.partial++;
    if (!existsSync(join(data, 'backups')) || readdirSync(join(data, 'backups')).length === 0)
      tally.partial++;
    await again.kill();
    rmSync(data, { recursive: true, force: true });
  }
  rmSync(before, { recursive: true, force: true });
}

/** During backups and restores: every file that has its name is whole, and the house is the one before or the one after. */
async function duringRestores(kills, draw, tally) {
  const [data, port, out] = [folder('restored'), await freePort(), join(folder('out'), 'small.zip')];
  let server = start(data, port);
  if (!(await server.ready)) throw new Error(server.printed());
  await ask(`${server.url}/projects`, 'POST', { document: { ...DOCUMENT, name: 'From the backup' } });
  await writeBackup(join(data, 'fellside.sqlite'), out);
  for (let i = 0; i < 6; i++) await ask(`${server.url}/projects`, 'POST', { document: DOCUMENT });
  const made = (await ask(`${server.url}/backups`, 'POST')).body.name;
  const small = 'fellside-by-hand-2020-01-01T00-00-00Z.zip';
  mkdirSync(join(data, 'backups'), { recursive: true });
  copyFileSync(out, join(data, 'backups', small));
  for (let n = 0; n < kills; n++) {
    const which = n % 3;
    const work =
      which === 0
        ? ask(`${server.url}/backups`, 'POST')
        : ask(`${server.url}/backups/restore`, 'POST', { name: which === 1 ? small : made });
    await pause(draw() * 400);
    await server.kill();
    await work;
    tally.kills++;
    const { sound, names } = stored(data);
    if (!sound) tally.damaged++;
    if (names.size !== 1 && names.size !== 7) tally.partial++;
    server = start(data, port);
    if (!(await server.ready)) throw new Error(`no start after a kill at a restore: ${server.printed()}`);
    for (const name of readdirSync(join(data, 'backups')).filter((each) => each.endsWith('.zip'))) {
      const path = join(data, 'backups', name);
      await checkBackup(path).catch(() => tally.partial++);
      if (name !== small && name !== made) rmSync(path);
    }
  }
  await server.kill('SIGTERM');
  rmSync(data, { recursive: true, force: true });
}

/** All of them, `total` kills in the shares in which they cost time. */
export async function kills(total, seed) {
  const draw = random(seed);
  const tally = { kills: 0, acknowledged: 0, lost: 0, damaged: 0, partial: 0 };
  const share = (of) => Math.max(1, Math.round(total * of));
  await duringEdits(share(0.7), draw, tally);
  await duringFirstStarts(share(0.1), draw, tally);
  await duringMigrations(share(0.08), draw, tally);
  await duringRestores(share(0.12), draw, tally);
  return tally;
}
