import { z } from 'zod';
import { length, shown } from '../../measure/field.js';
import { mm } from '../../measure/quantity.js';
import { done, type Result, refuse } from '../../measure/reason.js';
import { say, sayMade, sayMm, sayRad } from '../../measure/said.js';
import { type Planing, planedTo } from '../planing.js';
import { pitchOfCount, SEGMENT_CAUTIONS, segmentStock } from '../segments.js';
import { type Step, step } from '../step.js';
import { radialWedge, wedgeOutline } from '../wedge.js';
import type { DiscSize, DiscSource, Floor } from './contract.js';
import { asDisc, block, MEDALLION, range } from './floor.js';
import { clockwiseHalf, counterHalf, type Star as Holding, infill, starHolding } from './star.js';

const LEAST_POINTS = 5;
const MOST_POINTS = 16;

const stars = {
  error: ({ input }: { input?: unknown }) =>
    `A star of ${shown(input)} points is asked for; it has to have ${LEAST_POINTS} to ${MOST_POINTS}.`,
};

const params = z.strictObject({
  is: z.literal('star'),
  points: z.number(stars).int(stars).min(LEAST_POINTS, stars).max(MOST_POINTS, stars),
  /** Which half of each point is of the lighter group: it makes the points stand out or lie back. */
  lit: z.enum(['clockwise', 'counter-clockwise'], {
    error: () => 'The lit half is clockwise or counter-clockwise.',
  }),
  /** Width of a ring of segments round the star; 0 for none. */
  borderMm: length('Border', 0, 500),
});

export type Star = z.infer<typeof params>;

/** A floor glued up flat: a star of rhombs of two halves with infill and a border. */
export const star: DiscSource<Star> = {
  is: 'star',
  params,
  begun: { is: 'star', points: 8, lit: 'clockwise', borderMm: mm(12) },
  called: MEDALLION,
  strict: true,
  whole: null,
  groups: ({ points: count, borderMm }) => [
    { name: 'Lit half', count },
    { name: 'Shaded half', count },
    { name: 'Infill', count },
    ...(borderMm > 0 ? [{ name: 'Border', count }] : []),
  ],
  pitch: ({ points }) => pitchOfCount(points),
  tones: ({ points, borderMm }) =>
    (['light', 'dark', 'middle', ...(borderMm > 0 ? (['dark'] as const) : [])] as const).flatMap((tone) =>
      Array.from({ length: points }, () => tone),
    ),
  mirror: (of) => ({ ...of, lit: of.lit === 'clockwise' ? 'counter-clockwise' : 'clockwise' }),
  lay(of, size) {
    const floor = layStar(of, size);
    return floor.ok ? done(asDisc(floor.value)) : floor;
  },
  instead: (of, { outerRadiusMm }) =>
    of.borderMm >= outerRadiusMm ? { ...of, borderMm: mm(outerRadiusMm / 5) } : null,
};

function layStar({ points: P, lit, borderMm }: Star, { outerRadiusMm, heightMm }: DiscSize): Result<Floor> {
  const star = starHolding(P, outerRadiusMm - borderMm);
  if (star.shortMm < LEAST_ACROSS)
    return refuse(
      'star-too-small',
      'sawnFrom.borderMm',
      say`Inside a border of ${sayMm(borderMm)} the floor of ${sayMm(2 * outerRadiusMm)} leaves points ${sayMm(Math.max(0, star.shortMm))} across; they have to be at least ${sayMm(LEAST_ACROSS)}.`,
      { most: outerRadiusMm },
    );
  const half = Math.PI / P;
  const faces = { outerRadiusMm, innerRadiusMm: outerRadiusMm - borderMm, lean: 0 };
  const [first, second] = lit === 'clockwise' ? [clockwiseHalf, counterHalf] : [counterHalf, clockwiseHalf];
  const bordered = borderMm > 0;
  const outlines = [
    ...range(P).map((i) => first(star, i)),
    ...range(P).map((i) => second(star, i)),
    ...range(P).map((i) => infill(star, i)),
    ...(bordered ? range(P).map((i) => wedgeOutline(radialWedge((2 * i + 1) * half, half), faces, 0)) : []),
  ];
  const base = 2 * star.tipMm * Math.sin(half);
  const kinds = [
    block('Lit half', star.tipMm, star.shortMm / 2, heightMm, range(P)),
    block('Shaded half', star.tipMm, star.shortMm / 2, heightMm, range(P, P)),
    block('Infill', base, star.holdsMm - star.sideMm, heightMm, range(P, 2 * P)),
    ...(bordered
      ? [
          {
            name: 'Border',
            grain: 'along' as const,
            heightMm,
            stock: segmentStock(faces, half, heightMm),
            places: range(P, 3 * P),
          },
        ]
      : []),
  ];
  return done({
    outlines,
    kinds,
    stepOf: ['rhombs', 'star', 'infill', 'border'],
    repeats: P,
    steps: (planing) => starSteps(star, borderMm, heightMm, planing),
    figures: [
      { key: 'side-of-the-points', value: star.sideMm, unit: 'mm' },
      { key: 'points-long-diagonal', value: star.tipMm, unit: 'mm' },
      { key: 'points-short-diagonal', value: star.shortMm, unit: 'mm' },
      { key: 'angle-of-a-point', value: 2 * half, unit: 'rad' },
      { key: 'angle-of-the-infill-in-the-valley', value: 4 * half, unit: 'rad' },
    ],
  });
}

/** Points narrower than this cannot be held (mm). */
const LEAST_ACROSS = 4;

const starSteps = (star: Holding, borderMm: number, heightMm: number, planing: Planing): Step[] => [
  step(
    'board',
    'planer',
    say`Glue a light board on a dark one, each at least ${sayMm(star.shortMm / 2, 'thickness')} thick, so that the glue line is the long diagonal of the points.`,
    ['dust'],
  ),
  step(
    'rhombs',
    'saw',
    say`From it saw ${sayMade(star.points)} rhombs with an angle of ${sayRad((2 * Math.PI) / star.points, 'cut-angle')} and sides of ${sayMm(star.sideMm, 'stop')}, ${planedTo(heightMm, planing)} high; the glue line runs from point to point. Try them on the full-size template.`,
    [...SEGMENT_CAUTIONS, 'tapers'],
  ),
  step(
    'star',
    'clamps',
    'Glue them round the middle, every light half on the same side: that makes the points stand out.',
  ),
  step(
    'infill',
    'saw',
    say`Fit ${sayMade(star.points)} infill triangles with ${sayRad((4 * Math.PI) / star.points, 'cut-angle')} in the valleys.`,
    [...SEGMENT_CAUTIONS, 'tapers'],
  ),
  ...(borderMm > 0
    ? [
        step(
          'border',
          'clamps',
          say`Glue ${sayMade(star.points)} mitred pieces ${sayMm(borderMm, 'width')} wide round the star.`,
        ),
      ]
    : []),
  step(
    'middle',
    'drill',
    'The points meet in the middle: drill it out and turn in a plug if they do not meet well.',
    ['drill'],
  ),
];
