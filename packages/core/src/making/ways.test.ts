import { describe, expect, test } from 'vitest';
import { fromDegrees, mm } from '../measure/quantity.js';
import { leastContact } from '../surface/contact.js';
import { makeRing, type RingMaking } from './registry.js';
import { thickHeight } from './resawn/resawn.js';
import { compoundAngles } from './staved/staved.js';
import type { StripStock } from './stock.js';
import { jointRuns } from './tilted/stripe.js';
import type { TiltedParams } from './tilted/tilted.js';

const need = { outerMm: mm(100), innerMm: mm(80), heightMm: mm(20) };
const ring = (making: RingMaking, size = need) => {
  const made = makeRing(making, size);
  if (!made.ok) throw new Error(made.reasons[0]!.message);
  return made.value;
};
const strip = (making: RingMaking) => ring(making).kinds[0]!.stock as StripStock;
const refusal = (making: RingMaking, size = need) => {
  const made = makeRing(making, size);
  return made.ok ? null : made.reasons[0];
};

describe('open rings', () => {
  const parallel = (g: number): RingMaking => ({
    way: 'open',
    count: 12,
    gap: { sides: 'parallel', widthMm: mm(g) },
  });
  const tapered = (share: number): RingMaking => ({
    way: 'open',
    count: 12,
    gap: { sides: 'tapered', share },
  });
  const theta = Math.PI / 12;

  test('parallel gaps: contact at each end, half a pitch round, by the integral over the shared radii', () => {
    const made = ring(parallel(6));
    const contact = leastContact({ made, turn: 0 }, { made, turn: theta }, need);
    const F = (r: number) => {
      const a = 3;
      return (theta * r * r) / 2 - r * r * Math.asin(a / r) - a * Math.sqrt(r * r - a * a);
    };
    expect(contact).toBeCloseTo(F(100) - F(80), 6);
    expect(contact).toBeCloseTo(351.2, 1);
  });

  test('tapered gaps: ½·(2β − θ)·(Ro² − Ri²)', () => {
    const made = ring(tapered(0.2));
    const contact = leastContact({ made, turn: 0 }, { made, turn: theta }, need);
    expect(contact).toBeCloseTo(0.5 * theta * (1 - 0.4) * (100 ** 2 - 80 ** 2), 6);
    // Aligned, each segment lies on the one below over its whole width.
    expect(leastContact({ made, turn: 0 }, { made, turn: 0 }, need)).toBeCloseTo(
      0.5 * theta * 0.8 * (100 ** 2 - 80 ** 2),
      6,
    );
  });

  test('on a closed ring or a disc an end is glued over all of its half', () => {
    const made = ring(tapered(0.25));
    const half = 0.5 * theta * 0.75 * (100 ** 2 - 80 ** 2);
    for (const lower of [{ way: 'flat', count: 7 }, { way: 'disc' }] as const)
      expect(leastContact({ made: ring(lower), turn: 0.3 }, { made, turn: 0 }, need)).toBeCloseTo(half, 4);
  });

  test('little hold is warned of, none refused with the largest gap that there may be', () => {
    expect(ring(tapered(0.3)).warnings).toEqual([]);
    expect(ring(tapered(0.35)).warnings[0]?.message).toMatch(/4.5° at each end, under a third/);
    expect(refusal(tapered(0.5))?.message).toMatch(/50 % of the circle leave no contact.*less than 50 %/);
    // 2·Ro·sin(θ/2)
    expect(refusal(parallel(26.2))?.message).toMatch(/less than 26.11 mm/);
  });
});

