import { expect } from '@playwright/test';
import { freePort, launch, open, saved, test } from './server.js';

test('SIGKILL in the middle of edits loses nothing that was called saved, and nothing that was typed', async ({
  page,
  killable: fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup');
  const wall = page.getByLabel('Wall, square to curve');
  let onItsWay: Promise<void> = Promise.resolve();
  await page.route(/\/api\/projects\/[^/]+$/, async (route) => {
    await onItsWay;
    await route.continue();
  });
  for (let round = 1; round <= 3; round++) {
    await wall.fill(`${round + 2}/16`);
    await wall.press('Enter');
    await saved(page);
    // In the second round nothing arrives any more; in the others the save may just have been done.
    let arrives = () => {};
    if (round === 2) onItsWay = new Promise((go) => (arrives = go));
    await wall.fill(`${round + 2}/16 + 1/32`);
    await wall.press('Enter');
    await fellside.stop('SIGKILL');
    arrives();
    const sign = page.locator('[data-safety]');
    if (round === 2) await expect(sign).toContainText('not saved');
    await expect(sign).toHaveAttribute('data-safety', /^(away|saved)$/);
    const called = await sign.getAttribute('data-safety');
    await fellside.start();
    const { body } = await page.request
      .get(`${fellside.url}/api/projects/${page.url().split('/')[4]}`)
      .then(async (r) => ({ body: await r.json() }));
    expect(body.document.form.inside.walls[0].wallMm).toBeGreaterThanOrEqual(
      ((round + 2) / 16 + (called === 'saved' ? 1 / 32 : 0)) * 25.4 - 1e-9,
    );
    await saved(page);
  }
  await page.reload();
  await expect(wall).toHaveValue('11/32"');
});

test('a reload while the server was away brings the unsaved edit back', async ({
  page,
  killable: fellside,
}) => {
  await open(page, fellside, 'Honey Class Jar');
  await fellside.stop('SIGKILL');
  await page.getByLabel('Wall, square to curve').fill('1/4');
  await page.getByLabel('Wall, square to curve').press('Enter');
  await expect(page.locator('[data-safety="away"]')).toBeVisible();
  await fellside.start();
  await page.reload();
  await expect(page.getByLabel('Wall, square to curve')).toHaveValue('1/4"');
  await saved(page);
});

test('two windows change the same of one piece: the later save is refused, both sides are kept', async ({
  page,
  context,
  fellside,
}) => {
  await open(page, fellside, 'Best Fleece Bowl');
  const other = await context.browser()!.newPage();
  // It hears nothing of what is saved elsewhere.
  await other.route('**/progress/stream', (route) => route.abort());
  await other.goto(page.url());
  await other.getByLabel('Wall, square to curve').waitFor();
  await other.waitForLoadState('networkidle');
  const set = async (where: typeof page, value: string) => {
    await where.getByLabel('Wall, square to curve').fill(value);
    await where.getByLabel('Wall, square to curve').press('Enter');
  };
  await set(page, '3/8');
  await saved(page);
  await set(other, '1/2');
  await expect(other.getByRole('alert')).toContainText('Nothing was overwritten');
  await other.getByRole('button', { name: 'Keep mine as a copy' }).click();
  await expect(other.getByLabel('Name of the piece')).toHaveValue('Best Fleece Bowl (my copy)');
  await expect(other.getByLabel('Wall, square to curve')).toHaveValue('1/2"');
  await page.reload();
  await expect(page.getByLabel('Wall, square to curve')).toHaveValue('3/8"');
});

test('a second start on the same folder or port says so in one sentence; SIGTERM ends it cleanly', async ({
  killable: fellside,
}) => {
  const onFolder = await launch({
    FELLSIDE_DATA: fellside.dataFolder,
    FELLSIDE_PORT: String(await freePort()),
  });
  expect(onFolder.printed).toBe(
    `Another Fellside is running on the data folder ${fellside.dataFolder}. Use that one, or set FELLSIDE_DATA to another folder.\n`,
  );
  expect(onFolder.process.exitCode).toBe(1);
  const onPort = await launch({
    FELLSIDE_DATA: `${fellside.dataFolder}-2`,
    FELLSIDE_PORT: String(fellside.port),
  });
  expect(onPort.printed).toBe(
    `Port ${fellside.port} is taken. Stop what uses it, or set FELLSIDE_PORT to another.\n`,
  );
  expect(await fellside.stop('SIGTERM')).toBe(0);
});
