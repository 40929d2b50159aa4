import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { bar, chooseWay, go, open, ring, saved, sound, test, totals } from './server.js';

const builder = (page: Page) => page.getByRole('region', { name: 'Builder' });

async function type(where: ReturnType<typeof bar>, label: string, text: string) {
  const field = where.getByLabel(label, { exact: true });
  await field.fill(text);
  await field.press('Enter');
  await expect(field).not.toHaveAttribute('aria-invalid', 'true');
}

test('a zigzag from nothing: the board it needs, on the piece, its pieces in Cuts', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup', 'Rings');
  await ring(page, 8).click();
  await chooseWay(page, 'Laminated board');
  await ring(page, 8).press('Enter');
  const dialog = page.getByRole('dialog', { name: 'Ring 8: laminated board' });
  await expect(dialog).toBeVisible();
  await expect(
    builder(page)
      .getByRole('listitem')
      .filter({ hasNot: page.getByRole('combobox') }),
  ).toHaveCount(4);
  for (const row of [1, 5]) await type(builder(page), `Row ${row}, thickness`, '18mm');
  await type(builder(page), 'Slice angle', '35');
  await builder(page).getByText('Kerf, ends, boards').click();
  await type(builder(page), 'Spare slices', '3');
  // 24 segments of two slices, three spares.
  await expect(dialog.getByText('48 × Layer 3')).toBeVisible();
  const figure = (name: string) => dialog.locator('div.contents', { hasText: name }).locator('dd');
  await expect(figure('Slices').first()).toHaveText('48');
  await expect(figure('Spare slices')).toHaveText('3');
  await expect(figure('Board, thickness')).toContainText('2 3/64');
  await expect(figure('Board, length')).not.toHaveText('');
  await expect(dialog.getByText(/Cut 51 slices .* at 35° from square, 3 of them spare/)).toBeVisible();
  // A board that is too short is told with what comes out of it.
  await type(builder(page), 'Board on hand', '20');
  await expect(dialog.getByText(/The board on hand is 20" long; .* come out of it/)).toBeVisible();
  // An angle that leaves no height is refused with its limit, and changes nothing.
  const angle = builder(page).getByLabel('Slice angle');
  await angle.fill('76');
  await angle.press('Enter');
  await expect(builder(page).getByText(/it has to be a number from -75 to 75/)).toBeVisible();
  await angle.press('Escape');
  await expect(angle).toHaveValue('35°');
  await expect(dialog).toBeVisible();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await saved(page);
  await go(page, 'Cuts');
  const pieces = page.getByRole('region', { name: 'Pieces' });
  await expect(pieces.getByText('Layer 3')).toBeVisible();
  await page.getByRole('link', { name: 'Rip and mitre' }).click();
  await expect(page.getByRole('region', { name: 'Rip', exact: true })).toContainText(/Layer 3, ring 8: \d/);
});

test('letters of a shipped face are set into segments, one each, and go out as outlines', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Best Fleece Bowl', 'Rings');
  await ring(page, 5).click();
  await chooseWay(page, 'Letters and pictures');
  await type(bar(page), 'Height', '12mm');
  await bar(page).getByLabel('Letters, one a segment').fill('TARN 26');
  await bar(page).getByRole('button', { name: 'Set the letters' }).click();
  await ring(page, 5).press('Enter');
  const dialog = page.getByRole('dialog', { name: 'Ring 5: letters and pictures' });
  for (const letter of ['T', 'A', 'R', 'N', '2', '6'])
    await expect(dialog.getByText(`1 × Inlay ${letter}`, { exact: true })).toBeVisible();
  const download = page.waitForEvent('download');
  await builder(page).getByRole('button', { name: 'Pockets and inserts, SVG' }).click();
  const file = readFileSync((await (await download).path())!, 'utf8');
  expect(file.match(/<path d="M/g)).toHaveLength(12);
  // A has a hole: its pocket is two loops.
  expect(/<path d="([^"]*)"><title>A × 1/.exec(file)![1]!.match(/Z/g)).toHaveLength(2);
});

test('a facetted half globe is added, painted and listed', async ({ page, fellside }) => {
  await open(page, fellside, 'Honey Class Jar', 'Rings');
  await page.getByRole('link', { name: 'Blanks that are no rings' }).click();
  await page.getByRole('button', { name: 'Facetted globe' }).click();
  await page.getByLabel('Globe', { exact: true }).selectOption('half, for a bowl');
  await expect(page.getByText('30 × Isosceles')).toBeVisible();
  await expect(page.getByText('11.23°').first()).toBeVisible();
  await page.getByRole('group', { name: 'Paint with' }).getByRole('button').nth(1).click();
  await page.locator('[data-place="31"]').click();
  await expect(page.getByText('9 × Equilateral')).toBeVisible();
  await expect(totals(page)).toContainText('1 blank');
  await page.keyboard.press('Control+z');
  await expect(page.getByText('10 × Equilateral')).toBeVisible();
  await go(page, 'Cuts');
  await page.getByRole('link', { name: 'Rip and mitre' }).click();
  await expect(page.getByRole('region', { name: 'Rip', exact: true })).toContainText(
    /Equilateral, blank 1: \d/,
  );
});

test('a cup is sawn into halves on rods: how deep they go, what is refused, the base in Cuts, the steps last', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup', 'Rings');
  await page.getByRole('link', { name: 'Blanks that are no rings' }).click();
  await page.getByRole('button', { name: 'Halves on rods' }).click();
  const mount = page.getByRole('region', { name: 'Halves on rods 1' });
  await expect(mount.getByText('1 × Base')).toBeVisible();
  await expect(mount.getByRole('img', { name: /Base from above: 4 holes/ })).toBeVisible();
  const deep = mount.getByLabel('Drilled into the half');
  await deep.fill('4');
  await deep.press('Enter');
  await expect(mount.getByText(/of wood round them down to a depth of/)).toBeVisible();
  await deep.press('Escape');
  const rods = mount.getByLabel('Rods of each half');
  await rods.fill('3');
  await rods.press('Enter');
  await expect(mount.getByText(/prick the 6 crosses/)).toBeVisible();
  await expect(totals(page)).toContainText('1 blank');
  await go(page, 'Make');
  await expect(page.getByText('Saw in two').first()).toBeVisible();
  await expect(page.getByText('On its rods').first()).toBeVisible();
});

