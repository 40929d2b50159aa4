import fc from 'fast-check';
import type { Leaning } from '../making/joints/lean.js';
import { FIGURES, TURNS } from '../making/laminated/params.js';
import { bodyOf, type ParamsOf, placesOf, type RingMaking, type SawnMaking } from '../making/registry.js';
import { againstEachOther } from '../making/segmented/goes.js';
import type { SEGMENTED_STARTS } from '../making/segmented/starts.js';
import type { SawnFrom } from '../making/sources/registry.js';
import { type Mm, mm } from '../measure/quantity.js';
import { between } from './numbers.js';

type SegmentedStart = keyof typeof SEGMENTED_STARTS;

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

type Segmented = ParamsOf<'segmented'>;
type Answers = Omit<Segmented, 'way' | 'count'>;

const lean = (cuts: readonly Leaning['cut'][]) =>
  fc.record({
    tiltDeg: between(0.5, 25),
    hand: fc.constantFrom('left' as const, 'right' as const),
    cut: fc.constantFrom(...cuts),
  });
const CUTS = ['two-fences', 'same-edge', 'turned-over'] as const;

/** Spacers in some joints and gaps in others that close: what one joint holds, the one opposite holds too. */
const mixed = (half: number) =>
  fc
    .array(
      fc.record({
        joint: count(0, half - 1),
        holds: fc.constantFrom('spacer' as const, 'gap' as const),
        thicknessMm: between(0.5, 4).map(mm),
      }),
      { minLength: 1, maxLength: 4 },
    )
    .map((joints) => ({
      put: 'mixed' as const,
      joints: joints
        .filter(({ joint }, i) => joints.findIndex((other) => other.joint === joint) === i)
        .flatMap((held) => [held, { ...held, joint: held.joint + half }]),
    }));

const lost = { kerfMm: between(0.5, 3).map(mm), cleanUpMm: between(0, 4).map(mm) };
const sliced = fc.record({ done: fc.constant('sliced' as const), from: fc.constant('thick-1'), ...lost });
const opened = fc.record({ done: fc.constant('opened' as const), ...lost });
const backingMm = fc.option(between(1, 14).map(mm), { nil: undefined });

const layers = fc.oneof(
  fc.record({ is: fc.constant('layers' as const), laid: fc.constant('outside-in' as const), layersMm }),
  fc.record({
    is: fc.constant('layers' as const),
    laid: fc.constant('bottom-up' as const),
    layersMm,
    turned: fc.constantFrom('none' as const, 'first' as const, 'second' as const),
  }),
);
const laminated = fc
  .record({
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
    backingMm,
  })
  .map(({ layersMm, thick, ...given }) => ({
    is: 'laminated' as const,
    ...given,
    layersMm: [...layersMm, mm(thick)],
    upMm: mm(0),
    kerfMm: mm(3),
    endWasteMm: mm(10),
    spares: 2,
    longestMm: mm(1500),
    glueLines: false,
  }))
  .map(tidy);
const plugs = fc
  .record({
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
    backingMm,
  })
  .map((given) => ({ is: 'plugs' as const, ...given }))
  .map(tidy);
const letters = fc
  .record({
    order: fc.array(fc.integer({ min: -1, max: 1 }), { maxLength: 24 }),
    sizeMm: between(3, 14).map(mm),
    depthMm: between(1, 12).map(mm),
    turnedOver: fc.boolean(),
    backingMm,
  })
  .map((given) => ({
    is: 'letters' as const,
    ...given,
    glyphs: GLYPHS,
    upMm: mm(0),
    cutterMm: mm(0.8),
    clearanceMm: mm(0.05),
  }))
  .map(tidy);
const illusion = fc
  .record({
    is: fc.constant('illusion' as const),
    figure: fc.constantFrom('blocks' as const, 'stairs' as const, 'lozenge' as const, 'interlace' as const),
    rows: count(1, 4),
    seen: fc.constantFrom('outside' as const, 'inside' as const),
    by: fc.constantFrom('wood' as const, 'grain' as const),
    backingMm,
  })
  .map(tidy);
const inJoints = spacers.map((spacers) => ({ put: 'spacers' as const, spacers }));

/** Segments of an even count with some answers; what does not go together is left out. */
const ringsOf = (
  counts: fc.Arbitrary<number>,
  answers: { readonly [K in keyof Answers]?: fc.Arbitrary<Answers[K] | undefined> },
): fc.Arbitrary<Segmented> =>
  fc
    .record({ way: fc.constant('segmented' as const), count: counts, ...answers })
    .map((given) => tidy(given) as unknown as Segmented)
    .filter((given) => againstEachOther(given) === null);

