import { expect } from '@playwright/test';
import { go, open, saved, sound, test } from './server.js';

test('a passport: entered, printed as a card, and given away as a page that turns without a server', async ({
  page,
  fellside,
  context,
}, info) => {
  await open(page, fellside, 'Fell Race Cup');
  await go(page, 'Record');
  await page.getByRole('link', { name: 'Passport' }).click();
  const passport = page.getByRole('article', { name: 'Passport' });
  await expect(passport.getByText(/in 15 rings/)).toBeVisible();
  const maker = page.getByLabel('Maker, as it shall stand there');
  await maker.fill('M. Tarn');
  await maker.press('Enter');
  await expect(passport.getByText('M. Tarn')).toBeVisible();
  await saved(page);
  await sound(page);
  const downloaded = async (button: string) => {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: button }).click();
    const file = await download;
    const path = info.outputPath(file.suggestedFilename());
    await file.saveAs(path);
    return path;
  };
  expect(await downloaded('Card, A7')).toMatch(/Fell Race Cup a7\.pdf$/);
  const path = await downloaded('Page that turns');
  // Opened as it lies on a disk, with no server and no network.
  await context.setOffline(true);
  const alone = await context.newPage();
  const asked: string[] = [];
  alone.on('request', (request) => {
    if (!/^(file|data):/.test(request.url())) asked.push(request.url());
  });
  await alone.goto(`file://${path}`);
  await expect(alone.getByRole('heading', { name: 'Fell Race Cup' })).toBeVisible();
  await expect(alone.getByRole('row', { name: /Maker M\. Tarn/ })).toBeVisible();
  const canvas = alone.getByRole('img');
  await expect(canvas).toHaveAttribute('data-turn', /\d/);
  await canvas.focus();
  await alone.keyboard.press('ArrowLeft');
  const before = Number(await canvas.getAttribute('data-turn'));
  await alone.keyboard.press('ArrowLeft');
  await expect.poll(async () => Number(await canvas.getAttribute('data-turn'))).toBeCloseTo(before + 0.2, 2);
  // There is a piece on it: not all of the picture is empty.
  const drawn = await canvas.evaluate((element) => {
    const own = element as HTMLCanvasElement;
    const { data } = own.getContext('2d')!.getImageData(0, 0, own.width, own.height);
    return (
      data.filter((_, i) => i % 4 === 3).reduce((sum, alpha) => sum + (alpha > 0 ? 1 : 0), 0) /
      (own.width * own.height)
    );
  });
  expect(drawn).toBeGreaterThan(0.2);
  expect(asked).toEqual([]);
  await context.setOffline(false);
  await page.setViewportSize({ width: 390, height: 800 });
  await sound(page);
});

test('made again half as high, found in the workbook', async ({ page, fellside }) => {
  await open(page, fellside, 'Drystone Wall Vase');
  await go(page, 'Record');
  await page.getByRole('link', { name: 'Again' }).click();
  await page.getByLabel('Height', { exact: true }).fill('90 mm');
  await page.getByLabel('Height', { exact: true }).press('Enter');
  await page.getByLabel('Name', { exact: true }).fill('Small wall');
  await sound(page);
  await page.getByRole('button', { name: 'Put it on the shelf and open it' }).click();
  await page.getByRole('complementary', { name: 'Form', exact: true }).waitFor();
  await page.getByRole('link', { name: 'Workbook' }).click();
  await page.getByRole('searchbox').fill('small wall');
  await expect(page.getByRole('row', { name: /Small wall/ })).toBeVisible();
  await expect(page.getByRole('row')).toHaveCount(2);
  await sound(page);
  await page.getByRole('link', { name: 'Small wall' }).click();
  await expect(page.getByRole('article', { name: 'Passport' })).toBeVisible();
});
