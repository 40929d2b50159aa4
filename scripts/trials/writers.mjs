// Many writers on the same pieces: every acknowledged save has a revision of its own, and the last of them is stored.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoProjects } from '../../packages/core/dist/demo/index.js';
import { NO_HISTORY } from '../../packages/core/dist/index.js';
import { ask, freePort, start } from './server.mjs';

const DOCUMENT = demoProjects()[0];

export async function writers(count, saves) {
  const [data, port] = [mkdtempSync(join(tmpdir(), 'fellside-writers-')), await freePort()];
  const server = start(data, port);
  if (!(await server.ready)) throw new Error(server.printed());
  const { body: piece } = await ask(`${server.url}/projects`, 'POST', { document: DOCUMENT });
  const acknowledged = new Map();
  const tally = { writers: count, acknowledged: 0, refused: 0, twice: 0, lost: 0 };
  await Promise.all(
    Array.from({ length: count }, async (_, w) => {
      let revision = 1;
      for (let n = 0; n < saves; n++) {
        const name = `Writer ${w} save ${n}`;
        const answer = await ask(`${server.url}/projects/${piece.id}`, 'PUT', {
          revision,
          document: { ...DOCUMENT, name },
          history: NO_HISTORY,
        });
        if (answer.status === 200) {
          tally.acknowledged++;
          if (acknowledged.has(answer.body.revision)) tally.twice++;
          acknowledged.set(answer.body.revision, name);
          revision = answer.body.revision;
        } else {
          tally.refused++;
          revision = answer.body?.current?.revision ?? revision;
        }
      }
    }),
  );
  const { body } = await ask(`${server.url}/projects/${piece.id}`);
  const newest = Math.max(...acknowledged.keys());
  if (body.revision !== newest || body.document.name !== acknowledged.get(newest)) tally.lost++;
  if (newest !== tally.acknowledged + 1) tally.lost++;
  await server.kill('SIGTERM');
  rmSync(data, { recursive: true, force: true });
  return tally;
}
