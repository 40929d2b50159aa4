import { DEFAULT_SHOP, passportOf, plan, prepare, SHIPPED_WOODS } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { expect, test } from 'vitest';
import { CARD_SIZES, type CardSize, passportCard } from './passportCard.js';

const project = demoProjects()[0]!;
const [prepared, planned] = [prepare(project), plan(project, DEFAULT_SHOP)];
if (!prepared.ok || !planned.ok) throw new Error('cup');
const passport = passportOf(
  { ...project, passport: { maker: 'M. Tarn', number: '4', made: 'May', note: 'n'.repeat(300) } },
  prepared.value,
  planned.value,
  SHIPPED_WOODS,
  DEFAULT_SHOP,
  [],
);
/** One white point. */
const picture = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8/5+hHgAHggJ/PchI7wAAAABJRU5ErkJggg==',
  'base64',
);
const card = (size: CardSize) =>
  passportCard({ passport, units: 'mm', size, picture, aspect: 1, code: { size: 2, dark: [1, 0, 0, 1] } });

test.each(Object.keys(CARD_SIZES) as CardSize[])(
  'a card of size %s is one page of that size, and all of its words lie on it',
  async (size) => {
    const pdf = await getDocument({ data: new Uint8Array(await card(size)), verbosity: 0 }).promise;
    expect(pdf.numPages).toBe(1);
    const page = await pdf.getPage(1);
    const { width, height } = page.getViewport({ scale: 1 });
    expect([width, height].map((pt) => (pt / 72) * 25.4)).toEqual(
      CARD_SIZES[size].map((mm) => expect.closeTo(mm, 3)),
    );
    const { items } = await page.getTextContent();
    const words = items.map((item) => ('str' in item ? item.str : '')).join(' ');
    expect(words).toContain(project.name);
    expect(words).toContain('M. Tarn');
    expect(words.includes('nnnn')).toBe(size !== 'label');
    for (const item of items) {
      if (!('str' in item) || item.str.trim() === '') continue;
      const [x, y] = [item.transform[4], item.transform[5]];
      expect(x).toBeGreaterThan(0);
      expect(x + item.width).toBeLessThan(width);
      expect(y).toBeGreaterThan(0);
    }
  },
);
