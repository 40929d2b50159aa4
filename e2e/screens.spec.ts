import { expect } from '@playwright/test';
import { fitting, go, open, sound, test, totals } from './server.js';

test.describe('drawn in space', () => {
  test.use({ turntable: true });

  test('no accessibility violations on any screen, and no complaints in the console', async ({
    page,
    fellside,
  }) => {
    // Fourteen screens, some with long tables: axe takes its time on a slow machine.
    test.setTimeout(400_000);
    const complaints: string[] = [];
    page.on('console', (message) => message.type() === 'error' && complaints.push(message.text()));
    page.on('pageerror', (error) => complaints.push(error.message));
    await page.goto(fellside.url);
    await expect(page.getByRole('link', { name: 'Open Fell Race Cup' })).toBeVisible();
    await sound(page);
    await page.getByRole('button', { name: 'New piece' }).click();
    await sound(page);
    await page.getByRole('tab', { name: /From rings/ }).click();
    await sound(page);
    for (const station of ['Form', 'Rings', 'Cuts'] as const) {
      await open(page, fellside, 'Fell Race Cup', station);
      await totals(page).waitFor();
      await sound(page);
    }
    await go(page, 'Rings');
    await page.getByRole('button', { name: 'Slice…' }).click();
    await sound(page);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Ring 9', exact: true }).press('Enter');
    await page.getByRole('dialog', { name: 'Ring 9 from above' }).waitFor();
    await sound(page);
    await page.keyboard.press('Escape');
    await go(page, 'Form');
    const theme = page.getByRole('button', { name: /^Theme/ });
    await theme.click();
    for (const name of ['bright', 'dark']) {
      await theme.click();
      await expect(page.locator('html')).toHaveAttribute('data-theme', name);
      await sound(page);
    }
    await go(page, 'Rings');
    await totals(page).waitFor();
    await sound(page);
    for (const path of ['/woods', '/shop', '/safe', '/removed', '/nowhere']) {
      await page.goto(fellside.url + path);
      await page.getByRole('heading', { level: 1 }).waitFor();
      await sound(page);
    }
    await page.goto(`${fellside.url}/woods`);
    await page.getByRole('button', { name: 'Wood of your own' }).click();
    await sound(page);
    expect(complaints).toEqual([]);
  });
});

test('stations have addresses: back, forward and reload come back to the same ring', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup', 'Rings');
  await page.getByRole('button', { name: 'Ring 9', exact: true }).click();
  await expect(page).toHaveURL(/\/rings\/r9$/);
  await page.keyboard.press('ArrowUp');
  await expect(page).toHaveURL(/\/rings\/r10$/);
  await go(page, 'Cuts');
  await expect(page).toHaveURL(/\/cuts$/);
  await page.goBack();
  await expect(page).toHaveURL(/\/rings\/r10$/);
  await page.reload();
  await expect(page.getByRole('region', { name: 'Selected rings' })).toContainText('Ring 10');
});

test('one line for a ring: its row in the ledger lies at its height in the drawings', async ({
  page,
  fellside,
}) => {
  for (const piece of ['Fell Race Cup', 'Best Fleece Bowl', 'Honey Class Jar']) {
    await open(page, fellside, piece, 'Rings');
    for (const ring of [1, 4, 7]) {
      const row = (await page.getByRole('row', { name: new RegExp(`^Ring ${ring}\\b`) }).boundingBox())!;
      const drawn = (await page.locator(`[data-ring="${ring}"]`).boundingBox())!;
      expect(Math.abs(row.y + row.height / 2 - drawn.y - drawn.height / 2)).toBeLessThan(2);
    }
  }
});

test('what is wrong is called out in the foot bar and leads to its ring', async ({ page, fellside }) => {
  await open(page, fellside, 'Fell Race Cup', 'Rings');
  await page.getByRole('textbox', { name: 'Segments of ring 9' }).fill('120');
  await page.getByRole('textbox', { name: 'Segments of ring 9' }).press('Enter');
  await page.getByRole('button', { name: /^Look at 1/ }).click();
  await expect(page.getByRole('dialog')).toContainText('cannot be held at the saw');
  await page.getByRole('button', { name: 'Show ring 9' }).click();
  await expect(page).toHaveURL(/\/rings\/r9$/);
});

test('a wood of one’s own, a kerf of one’s own', async ({ page, fellside }) => {
  await page.goto(`${fellside.url}/woods`);
  await page.getByRole('button', { name: 'Wood of your own' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Garden plum');
  await page.getByLabel('Letter, one or two').fill('M');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('letter “M” is taken by Hard maple');
  await page.getByLabel('Letter, one or two').fill('Gp');
  await page.getByLabel('Half of the way after, years').fill('0');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText(
    'Half-time of ageing is 0; it has to be a number from 0.1',
  );
  await page.getByLabel('Half of the way after, years').fill('2');
  await page.getByLabel('Growth lines apart, mm').fill('6');
  await page.getByLabel('Pores').selectOption('coarse');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('row', { name: /Garden plum/ })).toBeVisible();
  const woods = await (await page.request.get(`${fellside.url}/api/woods`)).json();
  expect(woods.find(({ name }: { name: string }) => name === 'Garden plum').aged).toEqual({
    colour: '#a5713f',
    halfYears: 2,
  });
  expect(woods.find(({ name }: { name: string }) => name === 'Garden plum').figure).toEqual({
    ringMm: 6,
    contrast: 15,
    pores: 'coarse',
  });

  await open(page, fellside, 'Fell Race Cup', 'Cuts');
  const kerfs = page.locator('td[data-row="kerf"]').first();
  await expect(kerfs).toHaveText(/\d/);
  const before = await kerfs.innerText();
  await go(page, 'Shop');
  await page.getByLabel('Kerf of the mitre cut').fill('1/4');
  await page.getByLabel('Kerf of the mitre cut').press('Enter');
  await go(page, 'Cuts');
  await expect(kerfs).toHaveText(/\d/);
  await expect(kerfs).not.toHaveText(before);
});

test('the bench on a phone is no wider than the window', async ({ page, fellside }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  for (const piece of ['Dewpond Bowl', 'Fell Race Cup'])
    for (const station of ['Form', 'Rings', 'Pattern'] as const) {
      await open(page, fellside, piece, station);
      await fitting(page);
    }
});
