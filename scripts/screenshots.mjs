// npm run screenshots: one picture of each main view from the demo data, into docs/screenshots/.
import { spawn } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuild, ensureChromium, ensureDependencies, ROOT, SERVER } from './setup.mjs';

ensureDependencies();
ensureBuild();
const executablePath = ensureChromium();
const { chromium } = await import('@playwright/test');

const PORT = '4689';
const env = {
  ...process.env,
  FELLSIDE_DATA: mkdtempSync(join(tmpdir(), 'fellside-shots-')),
  FELLSIDE_PORT: PORT,
  FELLSIDE_DEMO: '1',
};
const server = spawn(process.execPath, [SERVER], {
  env,
  stdio: ['ignore', 'pipe', 'inherit'],
});
await new Promise((ready) => server.stdout.once('data', ready));

const base = `http://127.0.0.1:${PORT}`;
const { pieces } = await (await fetch(`${base}/api/projects`)).json();
const piece = (name) => `/piece/${pieces.find((each) => each.name === name).id}`;
const views = {
  shelf: '/',
  form: `${piece('Honey Class Jar')}/form`,
  rings: `${piece('Fell Race Cup')}/rings/r9`,
  'ring-plan': `${piece('Fell Race Cup')}/rings/r9/plan`,
  pattern: `${piece('Fell Race Cup')}/pattern`,
  turntable: `${piece('Shepherd’s Lantern')}/pattern/turntable`,
  builder: `${piece('Drystone Wall Vase')}/rings/r5/plan`,
  blanks: `${piece('Beacon Globe')}/blanks`,
  rehearsal: `${piece('Bindweed Vase')}/make/rehearsal`,
  record: `${piece('Dewpond Bowl')}/record`,
  cuts: `${piece('Best Fleece Bowl')}/cuts`,
  saw: `${piece('Fell Race Cup')}/cuts/saw`,
  boards: `${piece('Drystone Wall Vase')}/cuts/boards/1`,
  make: `${piece('Fell Race Cup')}/make?job=ring-r9%2Fsaw`,
  woods: '/woods',
  shop: '/shop',
  safe: '/safe',
};

/** A cup half made: wood milled, four rings sawn, two of them in clamps, the fifth at the saw. */
const jobs = [
  ...[1, 2, 3, 4, 5].flatMap((ring) => [[`ring-r${ring}/plane`], [`ring-r${ring}/disc`]]),
  ...[6, 7, 8, 9, 10, 11, 12, 13, 14, 15].map((ring) => [`ring-r${ring}/rip`]),
  ...[12, 11, 10, 13].map((ring) => [`ring-r${ring}/saw`, 24]),
  ['ring-r9/saw', 14],
  ['ring-r12/glue'],
  ['ring-r11/glue'],
];
const at = new Date(Date.now() - 11 * 60_000).toISOString();
await fetch(`${base}/api/projects/${pieces.find(({ name }) => name === 'Fell Race Cup').id}/progress`, {
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify({
    ticks: jobs.map(([job, amount = 1]) => ({
      id: crypto.randomUUID(),
      job,
      amount,
      at,
      device: 'bench tablet',
    })),
  }),
});

const flags = [
  '--no-sandbox',
  '--disable-quic',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
const browser = await chromium.launch({ executablePath, args: flags });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });

const TRIES = 15;
const rest = (ms) => page.waitForTimeout(ms);

/** A picture of what has come to rest: drawings come from the server, walls and turntable are drawn by a worker and by software. */
async function picture(name) {
  await rest(3000);
  await page.waitForFunction(() =>
    [...document.images].every(
      (image) =>
        image.getBoundingClientRect().top >= innerHeight || (image.complete && image.naturalWidth > 0),
    ),
  );
  await page.waitForFunction(
    () =>
      !document.querySelector('[aria-label^="Turntable: drag"]') ||
      document.querySelector('canvas[data-frames]'),
  );
  await page.waitForFunction(
    (underWay) => !underWay.some((words) => document.body.innerText.includes(words)),
    ['Every error is being halved in turn', 'being solved', 'is being worked out'],
  );
  let [before, now] = [null, await page.screenshot()];
  for (let i = 0; i < TRIES && !before?.equals(now); i++) {
    await rest(2000);
    [before, now] = [now, await page.screenshot()];
  }
  writeFileSync(join(ROOT, 'docs/screenshots', `${name}.png`), now);
}

for (const [name, path] of Object.entries(views)) {
  // Not until the network rests: a worker that is ended while it fetches leaves a request open for ever.
  await page.goto(base + path, { waitUntil: 'load' });
  await picture(name);
}
await page.goto(base, { waitUntil: 'load' });
await page.getByRole('button', { name: 'New piece' }).click();
await picture('new-piece');
await page.goto(`${base}${piece('Fell Race Cup')}/make/day`, { waitUntil: 'load' });
for (const _ of ['light', 'bright', 'dark']) await page.getByRole('button', { name: /^Theme/ }).click();
await picture('day');
await browser.close();
server.kill('SIGTERM');
