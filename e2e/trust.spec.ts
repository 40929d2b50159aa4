import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { networkInterfaces } from 'node:os';
import { resolve } from 'node:path';
import { expect, type Page } from '@playwright/test';
import { go, open, saved, startFellside, test, totals } from './server.js';

const ROOT = resolve(import.meta.dirname, '..');
const wall = (page: Page) => page.getByLabel('Wall, square to curve');
async function set(page: Page, value: string) {
  await wall(page).fill(value);
  await wall(page).press('Enter');
}

test('two windows edit the same piece while the server is away: neither loses its draft', async ({
  page,
  context,
  killable: fellside,
}) => {
  await open(page, fellside, 'Best Fleece Bowl');
  const other = await context.newPage();
  await other.goto(page.url());
  await wall(other).waitFor();
  await fellside.stop('SIGKILL');
  await set(page, '3/8');
  await set(other, '1/2');
  for (const each of [page, other])
    await expect(each.locator('[data-safety="away"]')).toContainText('kept in this browser');
  await fellside.start();
  await other.reload();
  await expect(wall(other)).toHaveValue('1/2"');
  await page.reload();
  // One of them was first; the other is a conflict with both sides to be kept.
  const values = async () => [await wall(page).inputValue(), await wall(other).inputValue()];
  await expect.poll(values).toEqual(['3/8"', '1/2"']);
  const told = async (each: Page) => each.getByText('Nothing was overwritten').isVisible();
  await expect.poll(async () => (await told(page)) !== (await told(other))).toBe(true);
  const late = (await told(page)) ? page : other;
  await late.getByRole('button', { name: 'Keep mine as a copy' }).click();
  await expect(late.getByLabel('Name of the piece')).toHaveValue('Best Fleece Bowl (my copy)');
});

test('a browser whose storage is full says that edits are kept nowhere, and offers the file', async ({
  page,
  killable: fellside,
}) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await open(page, fellside, 'Honey Class Jar');
  await fellside.stop('SIGKILL');
  await set(page, '1/4');
  await expect(page.getByRole('status').filter({ hasText: 'Not kept anywhere' })).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as a file' }).click(),
  ]);
  const file = JSON.parse(readFileSync(await download.path(), 'utf8'));
  expect(file.project.form.inside.walls[0].wallMm).toBeCloseTo(6.35, 6);
});

