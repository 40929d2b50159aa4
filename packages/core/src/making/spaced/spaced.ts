import { mm } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { say, sayList, sayMade, sayMm } from '../../measure/said.js';
import type { Point } from '../../ring/plane.js';
import { assemble } from '../assemble.js';
import type { Making } from '../contract.js';
import type { Figure } from '../figures.js';
import { circle, drilled, plugGroup, plugKind, plugSteps } from '../plug.js';
import { pitchOfCount, planeAndRip, segmentStock, setTheSaw } from '../segments.js';
import { slabOutline, slabStock } from '../slab.js';
import { step } from '../step.js';
import { asAsked, bandOf, type Faces, nearest, type Wedge, wedgeOutline } from '../wedge.js';
import { nearestBalanced } from './balanced.js';
import { closes, ovalOf, shiftsOf } from './closing.js';
import { repeatsOf, spacerKinds } from './kinds.js';
import {
  mirroredSpacers,
  pickedFrom,
  type SpacedParams,
  spacedParams,
  spacersFor,
  thicknessesOf,
} from './params.js';
import { largestShift, pushed, pushedRing } from './ring.js';
import { doesNotClose, OVAL_NOTICED, ovalWarning, thickWarning } from './told.js';

/** Equal segments with thin parallel spacers between them, at every joint or at some. */
export const spaced: Making<SpacedParams> = {
  way: 'spaced',
  name: 'Spaced segments',
  says: 'thin parallel spacers between segments: lines up the piece, or room round a feature',
  params: spacedParams,
  solid: false,
  bond: 'as-it-was',
  begin: ({ segments }) => ({
    way: 'spaced',
    count: segments,
    spacers: { at: 'every', thicknessMm: mm(3) },
  }),
  groups: (given) => [
    { name: 'Segment', count: given.count },
    { name: 'Spacer', count: thicknessesOf(given).filter((s) => s > 0).length },
    ...plugGroup(given.plug),
  ],
  segments: ({ count }) => count,
  withSegments: (given, count) => ({ ...given, count, spacers: spacersFor(given.spacers, count) }),
  pitch: ({ count }) => pitchOfCount(count),
  mirror: (given) =>
    given.spacers.at === 'picked'
      ? { ...given, spacers: mirroredSpacers(given.spacers, given.count) }
      : given,
  stripWidth({ plug, ...given }, { outerRadiusMm, innerRadiusMm, heightMm }) {
    const thicknesses = thicknessesOf(given);
    if (plug || !closes(thicknesses)) return null;
    const shifts = shiftsOf(thicknesses);
    const sized = pushedRing(thicknesses, shifts, outerRadiusMm, innerRadiusMm, heightMm, true);
    return sized.ok ? sized.value.faces.outerRadiusMm - sized.value.faces.innerRadiusMm : null;
  },
  make(given, need) {
    const thicknesses = thicknessesOf(given);
    if (!closes(thicknesses)) return doesNotClose(thicknesses);
    const { count, plug } = given;
    const { outerRadiusMm, heightMm } = need;
    const innerRadiusMm = plug ? plug.diameterMm / 2 : need.innerRadiusMm;
    const shifts = shiftsOf(thicknesses);
    const sized = pushedRing(thicknesses, shifts, outerRadiusMm, innerRadiusMm, heightMm, true);
    if (!sized.ok) return sized;
    const { wedges, faces } = sized.value;
    const half = Math.PI / count;
    const joints = thicknesses.flatMap((s, joint) => (s > 0 ? [joint] : []));
    const slab = (joint: number): Point[] =>
      slabOutline(
        joint * 2 * half,
        { wedge: wedges[(joint + count - 1) % count]!, faces },
        { wedge: wedges[joint]!, faces },
      );
    const outline = (place: number): Point[] => {
      if (place < count) return wedgeOutline(wedges[place]!, faces, 0);
      return place < count + joints.length ? slab(joints[place - count]!) : circle(innerRadiusMm);
    };
    const { gives, cornerMm } = bandOf(wedges, faces, heightMm);
    const ends = joints.map((joint) => {
      const [from, to] = slab(joint);
      return nearest(from!, to!);
    });
    const segment = segmentStock(faces, half, heightMm);
    const oval = ovalOf(thicknesses);
    return done(
      assemble({
        heightMm,
        gives: asAsked(
          {
            outerRadiusMm: Math.min(gives.outerRadiusMm, ...ends),
            innerRadiusMm: plug ? 0 : gives.innerRadiusMm,
          },
          need,
        ),
        cornerMm,
        radial: false,
        repeats: repeatsOf(thicknesses),
        groups: spaced.groups(given),
        kinds: [
          {
            name: 'Segment',
            grain: 'along',
            heightMm,
            stock: segment,
            places: Array.from({ length: count }, (_, place) => place),
          },
          ...spacerKinds(joints, thicknesses, (joint) => slabStock(slab(joint), heightMm), count, heightMm),
          ...plugKind(plug, heightMm, count + joints.length),
        ],
        lay(place) {
          const whole = outline(place);
          const bored = plug && place < count + joints.length;
          const laid = bored ? drilled(whole, innerRadiusMm, place < count ? half : half / 2) : whole;
          return { place, bottom: laid, top: laid };
        },
        figures: [
          { key: 'pushed-out-by', value: largestShift(wedges), unit: 'mm' },
          ...ovalFigures(wedges, faces, oval),
        ],
        warnings: [...thickWarning(thicknesses, outerRadiusMm, half), ...ovalWarning(oval)],
        steps: (planing) => [
          planeAndRip(segment, planing),
          setTheSaw(segment, count),
          step(
            'spacers',
            'planer',
            say`Plane ${sayMade(joints.length)} spacers to ${sayList(
              [...new Set(joints.map((joint) => thicknesses[joint]!))].map((s) => sayMm(s, 'thickness')),
              ' and ',
            )}, grain along their length, each ${sayMm(slabStock(slab(joints[0]!), heightMm).longEdgeMm, 'length')} long.`,
            ['thin-stock', 'dust'],
          ),
          step(
            'dry-fit',
            'bench',
            'Dry-fit the ring with every spacer in it; a ring that closes without its spacers does not close with them.',
          ),
          step('glue', 'clamps', 'Glue segments and spacers together; keep the spacers square to the face.'),
          ...plugSteps(plug),
        ],
      }),
    );
  },
  instead(given, need) {
    const thicknesses = thicknessesOf(given);
    if (!closes(thicknesses)) {
      const near = nearestBalanced(thicknesses);
      return near && { ...given, spacers: pickedFrom(near) };
    }
    const wedges = pushed(shiftsOf(thicknesses));
    const least = largestShift(wedges);
    const innerRadiusMm = given.plug ? given.plug.diameterMm / 2 : need.innerRadiusMm;
    if (innerRadiusMm >= least || least > need.outerRadiusMm / 2) return null;
    const diameterMm = mm(Math.ceil(2 * least + PLUG_TO_SPARE));
    return { ...given, plug: { diameterMm, drillMm: diameterMm } };
  },
};

/** How oval it is, and its radii across the flats the short and the long way before turning. */
function ovalFigures(wedges: readonly Wedge[], faces: Faces, oval: number): Figure[] {
  const flats = wedges.map(
    ({ middle, shift }) => faces.outerRadiusMm + shift.x * Math.cos(middle) + shift.y * Math.sin(middle),
  );
  return [
    { key: 'oval-before-turning', value: oval, unit: 'mm' },
    ...(oval > OVAL_NOTICED
      ? ([
          { key: 'outer-radius-the-short-way', value: Math.min(...flats), unit: 'mm' },
          { key: 'outer-radius-the-long-way', value: Math.max(...flats), unit: 'mm' },
        ] as const)
      : []),
  ];
}

/** A plug that is proposed covers the hole by this much in all (mm). */
const PLUG_TO_SPARE = 4;
