import { expect, type Page } from '@playwright/test';
import { go, open, saved, sound, test } from './server.js';

const row = (page: Page, name: RegExp) => page.getByRole('row', { name });
/** Thousandths of an inch of the middling build, as it stands there now. */
async function middling(page: Page, name: RegExp): Promise<number> {
  const text = await row(page, name).getByRole('cell').first().innerText();
  return Number(/^[\d.]+/.exec(text)![0]);
}

test.describe('drawn in space', () => {
  test.use({ turntable: true });

  test('a vase is built before it is cut: the walls of builds, pins tried, the wander comes to less than half', async ({
    page,
    fellside,
  }) => {
    await open(page, fellside, 'Bindweed Vase');
    await go(page, 'Make');
    await page.getByRole('link', { name: 'Rehearsal' }).click();
    await expect(page.getByText('300 builds, drawn from number 1 on')).toBeVisible();
    await expect(row(page, /Worst step of a line/)).toContainText('seen to step');
    const before = await middling(page, /A line over all its rings/);
    await expect(
      page.getByRole('img', { name: /wall laid flat: middling/ }).locator('canvas'),
    ).toHaveAttribute('data-drawn', 'true');
    await page.getByRole('button', { name: 'as drawn' }).click();
    await expect(page.getByRole('img', { name: /wall laid flat: as drawn/ })).toBeVisible();
    await page.getByRole('button', { name: 'Try: Pins in the waste' }).click();
    await expect(row(page, /A line over all its rings/)).toContainText('before');
    await expect.poll(() => middling(page, /A line over all its rings/)).toBeLessThan(before / 2);
    await sound(page);
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByLabel('Pins in the waste')).toBeChecked();
    // What holds for the shop is kept with it.
    await page.getByRole('button', { name: 'Keep for the shop' }).click();
    await expect(page.getByText('These are the shop’s figures.')).toBeVisible();
    await page.reload();
    await expect(page.getByLabel('Pins in the waste')).toBeChecked();
    await page.getByRole('button', { name: 'Turntable' }).click();
    await expect(page.getByRole('group', { name: /Turntable/ })).toBeVisible();
    await page.setViewportSize({ width: 390, height: 800 });
    await sound(page);
  });
});

test('brick bond, tried and kept, is an edit of the piece that can be undone', async ({ page, fellside }) => {
  await open(page, fellside, 'Bindweed Vase');
  await go(page, 'Make');
  await page.getByRole('link', { name: 'Rehearsal' }).click();
  await page.getByRole('button', { name: 'Try: Brick bond' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await saved(page);
  await expect(row(page, /Worst step of a line/)).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(row(page, /Worst step of a line/)).toBeVisible();
});
