import { z } from 'zod';
import { number } from '../../measure/field.js';
import { plugSchema } from '../plug.js';
import { segmentCount } from '../segments.js';
import type { Cutting } from '../stock.js';

/**
 * How leaning pieces are cut. `two-fences`: the strip is never turned over, left and right leaning pieces come in turn.
 * `same-edge`: one hand only, a wedge wasted each time. `turned-over`: one fence and the strip turned over gives no
 * leaning pieces but wedges wider on one face, which close alternately upside down.
 */
const CUTS = ['two-fences', 'same-edge', 'turned-over'] as const satisfies readonly Cutting[];

export const tiltedParams = z
  .strictObject({
    way: z.literal('tilted'),
    count: segmentCount,
    tiltDeg: number('Blade tilt', 0.1, 60, '°'),
    /** Which way the joints lean going up, seen from outside. */
    hand: z.enum(['left', 'right']),
    cut: z.enum(CUTS),
    plug: plugSchema.optional(),
  })
  .refine(({ count, cut }) => cut !== 'turned-over' || count % 2 === 0, {
    path: ['count'],
    error: ({ input }) =>
      `Segment count is ${(input as { count: number }).count}; wedges that are glued alternately upside down need an even count.`,
  });

export type TiltedParams = z.infer<typeof tiltedParams>;
