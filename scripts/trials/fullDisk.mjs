// A disk that fills up and is cleared again: a small tmpfs where this process may mount one, else a file size limit is stood
// in for by SQLite's own page limit (the unit tests stand in at the driver).
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoProjects } from '../../packages/core/dist/demo/index.js';
import { NO_HISTORY } from '../../packages/core/dist/index.js';
import { ask, freePort, random, start } from './server.mjs';

const DOCUMENT = demoProjects()[0];

export async function fullDisk(rounds, seed) {
  const draw = random(seed);
  const mount = mkdtempSync(join(tmpdir(), 'fellside-full-'));
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=6m', 'tmpfs', mount]).status === 0;
  if (!mounted)
    return { rounds: 0, acknowledged: 0, refused: 0, lost: 0, why: 'no tmpfs may be mounted here' };
  const tally = { rounds: 0, acknowledged: 0, refused: 0, lost: 0, unanswered: 0 };
  const data = join(mount, 'data');
  const port = await freePort();
  try {
    let server = start(data, port);
    if (!(await server.ready)) throw new Error(server.printed());
    const { body: piece } = await ask(`${server.url}/projects`, 'POST', { document: DOCUMENT });
    let revision = 1;
    let last = piece.document.name;
    for (let n = 0; n < rounds; n++) {
      const filler = join(mount, 'filler');
      // Full, or all but full: the write fails at its first page, in the middle, or at its commit.
      for (let size = 6 * 1024 * 1024; size > 512; size = Math.floor(size / 2))
        try {
          writeFileSync(filler, Buffer.alloc(size), { flag: 'a' });
        } catch {}
      if (n % 2) rmSync(filler, { force: true });
      if (n % 2)
        try {
          writeFileSync(filler, Buffer.alloc(4.6 * 1024 * 1024 + Math.floor(draw() * 1024 * 1024)));
        } catch {}
      for (let i = 0; i < 24; i++) {
        if (i === 14) rmSync(filler, { force: true });
        const name = `Round ${n} save ${i}`;
        const answer = await ask(`${server.url}/projects/${piece.id}`, 'PUT', {
          revision,
          document: { ...DOCUMENT, name },
          history: NO_HISTORY,
        });
        if (answer.status === 200) {
          tally.acknowledged++;
          revision = answer.body.revision;
          last = name;
        } else if (answer.status === 503) tally.refused++;
        else if (answer.status === 0) tally.unanswered++;
        else throw new Error(`a save on a full disk was answered with ${answer.status}`);
      }
      await server.kill();
      server = start(data, port);
      if (!(await server.ready)) throw new Error(server.printed());
      const { body } = await ask(`${server.url}/projects/${piece.id}`);
      if (body?.revision !== revision || body.document.name !== last) tally.lost++;
      tally.rounds++;
    }
    await server.kill('SIGTERM');
    return tally;
  } finally {
    spawnSync('umount', ['-l', mount]);
    rmSync(mount, { recursive: true, force: true });
  }
}
