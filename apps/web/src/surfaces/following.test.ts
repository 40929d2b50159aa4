import { AS_DRAWN, type SampledWall } from '@fellside/core';
import { expect, test } from 'vitest';
import type { Geometry, Shape } from '../workers/geometry.js';
import { following } from './following.js';

const COARSE = { columns: 4, rows: 4 };
const FINE = { columns: 8, rows: 8 };
const shape = (version: number) => ({ version, ripping: AS_DRAWN }) as Shape;
const wanted = (version: number, better: typeof FINE | null = null) =>
  ({ shape: shape(version), side: 'outside', atOnce: COARSE, better }) as const;

/** A worker whose answers are given by hand, and what was shown of them: version and columns. */
function byHand() {
  const asked: { version: number; columns: number; answer(given: boolean): Promise<void> }[] = [];
  const shown: [number, number][] = [];
  let drops = 0;
  const service = {
    sample: (_asker, { version }, _side, { columns }) =>
      new Promise<SampledWall | null>((go) =>
        asked.push({
          version,
          columns,
          async answer(given) {
            go(given ? ({ columns } as SampledWall) : null);
            await new Promise((later) => setTimeout(later, 0));
          },
        }),
      ),
    drop: async () => {
      drops++;
    },
  } as Pick<Geometry, 'sample' | 'drop'> as Geometry;
  const follower = following(service, 'pane', ({ columns }, { version }) => shown.push([version, columns]));
  return { asked, shown, follower, drops: () => drops };
}

test('what is begun is shown though others are wanted meanwhile; the last of them is next, and the rest is never asked for', async () => {
  const { asked, shown, follower, drops } = byHand();
  for (const version of [1, 2, 3, 4]) follower.want(wanted(version));
  await asked[0]!.answer(true);
  expect(asked.map(({ version }) => version)).toEqual([1, 4]);
  await asked[1]!.answer(true);
  expect(shown).toEqual([
    [1, 4],
    [4, 4],
  ]);
  expect(drops()).toBe(0);
});

test('still, it becomes better; what is only to become better is left when another is wanted', async () => {
  const { asked, shown, follower, drops } = byHand();
  follower.want(wanted(1, FINE));
  await asked[0]!.answer(true);
  expect(asked[1]).toMatchObject({ version: 1, columns: 8 });
  follower.want(wanted(2, FINE));
  expect(drops()).toBe(1);
  await asked[1]!.answer(false);
  await asked[2]!.answer(true);
  await asked[3]!.answer(true);
  expect(shown).toEqual([
    [1, 4],
    [2, 4],
    [2, 8],
  ]);
});

test('what was wanted meanwhile comes before what was begun becomes better', async () => {
  const { asked, follower } = byHand();
  follower.want(wanted(1, FINE));
  follower.want(wanted(2, FINE));
  await asked[0]!.answer(true);
  expect(asked[1]).toMatchObject({ version: 2, columns: 4 });
});

test('after its end nothing is shown any more', async () => {
  const { asked, shown, follower, drops } = byHand();
  follower.want(wanted(1, FINE));
  follower.end();
  await asked[0]!.answer(true);
  expect([shown, asked.length, drops()]).toEqual([[], 1, 1]);
});
