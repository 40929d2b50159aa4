import { z } from 'zod';
import { length, number } from '../../measure/field.js';

/** Air between segments. */
export const gapSchema = z.discriminatedUnion('sides', [
  /** As wide inside as outside: the segments are those of a ring with spacers, and air for spacers. */
  z.strictObject({ sides: z.literal('parallel'), widthMm: length('Gap', 0.2, 200) }),
  /** Towards the axis: it takes a share of every segment's angle. */
  z.strictObject({ sides: z.literal('tapered'), share: number('Share of the gap', 0.01, 0.95) }),
]);

export type Gap = z.infer<typeof gapSchema>;

/**
 * Half a pitch round, how far a segment reaches over each end of one that it lies on at a radius, radians; less than 0 where
 * it does not. A parallel gap takes 2·asin(g / 2r) of the circle.
 */
export function holdOfGaps(gap: Gap, count: number, radius: number): number {
  const theta = Math.PI / count;
  if (gap.sides === 'tapered') return theta * (1 - 2 * gap.share);
  return theta - 2 * (gap.widthMm >= 2 * radius ? Math.PI / 2 : Math.asin(gap.widthMm / (2 * radius)));
}
