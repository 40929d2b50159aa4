import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { go, open, saved, settled, test, totals } from './server.js';

/** Drags a handle of the drawing by so many pixels, in small steps. */
async function drag(page: Page, name: RegExp, dx: number, dy: number, drop = true) {
  const box = (await page.getByRole('slider', { name }).boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + dx, y + dy, { steps: 8 });
  if (drop) await page.mouse.up();
}

test('a form drawn by dragging, sliced; a ring that is too narrow is called out, the remedy pressed, and it is gone', async ({
  page,
  fellside,
}) => {
  await page.goto(fellside.url);
  await page.getByRole('button', { name: 'New piece', exact: true }).click();
  await page.getByText('Vase', { exact: true }).click();
  await page.getByLabel('Name').fill('Sheep Dip Vase');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(totals(page)).toContainText('× 8"');

  await drag(page, /^Curve point 4/, -40, 0);
  await expect(totals(page)).not.toContainText('× 8"');
  await expect(page.getByRole('button', { name: 'Undo Curve point 4' })).toBeEnabled();

  await go(page, 'Rings');
  await page.getByRole('button', { name: 'Slice…' }).click();
  await page.getByLabel('Height of every ring').fill('1/2');
  await page.getByRole('dialog').getByRole('button', { name: 'Slice' }).click();
  await expect(totals(page)).toContainText('in 12 rings');
  await page.getByRole('button', { name: 'Ring 8', exact: true }).click();
  await page.getByRole('button', { name: 'Ring 8', exact: true }).last().press('Tab');
  await page.getByRole('region', { name: 'Selected rings' }).getByRole('button', { name: 'Ring 8' }).click();
  await page.getByRole('menuitem', { name: /Fix the size/ }).click();

  await go(page, 'Form');
  await drag(page, /^Curve point 4/, -30, 0);
  const look = page.getByRole('button', { name: /^Look at/ });
  await expect(look).toContainText(/Ring 8 is .* short of the wall outside/);
  await look.click();
  await page.getByRole('button', { name: 'Cut ring 8 to suit the form' }).click();
  await expect(totals(page)).not.toContainText('short of the wall');
  await saved(page);
});

test('the same with the keyboard only', async ({ page, fellside }) => {
  await page.goto(fellside.url);
  const tabTo = async (name: RegExp, role: Parameters<Page['getByRole']>[0]) => {
    for (let i = 0; i < 140; i++) {
      await page.keyboard.press('Tab');
      const at = page.locator(':focus');
      if ((await at.count()) === 0) continue;
      const found = await page
        .getByRole(role, { name })
        .evaluateAll((all) => all.indexOf(document.activeElement as HTMLElement));
      if (found >= 0) return;
    }
    throw new Error(`the keyboard does not reach ${name}`);
  };
  await page.getByRole('link', { name: 'Open Best Fleece Bowl' }).waitFor();
  await tabTo(/^Open Best Fleece Bowl/, 'link');
  await page.keyboard.press('Enter');
  await page.getByRole('complementary', { name: 'Form', exact: true }).waitFor();
  await tabTo(/^Curve point 5/, 'slider');
  const before = await settled(page);
  await page.keyboard.press('ArrowLeft');
  await expect.poll(() => settled(page)).not.toBe(before);

  await tabTo(/^Rings$/, 'link');
  await page.keyboard.press('Enter');
  await page.getByRole('region', { name: 'Wall, unrolled' }).waitFor();
  await tabTo(/^Slice…/, 'button');
  await page.keyboard.press('Enter');
  await tabTo(/^Height of every ring/, 'textbox');
  await page.keyboard.type('5/8');
  await page.keyboard.press('Enter');
  await expect(totals(page)).toContainText('in 8 rings');
  await tabTo(/^Ring 7$/, 'button');
  await page.keyboard.press('ArrowDown');
  await expect(page).toHaveURL(/\/rings\/[^/]+$/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Ring 6 from above' })).toBeVisible();
  await tabTo(/^Measured diameter/, 'textbox');
  await page.keyboard.type('9');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await tabTo(/^Look at/, 'button');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toContainText(/Ring 6 is .* short of the wall/);
  await tabTo(/^Cut ring 6 to suit the form/, 'button');
  await page.keyboard.press('Enter');
  await expect(totals(page)).not.toContainText('short of the wall');
});

test('curves never cross: an edit that would is held back, says why, and Escape puts all back', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup');
  const start = await settled(page);
  await drag(page, /^Curve point 3/, 0, -300, false);
  await expect(page.getByText(/has to be above curve point/)).toBeVisible();
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect(totals(page)).toHaveText(start, { useInnerText: true });
  await expect(page.getByRole('button', { name: /^Undo/ })).toBeDisabled();

  await page.getByLabel('its own curve').check();
  await drag(page, /^Inside point 3/, -200, 0, false);
  await expect(page.getByText(/has to stay between the curves/)).toBeVisible();
  await page.mouse.up();
  await page.getByLabel('wall thickness').check();
  await expect(page.getByLabel('Wall, square to curve')).toBeVisible();
});

