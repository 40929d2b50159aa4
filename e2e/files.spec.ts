import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { open, test, totals } from './server.js';

async function downloaded(page: Page, press: () => Promise<void>): Promise<{ name: string; text: string }> {
  const [download] = await Promise.all([page.waitForEvent('download'), press()]);
  return { name: download.suggestedFilename(), text: readFileSync(await download.path(), 'utf8') };
}

test('a piece goes out as JSON and comes in again; a file that does not fit is refused with the list', async ({
  page,
  fellside,
}) => {
  await page.goto(fellside.url);
  const menu = page.getByRole('button', { name: 'What to do with Honey Class Jar' });
  await menu.waitFor();
  const pieces = await page.getByRole('link', { name: /^Open / }).count();
  await menu.click();
  const file = await downloaded(page, () => page.getByRole('menuitem', { name: 'Save as a file' }).click());
  expect(file.name).toBe('Honey Class Jar.fellside.json');
  const take = (text: string) =>
    page
      .getByLabel('Project file')
      .setInputFiles({ name: 'piece.json', mimeType: 'application/json', buffer: Buffer.from(text) });

  const broken = JSON.parse(file.text);
  broken.project.rings[1].making.count = 400;
  broken.project.form.inside.walls[0].wallMm = -2;
  broken.project.sparkle = 1;
  await take(JSON.stringify(broken));
  const alert = page.getByRole('alert');
  await expect(alert).toContainText('Ring 2: Segment count is 400');
  await expect(alert).toContainText('Wall thickness is −5/64"');
  await expect(alert).toContainText('“sparkle”');
  await expect(page.getByRole('link', { name: /^Open / })).toHaveCount(pieces);
  await take('not a file of ours');
  await expect(alert).toContainText('not JSON');

  await take(file.text);
  await expect(page.getByLabel('Name of the piece')).toHaveValue('Honey Class Jar');
  await page.getByRole('link', { name: 'Fellside' }).click();
  await expect(page.getByRole('link', { name: /^Open / })).toHaveCount(pieces + 1);
});

test('the cut list goes out as CSV with a row for every ring and wood', async ({ page, fellside }) => {
  await open(page, fellside, 'Fell Race Cup', 'Cuts');
  await page.getByRole('link', { name: 'Papers', exact: true }).click();
  const { name, text } = await downloaded(page, () =>
    page.getByRole('button', { name: 'Cut list, CSV' }).click(),
  );
  expect(name).toBe('Fell Race Cup cut list.csv');
  const rows = text
    .trim()
    .split('\r\n')
    .map((line) => line.split(','));
  expect(rows[0]!.slice(0, 4)).toEqual(['for', 'piece', 'wood', 'count']);
  const pieces = rows.slice(1).reduce((sum, row) => sum + Number(row[3]), 0);
  await expect(totals(page)).toContainText(`${pieces} in 15 rings`);
});

test('taken off the shelf, and put back', async ({ page, fellside }) => {
  await page.goto(fellside.url);
  await page.getByRole('button', { name: 'What to do with Best Fleece Bowl' }).click();
  await page.getByRole('menuitem', { name: 'Take off the shelf' }).click();
  await expect(page.getByRole('link', { name: 'Open Best Fleece Bowl' })).toBeHidden();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('link', { name: 'Open Best Fleece Bowl' })).toBeVisible();
});
