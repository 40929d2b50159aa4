import { expect, type Page } from '@playwright/test';
import { go, open, saved, settled, test, totals } from './server.js';

const numbers = (page: Page) =>
  page.getByRole('table', { name: 'Ring ledger' }).getByRole('rowheader').getByRole('button');

test('rings first: sizes and a count, a curve that fits, another order, the form fitted again', async ({
  page,
  fellside,
}) => {
  await page.goto(fellside.url);
  await page.getByRole('button', { name: 'New piece', exact: true }).click();
  await page.getByRole('tab', { name: /From rings/ }).click();
  await page.getByLabel('Wall, inches').fill('2');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('alert')).toContainText(/no curve fits/);
  await page.getByLabel('Wall, inches').fill('1/4');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(totals(page)).toContainText('in 8 rings');
  await expect(totals(page)).toContainText('Nothing to look at');

  await go(page, 'Rings');
  await page.getByRole('button', { name: 'Ring 8', exact: true }).click();
  for (let i = 0; i < 3; i++) await page.keyboard.press('Alt+ArrowDown');
  await expect(page).toHaveURL(/\/rings\/r8$/);
  await go(page, 'Form');
  await page.getByText('Fit into the rings').click();
  await page.getByRole('button', { name: 'Tightest' }).click();
  await expect(totals(page)).toContainText('Nothing to look at');
  const tight = await settled(page);
  await page.getByRole('button', { name: 'Smoothest' }).click();
  await expect.poll(() => settled(page)).not.toBe(tight);
  await expect(totals(page)).toContainText('Nothing to look at');
});

test('rows are dragged to reorder the stack; edges are dragged; the ledger follows and undo puts it back', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Honey Class Jar', 'Rings');
  const height = (ring: number) => page.getByRole('textbox', { name: `Height of ring ${ring}`, exact: true });
  await expect(height(2)).toHaveValue('7/8"');
  const [from, to] = [await numbers(page).nth(6).boundingBox(), await numbers(page).nth(7).boundingBox()];
  await page.mouse.move(from!.x + 10, from!.y + 6);
  await page.mouse.down();
  await page.mouse.move(from!.x + 10, (from!.y + to!.y) / 2 + 6, { steps: 6 });
  await page.mouse.move(to!.x + 10, to!.y + 10, { steps: 6 });
  await page.mouse.up();
  await expect(height(2)).toHaveValue('3/8"');
  await expect(height(3)).toHaveValue('7/8"');

  await page.getByRole('button', { name: 'Ring 3', exact: true }).click();
  const edge = page.getByRole('slider', { name: 'Edge above ring 3' });
  await edge.focus();
  await page.keyboard.press('ArrowDown');
  await expect(height(3)).toHaveValue('13/16"');
  const box = (await edge.boundingBox())!;
  await page.mouse.move(box.x + 60, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 60, box.y + box.height / 2 - 20, { steps: 5 });
  await page.mouse.up();
  await expect(height(3)).not.toHaveValue('13/16"');
  await page.getByRole('button', { name: 'Lock the height of ring 3' }).click();
  await edge.focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText(/Ring 3 is locked at/)).toBeVisible();
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(height(2)).toHaveValue('7/8"');
});

