import { expect, type Locator, type Page } from '@playwright/test';
import { fitting, follow, open, test } from './server.js';

const HOUSE = ['', 'woods', 'shop', 'safe', 'workbook'];
const PIECE = [
  ...[
    'form',
    'rings/r5',
    'pattern',
    'pattern/turntable',
    'cuts',
    'cuts/saw',
    'cuts/boards',
    'cuts/papers',
    'make',
  ],
  ...[
    'make/day',
    'make/setting',
    'make/lathe',
    'make/ageing',
    'make/changes',
    'record',
    'record/passport',
    'blanks',
  ],
];

/** What fingers press and is lower than 44 px; cells and handles share their line with a ring. */
const low = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('button, select, input, summary, nav a')].flatMap(
      (element) => {
        const { type } = element as HTMLInputElement;
        const apart = element.closest('table, svg, .sr-only') || /^(cell|ring)-/.test(element.id);
        const { width, height } = element.getBoundingClientRect();
        // Boxes and sliders are pressed by their labels; what is 1 px is for those who hear the page.
        if (apart || ['checkbox', 'radio', 'range', 'file'].includes(type) || width < 2 || height < 2)
          return [];
        return height < 43.5 ? [`${element.ariaLabel ?? element.textContent} ${height}`] : [];
      },
    ),
  );

/** Looks at screens of the house, and of the piece that is open, one after the other. */
async function at(
  page: Page,
  house: readonly string[],
  stations: readonly string[],
  look: (path: string) => Promise<void>,
) {
  const [, , , , id] = page.url().split('/');
  for (const path of [...house, ...stations.map((station) => `piece/${id}/${station}`)]) {
    await follow(page, `/${path}`);
    await expect(page.getByRole('main')).toBeVisible();
    await expect(page.getByText(/^Opening( the piece)?…$/)).toBeHidden();
    await look(path);
  }
}

for (const [width, height] of [
  [820, 1100],
  [390, 800],
] as const)
  test.describe(`fingers on ${width} × ${height}`, () => {
    test.use({ viewport: { width, height }, hasTouch: true, isMobile: true });
    test('every screen fits, and what is pressed is large enough', async ({ page, fellside }) => {
      await open(page, fellside, 'Fell Race Cup');
      await at(page, HOUSE, PIECE, async (path) => {
        await fitting(page);
        expect(await low(page), path).toEqual([]);
      });
    });
  });

/** One finger goes down on a place, stays there until something has come of it, and is taken away. */
async function held(page: Page, place: Locator, until: () => Promise<void>): Promise<void> {
  // What is drawn may be drawn anew while the boards are laid out.
  const box = async () => {
    await place.scrollIntoViewIfNeeded({ timeout: 1000 }).catch(() => {});
    return place.boundingBox();
  };
  await expect.poll(box).not.toBeNull();
  const { x, y, width, height } = (await box())!;
  const device = await page.context().newCDPSession(page);
  const touchPoints = [{ x: x + width / 2, y: y + height / 2 }];
  await device.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints });
  await until();
  await device.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  await device.detach();
}

test.describe('a finger held still', () => {
  test.use({ viewport: { width: 820, height: 1100 }, hasTouch: true, isMobile: true });
  test('adds a ring to those selected, and picks a wood up from the wall', async ({ page, fellside }) => {
    await open(page, fellside, 'Fell Race Cup', 'Rings');
    const ledger = page.getByRole('table', { name: 'Ring ledger' });
    const row = (number: number) =>
      ledger.getByRole('row').filter({ has: page.locator(`#ring-${number - 1}`) });
    await row(3).getByRole('rowheader').tap();
    await expect(row(3)).toHaveAttribute('aria-selected', 'true');
    await held(page, row(5).getByRole('rowheader'), () =>
      expect(row(5)).toHaveAttribute('aria-selected', 'true'),
    );
    await expect(row(3)).toHaveAttribute('aria-selected', 'true');
    await page.getByRole('link', { name: 'Pattern' }).tap();
    const wall = page.getByRole('img', { name: 'The outside laid flat' });
    await expect(wall).toBeVisible();
    const picked = page.getByRole('group', { name: 'Paint with' }).locator('[aria-pressed=true]');
    await expect(picked).toHaveCount(0);
    await held(page, wall.locator('[data-ring="5"]'), () => expect(picked).toHaveCount(1));
    // Nothing was painted by it.
    await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  });
});

test.describe('drawn in space', () => {
  test.use({ turntable: true, hasTouch: true, isMobile: true });
  test('the turntable fits in its corner, its panel and its page, on every screen and with large text', async ({
    page,
    fellside,
  }) => {
    await open(page, fellside, 'Fell Race Cup');
    await at(page, [], ['rings/r5', 'pattern', 'pattern/turntable'], async (path) => {
      await expect(page.locator('canvas[data-frames]')).toBeVisible();
      for (const [width, height, text] of [
        [820, 1100, 100],
        [390, 800, 100],
        [1280, 800, 175],
      ] as const) {
        await page.setViewportSize({ width, height });
        await page.addStyleTag({ content: `html { font-size: ${text}% !important }` });
        await fitting(page);
        if (text === 100) expect(await low(page), path).toEqual([]);
      }
    });
  });
});

test('with text twice as large every screen fits', async ({ page, fellside }) => {
  await open(page, fellside, 'Fell Race Cup');
  await page.addStyleTag({ content: 'html { font-size: 175% !important }' });
  await at(page, HOUSE, PIECE, () => fitting(page));
});
