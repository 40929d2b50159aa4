import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import AxeBuilder from '@axe-core/playwright';
import { test as base, expect, type Page } from '@playwright/test';
import { Host } from './host.js';

const MAIN = resolve(import.meta.dirname, '../apps/server/bundle/main.js');

/** A running Fellside on a data folder and port of its own. */
export interface Fellside {
  readonly url: string;
  readonly port: number;
  readonly dataFolder: string;
}

/** One in a process of its own, as users start it. */
export interface Killable extends Fellside {
  /** Ends it with a signal and waits until it is gone; gives its exit code. */
  stop(signal?: NodeJS.Signals): Promise<number | null>;
  /** Starts it again on the same folder and port. */
  start(): Promise<void>;
}

export async function freePort(): Promise<number> {
  const probe = createServer().listen(0, '127.0.0.1');
  await once(probe, 'listening');
  const { port } = probe.address() as { port: number };
  probe.close();
  await once(probe, 'close');
  return port;
}

/** Starts the built server with an environment; resolves with the process and what it printed when it is ready or gone. */
export async function launch(
  env: Record<string, string>,
): Promise<{ process: ChildProcess; printed: string }> {
  const child = spawn(process.execPath, [MAIN], {
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let printed = '';
  await new Promise<void>((ready) => {
    const hear = (data: Buffer) => {
      printed += data;
      if (printed.includes('Fellside is ready')) ready();
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.on('close', () => ready());
  });
  return { process: child, printed };
}

/** A data folder, with the demo pieces or empty, and a port that nobody listens on. */
async function place(demo: boolean): Promise<Fellside> {
  const dataFolder = mkdtempSync(join(tmpdir(), 'fellside-e2e-'));
  const port = await freePort();
  // The demo of a whole run is made once (prepare.ts).
  const made = demo && process.env.FELLSIDE_PREPARED;
  if (made) cpSync(made, dataFolder, { recursive: true });
  return { url: `http://127.0.0.1:${port}`, port, dataFolder };
}

export async function startFellside(
  demo: boolean,
  more: Record<string, string> = {},
  prepare: (dataFolder: string) => void = () => {},
): Promise<Killable> {
  const where = await place(demo);
  const { port, dataFolder } = where;
  prepare(dataFolder);
  const env = {
    FELLSIDE_DATA: dataFolder,
    FELLSIDE_PORT: String(port),
    FELLSIDE_DEMO: demo ? '1' : '0',
    ...more,
  };
  let running = await launch(env);
  return {
    ...where,
    async stop(signal = 'SIGTERM') {
      if (running.process.exitCode === null && running.process.signalCode === null) {
        running.process.kill(signal);
        await once(running.process, 'exit');
      }
      return running.process.exitCode;
    },
    async start() {
      running = await launch(env);
    },
  };
}

interface Fixtures {
  /** Beside others in one process, for what does not ask how the program starts and ends. */
  readonly fellside: Fellside;
  /** For what ends it, or asks how it starts. */
  readonly killable: Killable;
  /**
   * Whether the browser draws in space. Without a graphics card that takes as long as all the rest of a test together: where a
   * test is not about the turntable, its browser is one without WebGL, and the sentence that says so stands in its place.
   */
  readonly turntable: boolean;
  /** Whether all stations are fetched ahead: for tests that go to one while the server is away. Else what is gone to, only. */
  readonly ahead: boolean;
}

/** Tests that get a Fellside of their own, with the demo pieces on the shelf. */
export const test = base.extend<Fixtures, { readonly host: Host }>({
  host: [
    // biome-ignore lint/correctness/noEmptyPattern: Playwright reads what a fixture needs from its first parameter
    async ({}, use) => {
      const host = new Host();
      await use(host);
      host.end();
    },
    { scope: 'worker' },
  ],
  turntable: [false, { option: true }],
  ahead: [false, { option: true }],
  context: async ({ context, turntable, ahead }, use) => {
    if (!turntable)
      await context.addInitScript(() => Reflect.deleteProperty(globalThis, 'WebGL2RenderingContext'));
    if (!ahead)
      await context.addInitScript(() =>
        Object.defineProperty(navigator, 'connection', { value: { saveData: true } }),
      );
    await use(context);
  },
  fellside: async ({ host }, use) => {
    const fellside = await place(true);
    await host.start(fellside.port, fellside.dataFolder);
    await use(fellside);
    await host.stop(fellside.port);
    rmSync(fellside.dataFolder, { recursive: true, force: true });
  },
  // biome-ignore lint/correctness/noEmptyPattern: Playwright reads what a fixture needs from its first parameter
  killable: async ({}, use) => {
    const fellside = await startFellside(true);
    await use(fellside);
    await fellside.stop();
    rmSync(fellside.dataFolder, { recursive: true, force: true });
  },
});

/** Waits until what is shown is on disk. */
export const saved = (page: Page) => page.locator('[data-safety="saved"]').waitFor();

/** The totals at the foot of every station. */
export const totals = (page: Page) => page.getByRole('region', { name: 'Totals' });

/** The totals once the boards are laid out: what they are while that is under way says nothing of the piece. */
export async function settled(page: Page): Promise<string> {
  await expect(totals(page)).toContainText('Laid out on');
  return totals(page).innerText();
}

/** Goes to a station, and waits until it is there: the one before it stands, and can be worked on, until it has come. */
export async function go(page: Page, station: string): Promise<void> {
  const link = page
    .getByRole('navigation', { name: 'Stations' })
    .getByRole('link', { name: station, exact: true });
  await link.click();
  await expect(link).toHaveAttribute('aria-current', 'page');
}

/**
 * Goes to an address as the application's own links do, without loading the page anew; waits until another screen stands, which
 * is told by the window's title unless something else is said to tell it.
 */
export async function follow(page: Page, path: string, told = () => page.title()): Promise<void> {
  const before = await told();
  await page.evaluate((path) => {
    history.pushState(null, '', path);
    dispatchEvent(new PopStateEvent('popstate'));
  }, path);
  await expect.poll(told).not.toBe(before);
}

/** Opens a demo piece at a station. */
export async function open(
  page: Page,
  { url }: Fellside,
  piece: string,
  station: 'Form' | 'Rings' | 'Pattern' | 'Cuts' = 'Form',
): Promise<void> {
  await page.goto(url);
  await page.getByRole('link', { name: `Open ${piece}` }).click();
  if (station !== 'Form') await go(page, station);
  const landmark = { Form: 'Form', Rings: 'Wall, unrolled', Pattern: 'Wall, unrolled', Cuts: 'Pieces' }[
    station
  ];
  await page
    .getByRole(station === 'Form' ? 'complementary' : 'region', { name: landmark, exact: true })
    .waitFor();
}

/** The bar of the selected rings. */
export const bar = (page: Page) => page.getByRole('region', { name: 'Selected rings' });

/** The button of a ring in the ledger. */
export const ring = (page: Page, number: number) =>
  page
    .getByRole('table', { name: 'Ring ledger' })
    .getByRole('button', { name: new RegExp(`^Ring ${number}\\b`) });

/** Starts the selected rings anew, from a starting point chosen by its picture. */
export async function chooseWay(page: Page, way: string): Promise<void> {
  await page
    .getByRole('region', { name: 'Selected rings' })
    .getByRole('button', { name: /^Made as/ })
    .click();
  await page
    .getByRole('dialog', { name: 'Starting points of a ring' })
    .getByRole('button', { name: way, exact: true })
    .click();
}

/** The page is no larger than its window: what is longer scrolls within it. */
export async function fitting(page: Page): Promise<void> {
  const over = () =>
    page.evaluate(() => {
      const { scrollWidth, scrollHeight } = document.documentElement;
      return Math.max(scrollWidth - innerWidth, scrollHeight - innerHeight);
    });
  // What is still being laid out may stand over for a moment.
  await expect.poll(over).toBeLessThanOrEqual(0);
}

/** Nothing wider than the screen, and nothing that axe finds. */
export async function sound(page: Page): Promise<void> {
  await fitting(page);
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'] })
    .analyze();
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target).join(' | ')}`),
  ).toEqual([]);
}
