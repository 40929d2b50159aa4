import { z } from 'zod';
import { doesNotGoIn, goesIn, partsField } from '../flat/parts.js';
import { inHalvesSchema } from '../halves/params.js';
import { betweenSchema } from '../joints/between.js';
import { leanSchema } from '../joints/lean.js';
import { plugSchema } from '../plug.js';
import { segmentCount } from '../segments.js';
import { sawnFromSchema } from '../sources/registry.js';
import { stavesSchema } from '../staves/staves.js';
import { afterSchema } from './after.js';
import { againstEachOther } from './goes.js';

/**
 * A ring put together from four answers: its segments, its joints, what a segment is sawn from, and what is done with the
 * ring then. What is left out is the usual: equal segments of one wood, glued to each other upright, and left whole.
 */
export const segmentedParams = z
  .strictObject({
    way: z.literal('segmented'),
    count: segmentCount,
    parts: partsField,
    /** Segments are glued in the order in which they come off the strip, so that its figure runs on. */
    inOrder: z.literal(true).optional(),
    inHalves: inHalvesSchema.optional(),
    staves: stavesSchema.optional(),
    /** Segments go to the middle: their points meet, or a plug takes their place. */
    toCentre: z.literal(true).optional(),
    plug: plugSchema.optional(),
    lean: leanSchema.optional(),
    between: betweenSchema.optional(),
    /** A ring of a basket: stacked half a segment on from the one below, its leaning spacers read as weaving. */
    woven: z.literal(true).optional(),
    sawnFrom: sawnFromSchema.optional(),
    after: afterSchema.optional(),
  })
  .refine(goesIn, doesNotGoIn)
  .check(({ value, issues }) => {
    const against = againstEachOther(value);
    if (against) issues.push({ code: 'custom', ...against, path: [...against.path], input: value });
  });

export interface SegmentedParams extends z.infer<typeof segmentedParams> {}
