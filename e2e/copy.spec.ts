import { expect, type Page } from '@playwright/test';
import { go, open, saved, test } from './server.js';

const row = (page: Page, ring: number) => page.locator(`[data-ring="${ring}"]`).first();
const press = (page: Page, keys: string) => page.locator('body').press(keys);

test('rings are copied in one window and pasted in another, and their look onto others', async ({
  page,
  context,
  fellside,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await open(page, fellside, 'Fell Race Cup');
  await go(page, 'Rings');
  await expect(page).toHaveURL(/\/rings/);
  await row(page, 8).click({ position: { x: 20, y: 8 } });
  await row(page, 9).click({ position: { x: 20, y: 8 }, modifiers: ['Shift'] });
  await press(page, 'ControlOrMeta+c');

  const other = await context.newPage();
  await open(other, fellside, 'Honey Class Jar');
  await go(other, 'Rings');
  await expect(other).toHaveURL(/\/rings/);
  const woods = await row(other, 4).getAttribute('data-woods');
  await row(other, 3).click({ position: { x: 20, y: 8 } });
  await press(other, 'ControlOrMeta+v');
  await expect(other.getByRole('button', { name: 'Undo Paste 2 rings above ring 3' })).toBeEnabled();
  await expect(row(other, 6)).toHaveAttribute('data-woods', woods!);
  await saved(other);
  await other.getByRole('button', { name: /^Undo Paste/ }).click();
  await expect(row(other, 4)).toHaveAttribute('data-woods', woods!);

  // From the menu, which needs no clipboard.
  await row(other, 4).click({ position: { x: 20, y: 8 } });
  await other.getByText('Ring 4', { exact: true }).click();
  await other.getByRole('menuitem', { name: /Paste the look only/ }).click();
  await expect(row(other, 4)).not.toHaveAttribute('data-woods', woods!);
  await saved(other);
});
