import { expect, test } from 'vitest';
import {
  MOST_SETUPS,
  outByOf,
  outBySled,
  type RememberedSetup,
  setupsFor,
  setupsSchema,
  withSetup,
} from './setups.js';
import { DEFAULT_SHOP, shopSchema } from './shop.js';
import { shopUpToDate } from './shopUpToDate.js';

const setup = (some: Partial<RememberedSetup>): RememberedSetup => ({
  id: 'a',
  angleDeg: 15,
  tiltDeg: 0,
  read: '14.97',
  sled: 'long sled',
  blade: '80 teeth',
  outByDeg: 0,
  on: '30 November 2026',
  ...some,
});

test('called up by angle and tilt, the last first; another angle has its own', () => {
  const all = [
    setup({ id: 'a' }),
    setup({ id: 'b', angleDeg: 7.5 }),
    setup({ id: 'c' }),
    setup({ id: 'd', tiltDeg: 10 }),
  ];
  expect(setupsFor(all, 15.001, 0).map(({ id }) => id)).toEqual(['c', 'a']);
  expect(setupsFor(all, 7.5, 0).map(({ id }) => id)).toEqual(['b']);
  expect(setupsFor(all, 15, 10).map(({ id }) => id)).toEqual(['d']);
});

test('how far off they were, in all and sled by sled', () => {
  const all = [
    setup({ outByDeg: 0.03 }),
    setup({ outByDeg: -0.04 }),
    setup({ sled: 'gauge', outByDeg: 0.1 }),
    setup({ sled: '' }),
  ];
  expect(outByOf(all.slice(0, 2))).toEqual({ outByDeg: expect.closeTo(Math.sqrt(0.00125), 12), count: 2 });
  expect(outBySled(all).map(({ sled, count }) => [sled, count])).toEqual([
    ['long sled', 2],
    ['gauge', 1],
  ]);
  expect(outByOf([])).toBeNull();
});

test('the oldest goes where there are too many; an absurd one is refused with its limit; shops of before have none', () => {
  const full = Array.from({ length: MOST_SETUPS }, (_, i) => setup({ id: `s${i}` }));
  const more = withSetup(full, setup({ id: 'new' }));
  expect([more.length, more[0]!.id, more.at(-1)!.id]).toEqual([MOST_SETUPS, 's1', 'new']);
  expect(setupsSchema.safeParse([setup({ outByDeg: 20 })]).error?.issues[0]?.message).toContain('Out by');
  expect(setupsSchema.safeParse([...full, setup({})]).success).toBe(false);
  const { setups: _, ...workshop } = DEFAULT_SHOP.workshop;
  expect(shopSchema.parse(shopUpToDate({ ...DEFAULT_SHOP, workshop })).workshop.setups).toEqual([]);
});
