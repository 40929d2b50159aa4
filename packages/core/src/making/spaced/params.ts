import { z } from 'zod';
import { spacersSchema, wrongSpacers } from '../joints/spacers.js';
import { plugSchema } from '../plug.js';
import { segmentCount } from '../segments.js';

export const spacedParams = z
  .strictObject({
    way: z.literal('spaced'),
    count: segmentCount,
    spacers: spacersSchema,
    plug: plugSchema.optional(),
  })
  .check(({ value: { count, spacers }, issues }) => {
    const wrong = wrongSpacers(count, spacers);
    if (wrong)
      issues.push({
        code: 'custom',
        path: ['spacers', ...wrong.path],
        message: wrong.message,
        input: spacers,
      });
  });

export interface SpacedParams extends z.infer<typeof spacedParams> {}
