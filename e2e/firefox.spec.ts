import { existsSync } from 'node:fs';
import { expect } from '@playwright/test';
import { launch, type Page } from 'puppeteer-core';
import { test } from './server.js';

/** Debian's Firefox, driven over WebDriver BiDi. */
const FIREFOX = process.env.FELLSIDE_FIREFOX ?? '/usr/bin/firefox-esr';

test.skip(
  !existsSync(FIREFOX),
  `There is no Firefox at ${FIREFOX}: the interface is not tried in another engine. Install firefox-esr, or set FELLSIDE_FIREFOX.`,
);

const press = (page: Page, text: string) => page.locator(`::-p-text(${text})`).click();
const textOf = (page: Page, what: string) => page.$eval(what, ({ textContent }) => textContent ?? '');

test('the main job in Firefox: a piece from nothing, its rings, its pattern, and what goes to the saw', async ({
  fellside,
}) => {
  const browser = await launch({ browser: 'firefox', executablePath: FIREFOX, headless: true });
  try {
    const page = await browser.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    const wrong: string[] = [];
    page.on('pageerror', (error) => wrong.push(String(error)));
    page.on('console', (message) => {
      if (message.type() === 'error') wrong.push(message.text());
    });
    await page.goto(fellside.url);
    await press(page, 'New piece');
    await page.locator('input[name="name"]').fill('Other Engine');
    await page.locator('form button[type="submit"]').click();
    await page.waitForFunction(() => location.pathname.endsWith('/form'));
    await page.waitForSelector('[aria-label="Segments of ring 4"]');

    // The page has no scroll bar of its own: the panes scroll.
    const beyond = await page.evaluate(() => [
      document.documentElement.scrollHeight - innerHeight,
      document.documentElement.scrollWidth - innerWidth,
    ]);
    expect(Math.max(...beyond)).toBeLessThanOrEqual(0);

    await page.goto(page.url().replace('/form', '/rings'));
    await page.locator('[aria-label="Segments of ring 4"]').fill('18');
    await page.keyboard.press('Enter');
    await page.waitForFunction(() =>
      document.querySelector('[data-ring="4"]')?.getAttribute('data-woods')?.includes('18'),
    );

    await page.goto(page.url().replace(/\/rings.*/, '/pattern'));
    await page.locator('button[title="squares of two tones by turns"]').click();
    await page.waitForFunction(() => {
      const canvas = document.querySelector<HTMLCanvasElement>('canvas[data-drawn]');
      const data = canvas?.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height).data ?? [];
      const met = new Set<number>();
      for (let i = 0; i < data.length; i += 404) met.add(data[i]!);
      return met.size > 12;
    });

    await page.goto(page.url().replace('/pattern', '/cuts/saw'));
    await page.waitForFunction(() => document.body.textContent?.includes('Black walnut'));
    expect(await textOf(page, 'main')).toMatch(/15°/);
    await page.waitForFunction(() => document.querySelector('[data-safety="saved"]') !== null);
    expect(wrong).toEqual([]);
  } finally {
    await browser.close();
  }
});