test('slanted bands are cut through a bowl, shown, painted, listed and taken away', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Best Fleece Bowl', 'Rings');
  const pieces = async () => Number(/Pieces(\d+)/.exec((await totals(page).textContent())!)![1]);
  const before = await pieces();
  await page.getByRole('button', { name: 'Slanted bands…' }).click();
  const panel = page.getByRole('dialog', { name: 'Slanted bands' });
  await panel.getByRole('button', { name: 'First band' }).click();
  await panel.getByRole('button', { name: /A further band/ }).click();
  const second = panel.getByRole('listitem', { name: 'Slanted band 2' });
  await expect(second.getByLabel('Lowest at °')).toHaveValue('120');
  await second.getByLabel('Slant °').fill('75');
  await second.getByLabel('Slant °').press('Enter');
  await expect(second.getByText(/it has to be .*from 0 to 60/)).toBeVisible();
  await type(second, 'Slant °', '12');
  await type(second, 'Thickness', '6mm');
  await page.keyboard.press('Escape');
  await expect(panel).toBeHidden();
  expect(await pieces()).toBe(before + 2);
  // The first band, seen at the index mark in its own height, takes the wood that is painted on it.
  await page.getByRole('group', { name: 'Paint with' }).getByRole('button').first().click();
  const wall = page.getByRole('region', { name: 'Wall, unrolled', exact: true });
  const box = (await wall.getByRole('img').boundingBox())!;
  let named = '';
  for (let y = box.y + 4; y < box.y + box.height && !named.includes('slanted band 1'); y += 2) {
    await page.mouse.move(box.x + box.width / 4, y);
    named = (await wall.getByRole('heading').textContent())!;
    if (named.includes('slanted band 1')) await page.mouse.click(box.x + box.width / 4, y);
  }
  expect(named).toContain('slanted band 1');
  await page.getByRole('button', { name: 'Slanted bands (2)…' }).click();
  await expect(panel.getByLabel('Wood').first()).not.toHaveValue(
    await panel.getByLabel('Wood').nth(1).inputValue(),
  );
  await page.keyboard.press('Escape');
  await go(page, 'Cuts');
  await expect(page.getByRole('region', { name: 'Pieces' })).toContainText('Slanted band 2');
  await go(page, 'Rings');
  await page.getByRole('button', { name: 'Slanted bands (2)…' }).click();
  for (const name of ['Remove slanted band 2', 'Remove slanted band 1'])
    await panel.getByRole('button', { name }).click();
  await page.keyboard.press('Escape');
  expect(await pieces()).toBe(before);
});