test('points are added by a double click and taken away with Delete; undo leads back after a reload', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Honey Class Jar');
  const points = page.getByRole('slider', { name: /^Curve point/ });
  await expect(points).toHaveCount(7);
  const [low, high] = [await points.nth(2).boundingBox(), await points.nth(3).boundingBox()];
  await page.mouse.dblclick((low!.x + high!.x) / 2 + 6.5, (low!.y + high!.y) / 2 + 6.5);
  await expect(points).toHaveCount(8);
  await points.nth(3).focus();
  await page.keyboard.press('Delete');
  await expect(points).toHaveCount(7);
  await page.getByText('Foot recess').click();
  await page.getByLabel('Hollow the bottom').check();
  await saved(page);
  await page.reload();
  for (const step of ['Foot recess', 'Remove curve point', 'Add curve point'])
    await page.getByRole('button', { name: `Undo ${step}` }).click();
  await expect(page.getByRole('button', { name: /^Undo/ })).toBeDisabled();
});

test('the outside goes out as SVG, DXF and CSV and comes in again; nonsense is refused', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup');
  await page.getByText('Outside to and from files').click();
  const size = await settled(page);
  for (const format of ['SVG', 'DXF', 'CSV']) {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: `Save the outside as ${format}` }).click(),
    ]);
    const path = (await download.path())!;
    const chooser = page.getByLabel('Outside from an SVG, DXF or CSV file');
    await page.getByLabel('Widest diameter').fill('5');
    await page.getByLabel('Widest diameter').press('Enter');
    await expect(totals(page)).toContainText('× 5"');
    await chooser.setInputFiles({
      name: download.suggestedFilename(),
      mimeType: 'text/plain',
      buffer: readFileSync(path),
    });
    await expect(totals(page)).toHaveText(size, { useInnerText: true });
  }
  await page.getByLabel('Outside from an SVG, DXF or CSV file').setInputFiles({
    name: 'notes.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('a bowl, about so big\n'),
  });
  await expect(page.getByText(/at least two points|each row has a radius/)).toBeVisible();
});

test('a picture lies underneath, scaled by two clicks and a length', async ({ page, fellside }) => {
  await open(page, fellside, 'Fell Race Cup');
  await page.getByText('Picture underneath').click();
  await page.getByLabel('Picture to lie underneath, PNG or JPEG').setInputFiles('docs/screenshots/form.png');
  const picture = page.getByRole('application', { name: /^The picture/ });
  const box = (await picture.boundingBox())!;
  const click = (x: number, y: number) => page.mouse.click(box.x + box.width * x, box.y + box.height * y);
  await click(0.3, 0.2);
  await click(0.3, 0.8);
  // The third by keyboard: from the middle, ten steps of a fiftieth of the width to the left.
  await picture.focus();
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Enter');
  await page.getByLabel('Length between the two ends').fill('10');
  await page.getByRole('button', { name: 'Lay it underneath' }).click();
  // 0.6 of 800 px for 254 mm: 0.529 mm a pixel, the axis at 0.3 of 1280 px.
  expect(Number(await page.getByLabel('Millimetres a pixel').inputValue())).toBeCloseTo(254 / 480, 2);
  expect(Number(await page.getByLabel('Axis at pixel').inputValue())).toBeCloseTo(384, -1);
  await expect(page.locator('svg image')).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.locator('svg image')).toBeVisible();
  await page.getByLabel('Picture to lie underneath, PNG or JPEG').setInputFiles({
    name: 'a.png',
    mimeType: 'image/png',
    buffer: Buffer.from('no picture'),
  });
  await expect(page.getByText('The picture is neither a PNG nor a JPEG.')).toBeVisible();
});