describe('staves', () => {
  test('a square corner leaning 38°: mitre 31.6°, blade 33.9°', () => {
    // Mitre-saw manuals' crown moulding table, written down from memory.
    const { mitre, bladeTilt } = compoundAngles(4, fromDegrees(38));
    expect((mitre * 180) / Math.PI).toBeCloseTo(31.6, 1);
    expect((bladeTilt * 180) / Math.PI).toBeCloseTo(33.9, 1);
  });

  test('upright they are bevelled at half their angle; lying flat they are a flat ring', () => {
    expect(compoundAngles(12, 0)).toEqual({ mitre: 0, bladeTilt: expect.closeTo(Math.PI / 12, 12) });
    expect(compoundAngles(12, Math.PI / 2)).toEqual({
      mitre: expect.closeTo(Math.PI / 12, 12),
      bladeTilt: expect.closeTo(0, 12),
    });
  });

  test('their faces meet at the angle that the figures tell (normals of two laid staves)', () => {
    const made = ring({ way: 'staved', count: 8, leanDeg: 25 });
    const normal = (place: number) => {
      const { bottom, top } = made.lay(place);
      const [a, b, c] = [bottom[0]!, bottom[1]!, top[0]!];
      const [u, v] = [
        { x: b.x - a.x, y: b.y - a.y },
        { x: c.x - a.x, y: c.y - a.y },
      ];
      const n = [u.y * 20, -u.x * 20, u.x * v.y - u.y * v.x];
      const length = Math.hypot(...n);
      return n.map((value) => value / length);
    };
    const [p, q] = [normal(0), normal(1)];
    const between = Math.PI - Math.acos(p.reduce((sum, value, i) => sum + value * q[i]!, 0));
    expect(made.figures.find(({ name }) => name === 'Angle between faces')!.value).toBeCloseTo(between, 10);
  });

  test('leaning so far that they meet is refused', () => {
    expect(
      refusal({ way: 'staved', count: 8, leanDeg: 70 }, { ...need, innerMm: mm(30), heightMm: mm(60) })
        ?.message,
    ).toMatch(/Leaning by 70° over 60 mm/);
  });
});

describe('tilted joints', () => {
  const tilted = (change: Partial<TiltedParams> = {}): TiltedParams => ({
    way: 'tilted',
    count: 12,
    tiltDeg: 20,
    hand: 'right',
    cut: 'two-fences',
    ...change,
  });

  test('the shear opens the hole: w = Ro − Ri·cos(θ + asin(δ/Ri)); 23.75 where a flat ring has 22.73', () => {
    expect(strip(tilted()).widthMm).toBeCloseTo(23.75, 2);
    expect(strip({ way: 'flat', count: 12 }).widthMm).toBeCloseTo(22.73, 2);
    const delta = 10 * Math.tan(fromDegrees(20));
    // A flat ring's width would leave a hole of hypot(ai, Li/2 + δ/cos θ).
    const ai = 80 * Math.cos(Math.PI / 12);
    const corner = Math.hypot(ai, ai * Math.tan(Math.PI / 12) + delta / Math.cos(Math.PI / 12));
    expect(corner).toBeCloseTo(81.06, 2);
    const { longEdgeMm } = strip(tilted());
    expect(ring(tilted()).cornerMm).toBeCloseTo(
      Math.hypot(100, longEdgeMm / 2 + delta / Math.cos(Math.PI / 12)),
      9,
    );
  });

  test('edges stay those of the flat ring, and joints run the same way round in every piece', () => {
    expect(strip(tilted()).longEdgeMm).toBeCloseTo(200 * Math.tan(Math.PI / 12), 9);
    for (const [hand, sign] of [
      ['right', 1],
      ['left', -1],
    ] as const) {
      const { bottom, top } = ring(tilted({ hand })).lay(0);
      const run = (i: number) => bottom[i]!.x * top[i]!.y - bottom[i]!.y * top[i]!.x;
      for (const i of [0, 1, 2, 3]) expect(run(i) * sign).toBeGreaterThan(0);
    }
  });

  test('joints of two rings meet at one radius: 8°, 12.7 mm rings turn by 2.0° at 51 mm and 5.4° at 19 mm', () => {
    const turn = (radius: number) => (2 * jointRuns(tilted({ tiltDeg: 8 }), 12.7, radius)! * 180) / Math.PI;
    expect(turn(51)).toBeCloseTo(2, 1);
    expect(turn(19)).toBeCloseTo(5.4, 1);
    expect(jointRuns(tilted(), 20, 3)).toBeNull();
    expect(jointRuns(tilted({ cut: 'turned-over' }), 20, 50)).toBe(0);
  });

  test('a tilt that eats the segment, or a hole smaller than it leaves, is refused with its figures', () => {
    expect(refusal(tilted({ count: 36, tiltDeg: 45 }))?.message).toMatch(/20.08 mm.*only 17.5 mm/);
    expect(refusal(tilted({ count: 24, tiltDeg: 46, cut: 'turned-over' }))?.code).toBe('tilt-eats-segment');
    expect(refusal(tilted(), { ...need, innerMm: mm(2) })?.message).toMatch(/smaller than 7.54 mm across/);
  });
});