test('an edit just before the window is closed reaches the server, or comes back with the next', async ({
  page,
  context,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup');
  const address = page.url();
  await set(page, '5/16');
  await page.close();
  const next = await context.newPage();
  await next.goto(address);
  await expect(wall(next)).toHaveValue('5/16"');
  await saved(next);
});

test('a second piece edited while the first is still to be saved: both are sent', async ({
  page,
  killable: fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup');
  await fellside.stop('SIGKILL');
  await set(page, '5/16');
  await expect(page.locator('[data-safety="away"]')).toBeVisible();
  await fellside.start();
  await page.getByRole('link', { name: 'Fellside' }).click();
  await page.getByRole('link', { name: 'Open Honey Class Jar' }).click();
  await set(page, '1/4');
  await saved(page);
  await expect
    .poll(async () => {
      const { pieces } = await (await page.request.get(`${fellside.url}/api/projects`)).json();
      const found = pieces.filter(({ revision }: { revision: number }) => revision > 1);
      return found.map(({ name }: { name: string }) => name).sort();
    })
    .toEqual(['Fell Race Cup', 'Honey Class Jar']);
});

test('an earlier version is looked at, taken back as an edit that can be undone, and kept as a copy', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Best Fleece Bowl');
  const before = await wall(page).inputValue();
  await set(page, '3/8');
  await saved(page);
  await page.getByRole('link', { name: 'Earlier versions' }).click();
  const versions = page.getByRole('region', { name: 'Earlier versions' });
  await expect(versions.getByRole('button').first()).toContainText('Now');
  await expect(versions.getByRole('button').first()).toContainText('Wall 3/8", before');
  await versions.getByRole('button').nth(1).click();
  const look = page.getByRole('region', { name: 'How it was' });
  await expect(look).toContainText('Changed from the one to the other');
  await expect(look.getByRole('img')).toHaveCount(2);
  await expect(look.getByRole('img').first()).toHaveJSProperty('complete', true);
  await look.getByRole('button', { name: 'Keep as a copy' }).click();
  await expect(look.getByRole('status')).toContainText('stands on the shelf as “Best Fleece Bowl (');
  await look.getByRole('button', { name: 'Take back to this' }).click();
  await expect(wall(page)).toHaveValue(before);
  await page.getByRole('button', { name: /^Undo Taken back/ }).click();
  await expect(wall(page)).toHaveValue('3/8"');
});

test('removed pieces are put back, or taken away for good after a question', async ({ page, fellside }) => {
  await page.goto(fellside.url);
  for (const name of ['Best Fleece Bowl', 'Honey Class Jar']) {
    await page.getByRole('button', { name: `What to do with ${name}` }).click();
    await page.getByRole('menuitem', { name: 'Take off the shelf' }).click();
    await expect(page.getByRole('link', { name: `Open ${name}` })).toBeHidden();
  }
  await page.getByRole('link', { name: 'Removed pieces' }).click();
  await page.getByRole('button', { name: 'Put Best Fleece Bowl back' }).click();
  await expect(page.getByRole('status')).toContainText('Best Fleece Bowl is back on the shelf');
  await page.getByRole('button', { name: 'Take Honey Class Jar away for good' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Take it away for good' }).click();
  await expect(page.getByText('Nothing has been taken off the shelf.')).toBeVisible();
  await page.getByRole('link', { name: 'To the shelf' }).click();
  await expect(page.getByRole('link', { name: 'Open Best Fleece Bowl' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Open Honey Class Jar' })).toBeHidden();
});

test('a backup is made and saved, and comes back in an empty house; what it replaces is kept', async ({
  page,
  fellside,
}) => {
  const { pieces } = await (await fetch(`${fellside.url}/api/projects`)).json();
  expect(pieces.length).toBeGreaterThan(10);
  await page.goto(`${fellside.url}/safe`);
  await page.getByRole('button', { name: 'Back up now' }).click();
  await expect(page.getByRole('region', { name: 'Backups', exact: true }).getByRole('status')).toContainText(
    'opened and counted',
  );
  const row = page.getByRole('row', { name: /by hand/ });
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    row.getByRole('link', { name: 'Save as a file' }).click(),
  ]);
  const empty = await startFellside(false);
  try {
    await page.goto(empty.url);
    await expect(page.getByRole('heading', { name: 'What do you measure in?' })).toBeVisible();
    await page.getByRole('link', { name: 'Safe' }).click();
    await page.getByLabel('A backup file').setInputFiles(await download.path());
    const dialog = page.getByRole('dialog', { name: 'Put this backup back?' });
    await expect(dialog).toContainText(`${pieces.length} pieces`);
    await dialog.getByRole('button', { name: 'Put it back', exact: true }).click();
    await expect(
      page.getByRole('region', { name: 'Backups', exact: true }).getByRole('status'),
    ).toContainText('is kept as');
    await page.getByRole('link', { name: 'Fellside' }).click();
    await expect(page.getByRole('link', { name: /^Open / })).toHaveCount(pieces.length);
    // And by the terminal, beside the running server.
    const out = `${empty.dataFolder}-all.zip`;
    const ran = spawnSync('npx', ['--no-install', 'fellside', 'backup', out, '--data', empty.dataFolder], {
      cwd: ROOT,
      encoding: 'utf8',
    });
    expect(ran.stdout).toContain(`${pieces.length} pieces`);
  } finally {
    await empty.stop();
  }
});

/** An address of this machine that is not its loopback; none where it has no network. */
const address = Object.values(networkInterfaces())
  .flatMap((all = []) => all)
  .find(({ family, internal }) => family === 'IPv4' && !internal)?.address;

test('from another machine the passphrase is asked for; on the machine itself nothing is', async ({
  page,
}) => {
  test.skip(address === undefined, 'this machine has no network address');
  const wide = await startFellside(
    true,
    { FELLSIDE_HOST: '0.0.0.0', FELLSIDE_HOSTS: address! },
    (dataFolder) => {
      const ran = spawnSync('npx', ['--no-install', 'fellside', 'passphrase', '--data', dataFolder], {
        cwd: ROOT,
        input: 'tree wind stone\n',
        encoding: 'utf8',
      });
      expect(ran.status).toBe(0);
    },
  );
  try {
    const outside = `http://${address}:${wide.port}`;
    await page.goto(`${outside}/shop`);
    await page.getByLabel('Passphrase').fill('tree wind');
    await page.getByRole('button', { name: 'Come in' }).click();
    await expect(page.getByRole('alert')).toContainText('not the passphrase');
    await page.getByLabel('Passphrase').fill('tree wind stone');
    await page.getByRole('button', { name: 'Come in' }).click();
    await expect(page.getByRole('heading', { name: 'Shop' })).toBeVisible();
    await page.goto(`${outside}/safe`);
    await expect(page.getByRole('img', { name: `Code for ${outside}/` })).toBeVisible();
    await expect(page.getByText('is changed on the machine that Fellside runs on')).toBeVisible();
    await page.goto(wide.url);
    await expect(page.getByRole('link', { name: 'Open Fell Race Cup' })).toBeVisible();
  } finally {
    await wide.stop();
  }
});

test('a piece of thousands of places is planned beside the page, and edited meanwhile', async ({
  page,
  request,
  fellside,
}) => {
  const { pieces } = await (await request.get(`${fellside.url}/api/projects?named=Best`)).json();
  const { document } = await (await request.get(`${fellside.url}/api/projects/${pieces[0].id}`)).json();
  const key = document.palette[0].key;
  const rings = Array.from({ length: 60 }, (_, i) => ({
    id: `r${i}`,
    heightMm: 2,
    making: { way: 'segmented', count: 120 },
    turn: (i % 2) / 2,
    woods: Array.from({ length: 120 }, () => key),
  }));
  const large = { ...document, name: 'Large', rings, motifs: [] };
  const made = await request.post(`${fellside.url}/api/projects`, { data: { document: large } });
  await page.goto(`${fellside.url}/piece/${(await made.json()).id}/cuts`);
  await expect(totals(page)).toContainText('7200 in 60 rings');
  await go(page, 'Form');
  await set(page, '3/8');
  await saved(page);
  await expect(totals(page)).toContainText('7200 in 60 rings');
});
