import { expect } from '@playwright/test';
import { sound, startFellside, test } from './server.js';

test('the first ten minutes: one question, a first bowl in six steps to its first card, left and taken up again', async ({
  page,
}) => {
  const empty = await startFellside(false);
  try {
    await page.goto(empty.url);
    await expect(page.getByRole('heading', { name: 'What do you measure in?' })).toBeVisible();
    await sound(page);
    await page.getByRole('button', { name: /^Millimetres/ }).click();
    await page.getByRole('button', { name: /^A first bowl/ }).click();
    const guide = page.getByRole('region', { name: 'Guided first piece' });
    await expect(guide).toContainText('Form, 1 of 6');
    await expect(page.getByLabel('Widest diameter')).toHaveValue('200 mm');
    await sound(page);

    // With the keyboard only: the height, then on by the guide.
    const height = page.getByLabel('Height', { exact: true }).first();
    await height.focus();
    await page.keyboard.press('ControlOrMeta+a');
    await page.keyboard.type('110');
    await page.keyboard.press('Enter');
    await expect(guide.getByText('done', { exact: true })).toBeVisible();
    await guide.getByRole('link', { name: 'Next: Rings' }).press('Enter');
    await expect(page).toHaveURL(/\/rings/);
    await expect(guide.getByText('done', { exact: true })).toBeHidden();
    // The form's ledger has the same field, and stands until the next station has come.
    await expect(page.getByRole('region', { name: 'Selected rings' })).toBeVisible();
    const count = page.getByLabel('Segments of ring 3');
    await count.fill('24');
    await count.press('Enter');
    await expect(guide.getByText('done', { exact: true })).toBeVisible();

    await guide.getByRole('link', { name: 'Next: Pattern' }).press('Enter');
    await page.getByRole('button', { name: 'Chequer' }).press('Enter');
    await expect(guide.getByText('done', { exact: true })).toBeVisible();
    await expect(page.getByText('does not come out whole')).toBeHidden();
    await guide.getByRole('link', { name: 'Next: Contrast' }).press('Enter');
    await page.getByLabel('Age of the piece').press('ArrowRight');
    await expect(guide.getByText('done', { exact: true })).toBeVisible();

    await guide.getByRole('button', { name: 'Leave the guide' }).press('Enter');
    await expect(guide).toBeHidden();
    await page.reload();
    await expect(page.getByRole('button', { name: 'Chequer', exact: true })).toBeVisible();
    await page.keyboard.press('ControlOrMeta+k');
    await expect(page.getByRole('option').first()).toBeVisible();
    await page.keyboard.type('guided');
    await expect(page.getByRole('option').first()).toContainText('Guided first piece, step 4');
    await page.keyboard.press('Enter');
    await expect(guide).toContainText('Contrast, 4 of 6');

    await guide.getByRole('link', { name: 'Next: Cut list' }).press('Enter');
    await expect(page).toHaveURL(/\/cuts\/saw/);
    await guide.getByRole('link', { name: 'Next: First card' }).press('Enter');
    await page.getByRole('button', { name: 'Done', exact: true }).press('Enter');
    await expect(guide.getByText('done', { exact: true })).toBeVisible();
    await guide.getByRole('button', { name: 'That is all' }).press('Enter');
    await expect(guide).toBeHidden();
  } finally {
    await empty.stop();
  }
});

test('the show comes onto an empty shelf, and onto no other', async ({ page }) => {
  const empty = await startFellside(false);
  try {
    await page.goto(empty.url);
    await page.getByRole('button', { name: /^Inches/ }).click();
    await page.getByRole('button', { name: /^The Hollin Tarn Show/ }).click();
    await expect(page.getByRole('link', { name: /Fell Race Cup/ }).first()).toBeVisible();
    const again = await page.request.post(`${empty.url}/api/show`);
    expect(again.status()).toBe(409);
    expect((await again.json()).message).toContain('There are pieces already');
  } finally {
    await empty.stop();
  }
});
