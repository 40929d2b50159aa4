import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { open, saved, sound, test, totals } from './server.js';

const wall = (page: Page) => page.getByRole('region', { name: 'Wall, unrolled' });
const row = (page: Page, ring: number) => wall(page).locator(`[data-ring="${ring}"]`);
const woods = (page: Page, ring: number) => row(page, ring).getAttribute('data-woods');
const panel = (page: Page) => page.getByRole('complementary', { name: 'Pattern' });
const tool = (page: Page, name: string) =>
  page.getByRole('group', { name: 'Tool' }).getByRole('button', { name }).click();

/** Clicks a segment of an aligned ring of so many, where it lies on the wall. */
async function touch(page: Page, ring: number, place: number, of = 24) {
  const box = (await row(page, ring).boundingBox())!;
  await page.mouse.click(box.x + (box.width * (place + 0.5)) / of, box.y + box.height / 2);
}

/** The bytes of a file that a press hands over. */
async function taken(
  page: Page,
  press: () => Promise<void>,
  timeout = 60_000,
): Promise<{ name: string; bytes: Buffer }> {
  const [file] = await Promise.all([page.waitForEvent('download', { timeout }), press()]);
  return { name: file.suggestedFilename(), bytes: readFileSync(await file.path()) };
}

/** How many different colours a canvas shows, looked at in a grid. */
const coloursOf = (page: Page, canvas: string) =>
  page
    .locator(canvas)
    .first()
    .evaluate((element: HTMLCanvasElement) => {
      const copy = document.createElement('canvas');
      [copy.width, copy.height] = [60, 60];
      const context = copy.getContext('2d')!;
      context.drawImage(element, 0, 0, 60, 60);
      const { data } = context.getImageData(0, 0, 60, 60);
      const met = new Set<number>();
      for (let i = 0; i < data.length; i += 4)
        met.add(((data[i]! >> 4) << 8) | ((data[i + 1]! >> 4) << 4) | (data[i + 2]! >> 4));
      return met.size;
    });

test('paint, repeat, motif, swap a wood, undo all, reload', async ({ page, fellside }) => {
  await open(page, fellside, 'Fell Race Cup', 'Pattern');
  const before = await Promise.all([7, 9, 11].map((ring) => woods(page, ring)));

  await page.locator('body').press('3');
  await expect(page.getByRole('button', { name: /Purpleheart/, pressed: true })).toBeVisible();
  await page.getByLabel('Times round').fill('6');
  await page.getByLabel('Times round').press('Enter');
  await touch(page, 9, 1);
  await expect(row(page, 9)).not.toHaveAttribute('data-woods', before[1]!);
  const painted = (await woods(page, 9))!;
  expect(painted).toMatch(/purpleheart (6|7|8|9|10)/);

  await row(page, 10).click({ position: { x: 20, y: 8 } });
  await row(page, 13).click({ position: { x: 20, y: 8 }, modifiers: ['Shift'] });
  await panel(page).getByRole('button', { name: 'Chequer' }).click();
  await expect(row(page, 11)).toHaveAttribute('data-woods', /maple 12, .*walnut 12|walnut 12, .*maple 12/);
  await panel(page).getByRole('textbox', { name: 'Repeats round the piece' }).fill('5');
  await panel(page).getByRole('textbox', { name: 'Repeats round the piece' }).press('Enter');
  await expect(panel(page)).toContainText('24 segments in rings 10 to 13 do not divide by 10');
  await panel(page).getByRole('button', { name: '30 segments' }).click();
  await expect(row(page, 11)).toHaveAttribute('data-woods', /15, .* 15/);

  await panel(page)
    .getByRole('combobox', { name: /^Wood 2/ })
    .selectOption('Wenge');
  await expect(totals(page)).toContainText('Wenge');
  await saved(page);
  await page.reload();
  await expect(row(page, 11)).toHaveAttribute('data-woods', /15, .* 15/);
  await expect(totals(page)).toContainText('Wenge');

  const undo = page.getByRole('button', { name: /^Undo/ });
  for (let step = 0; step < 12 && (await undo.isEnabled()); step++) await undo.click();
  await expect(undo).toBeDisabled();
  expect(await Promise.all([7, 9, 11].map((ring) => woods(page, ring)))).toEqual(before);
  await saved(page);
});

