// Mangled documents through the API and the terminal: refused or taken, never a crash, never a 500.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoProjects } from '../../packages/core/dist/demo/index.js';
import { ROOT } from '../setup.mjs';
import { ask, freePort, random, start } from './server.mjs';

const NASTY = [
  0,
  -1,
  5e-324,
  1e300,
  3e8,
  null,
  '',
  [],
  {},
  'x'.repeat(3000),
  '=1+1',
  '../../etc/passwd',
  '<script>',
];

/** A demo piece with some values changed, or text that is hardly JSON. */
function mangledText(draw) {
  const pick = (of) => of[Math.floor(draw() * of.length)];
  const document = structuredClone(pick(demoProjects()));
  for (let n = 0; n < 1 + draw() * 3; n++) {
    let holder = document;
    for (;;) {
      const keys = Object.keys(holder);
      const key = pick(keys.length > 0 ? keys : ['x']);
      const value = holder[key];
      if (typeof value === 'object' && value !== null && Object.keys(value).length > 0 && draw() < 0.85)
        holder = value;
      else {
        holder[key] = typeof value === 'number' && draw() < 0.6 ? value * pick([0.9, 1, 1.1]) : pick(NASTY);
        break;
      }
    }
  }
  const text = JSON.stringify(document);
  if (draw() < 0.1) return text.slice(0, Math.floor(draw() * text.length));
  if (draw() < 0.03) return `${'['.repeat(50_000)}${']'.repeat(50_000)}`;
  return text;
}

export async function hostile(asks, seed) {
  const draw = random(seed);
  const [data, port] = [mkdtempSync(join(tmpdir(), 'fellside-hostile-')), await freePort()];
  const server = start(data, port);
  if (!(await server.ready)) throw new Error(server.printed());
  const tally = { api: 0, terminal: 0, refused: 0, taken: 0, errors: 0, unanswered: 0, slowestMs: 0 };
  for (let n = 0; n < asks; n++) {
    const text = mangledText(draw);
    const from = performance.now();
    const [path, body] = [
      ['projects', `{"document":${text}}`],
      ['projects/import', JSON.stringify({ text })],
      ['stash', text],
      ['shop', text],
      ['woods', text],
    ][n % 5];
    const { status, body: answer } = await ask(
      `${server.url}/${path}`,
      path === 'shop' ? 'PUT' : 'POST',
      body,
    );
    tally.slowestMs = Math.max(tally.slowestMs, performance.now() - from);
    tally.api++;
    if (status === 0) tally.unanswered++;
    else if (status >= 500) tally.errors++;
    else if (status >= 400) tally.refused++;
    else {
      tally.taken++;
      if (answer?.id) await ask(`${server.url}/projects/${answer.id}`, 'DELETE');
    }
  }
  if ((await ask(`${server.url}/health`)).status !== 200) tally.unanswered++;
  await server.kill('SIGTERM');
  for (let n = 0; n < asks / 100; n++) {
    const file = join(data, 'piece.json');
    writeFileSync(file, mangledText(draw));
    const ran = spawnSync(process.execPath, [join(ROOT, 'apps/cli/bin/fellside.js'), 'plan', file], {
      encoding: 'utf8',
      timeout: 60_000,
      maxBuffer: 1e9,
    });
    tally.terminal++;
    if (ran.status === 0) tally.taken++;
    else if (ran.status === 2) tally.refused++;
    else tally.errors++;
  }
  rmSync(data, { recursive: true, force: true });
  return tally;
}
