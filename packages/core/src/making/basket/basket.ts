import { z } from 'zod';
import { length, number } from '../../measure/field.js';
import { fromDegrees, mm, rad } from '../../measure/quantity.js';
import { done, refuse } from '../../measure/reason.js';
import { say, sayMade, sayMm, sayRad } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import { type Point, turned } from '../../ring/plane.js';
import { assemble } from '../assemble.js';
import type { Making } from '../contract.js';
import { shiftsOf } from '../joints/closing.js';
import { pushed } from '../joints/ring.js';
import { outerForSlab, slabStock } from '../joints/slab.js';
import {
  GLUE_LEANING,
  pitchOfCount,
  planeAndRip,
  segmentCount,
  segmentStock,
  setTheSaw,
  withoutWidth,
} from '../segments.js';
import { step } from '../step.js';
import type { StripStock } from '../stock.js';
import { asAsked, bandOf, farthest, leastOuter, mostInner, nearest, wedgeOutline } from '../wedge.js';
import { basketPicture } from './picture.js';

const params = z.strictObject({
  way: z.literal('basket'),
  count: segmentCount,
  /** Thickness of the wafers, square to their faces. */
  waferMm: length('Wafer', 0.3, 50),
  leanDeg: number('Lean of the wafers', 1, 45, '°'),
  /** The way they lean, seen from outside. */
  hand: z.enum(['left', 'right'], { error: () => 'They lean left or right.' }),
});

export type BasketParams = z.infer<typeof params>;

/** Rings of a basket that it takes to read as weaving; common practice. */
const LEAST_RINGS = 3;

