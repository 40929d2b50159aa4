import { z } from 'zod';
import { slicedDiscSchema } from './apart.js';
import { type DiscSawnFrom, discSourceOf, discSourceSchema } from './sources.js';

/** A disc by the answers that it has: it has no joints. What is left out is the usual: one board, and left whole. */
export const discParams = z
  .strictObject({
    way: z.literal('disc'),
    sawnFrom: discSourceSchema.optional(),
    after: slicedDiscSchema.optional(),
  })
  .check(({ value: { sawnFrom, after }, issues, value }) => {
    const against = after ? discSourceOf(sawnFrom).source.whole : null;
    if (against) issues.push({ code: 'custom', message: against, path: ['after'], input: value });
  });

export interface DiscParams extends z.infer<typeof discParams> {
  readonly sawnFrom?: DiscSawnFrom | undefined;
}
