import fc from 'fast-check';
import { FIGURES, TURNS } from '../making/laminated/params.js';
import {
  type ParamsOf,
  placesOf,
  type RingMaking,
  type SawnMaking,
  WAYS,
  type Way,
} from '../making/registry.js';
import { type Mm, mm } from '../measure/quantity.js';

/** A number from min to max; never −0, which JSON does not keep. */
export const between = (min: number, max: number) =>
  fc.double({ min, max, noNaN: true, noDefaultInfinity: true }).map((x) => x + 0);

/** Without keys whose value is undefined, as documents are. */
const tidy = <P extends object>(given: P): Tidy<P> =>
  Object.fromEntries(Object.entries(given).filter(([, value]) => value !== undefined)) as Tidy<P>;
type Tidy<P> = { [K in keyof P as undefined extends P[K] ? never : K]: P[K] } & {
  [K in keyof P as undefined extends P[K] ? K : never]?: Exclude<P[K], undefined>;
};

const count = (min = 3, max = 60) => fc.integer({ min, max });
const even = (max = 60) => count(2, max / 2).map((half) => 2 * half);
const plug = fc.option(
  between(8, 60).map((across) => ({ diameterMm: mm(across), drillMm: mm(across * 0.8) })),
  { nil: undefined },
);
const parts: fc.Arbitrary<number[] | undefined> = fc.constantFrom(undefined, [1.5, 1]);

const gap = fc.oneof(
  between(0.02, 0.45).map((share) => ({ sides: 'tapered' as const, share })),
  between(0.3, 6).map((width) => ({ sides: 'parallel' as const, widthMm: mm(width) })),
);
/** Spacers that close in any ring of an even count, of one piece or of layers. */
const spacers = fc
  .record({
    at: fc.constantFrom('every' as const, 'even' as const),
    thicknessMm: between(1, 6).map(mm),
    layers: fc.option(
      fc.record({
        layersMm: fc.array(between(0.1, 0.4).map(mm), { minLength: 1, maxLength: 2 }),
        turned: fc.constantFrom('none' as const, 'all' as const, 'first' as const, 'second' as const),
      }),
      { nil: undefined },
    ),
  })
  .map(({ at, ...given }) => tidy(at === 'every' ? { at, ...given } : { at, number: 2, ...given }));
const layersMm = fc.array(between(1, 12).map(mm), { minLength: 1, maxLength: 3 });
/** What lies in joints that lean, in rings of an even count. */
const put = fc.oneof(
  gap.map((gap) => ({ put: 'gaps' as const, gap })),
  spacers.map((spacers) => ({ put: 'spacers' as const, spacers })),
);

/** An L, and a square frame with a hole. */
const GLYPHS = [
  {
    name: 'L',
    loops: [
      [
        [-0.3, -0.5],
        [0.3, -0.5],
        [0.3, -0.3],
        [-0.1, -0.3],
        [-0.1, 0.5],
        [-0.3, 0.5],
      ] as [number, number][],
    ],
  },
  {
    name: 'frame',
    loops: [0.5, 0.25].map((r) => [
      [-r, -r] as [number, number],
      [r, -r] as [number, number],
      [r, r] as [number, number],
      [-r, r] as [number, number],
    ]),
  },
];

