// A shelf of hundreds and thousands of pieces: the first page in the browser, the list, a save with a ring of the stash.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import Sqlite from 'better-sqlite3';
import { demoProjects, demoStash } from '../../packages/core/dist/demo/index.js';
import { edit, NO_HISTORY, run } from '../../packages/core/dist/index.js';
import { shelved } from '../../packages/database/dist/index.js';
import { ensureChromium } from '../setup.mjs';
import { ask, freePort, start } from './server.mjs';

const demos = demoProjects();
const middle = (times) => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)];

/** Puts pieces straight into the tables, as a winter's work would have. */
function fill(data, pieces) {
  const db = new Sqlite(join(data, 'fellside.sqlite'));
  const insert = db.prepare(
    'INSERT INTO projects (id, revision, document, history, savedAt, name, heightMm, diameterMm, woods) VALUES (?, 1, ?, ?, ?, ?, ?, ?, ?)',
  );
  const version = db.prepare('INSERT INTO project_versions VALUES (?, 1, ?, ?)');
  const history = JSON.stringify(NO_HISTORY);
  db.transaction(() => {
    for (let n = 0; n < pieces; n++) {
      const document = JSON.stringify({ ...demos[n % demos.length], name: `Piece ${n}` });
      const { name, heightMm, diameterMm, woods } = shelved(document).columns;
      const savedAt = new Date(1.7e12 + n * 60_000).toISOString();
      insert.run(`piece-${n}`, document, history, savedAt, name, heightMm, diameterMm, woods);
      version.run(`piece-${n}`, document, savedAt);
    }
  })();
  db.close();
}

async function timed(work) {
  const from = performance.now();
  const answer = await work();
  return { ms: performance.now() - from, answer };
}

/** The same save with a ring of the stash in the piece, and without. */
async function saves(url) {
  const ring = demoStash()[0];
  const { body: stashed } = await ask(`${url}/stash`, 'POST', ring);
  const with_ = run(demos[0], edit.useStashed(8, stashed));
  const documents = { with: with_.ok ? with_.value.project : null, without: demos[0] };
  const times = {};
  for (const [which, document] of Object.entries(documents)) {
    const { body } = await ask(`${url}/projects`, 'POST', { document });
    let { revision } = body;
    times[which] = [];
    for (let n = 0; n < 25; n++) {
      const { ms, answer } = await timed(() =>
        ask(`${url}/projects/${body.id}`, 'PUT', {
          revision,
          document: { ...document, name: `n${n}` },
          history: NO_HISTORY,
        }),
      );
      revision = answer.body.revision;
      times[which].push(ms);
    }
    await ask(`${url}/projects/${body.id}`, 'DELETE');
  }
  return { with: middle(times.with), without: middle(times.without) };
}

export async function load(pieces) {
  const [data, port] = [mkdtempSync(join(tmpdir(), 'fellside-load-')), await freePort()];
  const first = start(data, port);
  if (!(await first.ready)) throw new Error(first.printed());
  await first.kill('SIGTERM');
  fill(data, pieces);
  const server = start(data, port);
  if (!(await server.ready)) throw new Error(server.printed());
  const list = await timed(async () => (await fetch(`${server.url}/projects?count=60`)).text());
  const save = await saves(server.url);
  const browser = await chromium.launch({
    executablePath: ensureChromium(),
    args: ['--no-sandbox', '--disable-quic'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const shelf = async () => {
    const { ms } = await timed(async () => {
      await page.goto(`http://127.0.0.1:${port}/`);
      await page
        .getByRole('link', { name: /^Open / })
        .first()
        .waitFor();
    });
    const drawn = await timed(() =>
      page.waitForFunction(() => {
        const seen = [...document.querySelectorAll('li img')].filter(
          (img) => img.getBoundingClientRect().top < innerHeight,
        );
        return seen.length > 0 && seen.every((img) => img.complete && img.naturalWidth > 0);
      }),
    );
    return { shelf: ms, drawn: ms + drawn.ms };
  };
  const [cold, warm] = [await shelf(), await shelf()];
  await browser.close();
  await server.kill('SIGTERM');
  rmSync(data, { recursive: true, force: true });
  return { pieces, listMs: list.ms, listBytes: list.answer.length, cold, warm, save };
}