test('one thick ring into three 0.200 in slices is 3 × 0.200 in and 2 kerfs (common practice)', () => {
  const slice = 0.2 * 25.4;
  expect(thickHeight([slice, slice, slice], 1.5, 0)).toBeCloseTo(3 * slice + 3, 12);
  const making: RingMaking = { way: 'resawn', count: 12, from: 'a', kerfMm: mm(1.5), cleanUpMm: mm(1) };
  const members = [80, 84, 88].map((inner) => ({
    outerMm: 100 + inner / 10,
    innerMm: inner,
    heightMm: slice,
  }));
  const slices = members.map((member, index) => {
    const size = { outerMm: mm(member.outerMm), innerMm: mm(member.innerMm), heightMm: mm(slice) };
    return ring(making, { ...size, body: { members, index } } as typeof need);
  });
  for (const { gives } of slices) expect(gives).toEqual({ outerMm: 108.8, innerMm: expect.closeTo(80, 9) });
  expect(slices.map(({ kinds }) => kinds[0]!.stock.from)).toEqual(['strip', 'slice', 'slice']);
  expect((slices[0]!.kinds[0]!.stock as StripStock).thicknessMm).toBeCloseTo(3 * slice + 4, 9);
});

test('two layers: an apothem of 4.000 at the middle reaches 4.141 at the joints of 12 segments', () => {
  const made = ring(
    { way: 'layered', count: 12, outerLayerMm: mm(2) },
    { outerMm: mm(6), innerMm: mm(2), heightMm: mm(5) },
  );
  expect(made.layers[0]).toMatchObject({ nearMm: expect.closeTo(4, 9), farMm: expect.closeTo(4.141, 3) });
  expect(made.placeAt(3.99, 0.01 * 4, 2)).toBe(12);
  expect(refusal({ way: 'layered', count: 12, outerLayerMm: mm(30) })?.message).toMatch(
    /30 mm thick and the strip 22.73 mm/,
  );
});

test('halves: each closes by itself, and a divider to be sawn starts at 2·s + kerf', () => {
  const made = ring({
    way: 'halves',
    halves: [
      { count: 6, spacerMm: mm(3) },
      { count: 4, spacerMm: mm(0) },
    ],
    divider: { leftMm: mm(4), sawn: true, kerfMm: mm(3) },
  });
  expect(made.groups.map(({ name, count }) => `${count} ${name}`)).toEqual([
    '10 Segment',
    '5 Spacer of the first half',
    '2 Divider',
  ]);
  expect(made.kinds.find(({ name }) => name === 'Divider')!.stock).toMatchObject({
    widthMm: expect.closeTo(11, 9),
  });
});

test('grain-matched: numbers along the strip; a book has each number twice, and its ends meet their like', () => {
  const run = ring({ way: 'grain', count: 8, match: { by: 'run' } });
  expect([0, 7].map((place) => run.mark(place))).toEqual(['1', '8']);
  const book = ring({ way: 'grain', count: 8, match: { by: 'book', kerfMm: mm(2), cleanUpMm: mm(1) } });
  expect([0, 3, 4, 7].map((place) => book.mark(place))).toEqual(['1a', '4a', '4b', '1b']);
  expect((book.kinds[0]!.stock as StripStock).thicknessMm).toBe(43);
});

test('a plug takes the points; its drill cannot be larger than it', () => {
  const made = ring({ way: 'pie', count: 8, plug: { diameterMm: mm(30), drillMm: mm(25) } });
  expect(made.placeAt(14.9, 0, 5)).toBe(8);
  expect(made.placeAt(15.1, 0.1, 5)).toBe(0);
  expect(made.steps().join(' ')).toMatch(/Drill 25 mm through the middle and bore the hole out to 30 mm/);
  expect(refusal({ way: 'pie', count: 8, plug: { diameterMm: mm(220), drillMm: mm(25) } })?.message).toMatch(
    /220 mm across and the ring 200 mm/,
  );
});

test('a ring from the stash keeps its sizes and can only be made thinner', () => {
  const stock: RingMaking = {
    way: 'stock',
    item: 'x',
    name: 'Maple ring',
    outerMm: mm(95),
    innerMm: mm(70),
    heightMm: mm(19),
    species: [],
    of: { way: 'flat', count: 12 },
  };
  expect(ring(stock, { ...need, heightMm: mm(15) }).gives).toEqual({
    outerMm: 95,
    innerMm: expect.closeTo(70, 9),
  });
  expect(refusal(stock)?.message).toMatch(/19 mm high and 20 mm is planned/);
});
