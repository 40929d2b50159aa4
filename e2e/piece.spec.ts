import { expect } from '@playwright/test';
import { go, open, saved, settled, test, totals } from './server.js';

test('a piece from nothing: twelve segments, the long edge and the board feet read off, a reload, all there', async ({
  page,
  fellside,
}) => {
  await page.goto(fellside.url);
  await page.getByRole('button', { name: 'New piece' }).click();
  await page.getByText('Cylinder box').click();
  await page.getByLabel('Name').fill('Sheepdog Box');
  await page.getByLabel('Height, inches', { exact: true }).fill('3 3/4');
  await page.getByLabel('Widest diameter, inches').fill('7 11/16');
  await page.getByLabel('Segments a ring').fill('16');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page).toHaveURL(/\/piece\/.+\/form$/);

  await go(page, 'Rings');
  await page.getByLabel('Segments', { exact: true }).fill('12');
  await page.getByLabel('Segments', { exact: true }).press('Enter');
  await saved(page);
  await go(page, 'Cuts');
  // outside radius 7 11/16 / 2 in and 4 mm allowance: 4.0012 in; long edge 2 · 4.0012 · tan 15° = 2.1442 in
  const row = page.getByRole('region', { name: 'Pieces' }).getByRole('row', { name: /^Ring 5 / });
  await expect(row).toContainText('12');
  await expect(row).toContainText('15°');
  await expect(row).toContainText('2 9/64"');
  const feet = page.locator('[data-wood="sugar-maple"][data-row="boards"]');
  await expect(feet).toHaveText(/[1-9]/);
  const before = await feet.innerText();
  expect(Number.parseFloat(before)).toBeGreaterThan(0.5);

  await page.reload();
  await expect(row).toContainText('2 9/64"');
  await expect(feet).toHaveText(before);
  await expect(page.getByLabel('Name of the piece')).toHaveValue('Sheepdog Box');
});

test('bad numbers are refused with a sentence, in new pieces and in fields, and change nothing', async ({
  page,
  fellside,
}) => {
  await page.goto(fellside.url);
  await page.getByRole('button', { name: 'New piece' }).click();
  await page.getByLabel('Wall, inches').fill('thick');
  await page.getByLabel('Segments a ring').fill('2');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('alert')).toContainText('“thick” is not a length');
  await page.getByLabel('Wall, inches').fill('1/4');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('alert')).toContainText(
    'Segment count is 2; it has to be a whole number from 3 to 360',
  );
  await page.getByRole('button', { name: 'Cancel' }).click();

  await open(page, fellside, 'Fell Race Cup');
  const wall = page.getByLabel('Wall, square to curve');
  for (const [typed, sentence] of [
    ['9', /fills the form/],
    ['-1/4', /Wall thickness is −1\/4"/],
    ['1/0', /is not a length/],
  ] as const) {
    await wall.fill(typed);
    await wall.press('Enter');
    await expect(page.getByRole('alert').first()).toContainText(sentence);
    await wall.press('Escape');
    await wall.blur();
    await expect(wall).toHaveValue('9/32"');
  }
  await expect(page.getByRole('button', { name: /^Undo/ })).toBeDisabled();
});

test('height, diameter, wall, ring height and segments: every figure follows, and undo leads back, after a reload too', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup');
  const foot = totals(page);
  const start = await settled(page);
  const set = async (label: string, value: string) => {
    await page.getByLabel(label, { exact: true }).fill(value);
    await page.getByLabel(label, { exact: true }).press('Enter');
  };
  await set('Height', '12');
  await expect(foot).toContainText('12" × 6 5/8"');
  await expect(page.getByText('rings added on top')).toBeVisible();
  await set('Widest diameter', '7');
  await expect(foot).toContainText('12" × 7"');
  await set('Wall, square to curve', '3/8');
  await page.getByRole('textbox', { name: 'Segments of ring 9' }).fill('18');
  await page.getByRole('textbox', { name: 'Segments of ring 9' }).press('Enter');
  await expect(page.getByRole('row', { name: /^Ring 9\b/ })).toContainText(/1 \d+\/\d+"/);
  await page.getByRole('textbox', { name: 'Height of ring 9' }).fill('1/2');
  await page.getByRole('textbox', { name: 'Height of ring 9' }).press('Enter');
  await page.getByRole('button', { name: /^Look at/ }).click();
  await page.getByRole('button', { name: 'Add rings on top' }).click();
  await expect(page.getByRole('textbox', { name: 'Height of ring 9' })).toHaveValue('1/2"');
  await saved(page);
  await page.reload();
  for (let i = 0; i < 6; i++) await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(foot).toHaveText(start.replace(/\s+/g, ' '), { useInnerText: true });
  await page.keyboard.press('Control+Shift+z');
  await expect(foot).toContainText('12" × 6 5/8"');
});

test('units change in one press: fractions, decimals, millimetres', async ({ page, fellside }) => {
  await open(page, fellside, 'Fell Race Cup');
  const foot = totals(page);
  await expect(foot).toContainText('10 1/2" × 6 5/8"');
  await page.getByRole('button', { name: 'inches · 1/64' }).click();
  await expect(foot).toContainText('10.500" × 6.625"');
  await page.getByRole('button', { name: 'inches · 0.001' }).click();
  await expect(foot).toContainText('266.7 mm × 168.27 mm');
});

test('woods: a segment painted by pointer and by keyboard, a whole ring, a wood swapped everywhere', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Honey Class Jar', 'Rings');
  const wall = page.getByRole('region', { name: 'Wall, unrolled' });
  /** A segment of an aligned ring of twelve, where it lies on the wall. */
  const at = async (ring: number, place: number) => {
    const box = (await wall.locator(`[data-ring="${ring}"]`).boundingBox())!;
    return { x: box.x + (box.width * (place + 0.5)) / 12, y: box.y + box.height / 2 };
  };
  const shows = async (ring: number, place: number, wood: string) => {
    const { x, y } = await at(ring, place);
    await page.mouse.move(x, y);
    await expect(wall.getByText(`ring ${ring}, segment ${place + 1} of 12: ${wood}`)).toBeVisible();
  };
  await page
    .getByRole('button', { name: 'Y Yellowheart' })
    .or(page.getByRole('button', { name: 'Yellowheart' }))
    .first()
    .click();
  await shows(2, 0, 'Yellowheart');
  await shows(2, 1, 'Osage-orange');
  const { x, y } = await at(2, 1);
  await page.mouse.click(x, y);
  await shows(2, 1, 'Yellowheart');

  const walker = page.getByRole('application');
  await walker.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await shows(2, 3, 'Yellowheart');

  await page.getByRole('button', { name: 'Whole of ring 2' }).click();
  await shows(2, 11, 'Yellowheart');
  await page
    .getByLabel('Swap it everywhere for')
    .selectOption({ label: 'Padauk' })
    .catch(() => page.getByLabel('Swap it everywhere for').selectOption({ label: 'African padauk' }));
  await expect(totals(page)).toContainText('African padauk');
  await saved(page);
});
