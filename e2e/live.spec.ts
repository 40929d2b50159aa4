import { expect } from '@playwright/test';
import { open, saved, sound, test } from './server.js';

test('two devices at one piece: an edit is seen on the other at once; both edit, and both keep their work', async ({
  page,
  browser,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup');
  const [id] = /[0-9a-f-]{36}/.exec(page.url())!;
  const tablet = await (await browser.newContext({ viewport: { width: 820, height: 1180 } })).newPage();
  await tablet.goto(`${fellside.url}/piece/${id}/form`);
  const wall = (device: typeof page) => device.getByLabel('Wall, square to curve');
  await wall(tablet).waitFor();
  const set = async (device: typeof page, value: string) => {
    await wall(device).fill(value);
    await wall(device).press('Enter');
  };
  await set(page, '3/8');
  await saved(page);
  await expect(wall(tablet)).toHaveValue('3/8"');
  // Both edit before either has heard of the other: the tablet’s save is held up on the way.
  let hold = true;
  await tablet.route(`**/api/projects/${id}`, async (route) => {
    while (hold && route.request().method() === 'PUT') await new Promise((go) => setTimeout(go, 50));
    await route.continue();
  });
  await tablet.getByLabel('Name of the piece').fill('Cup of two');
  await tablet.keyboard.press('Enter');
  await set(page, '1/4');
  await saved(page);
  hold = false;
  await expect(tablet.getByText('Brought together with what another device saved.')).toBeVisible();
  await saved(tablet);
  await expect(wall(tablet)).toHaveValue('1/4"');
  await expect(page.getByLabel('Name of the piece')).toHaveValue('Cup of two');
  // The same figure changed on both: told, kept on both sides, and one of them chosen.
  hold = true;
  await set(tablet, '7/16');
  await set(page, '1/2');
  await saved(page);
  hold = false;
  const told = tablet.getByRole('alert').filter({ hasText: 'Both changed the form.' });
  await expect(told).toContainText('Nothing was overwritten');
  await sound(tablet);
  await told.getByRole('button', { name: 'Both; mine where both changed' }).click();
  await saved(tablet);
  await expect(wall(page)).toHaveValue('7/16"');
  await tablet.getByRole('button', { name: /^Undo/ }).click();
  await expect(wall(page)).toHaveValue('1/2"');
});
