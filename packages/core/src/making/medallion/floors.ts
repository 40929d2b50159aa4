import { type Mm, mm } from '../../measure/quantity.js';
import { refuse } from '../../measure/reason.js';
import { say, sayMade, sayMm, sayRad } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import { area, type Point } from '../../ring/plane.js';
import type { PieceKind } from '../contract.js';
import type { Figure } from '../figures.js';
import { type Planing, planedTo } from '../planing.js';
import { SEGMENT_CAUTIONS, segmentStock } from '../segments.js';
import { type Step, step } from '../step.js';
import { radialWedge, wedgeOutline } from '../wedge.js';
import { cabinHolding, heart, log } from './cabin.js';
import { hasBorder, type MedallionParams } from './params.js';
import { clockwiseHalf, counterHalf, infill, type Star, starHolding } from './star.js';

/** A floor as it is laid out, or why it cannot be. */
export interface Laid {
  readonly outlines: readonly (readonly Point[])[];
  readonly kinds: readonly PieceKind[];
  /** The step that each kind comes with, by its id. */
  readonly stepOf: readonly string[];
  readonly repeats: number;
  steps(planing: Planing): readonly Step[];
  readonly figures: readonly Figure[];
}

const range = (count: number, first = 0): number[] => Array.from({ length: count }, (_, i) => first + i);

const block = (
  name: string,
  lengthMm: number,
  widthMm: number,
  heightMm: Mm,
  places: number[],
): PieceKind => ({
  name,
  grain: 'outwards',
  heightMm,
  stock: {
    from: 'panel',
    shape: 'block',
    lengthMm: mm(lengthMm),
    widthMm: mm(widthMm),
    thicknessMm: heightMm,
  },
  places,
});

export function layStar(
  given: MedallionParams,
  outerRadiusMm: number,
  heightMm: Mm,
): Laid | { refused: ReturnType<typeof refuse> } {
  const { floor, borderMm } = given;
  if (floor.figure !== 'star') throw new Error(`floor ${floor.figure}`);
  const P = floor.points;
  const star = starHolding(P, outerRadiusMm - borderMm);
  if (star.shortMm < LEAST_ACROSS)
    return {
      refused: refuse(
        'star-too-small',
        'borderMm',
        say`Inside a border of ${sayMm(borderMm)} the floor of ${sayMm(2 * outerRadiusMm)} leaves points ${sayMm(Math.max(0, star.shortMm))} across; they have to be at least ${sayMm(LEAST_ACROSS)}.`,
        { most: outerRadiusMm },
      ),
    };
  const half = Math.PI / P;
  const faces = { outerRadiusMm, innerRadiusMm: outerRadiusMm - borderMm, lean: 0 };
  const [first, second] =
    floor.lit === 'clockwise' ? [clockwiseHalf, counterHalf] : [counterHalf, clockwiseHalf];
  const bordered = hasBorder(given);
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
  return {
    outlines,
    kinds,
    stepOf: ['rhombs', 'star', 'infill', 'border'],
    repeats: P,
    steps: (planing) => starSteps(star, given, heightMm, planing),
    figures: [
      { key: 'side-of-the-points', value: star.sideMm, unit: 'mm' },
      { key: 'points-long-diagonal', value: star.tipMm, unit: 'mm' },
      { key: 'points-short-diagonal', value: star.shortMm, unit: 'mm' },
      { key: 'angle-of-a-point', value: 2 * half, unit: 'rad' },
      { key: 'angle-of-the-infill-in-the-valley', value: 4 * half, unit: 'rad' },
    ],
  };
}

/** Points narrower than this cannot be held (mm). */
const LEAST_ACROSS = 4;

const starSteps = (star: Star, { borderMm }: MedallionParams, heightMm: number, planing: Planing): Step[] => [
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

export function layCabin(
  { floor }: MedallionParams,
  outerRadiusMm: number,
  heightMm: Mm,
): Laid | { refused: ReturnType<typeof refuse> } {
  if (floor.figure !== 'cabin') throw new Error(`floor ${floor.figure}`);
  const cabin = cabinHolding(floor.rounds, floor.heart, outerRadiusMm);
  if (cabin.logMm < 1 - SAME_LENGTH)
    return {
      refused: refuse(
        'logs-too-thin',
        'rounds',
        say`${floor.rounds} rounds in a floor of ${sayMm(2 * outerRadiusMm)} leave logs of ${sayMm(cabin.logMm)}; they have to be at least ${sayMm(1)}.`,
        { most: Math.floor(outerRadiusMm * (1 - floor.heart)) },
      ),
    };
  const count = 4 * floor.rounds;
  const logs = range(count).map((i) => (floor.laid === 'left' ? log(cabin, i) : mirrored(log(cabin, i))));
  const lengthOf = (i: number) => area(logs[i]!) / cabin.logMm;
  return {
    outlines: [heart(cabin), ...logs],
    kinds: [
      block('Heart', cabin.heartMm, cabin.heartMm, heightMm, [0]),
      ...range(count).map((i) => ({
        ...block(`Log ${i + 1}`, lengthOf(i), cabin.logMm, heightMm, [1 + i]),
        grain: 'across' as const,
      })),
    ],
    stepOf: ['heart', ...logs.map(() => 'logs')],
    repeats: 1,
    steps: () => [
      step(
        'heart',
        'saw',
        say`Saw a heart ${sayMm(cabin.heartMm, 'width')} square and strips ${sayMm(cabin.logMm, 'width')} wide.`,
        SEGMENT_CAUTIONS,
      ),
      step(
        'logs',
        'clamps',
        'Glue the first strip to one side and trim it flush; turn the block a quarter and glue on the next, over the end of the first; light on two sides, dark on the other two.',
      ),
      step(
        'square',
        'bench',
        say`After ${floor.rounds} rounds it is ${sayMm(2 * outerRadiusMm)} square and holds the disc.`,
      ),
    ],
    figures: [
      { key: 'heart', value: cabin.heartMm, unit: 'mm' },
      { key: 'logs-width', value: cabin.logMm, unit: 'mm' },
    ],
  };
}

const mirrored = (outline: readonly Point[]): Point[] =>
  outline.map(({ x, y }) => ({ x, y: 0 - y })).reverse();
