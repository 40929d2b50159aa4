import { expect } from '@playwright/test';
import { go, open, saved, test } from './server.js';

test.use({ serviceWorkers: 'allow' });

test('as an installed application: it opens without the server, says so, keeps edits and sends them later', async ({
  page,
  killable: fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup');
  const manifest = await page.request.get(`${fellside.url}/manifest.webmanifest`);
  expect(await manifest.json()).toMatchObject({ name: 'Fellside', display: 'standalone' });
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  // Read once with the worker there.
  await page.reload();
  const wall = page.getByLabel('Wall, square to curve');
  await expect(wall).not.toHaveValue('');
  await page.waitForLoadState('networkidle');
  await fellside.stop('SIGKILL');
  await page.reload();
  await expect(wall).not.toHaveValue('');
  await expect(page.getByText(/server does not answer: you see what this browser kept/)).toBeVisible();
  await wall.fill('1/2');
  await wall.press('Enter');
  await expect(page.locator('[data-safety="away"]')).toContainText('Your edits are kept in this browser');
  // Another station, and a page that was never gone to.
  await go(page, 'Rings');
  await expect(page.getByRole('table').first()).toBeVisible();
  await page.reload();
  await expect(page.locator('[data-safety="away"]')).toBeVisible();
  await fellside.start();
  await saved(page);
  await expect(page.getByText(/you see what this browser kept/)).toBeHidden();
  const [, , , , id] = page.url().split('/');
  const { document } = await (await page.request.get(`${fellside.url}/api/projects/${id}`)).json();
  expect(document.form.inside.walls[0].wallMm).toBeCloseTo(12.7, 9);
});
