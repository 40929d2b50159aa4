import Module from 'manifold-3d';
import { beforeAll, describe, expect, test } from 'vitest';
import { sawn } from '../demo/build.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import type { LaidPiece, Made } from './contract.js';
import { layOut, volumeOf } from './layOut.js';
import { begun, makeRing, type ParamsOf, type RingMaking } from './registry.js';

// manifold-3d: an independent solid-modelling kernel.
let kernel: Awaited<ReturnType<typeof Module>>;
beforeAll(async () => {
  kernel = await Module();
  kernel.setup();
});

/** Sides that stand for a circle: outside within it and inside round it, so that what they enclose lies in the round ring. */
const ROUND = 360;
const ABOUT = 1 / Math.cos(Math.PI / ROUND);

/** A piece as a solid: side faces between bottom and top, both closed by the kernel's own triangles. */
function solid({ bottom, top, fromMm, toMm }: LaidPiece) {
  const n = bottom.length;
  const flat = (outline: LaidPiece['bottom']) => outline.map(({ x, y }): [number, number] => [x, y]);
  const sides = bottom.flatMap((_, i) => {
    const j = (i + 1) % n;
    return [i, j, n + j, i, n + j, n + i];
  });
  const mesh = new kernel.Mesh({
    numProp: 3,
    vertProperties: new Float32Array([
      ...bottom.flatMap(({ x, y }) => [x, y, fromMm]),
      ...top.flatMap(({ x, y }) => [x, y, toMm]),
    ]),
    triVerts: new Uint32Array([
      ...sides,
      ...kernel.triangulate([flat(bottom)]).flatMap(([a, b, c]) => [a, c, b]),
      ...kernel.triangulate([flat(top)]).flatMap(([a, b, c]) => [n + a, n + b, n + c]),
    ]),
  });
  return new kernel.Manifold(mesh);
}

/** What is left when the blank is turned to the radii that it says it gives; a cone where it leans. */
function survivor({ gives, lean, heightMm: h }: Made) {
  const at = (radius: number, dz: number) => Math.max(0, radius + lean * dz);
  const cone = (radius: number) => kernel.Manifold.cylinder(h, at(radius, -h / 2), at(radius, h / 2), ROUND);
  return gives.innerRadiusMm > 1e-6
    ? cone(gives.outerRadiusMm).subtract(cone(gives.innerRadiusMm * ABOUT))
    : cone(gives.outerRadiusMm);
}

const FROM = { segments: 12, body: 'section' };