const leaningStaves = fc.oneof(fc.constant(0), between(-40, 40)).map((leanDeg) => ({ leanDeg }));
/** Two halves, and how many segments they have together. */
const halved = fc
  .record({ a: count(2, 12), b: count(2, 12), s: between(0, 4), t: between(0, 4), d: between(0, 6) })
  .map(({ a, b, s, t, d }) => ({
    count: a + b,
    inHalves: {
      first: a,
      spacersMm: [mm(s < 1 ? 0 : s), mm(t < 1 ? 0 : t)] as [Mm, Mm],
      divider: d < 2 ? null : { leftMm: mm(d), sawn: d > 4, kerfMm: mm(2) },
    },
  }));

const maybe = <T>(given: fc.Arbitrary<T>) => fc.option(given, { nil: undefined });
const source = fc.oneof(layers, laminated, plugs, letters, illusion) as fc.Arbitrary<SawnFrom>;

/** Random parameters about every starting point, and of answers drawn for themselves. */
const SEGMENTED: Readonly<Record<SegmentedStart | 'any', fc.Arbitrary<Segmented>>> = {
  flat: ringsOf(even(), { parts }),
  spaced: fc.oneof(
    ringsOf(count(3, 40), {
      between: between(0.5, 6).map((s) => ({
        put: 'spacers' as const,
        spacers: { at: 'every' as const, thicknessMm: mm(s) },
      })),
      plug,
    }),
    fc
      .record({ panels: count(2, 8), each: count(1, 6), thicknessMm: between(0.5, 6).map(mm) })
      .filter(({ panels, each }) => panels * each >= 3)
      .map(({ panels, each, thicknessMm }) => ({
        way: 'segmented' as const,
        count: panels * each,
        between: {
          put: 'spacers' as const,
          spacers: { at: 'even' as const, number: panels, thicknessMm },
        },
      })),
    count(2, 12).chain((half) =>
      mixed(half).map((between) => ({ way: 'segmented' as const, count: 2 * half, between })),
    ),
  ),
  open: ringsOf(count(4, 40), { between: gap.map((gap) => ({ put: 'gaps' as const, gap })) }),
  tilted: ringsOf(even(40), { lean: lean(CUTS), between: maybe(put), plug }),
  basket: fc
    .record({
      count: count(4, 40),
      thicknessMm: between(0.5, 4).map(mm),
      tiltDeg: between(1, 30),
      hand: fc.constantFrom('left' as const, 'right' as const),
    })
    .map(({ count, thicknessMm, tiltDeg, hand }) => ({
      way: 'segmented' as const,
      count,
      lean: { tiltDeg, hand, cut: 'same-edge' as const },
      between: { put: 'spacers' as const, spacers: { at: 'every' as const, thicknessMm } },
      woven: true as const,
    })),
  climbing: ringsOf(even(40), { lean: lean(CUTS), between: inJoints, after: maybe(sliced) }),
  resawn: ringsOf(even(40), {
    parts,
    after: sliced,
    between: maybe(inJoints),
    lean: maybe(lean(CUTS)),
    plug,
  }),
  grain: fc.oneof(
    ringsOf(even(), { inOrder: fc.constant(true as const), lean: maybe(lean(['same-edge'])) }),
    ringsOf(even(), { after: opened, sawnFrom: maybe(layers) }),
  ),
  layered: ringsOf(even(), {
    sawnFrom: layers,
    between: maybe(inJoints),
    lean: maybe(lean(CUTS)),
    plug,
    parts,
    after: maybe(sliced),
  }),
  laminated: ringsOf(count(3, 36), { sawnFrom: laminated, between: maybe(inJoints) }),
  inlaid: ringsOf(even(30), { sawnFrom: plugs, between: maybe(inJoints), lean: maybe(lean(CUTS)) }),
  lettered: ringsOf(even(24), { sawnFrom: letters, between: maybe(inJoints), lean: maybe(lean(CUTS)) }),
  illusion: ringsOf(count(3, 40), { sawnFrom: illusion, between: maybe(put) }),
  halves: halved.chain(({ count: segments, inHalves }) =>
    ringsOf(fc.constant(segments), {
      inHalves: fc.constant(inHalves),
      sawnFrom: maybe(layers),
      after: maybe(sliced),
      plug: maybe(plug),
    }),
  ),
  staved: ringsOf(even(40), {
    staves: leaningStaves,
    parts: maybe(parts),
    between: maybe(put),
    sawnFrom: maybe(fc.oneof(layers, plugs, letters)),
    plug: maybe(plug),
  }),
  pie: ringsOf(even(40), {
    toCentre: fc.constant(true as const),
    plug: maybe(plug),
    parts: maybe(parts),
    inOrder: fc.constantFrom(undefined, true as const),
    between: maybe(put),
    lean: maybe(lean(CUTS)),
    sawnFrom: maybe(source),
    after: maybe(fc.oneof(sliced, opened)),
  }),
  any: even(24).chain((segments) =>
    ringsOf(fc.constant(segments), {
      parts: maybe(parts),
      inOrder: fc.constantFrom(undefined, true as const),
      plug: maybe(plug),
      lean: maybe(lean(CUTS)),
      between: maybe(fc.oneof(put, mixed(segments / 2))),
      sawnFrom: maybe(source),
      after: maybe(fc.oneof(sliced, opened)),
    }),
  ),
};

