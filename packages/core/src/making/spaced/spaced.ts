import { sayMm } from '../../measure/format.js';
import { mm } from '../../measure/quantity.js';
import { done, refuse } from '../../measure/reason.js';
import { SAME_SETTING } from '../../measure/tolerance.js';
import type { Point } from '../../ring/plane.js';
import { assemble } from '../assemble.js';
import type { Making, PieceKind, Warning } from '../contract.js';
import { circle, drilled, plugGroup, plugKind, plugSteps } from '../plug.js';
import { pitchOfCount, planeAndRip, SEGMENT_CAUTIONS, segmentStock, setTheSaw } from '../segments.js';
import { slabOutline, slabStock } from '../slab.js';
import { asAsked, bandOf, nearest, wedgeOutline } from '../wedge.js';
import { nearestBalanced } from './balanced.js';
import { closes, misfit, ovalOf, shiftsOf } from './closing.js';
import {
  mirroredSpacers,
  pickedFrom,
  type SpacedParams,
  spacedParams,
  spacersFor,
  thicknessesOf,
} from './params.js';
import { largestShift, pushed, pushedRing } from './ring.js';

/** Equal segments with thin parallel spacers between them, at every joint or at some. */
export const spaced: Making<SpacedParams> = {
  way: 'spaced',
  name: 'Spaced segments',
  says: 'thin parallel spacers between segments: lines up the piece, or room round a feature',
  params: spacedParams,
  solid: false,
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
  make(given, need) {
    const thicknesses = thicknessesOf(given);
    if (!closes(thicknesses)) return doesNotClose(thicknesses);
    const { count, plug } = given;
    const { outerMm, heightMm } = need;
    const innerMm = plug ? plug.diameterMm / 2 : need.innerMm;
    const shifts = shiftsOf(thicknesses);
    const sized = pushedRing(thicknesses, shifts, outerMm, innerMm, heightMm, true);
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
      return place < count + joints.length ? slab(joints[place - count]!) : circle(innerMm);
    };
    const { gives, cornerMm } = bandOf(wedges, faces, heightMm);
    const ends = joints.map((joint) => {
      const [from, to] = slab(joint);
      return nearest(from!, to!);
    });
    const segment = segmentStock(faces, half, heightMm);
    const oval = ovalOf(shifts);
    return done(
      assemble({
        heightMm,
        gives: asAsked(
          { outerMm: Math.min(gives.outerMm, ...ends), innerMm: plug ? 0 : gives.innerMm },
          need,
        ),
        cornerMm,
        radial: false,
        repeats: repeatsOf(thicknesses),
        groups: spaced.groups(given),
        kinds: [
          {
            name: 'Segment',
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
          const laid = bored ? drilled(whole, innerMm, place < count ? half : half / 2) : whole;
          return { place, bottom: laid, top: laid };
        },
        figures: [
          { name: 'Pushed out by', value: largestShift(wedges), unit: 'mm' },
          { name: 'Oval before turning', value: oval, unit: 'mm' },
        ],
        warnings: [...thickWarning(thicknesses, outerMm, half), ...ovalWarning(oval)],
        steps: () => [
          planeAndRip(segment),
          setTheSaw(segment, count),
          `Plane ${joints.length} spacers to ${[...new Set(joints.map((joint) => sayMm(thicknesses[joint]!)))].join(' and ')}, grain along their length, each ${sayMm(slabStock(slab(joints[0]!), heightMm).longEdgeMm)} long.`,
          'Dry-fit the ring with every spacer in it; a ring that closes without its spacers does not close with them.',
          'Glue segments and spacers together; keep the spacers square to the face.',
          ...plugSteps(plug),
        ],
        cautions: [...SEGMENT_CAUTIONS, 'thin-stock', ...(plug ? (['drill'] as const) : [])],
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
    const innerMm = given.plug ? given.plug.diameterMm / 2 : need.innerMm;
    if (innerMm >= least || least > need.outerMm / 2) return null;
    const diameterMm = mm(Math.ceil(2 * least + PLUG_TO_SPARE));
    return { ...given, plug: { diameterMm, drillMm: diameterMm } };
  },
};

/** A plug that is proposed covers the hole by this much in all (mm). */
const PLUG_TO_SPARE = 4;

function doesNotClose(thicknesses: readonly number[]) {
  const off = misfit(thicknesses);
  const number = thicknesses.filter((s) => s > 0).length;
  const near = nearestBalanced(thicknesses);
  const joints = near?.flatMap((s, joint) => (s > 0 ? [joint + 1] : [])) ?? [];
  const proposal =
    joints.length > 0
      ? ` The nearest set that closes has spacers of ${sayMm(Math.max(...thicknesses))} at joints ${joints.join(', ')}.`
      : '';
  return refuse(
    'does-not-close',
    'spacers',
    `${number === 1 ? 'One spacer alone does' : `These ${number} spacers do`} not close: the last joint is ${sayMm(off)} out.${proposal}`,
    { misfit: off },
  );
}

/** How often a set of spacers comes to itself in a turn. */
function repeatsOf(thicknesses: readonly number[]): number {
  const count = thicknesses.length;
  for (let step = 1; step < count; step++)
    if (count % step === 0 && thicknesses.every((s, j) => s === thicknesses[(j + step) % count]))
      return count / step;
  return 1;
}

function spacerKinds(
  joints: readonly number[],
  thicknesses: readonly number[],
  stock: (joint: number) => PieceKind['stock'],
  count: number,
  heightMm: PieceKind['heightMm'],
): PieceKind[] {
  const sizes: number[] = [];
  for (const joint of joints)
    if (!sizes.some((s) => Math.abs(s - thicknesses[joint]!) < SAME_SETTING)) sizes.push(thicknesses[joint]!);
  return sizes.map((size) => {
    const members = joints.filter((joint) => Math.abs(thicknesses[joint]! - size) < SAME_SETTING);
    return {
      name: sizes.length === 1 ? 'Spacer' : `Spacer of ${sayMm(size)}`,
      heightMm,
      stock: stock(members[0]!),
      places: members.map((joint) => count + joints.indexOf(joint)),
    };
  });
}

function thickWarning(thicknesses: readonly number[], outerMm: number, half: number): Warning[] {
  const thickest = Math.max(...thicknesses);
  const edge = 2 * outerMm * Math.tan(half);
  return thickest < edge / 2
    ? []
    : [
        {
          code: 'thick-spacer',
          message: `A spacer is ${sayMm(thickest)} thick, and a segment’s edge without it would be ${sayMm(edge)}: little is left of the segments.`,
        },
      ];
}

/** An oval less than this is lost in truing (mm). */
const OVAL_NOTICED = 0.5;

const ovalWarning = (oval: number): Warning[] =>
  oval < OVAL_NOTICED
    ? []
    : [
        {
          code: 'oval',
          message: `It closes, but is stretched by ${sayMm(oval)} more one way than another; the segments are cut that much larger, and it turns unevenly until it is true.`,
        },
      ];
