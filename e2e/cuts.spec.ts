import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { go, open, sound, test } from './server.js';

const boards = (page: Page) => page.getByRole('region', { name: 'Boards', exact: true });

/** Turns to a page of Cuts. */
const turnTo = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Cuts' }).getByRole('link', { name, exact: true }).click();

async function toBoards(page: Page) {
  await turnTo(page, 'Boards');
  await expect(boards(page).getByRole('heading', { name: 'Boards', exact: true })).toBeVisible();
}

const solved = (page: Page) => expect(page.getByText('Solved.')).toBeVisible();

async function enter(page: Page, fields: Readonly<Record<string, string>>, wood: string) {
  await page.getByRole('button', { name: 'Enter a board' }).click();
  const dialog = page.getByRole('dialog', { name: 'Enter a board' });
  await dialog.getByLabel('Wood', { exact: true }).selectOption({ label: wood });
  for (const [label, text] of Object.entries(fields)) {
    await dialog.getByLabel(label, { exact: true }).fill(text);
    await dialog.getByLabel(label, { exact: true }).press('Tab');
  }
  return dialog;
}

test('boards are entered, pieces laid out, what is short is seen and bought, and the sheets printed', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Best Fleece Bowl', 'Cuts');
  await solved(page);
  const short = page.getByRole('region', { name: 'To buy', exact: true });
  await expect(short).toContainText('American sycamore');
  await toBoards(page);
  await page.getByLabel('Buy what is short').uncheck();
  await turnTo(page, 'Wood');
  await expect(short.getByText(/American sycamore: short of/).first()).toBeVisible();
  // A board of it is entered: nothing of it is short any more.
  await toBoards(page);
  await page.getByRole('link', { name: 'Boards on hand' }).click();
  const list = page.getByRole('table', { name: 'Boards on hand' });
  await expect(list).toBeVisible();
  const before = await list.getByRole('row').count();
  const dialog = await enter(
    page,
    { Length: '2000mm', Width: '4mm', Thickness: '25.4mm' },
    'American sycamore',
  );
  await dialog.getByRole('button', { name: 'Keep the board' }).click();
  await expect(dialog.getByRole('alert')).toContainText('Width of the board is');
  await dialog.getByLabel('Width', { exact: true }).fill('260mm');
  await dialog.getByLabel('Width', { exact: true }).press('Tab');
  await dialog.getByRole('button', { name: 'Defect' }).click();
  await dialog.getByRole('button', { name: 'Keep the board' }).click();
  await expect(dialog).toBeHidden();
  await expect(list.getByRole('row')).toHaveCount(before + 1);
  await expect(list.getByRole('img', { name: 'Board with knot' }).first()).toBeVisible();
  await page.goBack();
  await solved(page);
  await expect(
    page.getByRole('region', { name: 'American sycamore' }).getByRole('img').first(),
  ).toBeVisible();
  // One board is opened: where it is crosscut, its cuts in order, its strips.
  await page.getByRole('link', { name: 'Board 1', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Cuts of this board' })).toContainText(/Joint one long edge/);
  const strips = page.getByRole('region', { name: 'Strips of this board' }).getByRole('row');
  expect(await strips.count()).toBeGreaterThan(1);
  await page.getByRole('link', { name: 'All boards' }).click();
  // A click on a piece selects its ring, and the stops show it; the other way round as well.
  await boards(page).locator('[data-piece="ring 5"]').first().click();
  await turnTo(page, 'Rip and mitre');
  const mitre = page.getByRole('region', { name: 'Mitre' });
  await expect(mitre.locator('tr.bg-teal-wash').first()).toContainText('ring 5');
  await turnTo(page, 'Wood');
  await expect(short.getByText(/American sycamore: short of/)).toBeHidden();
  // Papers: what is on the screen is printed.
  await turnTo(page, 'Papers');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Shop sheets, PDF' }).click();
  const file = readFileSync((await (await download).path())!);
  expect(file.subarray(0, 5).toString()).toBe('%PDF-');
  await expect(page.getByText('The sheets are in your downloads.')).toBeVisible();
  await page.getByLabel('Format').selectOption('DXF');
  const drawing = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Boards as sawn', exact: true }).click();
  expect(readFileSync((await (await drawing).path())!, 'utf8')).toContain('PIECES');
  // When it is sawn the boards are gone and offcuts are there.
  const sawn = async () => {
    const button = page.getByRole('button', { name: 'These boards are sawn' });
    await expect(button).toBeEnabled();
    await button.click();
  };
  await turnTo(page, 'Wood');
  await solved(page);
  await sawn();
  await expect(page.getByText(/boards are taken out, \d+ offcuts put in/)).toBeVisible();
  await page.getByRole('button', { name: 'Put the boards back' }).click();
  await expect(page.getByText('The boards are back, the offcuts gone.')).toBeVisible();
  await solved(page);
  await sawn();
  await expect(page.getByText(/boards are taken out, \d+ offcuts put in/)).toBeVisible();
  await toBoards(page);
  await page.getByRole('link', { name: 'Boards on hand' }).click();
  await expect(list.getByText('Offcut of Best Fleece Bowl').first()).toBeVisible();
});

test('rip list, stops and a board are read and followed at widths of 820 and 390', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup', 'Cuts');
  for (const width of [820, 390]) {
    await page.setViewportSize({ width, height: 1000 });
    await turnTo(page, 'Rip and mitre');
    await solved(page);
    const rip = page.getByRole('region', { name: 'Rip', exact: true });
    const wide = await rip.evaluate((pane) => pane.scrollWidth - pane.clientWidth);
    expect(wide).toBeLessThanOrEqual(1);
    const body = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
    expect(body).toBeLessThanOrEqual(0);
    await rip.getByRole('link', { name: 'Board 1', exact: true }).first().click();
    await expect(page.getByRole('heading', { name: /^Board 1: / })).toBeVisible();
    const drawing = await page
      .getByRole('region', { name: 'Boards', exact: true })
      .getByRole('img')
      .first()
      .boundingBox();
    expect(drawing!.width).toBeLessThanOrEqual(width);
    expect(drawing!.width).toBeGreaterThan(width / 2);
  }
});