const plug = (across: number) => ({ diameterMm: mm(across), drillMm: mm(across) });
const LETTERS = sawn(
  'letters',
  8,
  { depthMm: mm(8), backingMm: mm(8) },
  { between: { put: 'spacers', spacers: { at: 'every', thicknessMm: mm(3) } } },
);
const staved = (leanDeg: number) => ({ way: 'segmented', count: 12, staves: { leanDeg } }) as const;
const EVERY_OTHER = { at: 'even', number: 6, thicknessMm: mm(3) } as const;
const LEANING = {
  way: 'segmented',
  count: 12,
  lean: { tiltDeg: 20, hand: 'right', cut: 'same-edge' },
} as const;
const climbing = (at: 'every' | number): ParamsOf<'segmented'> => ({
  ...LEANING,
  between: {
    put: 'spacers',
    spacers: at === 'every' ? { at, thicknessMm: mm(3) } : { at: 'even', number: at, thicknessMm: mm(3) },
  },
});
const examples: readonly (readonly [string, RingMaking, outer: number, inner: number, height: number])[] = [
  ['3 segments', { way: 'segmented', count: 3 }, 60, 20, 12],
  ['6 segments to the points', { way: 'segmented', count: 6 }, 80, 0, 15],
  ['41 segments', { way: 'segmented', count: 41 }, 200, 188, 8],
  ['unequal segments', { way: 'segmented', count: 12, parts: [1, 2, 1.5, 0.7] }, 110, 90, 18],
  ['a disc', { way: 'disc' }, 90, 0, 19],
  ['a pie', { way: 'segmented', toCentre: true, count: 8 }, 70, 0, 19],
  ['a pie with a plug', { way: 'segmented', toCentre: true, count: 10, plug: plug(25) }, 70, 0, 19],
  [
    '12 spacers',
    {
      way: 'segmented',
      count: 12,
      between: { put: 'spacers', spacers: { at: 'every', thicknessMm: mm(3) } },
    },
    100,
    80,
    20,
  ],
  [
    '4 spacers in 12',
    {
      way: 'segmented',
      count: 12,
      between: { put: 'spacers', spacers: { at: 'even', number: 4, thicknessMm: mm(4) } },
    },
    100,
    80,
    20,
  ],
  [
    '5 spacers in 15',
    {
      way: 'segmented',
      count: 15,
      between: { put: 'spacers', spacers: { at: 'even', number: 5, thicknessMm: mm(5) } },
    },
    90,
    60,
    20,
  ],
  [
    '2 thick spacers in 24',
    {
      way: 'segmented',
      count: 24,
      between: { put: 'spacers', spacers: { at: 'even', number: 2, thicknessMm: mm(12) } },
    },
    80,
    65,
    18,
  ],
  ['spacers in every leaning joint', climbing('every'), 100, 80, 20],
  ['spacers in every other leaning joint', climbing(6), 100, 80, 20],
  ['spacers in leaning joints round a plug', { ...climbing('every'), plug: plug(40) }, 60, 0, 18],
  [
    'spacers between wedges upside down in turn',
    { ...climbing(4), lean: { tiltDeg: 8, hand: 'right', cut: 'turned-over' } },
    100,
    80,
    20,
  ],
  [
    'parallel gaps that lean',
    { ...LEANING, between: { put: 'gaps', gap: { sides: 'parallel', widthMm: mm(4) } } },
    100,
    80,
    20,
  ],
  [
    'tapered gaps that lean',
    { ...LEANING, between: { put: 'gaps', gap: { sides: 'tapered', share: 0.25 } } },
    100,
    80,
    20,
  ],
  [
    'two layers with spacers between segments',
    {
      way: 'segmented',
      count: 12,
      between: { put: 'spacers', spacers: EVERY_OTHER },
      sawnFrom: { is: 'layers', laid: 'outside-in', layersMm: [mm(8)] },
    },
    100,
    75,
    20,
  ],
  [
    'a slice of a thick ring with spacers',
    {
      way: 'segmented',
      count: 12,
      between: { put: 'spacers', spacers: EVERY_OTHER },
      after: { done: 'sliced', from: 'thick', kerfMm: mm(2), cleanUpMm: mm(1) },
    },
    100,
    80,
    8,
  ],
  [
    'layers one above the other, every other segment upside down',
    {
      way: 'segmented',
      count: 12,
      sawnFrom: { is: 'layers', laid: 'bottom-up', layersMm: [mm(5), mm(7)], turned: 'second' },
    },
    100,
    80,
    20,
  ],
  ['letters with a backing and spacers', LETTERS, 100, 75, 24],
  [
    'spacers of three layers, every other turned over, in leaning joints',
    {
      ...LEANING,
      between: {
        put: 'spacers',
        spacers: {
          at: 'every',
          thicknessMm: mm(4),
          layers: { layersMm: [mm(1), mm(1.5)], turned: 'second' },
        },
      },
    },
    100,
    80,
    20,
  ],
  [
    'spacers and a plug',
    {
      way: 'segmented',
      count: 8,
      plug: plug(30),
      between: { put: 'spacers', spacers: { at: 'every', thicknessMm: mm(4) } },
    },
    60,
    0,
    18,
  ],
  [
    'picked pairs of two thicknesses',
    {
      way: 'segmented',
      count: 12,
      between: {
        put: 'spacers',
        spacers: {
          at: 'picked',
          joints: [0, 6, 2, 8].map((joint, i) => ({ joint, thicknessMm: mm(i < 2 ? 2 : 5) })),
        },
      },
    },
    100,
    80,
    20,
  ],
  [
    'parallel gaps',
    { way: 'segmented', count: 12, between: { put: 'gaps', gap: { sides: 'parallel', widthMm: mm(6) } } },
    100,
    80,
    12,
  ],
  [
    'tapered gaps',
    { way: 'segmented', count: 18, between: { put: 'gaps', gap: { sides: 'tapered', share: 0.3 } } },
    100,
    85,
    12,
  ],
  ['upright staves', { way: 'segmented', count: 16, staves: { leanDeg: 0 } }, 100, 85, 80],
  ['staves leaning out', { way: 'segmented', count: 12, staves: { leanDeg: 20 } }, 100, 85, 60],
  ['staves leaning in', { way: 'segmented', count: 9, staves: { leanDeg: -35 } }, 100, 80, 40],
  [
    'tilted to the right',
    { way: 'segmented', count: 12, lean: { tiltDeg: 20, hand: 'right', cut: 'two-fences' } },
    100,
    80,
    20,
  ],
  [
    'tilted to the left',
    { way: 'segmented', count: 9, lean: { tiltDeg: 12, hand: 'left', cut: 'same-edge' } },
    100,
    70,
    25,
  ],
  [
    'wedges upside down in turn',
    { way: 'segmented', count: 12, lean: { tiltDeg: 15, hand: 'right', cut: 'turned-over' } },
    100,
    80,
    20,
  ],
  [
    'tilted round a plug',
    { way: 'segmented', count: 10, plug: plug(30), lean: { tiltDeg: 15, hand: 'left', cut: 'same-edge' } },
    80,
    0,
    20,
  ],
  [
    'a slice',
    { way: 'segmented', count: 18, after: { done: 'sliced', from: 't', kerfMm: mm(2), cleanUpMm: mm(1) } },
    90,
    75,
    5,
  ],
  [
    'alike halves',
    {
      way: 'segmented',
      count: 12,
      inHalves: { first: 6, spacersMm: [mm(2), mm(2)], divider: null },
    },
    90,
    70,
    15,
  ],
  [
    'unlike halves to be sawn apart',
    {
      way: 'segmented',
      count: 13,
      inHalves: {
        first: 4,
        spacersMm: [mm(3), mm(0)],
        divider: { leftMm: mm(3), sawn: true, kerfMm: mm(2) },
      },
    },
    90,
    60,
    15,
  ],
  [
    'a book',
    { way: 'segmented', count: 12, after: { done: 'opened', kerfMm: mm(2), cleanUpMm: mm(1) } },
    100,
    80,
    20,
  ],
  [
    'two layers',
    { way: 'segmented', count: 12, sawnFrom: { is: 'layers', laid: 'outside-in', layersMm: [mm(9)] } },
    100,
    80,
    20,
  ],
  [
    'staves leaning out, with a spacer at every joint',
    { ...staved(15), between: { put: 'spacers', spacers: { at: 'every', thicknessMm: mm(3) } } },
    100,
    80,
    60,
  ],
  [
    'staves leaning in, of layers, with a spacer at every other joint',
    {
      ...staved(-20),
      between: { put: 'spacers', spacers: EVERY_OTHER },
      sawnFrom: { is: 'layers', laid: 'outside-in', layersMm: [mm(7)] },
    },
    100,
    80,
    40,
  ],
  ['unequal staves leaning out', { ...staved(10), parts: [1, 2, 1] }, 100, 80, 50],
  ['letters in upright staves', sawn('letters', 12, {}, { staves: { leanDeg: 0 } }), 90, 70, 20],
  [
    'layers in halves that differ, round a plug',
    {
      way: 'segmented',
      count: 11,
      plug: plug(50),
      inHalves: {
        first: 4,
        spacersMm: [mm(3), mm(1)],
        divider: { leftMm: mm(3), sawn: false, kerfMm: mm(2) },
      },
      sawnFrom: { is: 'layers', laid: 'outside-in', layersMm: [mm(9)] },
    },
    90,
    60,
    15,
  ],
  [
    'a pie of unequal segments, one layer above the other',
    {
      way: 'segmented',
      toCentre: true,
      count: 12,
      parts: [1, 2],
      sawnFrom: { is: 'layers', laid: 'bottom-up', layersMm: [mm(6)], turned: 'none' },
    },
    70,
    0,
    18,
  ],
  [
    'a slice of a pie with spacers and a plug',
    {
      way: 'segmented',
      toCentre: true,
      count: 12,
      plug: plug(30),
      between: { put: 'spacers', spacers: { at: 'every', thicknessMm: mm(2) } },
      after: { done: 'sliced', from: 'thick', kerfMm: mm(2), cleanUpMm: mm(1) },
    },
    70,
    0,
    8,
  ],
  ['a zigzag of slices', sawn('laminated', 12, { angleDeg: 25 }), 100, 80, 30],
  ['chevrons', sawn('laminated', 16, { figure: 'chevron', angleDeg: 35 }), 90, 70, 36],
  [
    'a chequer',
    sawn('laminated', 10, { figure: 'chequer', across: 3, layersMm: [6, 6, 6, 6].map(mm) }),
    90,
    70,
    24,
  ],
  [
    'plugs in frames, with spacers',
    {
      way: 'segmented',
      count: 12,
      between: { put: 'spacers', spacers: { at: 'every', thicknessMm: mm(3) } },
      sawnFrom: {
        is: 'plugs',
        plugs: [
          { shape: 'round', acrossMm: mm(6), asideMm: mm(2), upMm: mm(1), depthMm: mm(9) },
          { shape: 'lozenge', acrossMm: mm(12), asideMm: mm(0), upMm: mm(0) },
        ],
        edge: { topMm: mm(2), bottomMm: mm(3), sidesMm: mm(4) },
      },
    },
    100,
    75,
    20,
  ],
  ['letters', sawn('letters', 12), 90, 70, 20],
  ['tumbling blocks', sawn('illusion', 12, { rows: 2 }), 80, 60, 60],
  ['woven bands', sawn('illusion', 12, { figure: 'interlace' }), 80, 60, 30],
  ['stairs', sawn('illusion', 12, { figure: 'stairs', rows: 4 }), 80, 60, 30],
  [
    'two layers in leaning joints, every other one with a spacer',
    { ...climbing(6), sawnFrom: { is: 'layers', laid: 'outside-in', layersMm: [mm(8)] } },
    100,
    75,
    20,
  ],
  [
    'layers upside down in wedges upside down',
    {
      ...LEANING,
      lean: { tiltDeg: 10, hand: 'right', cut: 'turned-over' },
      sawnFrom: { is: 'layers', laid: 'bottom-up', layersMm: [mm(6), mm(5)], turned: 'first' },
    },
    100,
    80,
    20,
  ],
  [
    'layers round a plug, of unequal segments',
    {
      way: 'segmented',
      count: 9,
      parts: [1, 2, 1],
      plug: plug(30),
      sawnFrom: { is: 'layers', laid: 'outside-in', layersMm: [mm(9)] },
    },
    70,
    0,
    18,
  ],
  [
    'dots in leaning joints with spacers, in front of a backing',
    sawn(
      'plugs',
      12,
      {
        plugs: [{ shape: 'round', acrossMm: mm(7), asideMm: mm(3), upMm: mm(2), depthMm: mm(9) }],
        backingMm: mm(7),
      },
      climbing('every'),
    ),
    100,
    75,
    20,
  ],
  [
    'letters in wedges upside down',
    sawn('letters', 12, {}, { lean: { tiltDeg: 6, hand: 'right', cut: 'turned-over' } }),
    100,
    75,
    20,
  ],
  [
    'spacers and gaps joint by joint',
    {
      way: 'segmented',
      count: 12,
      between: {
        put: 'mixed',
        joints: [0, 3, 6, 9].map((joint) => ({
          joint,
          holds: joint % 2 === 0 ? ('spacer' as const) : ('gap' as const),
          thicknessMm: mm(4),
        })),
      },
    },
    100,
    80,
    14,
  ],
  [
    'a zigzag in front of a backing, between spacers',
    sawn(
      'laminated',
      12,
      { angleDeg: 20, backingMm: mm(12) },
      { between: { put: 'spacers', spacers: EVERY_OTHER } },
    ),
    100,
    75,
    24,
  ],
  [
    'a slice of a leaning ring with spacers',
    { ...climbing('every'), after: { done: 'sliced', from: 'thick', kerfMm: mm(2), cleanUpMm: mm(1) } },
    100,
    80,
    8,
  ],
  ['a basket', { ...(begun('basket', FROM) as ParamsOf<'segmented'>), count: 14 }, 90, 70, 12],
  ['a twisted slice', begun('twisted', FROM)!, 90, 0, 6],
  [
    'a disc of strips',
    { way: 'disc', sawnFrom: { is: 'strips', stripsMm: [70, 9, 14, 9, 70].map(mm) } },
    80,
    0,
    21,
  ],
  ['a star with a border', begun('medallion', FROM)!, 90, 0, 10],
  [
    'a star of five points',
    { way: 'disc', sawnFrom: { is: 'star', points: 5, lit: 'clockwise', borderMm: mm(0) } },
    60,
    0,
    10,
  ],
  ['a log cabin', { way: 'disc', sawnFrom: { is: 'cabin', rounds: 4, heart: 0.2, laid: 'left' } }, 60, 0, 10],
  [
    'a disc of three boards',
    { way: 'disc', sawnFrom: { is: 'layers', layersMm: [mm(9), mm(2)] } },
    80,
    0,
    19,
  ],
  [
    'a slice of a star',
    {
      way: 'disc',
      sawnFrom: { is: 'star', points: 8, lit: 'clockwise', borderMm: mm(12) },
      after: { done: 'sliced', from: 'thick', kerfMm: mm(2), cleanUpMm: mm(1) },
    },
    60,
    0,
    5,
  ],
  [
    'a ring from the stash',
    {
      way: 'stock',
      item: 'a',
      name: 'a',
      outerRadiusMm: mm(95),
      innerRadiusMm: mm(70),
      heightMm: mm(20),
      species: ['black-walnut'],
      of: { way: 'segmented', count: 18 },
    },
    95,
    70,
    20,
  ],
];

