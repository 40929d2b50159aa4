import { expect } from '@playwright/test';
import { go, open, sound, test } from './server.js';

test('everything is found by its words, from the keyboard; keys and edits are listed; nothing breaks the security policy', async ({
  page,
  fellside,
}) => {
  const broken: string[] = [];
  page.on('console', (message) => {
    if (message.type() === 'error') broken.push(message.text());
  });
  await open(page, fellside, 'Fell Race Cup');
  const field = page.getByPlaceholder(/A station, a ring/);
  await page.keyboard.press('Control+k');
  await field.fill('ring 9');
  await sound(page);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/rings\//);
  await page.keyboard.press('Control+k');
  await field.fill('honey');
  await page.getByRole('option', { name: 'Honey Class Jar' }).waitFor();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Name of the piece')).toHaveValue('Honey Class Jar');
  await page.getByLabel('Wall, square to curve').fill('3/8');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Edits' }).click();
  await page.getByRole('button', { name: 'Undo: Wall thickness' }).click();
  await expect(page.getByRole('button', { name: /^Redo Wall/ })).toBeEnabled();
  await page.locator('body').press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Search everything');
  await sound(page);
  expect(broken).toEqual([]);
});

test.describe('stations are fetched ahead', () => {
  test.use({ ahead: true });

  test('a station that nobody has gone to yet opens although the server is away', async ({
    page,
    killable: fellside,
  }) => {
    let scripts = 0;
    page.on('request', (request) => {
      if (request.resourceType() === 'script') scripts++;
    });
    await open(page, fellside, 'Best Fleece Bowl');
    // Stations are fetched one after another, while there is nothing else to do: all have been when no more come.
    await expect(async () => {
      const before = scripts;
      await page.waitForTimeout(4000);
      expect(scripts).toBe(before);
    }).toPass();
    await fellside.stop('SIGKILL');
    await go(page, 'Pattern');
    await expect(page.getByRole('group', { name: 'Paint with' })).toBeVisible();
    await expect(page.getByText('cannot be drawn')).toHaveCount(0);
    await go(page, 'Cuts');
    await expect(page.getByRole('link', { name: 'Papers' })).toBeVisible();
  });
});