/** Light segments with dark wafers that lean between them: several rings of it read as weaving. */
export const basket: Making<BasketParams> = {
  way: 'basket',
  name: 'Basket band',
  says: 'light segments with dark wafers leaning between them; over three rings or more they read as weaving',
  params,
  solid: false,
  bond: 'half-pitch',
  strict: true,
  begin: ({ segments }) => ({ way: 'basket', count: segments, waferMm: mm(2.5), leanDeg: 20, hand: 'right' }),
  groups: ({ count }) => [
    { name: 'Segment', count },
    { name: 'Wafer', count },
  ],
  segments: ({ count }) => count,
  withSegments: (given, count) => ({ ...given, count }),
  pitch: ({ count }) => pitchOfCount(count),
  mirror: (given) => ({ ...given, hand: given.hand === 'left' ? 'right' : 'left' }),
  tones: ({ count }) => Array.from({ length: 2 * count }, (_, i) => (i < count ? 'light' : 'dark')),
  make(given, need) {
    const { count, waferMm, leanDeg, hand } = given;
    const { outerRadiusMm, innerRadiusMm, heightMm } = need;
    const narrow = withoutWidth(outerRadiusMm, innerRadiusMm);
    if (narrow) return narrow;
    const tau = fromDegrees(leanDeg);
    const half = Math.PI / count;
    const lean = (hand === 'right' ? 1 : -1) * Math.tan(tau);
    const level = waferMm / Math.cos(tau);
    const thicknesses = Array.from({ length: count }, () => level);
    const wedges = pushed(shiftsOf(thicknesses)).map((wedge) => ({ ...wedge, tiltFrom: lean, tiltTo: lean }));
    const moved = heightMm * Math.tan(tau);
    const outer = Math.max(
      leastOuter(wedges.slice(0, 1), outerRadiusMm, heightMm),
      outerForSlab(0, wedges[0]!, outerRadiusMm),
    );
    const edge = 2 * outer * Math.tan(half);
    if (edge <= moved / Math.cos(half) + SAME_LENGTH)
      return refuse(
        'tilt-eats-segment',
        'leanDeg',
        say`Leaning by ${sayRad(tau)}, each wafer moves by ${sayMm(moved)} from bottom to top, and the segments between them are ${sayMm(Math.max(0, edge))} long. Lean less, make the ring thinner or take fewer segments.`,
      );
    const inner = mostInner(wedges.slice(0, 1), innerRadiusMm, heightMm);
    if (inner === null)
      return refuse(
        'hole-too-small',
        'innerRadiusMm',
        say`The hole cannot be as small as ${sayMm(2 * innerRadiusMm)} across with wafers of ${sayMm(waferMm)} that lean by ${sayRad(tau)}. Take fewer or thinner wafers, or make this ring another way.`,
      );
    const none = withoutWidth(outer, inner);
    if (none) return none;
    const faces = { outerRadiusMm: outer, innerRadiusMm: inner, lean: 0 };
    // Corners of leaning segments slide along their faces: wafers are long enough for them at every height.
    const corners = [-0.5, 0.5].map((end) => wedgeOutline(wedges[0]!, faces, end * heightMm));
    const reach = Math.max(...corners.map(([from]) => from!.x));
    const inside = Math.min(...corners.map((outline) => (outline[3] ?? outline[2]!).x));
    const slab = (joint: number, dz: number): Point[] => {
      const [from, to] = [dz * lean - level / 2, dz * lean + level / 2];
      const upright = [
        { x: reach, y: from },
        { x: reach, y: to },
        { x: inside, y: to },
        { x: inside, y: from },
      ];
      return turned(upright, joint * 2 * half);
    };
    const ends = [-0.5, 0.5].map((end) => {
      const [from, to] = slab(0, end * heightMm);
      return nearest(from!, to!);
    });
    const { gives, cornerMm } = bandOf(wedges.slice(0, 1), faces, heightMm);
    const corner = Math.max(cornerMm, ...[-0.5, 0.5].map((end) => farthest(slab(0, end * heightMm))));
    const stock: StripStock = {
      ...segmentStock(faces, half, heightMm),
      bladeTilt: rad(tau),
      cutting: 'same-edge',
      hand,
    };
    const upright = slabStock(slab(0, 0), heightMm);
    const wafer: StripStock = { ...upright, widthMm: waferMm, thicknessMm: mm(heightMm / Math.cos(tau)) };
    return done(
      assemble({
        heightMm,
        gives: asAsked(
          { outerRadiusMm: Math.min(gives.outerRadiusMm, ...ends), innerRadiusMm: gives.innerRadiusMm },
          need,
        ),
        cornerMm: mm(corner),
        radial: false,
        repeats: count,
        reads: { as: 'weaving', rings: LEAST_RINGS },
        groups: basket.groups(given),
        kinds: [
          {
            name: 'Segment',
            grain: 'along',
            heightMm,
            stock,
            places: Array.from({ length: count }, (_, i) => i),
          },
          {
            name: 'Wafer',
            grain: 'outwards',
            heightMm: wafer.thicknessMm,
            stock: wafer,
            places: Array.from({ length: count }, (_, i) => count + i),
          },
        ],
        lay(place) {
          const at = (dz: number) =>
            place < count ? wedgeOutline(wedges[place]!, faces, dz) : slab(place - count, dz);
          return { place, bottom: at(-heightMm / 2), top: at(heightMm / 2) };
        },
        figures: [
          { key: 'wafers-move-bottom-to-top', value: moved, unit: 'mm' },
          { key: 'wafer-level', value: level, unit: 'mm' },
        ],
        steps: (planing) => [
          planeAndRip(stock, planing),
          setTheSaw(stock, count, 'the same edge out every time', ['tilted-blade']),
          step(
            'wafers',
            'planer',
            say`Plane ${sayMade(count)} wafers to ${sayMm(waferMm, 'thickness')}, each ${sayMm(wafer.longEdgeMm, 'length')} long and ${sayMm(wafer.thicknessMm, 'width')} high, and bevel their top and bottom edges by ${sayRad(tau)} when the ring is sanded.`,
            ['thin-stock', 'dust'],
          ),
          GLUE_LEANING,
          step(
            'stack',
            'clamps',
            say`Turn each ring half a segment from the one below; at least ${LEAST_RINGS} rings, with a plain cap ring below and above.`,
          ),
        ],
        pictures: () => [basketPicture(given, edge, level, moved, heightMm)],
      }),
    );
  },
  instead(given, need) {
    const most = need.outerRadiusMm * Math.sin(Math.PI / given.count);
    const leanDeg = Math.floor((Math.atan(most / need.heightMm) * 180) / Math.PI);
    const waferMm = mm(Math.max(0.3, Math.min(given.waferMm, most / 3)));
    return leanDeg >= 1 ? { ...given, waferMm, leanDeg: Math.min(given.leanDeg, leanDeg) } : null;
  },
};