describe.each(examples)('%s', (_, making, outer, inner, height) => {
  const ring = () => {
    const made = makeRing(making, {
      outerRadiusMm: mm(outer),
      innerRadiusMm: mm(inner),
      heightMm: mm(height),
    });
    if (!made.ok) throw new Error(plain(made.reasons[0]!.message));
    return made.value;
  };

  test('the pieces do not overlap, their volume is the one that is counted, the round ring lies within them', () => {
    const made = ring();
    const pieces = layOut(made).map((piece) => solid(piece));
    const whole = kernel.Manifold.union(pieces);
    const apart = pieces.reduce((sum, piece) => sum + piece.volume(), 0);
    const counted = layOut(made).reduce((sum, piece) => sum + volumeOf(piece), 0);
    // The kernel folds the sides of a rim through leaning pieces, which are no planes, into triangles.
    const leaningRim = making.way === 'segmented' && making.lean !== undefined && making.plug !== undefined;
    expect(whole.volume() / apart).toBeCloseTo(1, 4);
    expect(apart / counted).toBeCloseTo(1, leaningRim ? 4 : 5);
    const round = survivor(made);
    const missing = round.subtract(whole).volume();
    if (made.closed) expect(missing / round.volume()).toBeLessThan(2e-4);
    else {
      const gaps = round.volume() - round.intersect(whole).volume();
      expect(missing).toBeCloseTo(gaps, 1);
      expect(missing / round.volume()).toBeGreaterThan(0.01);
    }
  });
});

test('a ring cut any narrower would not hold its round ring', () => {
  const made = makeRing(
    {
      way: 'segmented',
      count: 12,
      between: { put: 'spacers', spacers: { at: 'even', number: 3, thicknessMm: mm(6) } },
    },
    { outerRadiusMm: mm(100), innerRadiusMm: mm(80), heightMm: mm(20) },
  );
  if (!made.ok) throw new Error('ring');
  const whole = kernel.Manifold.union(layOut(made.value).map((piece) => solid(piece)));
  const tube = (outer: number, inner: number) =>
    kernel.Manifold.cylinder(20, outer, outer, ROUND).subtract(
      kernel.Manifold.cylinder(20, inner * ABOUT, inner * ABOUT, ROUND),
    );
  const missing = (outer: number, inner: number) => tube(outer, inner).subtract(whole).volume();
  expect(missing(made.value.gives.outerRadiusMm, made.value.gives.innerRadiusMm)).toBeLessThan(0.2);
  expect(missing(made.value.gives.outerRadiusMm + 0.3, made.value.gives.innerRadiusMm)).toBeGreaterThan(2);
  expect(missing(made.value.gives.outerRadiusMm, made.value.gives.innerRadiusMm - 0.3)).toBeGreaterThan(2);
});
