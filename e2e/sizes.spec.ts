import { expect, type Page } from '@playwright/test';
import { fitting, open, test } from './server.js';

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

async function everywhere(page: Page, url: string, look: (path: string) => Promise<void>) {
  const [, , , , id] = page.url().split('/');
  for (const path of [...HOUSE, ...PIECE.map((station) => `piece/${id}/${station}`)]) {
    await page.goto(`${url}/${path}`);
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
      await everywhere(page, fellside.url, async (path) => {
        await fitting(page);
        expect(await low(page), path).toEqual([]);
      });
    });
  });

test('with text twice as large every screen fits', async ({ page, fellside }) => {
  await open(page, fellside, 'Fell Race Cup');
  await everywhere(page, fellside.url, async () => {
    await page.addStyleTag({ content: 'html { font-size: 175% !important }' });
    await fitting(page);
  });
});
