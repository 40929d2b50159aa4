import { z } from 'zod';
import { whole } from '../../measure/field.js';
import { formatAngle, sayMm } from '../../measure/format.js';
import { rad } from '../../measure/quantity.js';
import { done, refuse } from '../../measure/reason.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import type { RingNeed } from '../../ring/need.js';
import { polar, wrapped } from '../../ring/plane.js';
import type { LaidPiece, Made, Making } from '../contract.js';
import { type SegmentSizes, segmentSizes } from './geometry.js';

export const FEWEST_SEGMENTS = 3;
export const MOST_SEGMENTS = 360;

const params = z.strictObject({
  way: z.literal('flat'),
  count: whole('Segment count', FEWEST_SEGMENTS, MOST_SEGMENTS),
});
export type FlatParams = z.infer<typeof params>;

/** N equal segments, mitred at θ = 180°/N, grain along the segment. */
export const flat: Making<FlatParams> = {
  way: 'flat',
  name: 'Flat segments',
  says: 'equal segments mitred and glued into a flat ring: the usual ring',
  params,
  places: ({ count }) => count,
  pitch: ({ count }) => rad((2 * Math.PI) / count),
  make({ count }, need) {
    if (need.outerMm - need.innerMm <= SAME_LENGTH)
      return refuse(
        'ring-no-width',
        'innerMm',
        `The ring has no width: outside ${sayMm(need.outerMm)}, inside ${sayMm(need.innerMm)}.`,
      );
    return done(ringOf(count, need, segmentSizes(count, need.outerMm, need.innerMm)));
  },
};

function ringOf(count: number, need: RingNeed, sizes: SegmentSizes): Made {
  const pitch = (2 * Math.PI) / count;
  const meanEdge = (sizes.longEdgeMm + sizes.shortEdgeMm) / 2;
  return {
    gives: need,
    cornerMm: sizes.cornerMm,
    kinds: [
      {
        name: 'Segment',
        heightMm: need.heightMm,
        volumeMm3: meanEdge * sizes.widthMm * need.heightMm,
        stock: { from: 'strip', ...sizes },
        places: Array.from({ length: count }, (_, place) => place),
      },
    ],
    lay: (place) => segment(place, pitch, sizes, need.innerMm),
    placeAt(x, y, z) {
      if (z < 0 || z > need.heightMm) return null;
      const angle = wrapped(Math.atan2(y, x));
      const place = Math.min(count - 1, Math.floor(angle / pitch));
      const middle = (place + 0.5) * pitch;
      const along = x * Math.cos(middle) + y * Math.sin(middle);
      return along >= sizes.innerApothemMm && along <= need.outerMm ? place : null;
    },
    steps: () => [
      `Plane strips to the ring's thickness and rip them ${sayMm(sizes.widthMm)} wide.`,
      `Set the saw to ${formatAngle(sizes.cutAngle)} from square and the stop so that the long edge is ${sayMm(sizes.longEdgeMm)}.`,
      `Cut ${count} segments, turning the strip over between cuts, and one to test the setting.`,
      'Dry-fit the ring, close the last joint, then glue.',
    ],
    cautions: ['short-pieces', 'trapped-offcut', 'dust'],
  };
}

function segment(place: number, pitch: number, sizes: SegmentSizes, innerMm: number): LaidPiece {
  const from = place * pitch;
  const to = from + pitch;
  const outer = [polar(sizes.cornerMm, from), polar(sizes.cornerMm, to)];
  const inner = innerMm > 0 ? [polar(innerMm, to), polar(innerMm, from)] : [{ x: 0, y: 0 }];
  const outline = [...outer, ...inner];
  return { place, bottom: outline, top: outline };
}
