import { z } from 'zod';
import { mm, rad, TURN } from '../../measure/quantity.js';
import { done, type Result, refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import type { Ball, NeededBall, RingNeed } from '../../ring/need.js';
import { assemble } from '../assemble.js';
import type { LaidPiece, Making, PieceKind } from '../contract.js';
import type { Figure } from '../figures.js';
import { withoutWidth } from '../segments.js';
import { type Step, step } from '../step.js';
import { flatPattern } from './flat.js';
import { laidPanels, orderedFaces, panelSolid } from './laid.js';
import { altitude, bevelsOf, globeFigures, sawnFields } from './panels.js';
import { type GlobeSize, globeAround } from './size.js';
import { globeSteps, panelsOf } from './told.js';

const params = z.strictObject({
  way: z.literal('globe'),
  ...sawnFields,
  /** What is glued up first. */
  glued: z.enum(['fives', 'triplets'], { error: () => 'Panels are glued up in fives or in triplets.' }),
});

export type GlobeParams = z.infer<typeof params>;

/** It comes to itself five times in a turn: a corner where five panels meet stands over the foot. */
const REPEATS = 5;
/** The most of the way to its centre that a panel may be thick. */
const THICKEST = 0.8;

/** A shell of flat triangular panels round a point of the axis, turned to a ball, an egg or a round bowl; it stands for a whole stack. */
export const globe: Making<GlobeParams> = {
  way: 'globe',
  starts: {
    globe: {
      name: 'Facetted globe',
      says: '80 flat panels put together to a ball, or 40 to a bowl: for a piece, or the part of one, that is round all over',
      bond: 'as-it-was',
      begin: () => ({ way: 'globe', part: 'whole', bevels: 'half-angle', glued: 'fives' }),
    },
  },
  params,
  solid: () => false,
  shell: true,
  usuallySanded: () => 'none',
  groups({ part }) {
    const { isosceles, equilateral } = panelsOf(part);
    return [
      { name: 'Isosceles', count: isosceles },
      { name: 'Equilateral', count: equilateral },
    ];
  },
  segments: () => null,
  withSegments: (given) => given,
  pitch: () => rad(TURN / REPEATS),
  make(given, need) {
    const { heightMm } = need;
    const ball = ballOf(given, need);
    const wrong = wrongBall(given, ball, heightMm);
    if (wrong) return wrong;
    const size = globeAround(ball.outerRadiusMm, ball.innerRadiusMm, given.bevels);
    const most = THICKEST * size.flatsMm.equilateral;
    if (size.thickMm >= most)
      return refuse(
        'panels-too-thick',
        'bevels',
        say`The wall takes panels ${sayMm(size.thickMm)} thick, which lie ${sayMm(size.flatsMm.equilateral)} from the centre; ${sayMm(most)} is the most that leaves them an inner face. Make the wall thinner.`,
        { most },
      );
    const faces = orderedFaces(given.part);
    const laid = laidPanels(faces, given, size, ball.centreMm, heightMm);
    const cut = laid.filter((parts) => parts.length === 0).length;
    if (cut > 0)
      return refuse(
        'globe-cut',
        'part',
        say`The ring is ${sayMm(heightMm)} high and would cut ${cut} panels off the globe, which is ${sayMm(2 * size.radiusMm)} over its corners. Make the form rounder, or the ring otherwise.`,
      );
    const corners = laid.flatMap((parts) => parts.flatMap(({ bottom, top }) => [...bottom, ...top]));
    const { leg, base } = sidesOf(size);
    const bevel = bevelsOf(globeFigures(), given.bevels);
    return done(
      assemble({
        heightMm,
        gives: { outerRadiusMm: size.outerMm, innerRadiusMm: size.innerMm },
        ball: ball.centreMm,
        radial: false,
        repeats: REPEATS,
        cornerMm: mm(Math.max(...corners.map(({ x, y }) => Math.hypot(x, y)))),
        groups: globe.groups(given),
        kinds: kindsOf(given, size, laid),
        lay: (place) => laid[place]!,
        panel: (place) => panelSolid(faces[place]!, place, given, size, ball.centreMm, heightMm),
        figures: figuresOf(given, size, ball),
        steps: () => [
          ...globeSteps({ ...given, wallMm: size.thickMm, radiusMm: size.radiusMm }, { leg, base }, bevel),
          ...flatSteps(ball),
        ],
        pictures: () => [
          {
            step: 'caps',
            title: 'Laid flat',
            says: 'The panels as they are wrapped, seen from outside; five columns go round, one after the other.',
            parts: flatPattern(faces, leg, base),
            lines: [],
            sizes: [],
          },
        ],
      }),
    );
  },
  instead: (given) => (given.part === 'half' ? { ...given, part: 'whole' } : null),
};

/** The spheres that a globe is made to; where a size is given that follows no form it stands half in the ring, or half a globe under its rim. */
function ballOf(
  { part }: GlobeParams,
  { round, outerRadiusMm, innerRadiusMm, heightMm }: RingNeed,
): NeededBall {
  const ball = round?.();
  // Nothing is turned in a whole globe: no wood is left for it inside.
  if (ball) return part === 'whole' ? { ...ball, innerRadiusMm: ball.turned.innerRadiusMm } : ball;
  const turned = { outerRadiusMm, innerRadiusMm };
  return { ...turned, turned, centreMm: part === 'half' ? heightMm : heightMm / 2 };
}

function wrongBall(
  { part }: GlobeParams,
  { centreMm, outerRadiusMm, innerRadiusMm }: Ball,
  heightMm: number,
): Result<never> | null {
  if (innerRadiusMm <= SAME_LENGTH)
    return refuse(
      'globe-solid',
      'part',
      say`A globe is hollow: panels stand round a middle that is ${sayMm(centreMm)} above the ring's bottom, and the form is solid there. Hollow it, or make the ring otherwise.`,
    );
  if (part === 'half' && heightMm - centreMm > SAME_LENGTH)
    return refuse(
      'globe-half',
      'part',
      say`Half a globe ends where it is widest, ${sayMm(centreMm)} above its bottom; the ring is ${sayMm(heightMm)} high. Let the ring end there, or make a whole globe.`,
      { most: centreMm },
    );
  return withoutWidth(outerRadiusMm, innerRadiusMm);
}

const sidesOf = ({ radiusMm }: GlobeSize) => {
  const { leg, base } = globeFigures();
  return { leg: leg * radiusMm, base: base * radiusMm };
};

/** Panels of both kinds, as wide as their outer faces. */
function kindsOf(given: GlobeParams, size: GlobeSize, laid: readonly (readonly LaidPiece[])[]): PieceKind[] {
  const { leg, base } = sidesOf(size);
  const { isosceles } = panelsOf(given.part);
  const kind = (name: string, high: number, is: (place: number) => boolean): PieceKind => ({
    name,
    grain: 'along',
    heightMm: mm(size.thickMm),
    stock: {
      from: 'panel',
      shape: 'block',
      lengthMm: mm(base),
      widthMm: mm(high),
      thicknessMm: mm(size.thickMm),
    },
    places: laid.flatMap((_, place) => (is(place) ? [place] : [])),
  });
  return [
    kind('Isosceles', altitude(leg, base), (place) => place < isosceles),
    kind('Equilateral', altitude(base, base), (place) => place >= isosceles),
  ];
}

/** Sizes of the panels, and the wall that they leave once the outside is turned and the inside left as it was glued. */
function figuresOf(
  { bevels }: GlobeParams,
  size: GlobeSize,
  { turned: { outerRadiusMm } }: NeededBall,
): Figure[] {
  const { leg, base } = sidesOf(size);
  const bevel = bevelsOf(globeFigures(), bevels);
  const { innerMm, thickMm, flatsMm } = size;
  const wall = (inside: number) => outerRadiusMm - inside;
  return [
    { key: 'globe-over-its-corners', value: 2 * size.radiusMm, unit: 'mm' },
    { key: 'panels-thickness', value: thickMm, unit: 'mm' },
    { key: 'legs-of-the-isosceles', value: leg, unit: 'mm' },
    { key: 'their-base-sides-of-the-equilateral', value: base, unit: 'mm' },
    { key: 'bevel-at-the-legs', value: bevel.leg, unit: 'rad' },
    { key: 'bevel-at-the-bases', value: bevel.base, unit: 'rad' },
    { key: 'bevel-of-the-equilateral', value: bevel.side, unit: 'rad' },
    { key: 'wall-at-the-corners-of-the-hollow', value: wall(innerMm), unit: 'mm' },
    { key: 'wall-in-the-middle-of-an-isosceles', value: wall(flatsMm.isosceles - thickMm), unit: 'mm' },
    { key: 'wall-in-the-middle-of-an-equilateral', value: wall(flatsMm.equilateral - thickMm), unit: 'mm' },
  ];
}

/** A flat narrower than this is none, mm. */
const NO_FLAT = 2;

/** The flat that a globe stands on, where its ring begins above its lowest point. */
function flatSteps({ centreMm, turned: { outerRadiusMm } }: NeededBall): Step[] {
  return 2 * Math.sqrt(Math.max(0, outerRadiusMm ** 2 - centreMm ** 2)) < NO_FLAT
    ? []
    : [
        step(
          'flat',
          'lathe',
          say`Face a flat on the underside, square to the axis, ${sayMm(centreMm)} from the middle.`,
          ['lathe', 'dust'],
        ),
      ];
}
