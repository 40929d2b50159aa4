import { expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { plain } from '../measure/said.js';
import { rollOf } from '../ring/owner.js';
import { planned } from '../testing/pieces.js';
import { shortOfOne } from './short.js';

const shown = demoProjects();
const helps = (name: string, ring: number) => {
  const plan = planned(shown.find((piece) => piece.name.includes(name))!);
  const found = shortOfOne(plan.rings[ring]!, plan.lumber.strips, rollOf(plan).nameOf);
  return { plan, ring: plan.rings[ring]!, by: new Map(found.map((help) => [help.id, help])) };
};
const millimetres = (said: Parameters<typeof plain>[0]) =>
  [...plain(said).matchAll(/([\d.]+) mm/g)].map(([, value]) => Number(value));

test('one piece less: the same long edge at the wider angle, against the wall by hand', () => {
  const { ring, by } = helps('Cup', 8);
  const [long] = ring.pieces.flatMap(({ kind: { stock } }) =>
    stock.from === 'strip' ? [stock.longEdgeMm] : [],
  );
  // 23 pieces: 180°/23 from square; its flat lies at half the long edge over the tangent of that.
  const outer = long! / (2 * Math.tan(Math.PI / 23));
  expect(plain(by.get('one-less')!.does)).toMatch(/the 23 that there are at 7.83°/);
  expect(millimetres(by.get('one-less')!.price)[0]).toBeCloseTo(outer, 1);
  expect(plain(by.get('one-less')!.price)).toMatch(
    ring.wall.outerRadiusMm > outer ? /fails to hold/ : /still holds/,
  );
});

test('trimmed to a shorter stop the ring just holds the wall', () => {
  const { ring, by } = helps('Cup', 8);
  const [least] = millimetres(by.get('shorter')!.does);
  expect(least! / (2 * Math.tan(Math.PI / 24))).toBeCloseTo(ring.wall.outerRadiusMm, 1);
});

test('a spare of a longer stop at the same setting, wide enough and of the wood, and no other', () => {
  const { plan, ring, by } = helps('Cup', 5);
  const spare = by.get('spare')!;
  const [has, wanted] = millimetres(spare.does);
  expect(has).toBeGreaterThan(wanted!);
  const own = ring.pieces.flatMap(({ kind: { stock }, wood }) =>
    stock.from === 'strip' ? [{ ...stock, wood }] : [],
  );
  const longer = plan.lumber.strips.filter(
    ({ wood, widthMm, cuts }) =>
      own.some((of) => of.wood === wood && widthMm > of.widthMm - 0.01) &&
      cuts.some(({ purpose, longEdgeMm }) => purpose === 'spare' && Math.abs(longEdgeMm - has!) < 0.02),
  );
  expect(longer.length).toBeGreaterThan(0);
});

test('the two triangles of a sliced board; nothing for a disc', () => {
  // Slices of 19.5 from a board of 49 cut at 38°: 49·sin 38° = 30.2 gives one; of 16.7 from 23 at 32°: 12.2 gives none.
  expect(helps('Drystone', 4).by.has('triangles')).toBe(true);
  expect(helps('Drystone', 2).by.has('triangles')).toBe(false);
  expect(helps('Cup', 0).by.size).toBe(0);
});
