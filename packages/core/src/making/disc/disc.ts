import { z } from 'zod';
import { mm, TURN } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { polar } from '../../ring/plane.js';
import { assemble } from '../assemble.js';
import type { Making } from '../contract.js';
import { planedTo } from '../planing.js';
import { step } from '../step.js';

const params = z.strictObject({ way: z.literal('disc') });
export type DiscParams = z.infer<typeof params>;

/** Corners of the polygon that a disc is drawn with; it touches the circle from outside, 0.01 % larger. */
const DRAWN_SIDES = 180;

/** One solid piece, sawn round. */
export const disc: Making<DiscParams> = {
  way: 'disc',
  starts: {
    disc: {
      name: 'Solid disc',
      says: 'one piece, sawn round: bottoms and feet',
      bond: 'as-it-was',
      begin: () => ({ way: 'disc' }),
    },
  },
  params,
  solid: () => true,
  groups: () => [{ name: 'Disc', count: 1 }],
  segments: () => null,
  withSegments: (given) => given,
  pitch: () => TURN,
  make(_, { outerRadiusMm, heightMm }) {
    const corner = outerRadiusMm / Math.cos(Math.PI / DRAWN_SIDES);
    const outline = Array.from({ length: DRAWN_SIDES }, (_, i) => polar(corner, (i * TURN) / DRAWN_SIDES));
    const across = mm(2 * outerRadiusMm);
    return done(
      assemble({
        heightMm,
        gives: { outerRadiusMm, innerRadiusMm: 0 },
        repeats: 1,
        cornerMm: outerRadiusMm,
        groups: disc.groups({ way: 'disc' }),
        kinds: [
          {
            name: 'Disc',
            grain: 'across',
            heightMm,
            stock: { from: 'panel', shape: 'disc', lengthMm: across, widthMm: across, thicknessMm: heightMm },
            places: [0],
          },
        ],
        lay: (place) => ({ place, bottom: outline, top: outline }),
        steps: (planing) => [
          step(
            'plane',
            'planer',
            say`Plane a board to ${planedTo(heightMm, planing)}, at least ${sayMm(across, 'width')} wide; edge-glue two if it is narrower.`,
            ['dust'],
          ),
          step(
            'disc',
            'bandsaw',
            say`Draw a circle of diameter ${sayMm(across, 'diameter')} and saw it round.`,
            ['bandsaw', 'dust'],
          ),
        ],
      }),
    );
  },
};
