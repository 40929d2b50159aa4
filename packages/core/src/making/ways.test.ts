import { expect, test } from 'vitest';
import { sawn } from '../demo/build.js';
import { type Mm, mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { EXAMPLE_NEED, madeRing, refusalOf } from '../testing/rings.js';
import { UNSANDED } from './planing.js';
import { makeRing, type RingMaking } from './registry.js';
import { thickHeight } from './segmented/after.js';
import type { StripStock } from './stock.js';

test('one thick ring into three 0.200 in slices is 3 × 0.200 in and 2 kerfs (common practice)', () => {
  const slice = 0.2 * 25.4;
  expect(thickHeight([slice, slice, slice], 1.5, 0)).toBeCloseTo(3 * slice + 3, 12);
  const making: RingMaking = {
    way: 'segmented',
    count: 12,
    after: { done: 'sliced', from: 'a', kerfMm: mm(1.5), cleanUpMm: mm(1) },
  };
  const members = [80, 84, 88].map((inner) => ({
    outerRadiusMm: 100 + inner / 10,
    innerRadiusMm: inner,
    heightMm: slice,
  }));
  const slices = members.map((member, index) => {
    const size = {
      outerRadiusMm: mm(member.outerRadiusMm),
      innerRadiusMm: mm(member.innerRadiusMm),
      heightMm: mm(slice),
    };
    return madeRing(making, { ...size, body: { members, index } } as typeof EXAMPLE_NEED);
  });
  for (const { gives } of slices)
    expect(gives).toEqual({ outerRadiusMm: 108.8, innerRadiusMm: expect.closeTo(80, 9) });
  expect(slices.map(({ kinds }) => kinds[0]!.stock.from)).toEqual(['strip', 'slice', 'slice']);
  expect((slices[0]!.kinds[0]!.stock as StripStock).thicknessMm).toBeCloseTo(3 * slice + 4, 9);
});

test('two layers: an apothem of 4.000 at the middle reaches 4.141 at the joints of 12 segments', () => {
  const made = madeRing(
    { way: 'segmented', count: 12, sawnFrom: { is: 'layers', laid: 'outside-in', layersMm: [mm(2)] } },
    { outerRadiusMm: mm(6), innerRadiusMm: mm(2), heightMm: mm(5) },
  );
  expect(made.layers[0]).toMatchObject({ nearMm: expect.closeTo(4, 9), farMm: expect.closeTo(4.141, 3) });
  expect(made.placeAt(3.99, 0.01 * 4, 2)).toBe(12);
  expect(
    plain(
      refusalOf({
        way: 'segmented',
        count: 12,
        sawnFrom: { is: 'layers', laid: 'outside-in', layersMm: [mm(30)] },
      })?.message ?? '',
    ),
  ).toMatch(/30 mm thick and the strip 22.73 mm/);
});

test.each([
  ['none', 0, 0, 12],
  ['first', 14, 0, 6],
  ['second', 0, 14, 6],
] as const)(
  'layers one above the other, %s upside down: where the bottom layer of 6 in 20 lies',
  (turned, first, second, repeats) => {
    const ring = madeRing({
      way: 'segmented',
      count: 12,
      sawnFrom: { is: 'layers', laid: 'bottom-up', layersMm: [mm(6)], turned },
    });
    expect([0, 1, 2].map((place) => ring.lay(place)[0]!.fromMm)).toEqual([first, second, first]);
    expect(ring.repeats).toBe(repeats);
  },
);

test('a backing begins so far behind the face: 92 in the middle of a segment of 8, 92/cos 22.5° at its joints', () => {
  const letters = (backingMm: number) => sawn('letters', 8, { backingMm: mm(backingMm) });
  const need = { outerRadiusMm: mm(100), innerRadiusMm: mm(75), heightMm: mm(24) };
  const made = madeRing(letters(8), need);
  const line = made.layers.find(({ name }) => plain(name).includes('backing'))!;
  expect(line.nearMm).toBeCloseTo(92, 9);
  expect(line.farMm).toBeCloseTo(92 / Math.cos(Math.PI / 8), 9);
  expect(plain(refusalOf(letters(60), need)?.message ?? '')).toMatch(
    /60 mm thick and the strip .* nothing is left for the backing/,
  );
});

test('halves: each closes by itself, and a divider to be sawn starts at 2·s + kerf', () => {
  const made = madeRing({
    way: 'segmented',
    count: 10,
    inHalves: {
      first: 6,
      spacersMm: [mm(3), mm(0)],
      divider: { leftMm: mm(4), sawn: true, kerfMm: mm(3) },
    },
  });
  expect(made.groups.map(({ name, count }) => `${count} ${name}`)).toEqual([
    '10 Segment',
    '5 Spacer of the first half',
    '2 Divider',
  ]);
  expect(made.kinds.find(({ name }) => name === 'Divider')!.stock).toMatchObject({
    widthMm: expect.closeTo(11, 9),
  });
  expect(made.steps({ sandedMm: 0, stepMm: 0 }).map(({ id }) => id)).toEqual([
    ...['rip-1', 'saw-1', 'rip-2', 'saw-2', 'spacers', 'glue-halves', 'glue', 'saw-apart'],
  ]);
});

test('halves with nothing between them but a plug in the middle have no spacers to plane', () => {
  const plug = { diameterMm: mm(40), drillMm: mm(40) };
  const inHalves = { first: 6, spacersMm: [mm(0), mm(0)] as [Mm, Mm], divider: null };
  const made = madeRing({ way: 'segmented', count: 12, plug, inHalves });
  expect(made.steps({ sandedMm: 0, stepMm: 0 }).map(({ id }) => id)).toEqual([
    ...['rip', 'saw', 'glue-halves', 'glue', 'drill', 'plug'],
  ]);
});

test('grain-matched: numbers along the strip; a book has each number twice, and its ends meet their like', () => {
  const run = madeRing({ way: 'segmented', count: 8, inOrder: true });
  expect([0, 7].map((place) => run.mark(place))).toEqual(['1', '8']);
  const book = madeRing({
    way: 'segmented',
    count: 8,
    after: { done: 'opened', kerfMm: mm(2), cleanUpMm: mm(1) },
  });
  expect([0, 3, 4, 7].map((place) => book.mark(place))).toEqual(['1a', '4a', '4b', '1b']);
  expect((book.kinds[0]!.stock as StripStock).thicknessMm).toBe(43);
});

test('a plug takes the points; its drill cannot be larger than it', () => {
  const made = madeRing({
    way: 'segmented',
    toCentre: true,
    count: 8,
    plug: { diameterMm: mm(30), drillMm: mm(25) },
  });
  expect(made.placeAt(14.9, 0, 5)).toBe(8);
  expect(made.placeAt(15.1, 0.1, 5)).toBe(0);
  expect(
    made
      .steps(UNSANDED)
      .map(({ says }) => plain(says))
      .join(' '),
  ).toMatch(/Drill 25 mm through the middle and bore the hole out to 30 mm/);
  expect(
    plain(
      refusalOf({
        way: 'segmented',
        toCentre: true,
        count: 8,
        plug: { diameterMm: mm(220), drillMm: mm(25) },
      })?.message ?? '',
    ),
  ).toMatch(/220 mm across and the ring 200 mm/);
});

test('a ring from the stash keeps its sizes and can only be made thinner', () => {
  const stock: RingMaking = {
    way: 'stock',
    item: 'x',
    name: 'Maple ring',
    outerRadiusMm: mm(95),
    innerRadiusMm: mm(70),
    heightMm: mm(19),
    species: [],
    of: { way: 'segmented', count: 12 },
  };
  expect(madeRing(stock, { ...EXAMPLE_NEED, heightMm: mm(15) }).gives).toEqual({
    outerRadiusMm: 95,
    innerRadiusMm: expect.closeTo(70, 9),
  });
  expect(plain(refusalOf(stock)?.message ?? '')).toMatch(/19 mm high and 20 mm is planned/);
});

test.each([
  ['lean.tiltDeg', 89, 20, 80, (tiltDeg: number): RingMaking => leaning(12, tiltDeg, 'two-fences')],
  ['lean.tiltDeg', 24, 25, 40, (tiltDeg: number): RingMaking => leaning(24, tiltDeg, 'turned-over')],
  [
    'staves.leanDeg',
    75,
    60,
    8,
    (leanDeg: number): RingMaking => ({ way: 'segmented', count: 12, staves: { leanDeg } }),
  ],
] as const)(
  '%s: the limit of its refusal is in the measure of its field, and holds',
  (field, steep, high, hole, given) => {
    const need = { outerRadiusMm: mm(100), innerRadiusMm: mm(hole), heightMm: mm(high) };
    const at = (value: number) => makeRing(given(value), need);
    const refused = at(steep);
    if (refused.ok) throw new Error('made');
    const [{ path, limits }] = refused.reasons as [(typeof refused.reasons)[number]];
    expect(path).toBe(field);
    expect(at(Number(limits!.most) - 0.5).ok).toBe(true);
    expect(at(Number(limits!.most) + 0.5).ok).toBe(false);
  },
);

const leaning = (count: number, tiltDeg: number, cut: 'two-fences' | 'turned-over'): RingMaking => ({
  way: 'segmented',
  count,
  lean: { tiltDeg, hand: 'right', cut },
});
