// How soon it is there: the server started again, the first screen and what code comes for it, a piece to its first full picture. Part of `npm run bench`.
import { once } from 'node:events';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort, onPage, served, shelve, vase } from './bench-page.mjs';

const RUNS = 5;
const middle = (times) => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)];

/** Second starts of a server on a shelf with the demo pieces, ms. */
async function starts() {
  const folder = mkdtempSync(join(tmpdir(), 'fellside-bench-'));
  const times = [];
  for (let run = 0; run <= RUNS; run++) {
    const begun = performance.now();
    const server = await served(await freePort(), folder, { FELLSIDE_DEMO: '1' });
    if (run > 0) times.push(performance.now() - begun);
    server.kill();
    await once(server, 'exit');
  }
  return times;
}

export async function startBench() {
  console.log(
    `the server started again, until it listens: ${middle(await starts()).toFixed(0)} ms in the middle of ${RUNS}`,
  );
  await onPage(async (page, url) => {
    const id = await shelve(url, vase());
    const sizes = [];
    page.on('requestfinished', async (request) => {
      if (!/\.(js|css)$/.test(new URL(request.url()).pathname)) return;
      const { responseBodySize } = await request.sizes();
      sizes.push(responseBodySize);
    });
    const begun = performance.now();
    await page.goto(url);
    await page.getByRole('link', { name: 'Open Vase of 40 × 48' }).waitFor();
    const shown = performance.now() - begun;
    const bytes = sizes.reduce((sum, size) => sum + size, 0);
    console.log(
      `the first screen: ${shown.toFixed(0)} ms, ${(bytes / 1000).toFixed(0)} kB of code as they come`,
    );
    const times = [];
    for (let run = 0; run < RUNS; run++) {
      await page.goto(`${url}/woods`);
      await page.getByRole('heading', { name: 'Boards on hand' }).waitFor();
      const start = performance.now();
      await page.goto(`${url}/piece/${id}/rings`);
      await page.getByRole('img', { name: /laid flat/ }).waitFor();
      times.push(performance.now() - start);
    }
    console.log(
      `a piece of 40 × 48 opened, to its wall: ${middle(times).toFixed(0)} ms in the middle of ${RUNS}`,
    );
  });
}
