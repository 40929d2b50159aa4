import { z } from 'zod';
import { gapSchema } from '../joints/gaps.js';
import { leanFields } from '../joints/lean.js';
import { spacersSchema, wrongSpacers } from '../joints/spacers.js';
import { plugSchema } from '../plug.js';
import { segmentCount } from '../segments.js';

/** What lies in the leaning joints: spacers, or air. */
const betweenSchema = z.discriminatedUnion('put', [
  z.strictObject({ put: z.literal('spacers'), spacers: spacersSchema }),
  z.strictObject({ put: z.literal('gaps'), gap: gapSchema }),
]);

export type Between = z.infer<typeof betweenSchema>;

export const tiltedParams = z
  .strictObject({
    way: z.literal('tilted'),
    count: segmentCount,
    ...leanFields,
    /** Left out where the segments are glued to each other. */
    between: betweenSchema.optional(),
    plug: plugSchema.optional(),
  })
  .refine(({ count, cut }) => cut !== 'turned-over' || count % 2 === 0, {
    path: ['count'],
    error: ({ input }) =>
      `Segment count is ${(input as { count: number }).count}; wedges that are glued alternately upside down need an even count.`,
  })
  .refine(({ between, plug }) => between?.put !== 'gaps' || !plug, {
    path: ['plug'],
    error: () => 'A ring with gaps between its segments has a hole; leave the plug out or close the gaps.',
  })
  .check(({ value: { count, between }, issues }) => {
    const wrong = between?.put === 'spacers' ? wrongSpacers(count, between.spacers) : null;
    if (wrong)
      issues.push({
        code: 'custom',
        path: ['between', 'spacers', ...wrong.path],
        message: wrong.message,
        input: between,
      });
  });

export interface TiltedParams extends z.infer<typeof tiltedParams> {}
