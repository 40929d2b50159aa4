import { z } from 'zod';
import { sayMm } from '../../measure/format.js';
import { mm, TURN } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { polar } from '../../ring/plane.js';
import type { Making } from '../contract.js';

const params = z.strictObject({ way: z.literal('disc') });
export type DiscParams = z.infer<typeof params>;

/** Corners of the polygon that a disc is drawn with; it touches the circle from outside, 0.01 % larger. */
const DRAWN_SIDES = 180;

/** One solid piece, sawn round. */
export const disc: Making<DiscParams> = {
  way: 'disc',
  name: 'Solid disc',
  says: 'one piece, sawn round: bottoms and feet',
  params,
  places: () => 1,
  pitch: () => TURN,
  asMeasured: (_, planned, outerMm) => ({ ...planned, outerMm, innerMm: mm(0) }),
  make(_, { outerMm, heightMm }) {
    const corner = outerMm / Math.cos(Math.PI / DRAWN_SIDES);
    const outline = () =>
      Array.from({ length: DRAWN_SIDES }, (_, i) => polar(corner, (i * TURN) / DRAWN_SIDES));
    return done({
      gives: { outerMm, innerMm: mm(0) },
      cornerMm: outerMm,
      kinds: [
        {
          name: 'Disc',
          heightMm,
          volumeMm3: Math.PI * outerMm ** 2 * heightMm,
          stock: { from: 'panel', lengthMm: mm(2 * outerMm), widthMm: mm(2 * outerMm) },
          places: [0],
        },
      ],
      lay: (place) => ({ place, bottom: outline(), top: outline() }),
      placeAt: (x, y, z) => (z >= 0 && z <= heightMm && Math.hypot(x, y) <= outerMm ? 0 : null),
      steps: () => [
        `Plane a board to the ring's thickness, at least ${sayMm(2 * outerMm)} wide; edge-glue two if it is narrower.`,
        `Draw a circle of diameter ${sayMm(2 * outerMm)} and saw it round.`,
      ],
      cautions: ['bandsaw', 'dust'],
    });
  },
};
