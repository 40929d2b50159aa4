import { expect, type Page } from '@playwright/test';
import { go, open, saved, sound, test, totals } from './server.js';

const panel = (page: Page) => page.getByRole('dialog', { name: 'Inlays' });

async function type(_page: Page, of: ReturnType<typeof panel>, label: string, text: string) {
  const field = of.getByLabel(label, { exact: true });
  await field.fill(text);
  await field.press('Enter');
}

/** A new piece of a starting shape, opened at its form. */
async function begin(page: Page, url: string, shape: string) {
  await page.goto(url);
  await page.getByRole('button', { name: 'New piece' }).click();
  await page.getByText(shape, { exact: true }).click();
  await page.getByLabel('Name').fill(`${shape} from nothing`);
  await page.getByRole('button', { name: 'Start' }).click();
  await page.getByRole('complementary', { name: 'Form', exact: true }).waitFor();
}

test('a ball from nothing with a panel and its seam let in: on the wall, in Cuts, in the order of work', async ({
  page,
  fellside,
}) => {
  await begin(page, fellside.url, 'Ball');
  await expect(page.getByText('closed at both ends')).toBeVisible();
  await go(page, 'Rings');
  await page.getByRole('button', { name: 'Inlays…' }).click();
  await panel(page).getByRole('button', { name: 'Inlay', exact: true }).click();
  const one = panel(page).getByRole('listitem', { name: 'Inlay 1' });
  await one.getByLabel('Outline').selectOption('capsule');
  await type(page, one, 'Wide', '14mm');
  await type(page, one, 'High', '24mm');
  await type(page, one, 'Copies round', '5');
  await one.getByLabel('seam round it').check();
  await type(page, one, 'Seam, wide', '2mm');
  await expect(one.getByText(/Behind it .* of the wall are left\. Seam .* round\./)).toBeVisible();
  // What cannot be is told with its limit, and nothing is changed.
  await type(page, one, 'Depth', '60mm');
  await expect(one.getByText(/goes through the wall; it can be .* deep/)).toBeVisible();
  await page.keyboard.press('Escape');
  await sound(page);
  await page.keyboard.press('Escape');
  await saved(page);
  await go(page, 'Cuts');
  await expect(page.getByRole('row', { name: /seam of the inlay/ })).toBeVisible();
  await page.getByRole('link', { name: 'Papers' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Inlay 1: template, pocket, insert' }).click();
  expect((await download).suggestedFilename()).toMatch(/inlay 1\.svg$/);
  await go(page, 'Make');
  await page.getByRole('button', { name: /^Outside/ }).click();
  await expect(page.getByRole('button', { name: /^Rout for inlay 1/ })).toBeVisible();
});

test('a facetted globe from nothing: panels and no rings, a window across their edges, read in Cuts and in the order of work', async ({
  page,
  fellside,
}) => {
  await begin(page, fellside.url, 'Facetted globe');
  await expect(totals(page)).toContainText('80 in 1 ring');
  await go(page, 'Rings');
  const bar = page.getByRole('region', { name: 'Selected rings' });
  await bar.getByLabel('Bevels').selectOption('aimed at the centre');
  await bar.getByLabel('Glued up first').selectOption('three round a triangle');
  await page.getByRole('button', { name: 'Inlays…' }).click();
  await panel(page).getByRole('button', { name: 'Inlay', exact: true }).click();
  const one = panel(page).getByRole('listitem', { name: 'Inlay 1' });
  await type(page, one, 'Copies round', '5');
  await expect(one.getByText(/Behind it .* of the wall are left/)).toBeVisible();
  await page.keyboard.press('Escape');
  await saved(page);
  await go(page, 'Cuts');
  await expect(page.getByRole('row', { name: /Isosceles/ })).toContainText('60');
  await expect(page.getByRole('row', { name: /Equilateral/ })).toContainText('20');
  await go(page, 'Make');
  await page.getByRole('button', { name: /^Outside/ }).click();
  await expect(page.getByRole('button', { name: /^Rout for inlay 1/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^(Join|Hollow)/ })).toHaveCount(0);
  await page.reload();
  await go(page, 'Rings');
  await expect(bar.getByLabel('Bevels')).toHaveValue('centre');
  // Half a globe ends where it is widest: the ball goes on, and what to do is said.
  await bar.getByLabel('Globe', { exact: true }).selectOption('half, for a bowl');
  await expect(totals(page)).toContainText(/Half a globe ends where it is widest/);
});

test('a patch over a fault, and its twin on the far side', async ({ page, fellside }) => {
  await open(page, fellside, 'Fell Race Cup', 'Rings');
  await page.getByRole('button', { name: 'Inlays…' }).click();
  await panel(page).getByRole('button', { name: 'Patch over a fault' }).click();
  const patch = panel(page).getByRole('listitem', { name: 'Patch 1' });
  await patch.getByLabel('twin on the far side').check();
  await expect(patch.getByLabel('Copies round')).toHaveValue('2');
  await patch.getByRole('button', { name: 'Remove patch 1' }).click();
  await expect(panel(page).getByRole('listitem')).toHaveCount(0);
});
