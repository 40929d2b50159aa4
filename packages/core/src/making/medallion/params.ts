import { z } from 'zod';
import { length, number, shown, whole } from '../../measure/field.js';

const LEAST_POINTS = 5;
const MOST_POINTS = 16;

const stars = {
  error: ({ input }: { input?: unknown }) =>
    `A star of ${shown(input)} points is asked for; it has to have ${LEAST_POINTS} to ${MOST_POINTS}.`,
};

export const medallionParams = z.strictObject({
  way: z.literal('medallion'),
  floor: z.discriminatedUnion('figure', [
    z.strictObject({
      figure: z.literal('star'),
      points: z.number(stars).int(stars).min(LEAST_POINTS, stars).max(MOST_POINTS, stars),
      /** Which half of each point is of the lighter group: it makes the points stand out or lie back. */
      lit: z.enum(['clockwise', 'counter-clockwise'], {
        error: () => 'The lit half is clockwise or counter-clockwise.',
      }),
    }),
    z.strictObject({
      figure: z.literal('cabin'),
      rounds: whole('Rounds of logs', 1, 12),
      /** Width of the heart over that of the whole square. */
      heart: number('Heart', 0.05, 0.9),
      /** The way round that logs are laid, seen from above. */
      laid: z.enum(['left', 'right'], { error: () => 'Logs are laid to the left or to the right.' }),
    }),
  ]),
  /** Width of a ring of segments round the star; 0 for none. */
  borderMm: length('Border', 0, 500),
});

export type MedallionParams = z.infer<typeof medallionParams>;

/** A star may have a ring of segments round it. */
export const hasBorder = ({ floor, borderMm }: MedallionParams): boolean =>
  floor.figure === 'star' && borderMm > 0;
