import { expect, type Page } from '@playwright/test';
import { bar, go, open, ring, saved, test } from './server.js';

const answer = (page: Page, title: string) => bar(page).getByRole('group', { name: title, exact: true });

test('staves of layers with spacers, a pie, two halves of layers: set, refused with what would, and their pieces in Cuts', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup', 'Rings');
  await ring(page, 9).click();
  const stand = answer(page, 'Segments').getByLabel('Segments stand');
  await stand.selectOption('on end, as staves');
  await answer(page, 'Joints').getByLabel('Between segments').selectOption('spacers');
  await answer(page, 'Sawn from').getByLabel('A segment is sawn from').selectOption('a board of layers');
  await answer(page, 'Segments').getByRole('button', { name: 'Like the wall' }).click();
  await expect(
    bar(page).getByRole('button', { name: /^Made as Segments of layers, of staves, with spacers/ }),
  ).toBeVisible();
  await bar(page).getByLabel('Once it is glued').selectOption('sliced from thicker stock');
  await expect(page.getByText(/end grain to end grain, which hardly holds/).first()).toBeVisible();

  await ring(page, 10).click();
  await stand.selectOption('in two halves');
  await answer(page, 'Segments').getByLabel('First half', { exact: true }).fill('8');
  await answer(page, 'Segments').getByLabel('First half', { exact: true }).press('Enter');
  await answer(page, 'Sawn from').getByLabel('A segment is sawn from').selectOption('a board of layers');
  await expect(bar(page).getByLabel('Segments', { exact: true })).toHaveValue('20');

  await ring(page, 1).click();
  await bar(page)
    .getByRole('button', { name: /^Made as/ })
    .click();
  await page.getByRole('button', { name: 'Flat segments', exact: true }).click();
  await stand.selectOption('flat, to the centre');
  await answer(page, 'Joints').getByLabel('Between segments').selectOption('gaps');
  await expect(page.getByText(/end short of the middle, or close the gaps/).first()).toBeVisible();
  await answer(page, 'Segments').getByLabel('Plug', { exact: true }).check();
  await saved(page);

  await go(page, 'Cuts');
  const pieces = page.getByRole('region', { name: 'Pieces' });
  for (const what of [/along the grain/, /Outer layer, first half/, /Inner layer, second half/, /Plug/])
    await expect(pieces).toContainText(what);
  await page.reload();
  await expect(pieces).toContainText(/Inner layer, second half/);
});

test('a foot of two boards, a star sliced in two, a basket: set, refused with what would, and their pieces in Cuts', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup', 'Rings');
  await ring(page, 1).click();
  const from = answer(page, 'Sawn from').getByLabel('The disc is');
  const then = answer(page, 'Then').getByLabel('Once it is glued');
  await from.selectOption('boards one on the other');
  await bar(page).getByLabel('Row 1, thickness', { exact: true }).fill('1/8');
  await bar(page).getByLabel('Row 1, thickness', { exact: true }).press('Enter');
  await then.selectOption('sliced from thicker stock');
  await expect(page.getByText(/let the disc stay whole, or take one board/).first()).toBeVisible();

  await ring(page, 2).click();
  await ring(page, 3).click({ modifiers: ['Shift'] });
  await from.selectOption('a star');
  await then.selectOption('sliced from thicker stock');
  await expect(bar(page)).toContainText('Slices of one thick disc: 2, 3');

  await ring(page, 4).click();
  await ring(page, 5).click({ modifiers: ['Shift'] });
  await from.selectOption('strips side by side');
  await then.selectOption('sliced from thicker stock');
  await bar(page).getByLabel('Board, thick').fill('2');
  await bar(page).getByLabel('Board, thick').press('Enter');
  await bar(page).getByRole('button', { name: 'Divide and twist' }).click();
  await ring(page, 5).click();
  await expect(bar(page).getByLabel('Turn', { exact: true })).toHaveValue(/^6 = 6°/);

  const stand = answer(page, 'Segments').getByLabel('Segments stand');
  await ring(page, 7).click();
  await stand.selectOption('none: one disc');
  await expect(from).toHaveValue('one-board');
  await stand.selectOption('flat, to the centre');
  await expect(bar(page).getByRole('button', { name: /^Made as Pie with a plug/ })).toBeVisible();

  await ring(page, 8).click();
  await ring(page, 10).click({ modifiers: ['Shift'] });
  await bar(page)
    .getByRole('button', { name: /^Made as/ })
    .click();
  await page.getByRole('button', { name: 'Basket band', exact: true }).click();
  await bar(page)
    .getByRole('button', { name: /^Weave/ })
    .click();
  await saved(page);

  await go(page, 'Cuts');
  const pieces = page.getByRole('region', { name: 'Pieces' });
  for (const what of [/Bottom layer/, /Top layer/, /Lit half/, /Strip 21/, /Spacer/])
    await expect(pieces).toContainText(what);
  await page.reload();
  await expect(pieces).toContainText(/Lit half/);
});