test('on a tablet: a board is entered, laid out and opened, what is sawn is taken out and put back', async ({
  page,
  fellside,
}) => {
  await page.setViewportSize({ width: 820, height: 1180 });
  await page.goto(`${fellside.url}/woods`);
  const list = page.getByRole('table', { name: 'Boards on hand' });
  const count = () => list.getByRole('row').count();
  await expect(list).toBeVisible();
  const before = await count();
  const dialog = await enter(page, { Length: '2000mm', Width: '200mm', Thickness: '25.4mm' }, 'Hard maple');
  await dialog.getByRole('button', { name: 'Keep the board' }).click();
  await expect(list.getByRole('row')).toHaveCount(before + 1);
  await open(page, fellside, 'Honey Class Jar', 'Cuts');
  await solved(page);
  await turnTo(page, 'Rip and mitre');
  const mitre = page.getByRole('region', { name: 'Mitre' });
  const stop = mitre.getByRole('rowheader').first();
  await expect(stop).toHaveText(/^\d+( \d+\/\d+)?"$/);
  await mitre.getByLabel('Exact figures').check();
  await expect(stop).toHaveText(/^\d+\.\d{4}"$/);
  await toBoards(page);
  await page.getByRole('link', { name: 'Board 1', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Cuts of this board' })).toContainText(/Joint one long edge/);
  await turnTo(page, 'Wood');
  await page.getByRole('button', { name: 'These boards are sawn' }).click();
  await expect(page.getByText(/boards? (is|are) taken out/)).toBeVisible();
  await page.getByRole('button', { name: 'Put the boards back' }).click();
  await expect(page.getByText('The boards are back, the offcuts gone.')).toBeVisible();
  await page.goto(`${fellside.url}/woods`);
  await expect(list.getByRole('row')).toHaveCount(before + 1);
});

test('a running layout is stopped, keeps what it has, and goes on', async ({ page, fellside }) => {
  await page.route('**/*.wasm', async (route) => {
    // The solver is slow to come: there is time to stop it.
    await new Promise((go) => setTimeout(go, 4000));
    await route.continue().catch(() => {});
  });
  await open(page, fellside, 'Fell Race Cup', 'Cuts');
  await toBoards(page);
  await expect(page.getByText('A layout stands; better ones are being looked for')).toBeVisible();
  await page.getByRole('button', { name: /Stop/ }).click();
  await expect(page.getByText(/Stopped: 0 of 3 woods are solved/)).toBeVisible();
  await expect(
    boards(page)
      .getByText(/laid out at once, not solved; no layout at all needs less than \d/)
      .first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Go on' }).click();
  await solved(page);
  await expect(
    boards(page)
      .getByText(/so sawn, nothing needs less; no layout at all needs less than/)
      .first(),
  ).toBeVisible();
});

test('boards from a CSV: wrong lines are told, none is taken before it is asked', async ({
  page,
  fellside,
}) => {
  await page.goto(`${fellside.url}/woods`);
  const list = page.getByRole('table', { name: 'Boards on hand' });
  await expect(list).toBeVisible();
  const before = await list.getByRole('row').count();
  const give = (text: string) =>
    page
      .getByLabel('A CSV file of boards')
      .setInputFiles({ name: 'boards.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await give('wood,length mm\r\nhard maple,2000');
  const dialog = page.getByRole('dialog', { name: 'Not all of it can be read' });
  await expect(dialog).toContainText('Line 1 has no column “width mm”');
  await dialog.getByRole('button', { name: 'Take none' }).click();
  await expect(list.getByRole('row')).toHaveCount(before);
  await give('wood,length mm,width mm,thickness mm\r\nhard maple,2000,150,25\r\nhard maple,2000,1,25');
  await expect(dialog).toContainText('Line 3: Width of the board is');
  await dialog.getByRole('button', { name: 'Take the 1 that can be read' }).click();
  await expect(list.getByRole('row')).toHaveCount(before + 1);
  await page
    .getByRole('button', { name: /^Split Hard maple/ })
    .first()
    .click();
  await page.getByRole('dialog', { name: 'Split a board' }).getByRole('button', { name: 'Split it' }).click();
  await expect(list.getByRole('row')).toHaveCount(before + 2);
});

test('the pages of Cuts and the boards have no accessibility violations', async ({ page, fellside }) => {
  await open(page, fellside, 'Best Fleece Bowl', 'Cuts');
  for (const name of ['Wood', 'Rip and mitre', 'Boards']) {
    await turnTo(page, name);
    await solved(page);
    await sound(page);
  }
  await page.getByRole('link', { name: 'Board 1', exact: true }).click();
  await sound(page);
  await turnTo(page, 'Papers');
  await page.getByRole('heading', { name: 'Shop sheets' }).waitFor();
  await sound(page);
  await go(page, 'Woods');
  await page.getByRole('button', { name: 'Enter a board' }).click();
  await page.getByRole('dialog', { name: 'Enter a board' }).waitFor();
  await sound(page);
});
