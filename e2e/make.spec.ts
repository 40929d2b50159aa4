import { expect } from '@playwright/test';
import { go, open, sound, test } from './server.js';

test('dry fit and lathe on every screen: a gap is typed, the ways out read, by keyboard', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup');
  await go(page, 'Make');
  for (const width of [1280, 820, 390]) {
    await page.setViewportSize({ width, height: 844 });
    await page.getByRole('navigation', { name: 'Make' }).getByRole('link', { name: 'Dry fit' }).click();
    await expect(page).toHaveURL(/dry-fit/);
    if (width >= 1024) await page.getByRole('button', { name: /^Ring 9/ }).press('Enter');
    else await page.getByLabel('Ring', { exact: true }).selectOption({ label: 'Ring 9' });
    await expect(page.getByRole('heading', { name: 'Ring 9: dry fit' })).toBeVisible();
    await page.getByLabel('Gap at the outside').fill('0.025');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/Every mitre is 0.03° too small: set the saw up/)).toBeVisible();
    await expect(page.getByRole('list', { name: 'Ways out' }).getByRole('listitem')).toHaveCount(3);
    await page.getByLabel('Gap at the outside').fill('a little');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert').first()).toContainText('is not a length');
    await page.keyboard.press('Escape');
    await sound(page);
    await page.getByRole('navigation', { name: 'Make' }).getByRole('link', { name: 'At the lathe' }).click();
    await expect(page.getByRole('region', { name: 'Speeds' })).toContainText('fresh glue-up');
    await expect(
      page.getByRole('region', { name: 'How far it gives' }).getByRole('rowheader').first(),
    ).toHaveText('15');
    await sound(page);
  }
});