/** Random parameters of every way of making a ring at the saw; not every ring can be made of them. */
const SAWN: { readonly [W in SawnMaking['way']]: fc.Arbitrary<Extract<SawnMaking, { way: W }>> } = {
  flat: fc.record({ way: fc.constant('flat' as const), count: even(), parts }).map(tidy),
  disc: fc.constant({ way: 'disc' as const }),
  pie: fc.record({ way: fc.constant('pie' as const), count: count(), plug }).map(tidy),
  spaced: fc.oneof(
    fc
      .record({ count: count(3, 40), thicknessMm: between(0.5, 6).map(mm), plug })
      .map((given) => ({
        way: 'spaced' as const,
        count: given.count,
        plug: given.plug,
        spacers: { at: 'every' as const, thicknessMm: given.thicknessMm },
      }))
      .map(tidy),
    fc
      .record({ panels: count(2, 8), each: count(1, 6), thicknessMm: between(0.5, 6).map(mm) })
      .filter(({ panels, each }) => panels * each >= 3)
      .map(({ panels, each, thicknessMm }) => ({
        way: 'spaced' as const,
        count: panels * each,
        spacers: { at: 'even' as const, number: panels, thicknessMm },
      })),
    fc
      .record({ half: count(2, 12), joint: count(0, 11), thicknessMm: between(0.5, 6).map(mm) })
      .map(({ half, joint, thicknessMm }) => ({
        way: 'spaced' as const,
        count: 2 * half,
        spacers: {
          at: 'picked' as const,
          joints: [joint % half, (joint % half) + half].map((at) => ({ joint: at, thicknessMm })),
        },
      })),
  ),
  open: fc.record({ way: fc.constant('open' as const), count: count(4, 40), gap }),
  staved: fc.record({ way: fc.constant('staved' as const), count: count(4, 40), leanDeg: between(-40, 40) }),
  tilted: fc
    .record({
      way: fc.constant('tilted' as const),
      count: even(40),
      tiltDeg: between(0.5, 30),
      hand: fc.constantFrom('left' as const, 'right' as const),
      cut: fc.constantFrom('two-fences' as const, 'same-edge' as const, 'turned-over' as const),
      between: fc.option(put, { nil: undefined }),
      plug,
    })
    .map(({ plug, ...given }) => ({ ...given, plug: given.between?.put === 'gaps' ? undefined : plug }))
    .map(tidy),
  resawn: fc
    .record({
      way: fc.constant('resawn' as const),
      count: even(40),
      parts,
      from: fc.constant('thick-1'),
      kerfMm: between(0.5, 3).map(mm),
      cleanUpMm: between(0, 4).map(mm),
      spacers: fc.option(spacers, { nil: undefined }),
    })
    .map(({ parts, ...given }) => ({ ...given, parts: given.spacers ? undefined : parts }))
    .map(tidy),
  halves: fc
    .record({ a: count(2, 12), b: count(2, 12), s: between(0, 4), t: between(0, 4), d: between(0, 6) })
    .map(({ a, b, s, t, d }) => ({
      way: 'halves' as const,
      halves: [
        { count: a, spacerMm: mm(s < 1 ? 0 : s) },
        { count: b, spacerMm: mm(t < 1 ? 0 : t) },
      ] as [{ count: number; spacerMm: Mm }, { count: number; spacerMm: Mm }],
      divider: d < 2 ? null : { leftMm: mm(d), sawn: d > 4, kerfMm: mm(2) },
    })),
  grain: fc.record({
    way: fc.constant('grain' as const),
    count: even(),
    match: fc.oneof(
      fc.constant({ by: 'run' as const }),
      fc.constant({ by: 'book' as const, kerfMm: mm(2), cleanUpMm: mm(1) }),
    ),
  }),
  layered: fc
    .record({
      way: fc.constant('layered' as const),
      count: even(),
      board: fc.oneof(
        fc.record({ laid: fc.constant('outside-in' as const), layersMm }),
        fc.record({
          laid: fc.constant('bottom-up' as const),
          layersMm,
          turned: fc.constantFrom('none' as const, 'first' as const, 'second' as const),
        }),
      ),
      spacers: fc.option(spacers, { nil: undefined }),
    })
    .map(tidy),
  laminated: fc
    .record({
      count: count(3, 36),
      figure: fc.constantFrom(...FIGURES),
      layersMm: fc.array(between(1, 12).map(mm), { minLength: 1, maxLength: 6 }),
      thick: between(20, 60),
      angleDeg: between(-60, 60),
      turnedFirst: fc.boolean(),
      turn: fc.constantFrom(...TURNS),
      across: count(1, 4),
      trimMm: between(0, 4).map(mm),
      ends: fc.constantFrom('whole' as const, 'none' as const),
      onHandMm: fc.option(between(60, 2000).map(mm), { nil: undefined }),
      endsGlued: fc.constantFrom(true as const, undefined),
    })
    .map(({ layersMm, thick, ...given }) => ({
      way: 'laminated' as const,
      ...given,
      layersMm: [...layersMm, mm(thick)],
      upMm: mm(0),
      kerfMm: mm(3),
      endWasteMm: mm(10),
      spares: 2,
      longestMm: mm(1500),
      glueLines: false,
    }))
    .map(tidy),
  inlaid: fc
    .record({
      count: count(3, 30),
      spacerMm: fc.constantFrom(mm(0), mm(2)),
      plugs: fc.array(
        fc
          .record({
            shape: fc.constantFrom('round' as const, 'square' as const, 'lozenge' as const),
            acrossMm: between(1, 9).map(mm),
            asideMm: between(-3, 3).map(mm),
            upMm: between(-2, 2).map(mm),
            depthMm: fc.option(between(1, 14).map(mm), { nil: undefined }),
          })
          .map(tidy),
        { maxLength: 3 },
      ),
      edge: fc.record({
        topMm: fc.constantFrom(mm(0), mm(1.5)),
        bottomMm: fc.constantFrom(mm(0), mm(1)),
        sidesMm: fc.constantFrom(mm(0), mm(2)),
      }),
      lens: fc.option(
        fc.record({
          segment: between(0, 30),
          times: count(1, 3),
          segments: between(1, 6),
          rings: between(1, 6),
          ring: between(-4, 4),
          swell: between(1, 1.6),
        }),
        { nil: undefined },
      ),
    })
    .map((given) => ({ way: 'inlaid' as const, ...given }))
    .map(tidy),
  lettered: fc
    .record({
      count: count(3, 24),
      spacerMm: fc.constantFrom(mm(0), mm(2)),
      order: fc.array(fc.integer({ min: -1, max: 1 }), { maxLength: 24 }),
      sizeMm: between(3, 14).map(mm),
      depthMm: between(1, 12).map(mm),
      turnedOver: fc.boolean(),
      backingMm: fc.option(between(1, 14).map(mm), { nil: undefined }),
    })
    .map(tidy)
    .map((given) => ({
      way: 'lettered' as const,
      ...given,
      glyphs: GLYPHS,
      upMm: mm(0),
      cutterMm: mm(0.8),
      clearanceMm: mm(0.05),
    })),
  illusion: fc.record({
    way: fc.constant('illusion' as const),
    count: count(3, 40),
    figure: fc.constantFrom('blocks' as const, 'stairs' as const, 'lozenge' as const, 'interlace' as const),
    rows: count(1, 4),
    seen: fc.constantFrom('outside' as const, 'inside' as const),
    by: fc.constantFrom('wood' as const, 'grain' as const),
  }),
  basket: fc.record({
    way: fc.constant('basket' as const),
    count: count(4, 40),
    waferMm: between(0.5, 4).map(mm),
    leanDeg: between(1, 30),
    hand: fc.constantFrom('left' as const, 'right' as const),
  }),
  twisted: fc
    .record({
      half: fc.array(between(2, 40).map(mm), { minLength: 2, maxLength: 12 }),
      wide: between(60, 400),
      longestMm: fc.option(between(100, 2000).map(mm), { nil: undefined }),
      pinMm: fc.option(between(1, 20).map(mm), { nil: undefined }),
    })
    .map(({ half, wide, ...scribed }) => ({
      way: 'twisted' as const,
      stripsMm: [mm(wide), ...half, ...[...half].reverse(), mm(wide)],
      from: 'section-1',
      boardMm: mm(40),
      kerfMm: mm(1.5),
      cleanUpMm: mm(0),
      ...scribed,
    }))
    .map(tidy),
  medallion: fc.oneof(
    fc
      .record({
        points: count(5, 16),
        lit: fc.constantFrom('clockwise' as const, 'counter-clockwise' as const),
        borderMm: fc.constantFrom(mm(0), mm(9)),
      })
      .map(({ points, lit, borderMm }) => ({
        way: 'medallion' as const,
        floor: { figure: 'star' as const, points, lit },
        borderMm,
      })),
    fc
      .record({
        rounds: count(1, 8),
        heart: between(0.1, 0.6),
        laid: fc.constantFrom('left' as const, 'right' as const),
      })
      .map((floor) => ({
        way: 'medallion' as const,
        floor: { figure: 'cabin' as const, ...floor },
        borderMm: mm(0),
      })),
  ),
};

const anySawn: fc.Arbitrary<SawnMaking> = fc.oneof(...Object.values(SAWN));

/** A ring from the stash, with the sizes that are asked for. */
const anyStock = fc.record({ of: anySawn, item: fc.uuid() }).map(
  ({ of, item }): ParamsOf<'stock'> => ({
    way: 'stock',
    item,
    name: 'Left over',
    outerRadiusMm: mm(90),
    innerRadiusMm: mm(60),
    heightMm: mm(60),
    species: Array.from({ length: placesOf(of) }, (_, i) => (i % 3 === 0 ? 'black-walnut' : 'sugar-maple')),
    of,
  }),
);

/** Random parameters for every way of making; a ring cannot be made of all of them. */
export const makingOf = (way: Way): fc.Arbitrary<RingMaking> =>
  way === 'stock' ? anyStock : (SAWN[way] as fc.Arbitrary<SawnMaking>);

export const anyMaking: fc.Arbitrary<RingMaking> = fc.oneof(
  ...WAYS.filter((way) => !['stock', 'resawn', 'twisted'].includes(way)).map(makingOf),
);