test('a twisted goblet is twisted another way in one step, and undone in one', async ({ page, fellside }) => {
  await open(page, fellside, 'Whirlpool Goblet', 'Rings');
  await bar(page).getByLabel('Twist', { exact: true }).selectOption('steady');
  await type(bar(page), 'Step', '5');
  await bar(page).getByRole('button', { name: 'Divide and twist' }).click();
  await expect(bar(page).getByText('4 sections of 6, 6, 6, 6 slices.')).toBeVisible();
  await ring(page, 4).click();
  await expect(bar(page).getByLabel('Turn', { exact: true })).toHaveValue(/^15 = /);
  await page.keyboard.press('Control+z');
  await expect(bar(page).getByLabel('Turn', { exact: true })).toHaveValue(/^21 = /);
});

test('builder and blanks have no accessibility violations', async ({ page, fellside }) => {
  await open(page, fellside, 'Drystone Wall Vase', 'Rings');
  await ring(page, 5).click();
  await ring(page, 5).press('Enter');
  await page.getByRole('dialog', { name: 'Ring 5: laminated board' }).waitFor();
  await sound(page);
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Blanks that are no rings' }).click();
  await page.getByText(/Not everything is a ring/).waitFor();
  await sound(page);
  await page.getByRole('button', { name: 'Bent stack' }).click();
  await page.getByRole('img', { name: /Laid flat/ }).waitFor();
  await sound(page);
});

const BAD: readonly (readonly [way: string, label: string, text: string, says: RegExp])[] = [
  ['Laminated board', 'Row 1, thickness', '0', /Layer is 0/],
  ['Plugs and frames', 'Across', '4', /reaches .* from the middle; the face of .* ends at/],
  ['Medallion floor', 'Points', '17', /it has to have 5 to 16/],
  ['Twisted stack', 'Row 1, thickness', '0', /Strip is 0/],
  ['Basket band', 'Blade tilt', '70', /it has to be a number from 0.1 to 60/],
];

test('what cannot be is told in a sentence with its limit', async ({ page, fellside }) => {
  await open(page, fellside, 'Fell Race Cup', 'Rings');
  for (const [way, label, text, says] of BAD) {
    await ring(page, 9).click();
    await chooseWay(page, way);
    const field = bar(page).getByLabel(label, { exact: true });
    await field.fill(text);
    await field.press('Enter');
    await expect(bar(page).getByText(says).first()).toBeVisible();
    // Nothing has changed: what stood there comes back.
    await page.keyboard.press('Escape');
    await expect(field).not.toHaveValue(text);
  }
});

test('a layer of a board keeps to one wood: painting a piece of it paints the layer', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Drystone Wall Vase', 'Rings');
  const row = page.locator('[data-woods]').nth(4);
  await expect(row).toHaveAttribute('data-woods', /black-walnut 64, sugar-maple 64, padauk 32/);
  await ring(page, 5).click();
  await page
    .getByRole('group', { name: 'Paint with' })
    .getByRole('button', { name: /walnut/ })
    .click();
  await bar(page)
    .getByRole('button', { name: /^Made as/ })
    .waitFor();
  const wall = page.getByRole('region', { name: 'Wall, unrolled', exact: true });
  const box = (await wall.locator('[data-woods]').nth(4).boundingBox())!;
  // At the index mark half way up lies the layer in the middle; all of it follows.
  await page.mouse.click(box.x + 4, box.y + box.height / 2);
  await expect(row).not.toHaveAttribute('data-woods', /black-walnut 64, sugar-maple 64, padauk 32/);
  const woods = (await row.getAttribute('data-woods'))!;
  for (const [, count] of woods.matchAll(/ (\d+)/g)) expect(Number(count) % 32).toBe(0);
});
