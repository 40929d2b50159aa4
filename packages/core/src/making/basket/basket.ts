import { z } from 'zod';
import { length, number } from '../../measure/field.js';
import { fromDegrees, mm } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { say, sayMade, sayMm, sayRad } from '../../measure/said.js';
import { assemble } from '../assemble.js';
import type { Making } from '../contract.js';
import { HOW } from '../joints/frameSteps.js';
import { jointed, levelThickness } from '../joints/jointed.js';
import { layJointed } from '../joints/lay.js';
import {
  GLUE_LEANING,
  pitchOfCount,
  planeAndRip,
  segmentCount,
  segmentStock,
  setTheSaw,
} from '../segments.js';
import { step } from '../step.js';
import type { StripStock } from '../stock.js';
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
  starts: {
    basket: {
      name: 'Basket band',
      says: 'light segments with dark wafers leaning between them; over three rings or more they read as weaving',
      bond: 'half-pitch',
      begin: ({ segments }) => ({
        way: 'basket',
        count: segments,
        waferMm: mm(2.5),
        leanDeg: 20,
        hand: 'right',
      }),
    },
  },
  params,
  solid: () => false,
  strict: () => true,
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
    const { heightMm } = need;
    const tau = fromDegrees(leanDeg);
    const half = Math.PI / count;
    const thicknesses = Array.from({ length: count }, () => waferMm);
    const lean = { tau, hand, inTurn: false, field: 'leanDeg' };
    const sized = jointed({ thicknesses, wood: thicknesses, lean }, need);
    if (!sized.ok) return sized;
    const { faces, gives, cornerMm, stripStock } = sized.value;
    const level = levelThickness(waferMm, tau);
    const moved = heightMm * Math.tan(tau);
    const edge = 2 * faces.outerRadiusMm * Math.tan(half);
    const stock: StripStock = {
      ...segmentStock(faces, half, heightMm),
      bladeTilt: tau,
      cutting: 'same-edge',
      hand,
    };
    const wafer = stripStock(0);
    return done(
      assemble({
        heightMm,
        gives,
        cornerMm,
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
        lay: layJointed(sized.value, undefined, need),
        figures: [
          { key: 'wafers-move-bottom-to-top', value: moved, unit: 'mm' },
          { key: 'wafer-level', value: level, unit: 'mm' },
        ],
        steps: (planing) => [
          planeAndRip(stock, planing),
          setTheSaw(stock, count, HOW['same-edge'], ['tilted-blade']),
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
