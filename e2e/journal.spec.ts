import { readFile } from 'node:fs/promises';
import { expect } from '@playwright/test';
import { go, open, saved, sound, test } from './server.js';

test('a piece from the first card to the passport: what is counted, measured, noted and photographed stands in its journal', async ({
  page,
  browser,
  killable: fellside,
}, info) => {
  await open(page, fellside, 'Best Fleece Bowl');
  const [id] = /[0-9a-f-]{36}/.exec(page.url())!;
  await go(page, 'Make');
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await page.goto(`${fellside.url}/piece/${id}/make?job=${encodeURIComponent('ring-r3/glue')}`);
  await page.getByLabel('Measured thickness').fill('0.74');
  await page.keyboard.press('Enter');
  await saved(page);
  await go(page, 'Record');
  const days = page.getByRole('list', { name: 'Days' });
  await expect(days.getByText(/: plane$/)).toBeVisible();
  await expect(days.getByText(/Ring 3: thickness measured .*, planned/)).toBeVisible();
  // A second device looks at it, and sees what is written here.
  const tablet = await (await browser.newContext({ viewport: { width: 820, height: 1180 } })).newPage();
  await tablet.goto(`${fellside.url}/piece/${id}/record`);
  await tablet.getByRole('button', { name: 'Went wrong' }).click();
  await tablet.getByLabel('What went wrong').fill('The foot tore a little.');
  await tablet.getByLabel('How it was mended').fill('Thin glue, and waited.');
  await tablet.getByRole('button', { name: 'Write it down' }).click();
  await expect(
    days.getByText('Went wrong: The foot tore a little. Mended: Thin glue, and waited.'),
  ).toBeVisible();
  await sound(tablet);
  await page.getByRole('button', { name: 'Hours', exact: true }).click();
  await page.getByLabel('Kind of work').selectOption('Turning');
  await page.getByLabel('Hours', { exact: true }).fill('6');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByRole('row', { name: /Turning 6 h 00 min/ })).toBeVisible();
  // Photographs: one of the wrong kind is refused, one is added, turned, and put on the passport.
  await page.getByRole('button', { name: 'Photograph' }).click();
  const file = page.locator('input[type=file]');
  await file.setInputFiles({ name: 'drawing.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByRole('alert')).toHaveText('drawing.png cannot be read as a picture.');
  await file.setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('x') });
  await expect(page.getByRole('alert')).toHaveText(/notes.txt is neither a JPEG nor a PNG/);
  await page.getByLabel('What is on it').fill('On the lathe');
  await file.setInputFiles({
    name: 'bowl.png',
    mimeType: 'image/png',
    buffer: await readFile('docs/screenshots/make.png'),
  });
  const photo = days.getByRole('img', { name: 'On the lathe' });
  await expect(photo).toBeVisible();
  const shape = () =>
    photo.evaluate(
      (image) => (image as HTMLImageElement).naturalWidth / (image as HTMLImageElement).naturalHeight,
    );
  await expect.poll(shape).toBeGreaterThan(1);
  await days.getByRole('button', { name: 'Turn', exact: true }).click();
  await expect.poll(shape).toBeLessThan(1);
  await days.getByRole('button', { name: 'Put on the passport' }).click();
  await expect(days.getByRole('button', { name: 'On the passport' })).toBeVisible();
  await sound(page);
  // All of it is there after the server was killed.
  await fellside.stop('SIGKILL');
  await fellside.start();
  await page.goto(`${fellside.url}/piece/${id}/record/passport`);
  const passport = page.getByRole('article', { name: 'Passport' });
  await expect(passport.getByText('6', { exact: true })).toBeVisible();
  await expect(page.getByRole('img', { name: 'On the lathe' })).toBeVisible();
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Page that turns' }).click();
  const path = info.outputPath('passport.html');
  await (await waiting).saveAs(path);
  expect(await readFile(path, 'utf8')).toMatch(
    /<img src="data:image\/jpeg;base64,[^"]{2000,}" alt="On the lathe">/,
  );
  await page.getByRole('link', { name: 'Workbook' }).click();
  await expect(page.getByRole('row', { name: /Best Fleece Bowl.* 6 / })).toBeVisible();
});

test('thicker boards: both answers, one taken; what changed stands beside what was', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Honey Class Jar');
  await go(page, 'Record');
  await page.getByRole('link', { name: 'Other boards' }).click();
  await page.getByLabel('Now of boards that give').fill('1');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('img', { name: 'The piece from the front, rows kept' })).toBeVisible();
  await sound(page);
  await page.getByRole('button', { name: /Keep the height/ }).click();
  await saved(page);
  await page.getByRole('link', { name: 'Earlier versions' }).click();
  await page.getByRole('region', { name: 'Earlier versions' }).getByRole('button').last().click();
  await expect(page.getByRole('img', { name: /seen from the front/ })).toHaveCount(2);
  await expect(page.getByRole('region', { name: 'What changed' })).toContainText('ring');
  await sound(page);
});