const discSource: fc.Arbitrary<NonNullable<ParamsOf<'disc'>['sawnFrom']>> = fc.oneof(
  fc.record({
    is: fc.constant('layers' as const),
    layersMm: fc.array(between(1, 4).map(mm), { minLength: 1, maxLength: 4 }),
  }),
  fc.record({
    is: fc.constant('star' as const),
    points: count(5, 16),
    lit: fc.constantFrom('clockwise' as const, 'counter-clockwise' as const),
    borderMm: fc.constantFrom(mm(0), mm(9)),
  }),
  fc.record({
    is: fc.constant('cabin' as const),
    rounds: count(1, 8),
    heart: between(0.1, 0.6),
    laid: fc.constantFrom('left' as const, 'right' as const),
  }),
  fc
    .record({
      half: fc.array(between(2, 40).map(mm), { minLength: 2, maxLength: 12 }),
      wide: between(60, 400),
      longestMm: fc.option(between(100, 2000).map(mm), { nil: undefined }),
    })
    .map(({ half, wide, longestMm }) => ({
      is: 'strips' as const,
      stripsMm: [mm(wide), ...half, ...[...half].reverse(), mm(wide)],
      ...(longestMm && { longestMm }),
    })),
);

const slicedDisc = fc
  .record({
    sliced,
    boardMm: fc.option(between(20, 60).map(mm), { nil: undefined }),
    pinMm: fc.option(between(1, 20).map(mm), { nil: undefined }),
  })
  .map(({ sliced, ...of }) => tidy({ ...sliced, ...of }));

/** Random parameters of the ways of making a ring at the saw that are no segments put together. */
const OTHERS: {
  readonly [W in Exclude<SawnMaking['way'], 'segmented'>]: fc.Arbitrary<Extract<SawnMaking, { way: W }>>;
} = {
  disc: fc
    .record({
      sawnFrom: fc.option(discSource, { nil: undefined }),
      after: fc.option(slicedDisc, { nil: undefined }),
    })
    .map(({ sawnFrom, after }) => ({
      way: 'disc' as const,
      sawnFrom,
      after: sawnFrom?.is === 'layers' ? undefined : after,
    }))
    .map(tidy),
  globe: fc.record({
    way: fc.constant('globe' as const),
    part: fc.constantFrom('whole' as const, 'half' as const),
    bevels: fc.constantFrom('half-angle' as const, 'centre' as const),
    glued: fc.constantFrom('fives' as const, 'triplets' as const),
  }),
};

const SAWN: Readonly<Record<string, fc.Arbitrary<SawnMaking>>> = { ...SEGMENTED, ...OTHERS };
const anySawn: fc.Arbitrary<SawnMaking> = fc.oneof(...Object.values(SAWN));

/** Families of rings: every starting point, and any segments put together. */
export const FAMILIES: readonly string[] = [...Object.keys(SAWN), 'stock'];

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

/** Random parameters of a family; a ring cannot be made of all of them. */
export const makingOf = (family: string): fc.Arbitrary<RingMaking> =>
  family === 'stock' ? anyStock : SAWN[family]!;

export const anyMaking: fc.Arbitrary<RingMaking> = fc
  .oneof(...FAMILIES.filter((family) => family !== 'stock').map(makingOf))
  .filter((making) => bodyOf(making) === null);