test('a drag paints along as one step, Escape puts it back; column, diagonal, patch and picking up', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Best Fleece Bowl', 'Pattern');
  const undo = page.getByRole('button', { name: /^Undo/ });
  await page.locator('body').press('2');
  const box = (await row(page, 4).boundingBox())!;
  const y = box.y + box.height / 2;
  const drag = async (end: () => Promise<void>) => {
    await page.mouse.move(box.x + box.width * 0.1, y);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width * 0.5, y, { steps: 12 });
    await end();
    await page.mouse.up();
  };
  const before = await woods(page, 4);
  await drag(async () => {
    await expect(row(page, 4)).not.toHaveAttribute('data-woods', before!);
    await page.keyboard.press('Escape');
  });
  await expect(row(page, 4)).toHaveAttribute('data-woods', before!);
  await expect(undo).toBeDisabled();
  await drag(async () => {});
  await expect(row(page, 4)).not.toHaveAttribute('data-woods', before!);
  await undo.click();
  await expect(row(page, 4)).toHaveAttribute('data-woods', before!);
  await expect(undo).toBeDisabled();

  for (const [name, label] of [
    ['Column', 'Undo Paint a column'],
    ['Diagonal', 'Undo Paint a diagonal'],
    ['Ring', 'Undo Paint a ring'],
    ['Patch', 'Undo Fill a patch'],
  ] as const) {
    await tool(page, name);
    await page.locator('body').press(name === 'Patch' ? '1' : '2');
    await page.mouse.click(box.x + box.width * 0.3, y);
    await expect(page.getByRole('button', { name: label })).toBeEnabled();
  }
  await tool(page, 'Pick up');
  await page.mouse.click(box.x + box.width * 0.3, y);
  await expect(page.getByRole('group', { name: 'Paint with' }).locator('[aria-pressed=true]')).toHaveCount(1);
});

test('a block is marked, copied, kept, pasted; a motif is kept and used in another piece; files go out and in', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup', 'Pattern');
  await tool(page, 'Block');
  const [low, high] = [(await row(page, 8).boundingBox())!, (await row(page, 10).boundingBox())!];
  await page.mouse.move(low.x + low.width * 0.05, low.y + low.height / 2);
  await page.mouse.down();
  await page.mouse.move(high.x + high.width * 0.2, high.y + high.height / 2, { steps: 8 });
  await page.mouse.up();
  await expect(page.getByText(/^Rings 8 to 10, \d+°$/)).toBeVisible();
  await page.getByRole('button', { name: 'Copy' }).click();
  await page.getByRole('region', { name: 'Painting' }).getByRole('button', { name: 'Keep…' }).click();
  await page.getByLabel('Name of the pattern').fill('Corner of the cup');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await panel(page).getByText('Kept patterns').click();
  await expect(panel(page)).toContainText('Corner of the cup');
  const file = await taken(page, () =>
    panel(page).getByRole('button', { name: 'File', exact: true }).click(),
  );
  expect(JSON.parse(file.bytes.toString())).toMatchObject({
    fellside: 'pattern',
    pattern: { holds: 'block' },
  });

  await open(page, fellside, 'Honey Class Jar', 'Pattern');
  await panel(page).getByText('Kept patterns').click();
  await panel(page).getByRole('button', { name: 'Paste here' }).click();
  await expect(page.getByRole('button', { name: 'Undo Lay “Corner of the cup”' })).toBeEnabled();
  await panel(page)
    .getByLabel('Pattern file to read')
    .setInputFiles({ name: 'again.json', mimeType: 'application/json', buffer: file.bytes });
  await expect(panel(page).getByText('Corner of the cup')).toHaveCount(2);
  await panel(page)
    .getByLabel('Pattern file to read')
    .setInputFiles({ name: 'bad.json', mimeType: 'application/json', buffer: Buffer.from('{}') });
  await expect(page.getByText(/not a Fellside pattern file/)).toBeVisible();
});

