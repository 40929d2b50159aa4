import { expect, test } from 'vitest';
import type { WorkingHours } from './hours.js';
import { DEFAULT_SHOP, shopSchema } from './shop.js';
import { shopUpToDate } from './shopUpToDate.js';
import type { Workshop } from './workshop.js';

const why = (change: Partial<Workshop>): string | undefined => {
  const judged = shopSchema.safeParse({ ...DEFAULT_SHOP, workshop: { ...DEFAULT_SHOP.workshop, ...change } });
  return judged.success ? undefined : judged.error.issues[0]!.message;
};
const hours = (...all: (readonly [day: number, from: number, to: number])[]): WorkingHours[] =>
  all.map(([day, from, to]) => ({ day, fromMinute: 60 * from, toMinute: 60 * to }));

test('hours of the week: each ends after it begins, none overlaps another, some are there', () => {
  expect(why({ hours: hours([5, 9, 12], [5, 12, 17], [6, 9, 12]) })).toBeUndefined();
  expect(why({ hours: hours([5, 13, 17], [5, 9, 14]) })).toBe(
    'The hours on Saturday overlap; let one end before the other begins.',
  );
  expect(why({ hours: hours([5, 12, 9]) })).toMatch(/end before they begin/);
  expect(why({ hours: [] })).toMatch(/no working hours/);
});

test('figures out of range are told with their limits', () => {
  const { equipment, minutes, glue } = DEFAULT_SHOP.workshop;
  expect(why({ equipment: { ...equipment, lathes: 0 } })).toMatch(/Number of lathes is 0; .* from 1 to 40/);
  expect(why({ equipment: { ...equipment, bands: 0 } })).toBeUndefined();
  expect(why({ minutes: { ...minutes, cut: -1 } })).toMatch(/Minutes to cut one piece is -1/);
  expect(why({ glue: { ...glue, shopCelsius: 80 } })).toMatch(/Temperature of the shop is 80/);
});

test('a shop that was written down before callipers were asked for keeps its own figures and gets the usual ones for these', () => {
  const { calliperDeepMm: _, calliperBowMm: __, ...tools } = DEFAULT_SHOP.workshop.tools;
  const old = { ...DEFAULT_SHOP, workshop: { ...DEFAULT_SHOP.workshop, tools: { ...tools, barMm: 19 } } };
  const now = shopSchema.parse(shopUpToDate(old));
  expect(now.workshop.tools).toEqual({ ...DEFAULT_SHOP.workshop.tools, barMm: 19 });
  // Lists are one value: hours that were taken out do not come back.
  const hours = [{ day: 6, fromMinute: 0, toMinute: 60 }];
  const sunday = shopUpToDate({ ...old, workshop: { ...old.workshop, hours } });
  expect(shopSchema.parse(sunday).workshop.hours).toEqual(hours);
  expect(shopUpToDate(null)).toBeNull();
});