test('the ring’s plan: opened with Enter, dimensions on the drawing, measured values shift the stack', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup', 'Rings');
  await page.getByRole('button', { name: 'Ring 9', exact: true }).press('Enter');
  const plan = page.getByRole('dialog', { name: 'Ring 9 from above' });
  await expect(page).toHaveURL(/\/rings\/r9\/plan$/);
  const drawing = plan.getByRole('img', { name: /Ring 9 from above/ });
  for (const figure of ['53/64"', '19/32"', '7/8"', '15°', 'corner 3 3/16"'])
    await expect(drawing.getByText(figure).first()).toBeVisible();
  await plan.getByLabel('Measured thickness').fill('1/2');
  await plan.getByLabel('Measured thickness').press('Enter');
  await page.reload();
  await expect(plan.getByLabel('Measured thickness')).toHaveValue('1/2"');
  await plan.getByRole('button', { name: 'Ring above' }).click();
  await expect(page.getByRole('dialog', { name: 'Ring 10 from above' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('button', { name: /^Look at/ })).toContainText(
    /1\/16" below the top of the form/,
  );
  await page.getByRole('button', { name: /^Look at/ }).click();
  await page.getByRole('button', { name: 'Bring the form to the stack' }).click();
  await expect(totals(page)).toContainText('10 7/16" ×');
});

test('zoom by wheel and keys keeps one scale; hovering lights the segment in every pane', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup', 'Rings');
  const ring = page.locator('[data-ring="9"]');
  const outside = page.locator('[data-outside="9"]');
  const before = (await ring.boundingBox())!.height;
  await ring.hover();
  await expect(page.locator('.hovered')).not.toHaveCount(0);
  await page.keyboard.down('Control');
  await page.mouse.wheel(0, -200);
  await page.keyboard.up('Control');
  await expect.poll(async () => (await ring.boundingBox())!.height).toBeGreaterThan(before * 1.2);
  const row = (await page.getByRole('row', { name: /^Ring 9\b/ }).boundingBox())!;
  const [wall, round] = [(await ring.boundingBox())!, (await outside.boundingBox())!];
  expect(Math.abs(row.height - wall.height)).toBeLessThan(4);
  expect(Math.abs(round.y - wall.y)).toBeLessThan(4);
  await page.mouse.move(0, 0);
  await page.locator('body').press('0');
  await expect.poll(async () => (await ring.boundingBox())!.height).toBeCloseTo(before, 0);
  await page.locator('body').press('+');
  await expect(page.getByText('120 %')).toBeVisible();
});

test('columns of the ledger are chosen and kept; several rings are edited at once', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup', 'Rings');
  await page.getByRole('button', { name: 'Choose columns' }).click();
  await page.getByLabel('Overlap with the ring below').check();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('columnheader', { name: 'overlap' })).toBeVisible();
  await page.getByRole('button', { name: 'Ring 8', exact: true }).click();
  await page.getByRole('button', { name: 'Ring 10', exact: true }).click({ modifiers: ['Shift'] });
  const cell = page.getByRole('textbox', { name: 'Segments of ring 9' });
  await cell.fill('18');
  await cell.press('Enter');
  for (const n of [8, 9, 10])
    await expect(page.getByRole('textbox', { name: `Segments of ring ${n}`, exact: true })).toHaveValue('18');
  await saved(page);
  await page.reload();
  await expect(page.getByRole('columnheader', { name: 'overlap' })).toBeVisible();
});

test('two fingers zoom the bench; a ring is pointed at and picked on the cut-through and in the ledger', async ({
  browser,
  fellside,
}) => {
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await open(page, fellside, 'Fell Race Cup', 'Rings');
  const ring = page.locator('[data-ring="9"]');
  const before = (await ring.boundingBox())!;
  const devtools = await context.newCDPSession(page);
  const fingers = (type: 'touchStart' | 'touchMove' | 'touchEnd', apart: number) =>
    devtools.send('Input.dispatchTouchEvent', {
      type,
      touchPoints:
        type === 'touchEnd'
          ? []
          : [-apart, apart].map((y, id) => ({ x: before.x + 40, y: before.y + y, id })),
    });
  await fingers('touchStart', 40);
  for (const apart of [50, 60, 70, 80]) await fingers('touchMove', apart);
  await fingers('touchEnd', 0);
  await expect.poll(async () => (await ring.boundingBox())!.height).toBeGreaterThan(before.height * 1.5);
  await page.getByTitle('As at first (0)').click();

  const row = page.getByRole('row', { name: /^Ring 12\b/ });
  await row.hover();
  await expect(page.getByText('ring 12, 24 segments')).toBeVisible();
  const line = (await page.locator('[data-ring="11"]').boundingBox())!;
  const cut = (await page.getByRole('group', { name: /^Half-section/ }).boundingBox())!;
  await page.mouse.click(cut.x + 60, line.y + line.height / 2);
  await expect(page).toHaveURL(/\/rings\/r11$/);
  await context.close();
});