test('letters and a picture are set into rings as ordinary places', async ({ page, fellside }) => {
  await open(page, fellside, 'Fell Race Cup', 'Pattern');
  await row(page, 8).click({ position: { x: 20, y: 8 } });
  await row(page, 12).click({ position: { x: 20, y: 8 }, modifiers: ['Shift'] });
  await panel(page)
    .getByText(/^Letters into/)
    .click();
  await panel(page).getByLabel('Text').fill('Hollin Tarn');
  await panel(page).getByRole('button', { name: 'Set the letters' }).click();
  await expect(page.getByText(/^The letters take 56 segments/)).toBeVisible();
  await panel(page).getByLabel('Text').fill('Tarn');
  await panel(page).getByRole('button', { name: 'Set the letters' }).click();
  await expect(page.getByRole('button', { name: 'Undo Set “Tarn”' })).toBeEnabled();
  await panel(page).getByLabel('Face').selectOption('Literata');
  await panel(page).getByLabel('Text').fill('A');
  await panel(page).getByRole('button', { name: 'Set the letters' }).click();
  await expect(page.getByRole('button', { name: 'Undo Set “A”' })).toBeEnabled();

  await panel(page)
    .getByText(/^A picture over/)
    .click();
  const picture =
    '<svg xmlns="http://www.w3.org/2000/svg" width="40" height="20"><rect width="20" height="20" fill="#75375b"/><rect x="20" width="20" height="20" fill="#e6d2aa"/></svg>';
  await panel(page)
    .getByLabel('Picture to lay in woods, PNG, JPEG or SVG')
    .setInputFiles({ name: 'halves.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(picture) });
  await panel(page).getByLabel('Wide, degrees').fill('360');
  await panel(page).getByLabel('Wide, degrees').press('Enter');
  await panel(page).getByRole('button', { name: 'Lay the picture' }).click();
  await expect(row(page, 8)).toHaveAttribute('data-woods', /12, .* 12/);
  await expect(row(page, 10)).toHaveAttribute('data-woods', /purpleheart 12/);
});

test('whether it shows: the weakest pair, another age, other eyes', async ({ page, fellside }) => {
  await open(page, fellside, 'Fell Race Cup', 'Pattern');
  const shows = panel(page).locator('details', { hasText: 'Is it going to show?' });
  await expect(shows).toContainText(/Weakest: .+ beside .+, \d+/);
  const drawn = () =>
    page.locator('body').evaluate(() => {
      const canvas = document.querySelector<HTMLCanvasElement>('canvas[data-drawn]')!;
      return canvas.toDataURL().length;
    });
  await expect.poll(() => coloursOf(page, 'canvas[data-drawn]')).toBeGreaterThan(10);
  // Both panes ask for the same wall, and both get it.
  const unrolled = 'section[aria-label^="Wall, unrolled"] canvas[data-drawn]';
  await expect.poll(() => coloursOf(page, unrolled)).toBeGreaterThan(10);
  const fresh = await drawn();
  await shows.getByRole('slider').fill('20');
  await expect(shows).toContainText('20 years');
  await expect.poll(drawn).not.toBe(fresh);
  await shows.getByLabel('Seen').selectOption('in grey');
  await expect
    .poll(() =>
      page
        .locator('canvas[data-drawn]')
        .first()
        .evaluate((canvas: HTMLCanvasElement) => {
          const { width, height } = canvas;
          const { data } = canvas.getContext('2d')!.getImageData(0, 0, width, height);
          return data.every(
            (value, i) => i % 4 === 3 || i % 4 === 0 || Math.abs(value - data[i - (i % 4)]!) < 12,
          );
        }),
    )
    .toBe(true);
});

test('panes are saved as pictures of any size, the wall as SVG and on pages', async ({ page, fellside }) => {
  await open(page, fellside, 'Fell Race Cup', 'Rings');
  await page.getByRole('button', { name: 'Save as…' }).click();
  const menu = page.getByRole('dialog', { name: 'Save as' });
  await menu.getByLabel('Picture, px wide').fill('500');
  await menu.getByLabel('Picture, px wide').press('Enter');
  for (const pane of [
    'Outside, from the front',
    'Wall, unrolled',
    'Inside of the wall, unrolled',
    'Cut through and outside, as shown',
  ]) {
    await menu.getByLabel('Pane').selectOption(pane);
    const { name, bytes } = await taken(page, () =>
      menu.getByRole('button', { name: 'Picture, PNG' }).click(),
    );
    expect(name).toMatch(/\.png$/);
    expect(bytes.readUInt32BE(16)).toBe(500);
    expect(bytes.length).toBeGreaterThan(5000);
  }
  await menu.getByLabel('Picture, px wide').fill('9');
  await menu.getByLabel('Picture, px wide').press('Enter');
  await expect(menu).toContainText('has to be a whole number from 16 to 8000');
  await menu.getByLabel('Picture, px wide').fill('500');
  await menu.getByLabel('Picture, px wide').press('Enter');
  const svg = await taken(page, () =>
    menu.getByRole('button', { name: 'Wall, unrolled, full size, SVG' }).click(),
  );
  expect(svg.bytes.toString()).toContain('<polygon');
  await menu.getByLabel('Paper').selectOption('Letter');
  const zip = await taken(page, () => menu.getByRole('button', { name: /pages of Letter/ }).click());
  expect(zip.bytes.subarray(0, 2).toString()).toBe('PK');
});

test.describe('drawn in space', () => {
  test.use({ turntable: true });

  test('the turntable shows the piece, turns, comes apart, is painted on, and gives pictures and models', async ({
    page,
    fellside,
  }) => {
    await open(page, fellside, 'Shepherd’s Lantern', 'Pattern');
    await page.getByRole('link', { name: 'Larger' }).click();
    await expect(page).toHaveURL(/\/pattern\/turntable$/);
    // The station before it, with a turntable in its panel, stands until the large one has come.
    await expect(page.getByLabel('Together to apart')).toBeVisible();
    const scene = page.getByRole('img', { name: /^The piece in space/ });
    await expect(scene).toBeVisible();
    /** Different colours in a picture of the scene, looked at in a grid: a blank one has a handful. */
    const colours = async () =>
      page.evaluate(
        async (encoded) => {
          const image = new Image();
          image.src = `data:image/png;base64,${encoded}`;
          await image.decode();
          const canvas = Object.assign(document.createElement('canvas'), { width: 80, height: 60 });
          const context = canvas.getContext('2d')!;
          context.drawImage(image, 0, 0, 80, 60);
          const { data } = context.getImageData(0, 0, 80, 60);
          const met = new Set<number>();
          for (let i = 0; i < data.length; i += 4)
            met.add(((data[i]! >> 4) << 8) | ((data[i + 1]! >> 4) << 4) | (data[i + 2]! >> 4));
          return met.size;
        },
        (await scene.screenshot()).toString('base64'),
      );
    await expect.poll(colours).toBeGreaterThan(30);
    const frames = () => scene.locator('canvas').evaluate((canvas) => Number(canvas.dataset.frames));

    const box = (await scene.boundingBox())!;
    const still = await frames();
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + 120, box.y + box.height / 2, { steps: 6 });
    await page.mouse.up();
    await expect.poll(frames).toBeGreaterThan(still);
    await page.getByLabel('As glued to as turned').fill('0');
    await expect(page.getByRole('img', { name: /as glued/ })).toBeVisible();
    await page.getByLabel('As glued to as turned').fill('100');
    await page.getByLabel('Quarter cut away').check();
    await page.getByLabel('Quarter cut away').uncheck();

    await page.locator('body').press('2');
    await page.mouse.click(box.x + box.width / 2, box.y + box.height * 0.58);
    await expect(page.getByRole('button', { name: 'Undo Paint 1 place' })).toBeEnabled();

    await page.getByRole('button', { name: 'Save as…' }).click();
    await page.getByLabel('Picture, px wide').fill('640');
    await page.getByLabel('Picture, px wide').press('Enter');
    const picture = await taken(page, () => page.getByRole('button', { name: 'Picture, PNG' }).click());
    expect([picture.bytes.readUInt32BE(16), picture.bytes.readUInt32BE(20)]).toEqual([640, 2160]);
    expect(picture.bytes.length).toBeGreaterThan(10_000);
    // Sixty pictures, each drawn by software here; the page's own is not drawn beside them.
    const before = await frames();
    const loop = await taken(
      page,
      () => page.getByRole('button', { name: 'Turning loop, GIF' }).click(),
      180_000,
    );
    expect(await frames()).toBeLessThan(before + 10);
    expect(loop.bytes.subarray(0, 6).toString()).toBe('GIF89a');
    expect(loop.bytes.toString('latin1')).toContain('NETSCAPE2.0');
    const glb = await taken(page, () => page.getByRole('button', { name: 'Turned piece, GLB' }).click());
    expect(glb.bytes.subarray(0, 4).toString()).toBe('glTF');
    const json = JSON.parse(glb.bytes.subarray(20, 20 + glb.bytes.readUInt32LE(12)).toString());
    expect(json.materials.map(({ name }: { name: string }) => name).sort()).toEqual([
      'Black cherry',
      'Black walnut',
      'Hard maple',
    ]);
    const stl = await taken(page, () => page.getByRole('button', { name: 'Blank as glued, STL' }).click());
    const triangles = stl.bytes.readUInt32LE(80);
    expect(stl.bytes.length).toBe(84 + 50 * triangles);
    expect(triangles).toBeGreaterThan(5000);
  });

  test('no accessibility violations at the Pattern station and on the large turntable', async ({
    page,
    fellside,
  }) => {
    for (const piece of ['Fell Race Cup', 'Shepherd’s Lantern']) {
      await open(page, fellside, piece, 'Pattern');
      await tool(page, 'Diagonal');
      await panel(page).getByRole('button', { name: 'Tumbling blocks' }).click();
      await sound(page);
    }
    await page.getByRole('link', { name: 'Larger' }).click();
    await expect(page.getByLabel('Together to apart')).toBeVisible();
    await sound(page);
  });
});
