// How long a tick takes from one device to the other, against a bare request to the server: part of `npm run bench`.
import { onPage, shelve, vase } from './bench-page.mjs';

const RUNS = 15;
const middle = (times) => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)];

export const tickBench = () =>
  onPage(async (page, url) => {
    const id = await shelve(url, vase());
    const other = await (await page.context().browser().newContext()).newPage();
    for (const device of [page, other]) await device.goto(`${url}/piece/${id}/make`);
    const said = other.getByText(/Last counted/);
    const done = (device) => device.getByRole('button', { name: /^Done/ });
    await done(other).waitFor();
    const ticks = [];
    for (let run = 0; run < RUNS; run++) {
      const start = performance.now();
      await done(page).click();
      await (run % 2 === 0 ? said.waitFor() : said.waitFor({ state: 'detached' }));
      ticks.push(performance.now() - start);
    }
    const bare = [];
    for (let run = 0; run < RUNS; run++) {
      const start = performance.now();
      await page.evaluate(() => fetch('/api/health').then((answer) => answer.text()));
      bare.push(performance.now() - start);
    }
    console.log(
      `a tick from one device to the other, 40 × 48: ${middle(ticks).toFixed(0)} ms in the middle of ${RUNS}, ${(middle(ticks) / middle(bare)).toFixed(0)} times a bare request`,
    );
  });
