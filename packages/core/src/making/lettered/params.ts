import { z } from 'zod';
import { length, number, text, whole } from '../../measure/field.js';
import { backingField } from '../faced/backing.js';

export const MOST_GLYPHS = 60;
const MOST_POINTS = 400;

const coordinate = number('Point of an outline', -50, 50);

/** An outline one unit high, its middle at 0, 0: loops of [right, up], holes as loops within loops. */
export const glyphFields = {
  name: text('Name of the outline', 40),
  loops: z
    .array(
      z
        .array(z.tuple([coordinate, coordinate]))
        .min(3, { error: () => 'An outline has fewer than 3 points.' }),
    )
    .min(1, { error: () => 'An outline has no loop.' })
    .refine((loops) => loops.reduce((sum, loop) => sum + loop.length, 0) <= MOST_POINTS, {
      error: () => `An outline has too many points; ${MOST_POINTS} are allowed. Make it simpler.`,
    }),
};
const glyph = z.strictObject(glyphFields);

export const lettersSchema = z
  .strictObject({
    is: z.literal('letters'),
    glyphs: z
      .array(glyph)
      .max(MOST_GLYPHS, { error: () => `There are too many outlines; ${MOST_GLYPHS} are allowed.` }),
    /** Outline in each segment from the index mark on, by its number; −1 for none. Segments beyond have none. */
    order: z.array(whole('Outline', -1, MOST_GLYPHS - 1)).max(60, { abort: true }),
    /** Height of the outlines, and how far their middle lies above half the ring's height. */
    sizeMm: length('Height of the letters', 1, 300),
    upMm: length('Letters up', -200, 200),
    depthMm: length('Depth of the pocket', 0.3, 100),
    backingMm: backingField,
    cutterMm: length('Cutter', 0.2, 20),
    clearanceMm: length('Clearance', 0, 1),
    /** Whether inserts go in turned over, as tapered ones do: then they are cut mirrored. */
    turnedOver: z.boolean(),
  })
  .refine(({ order, glyphs }) => order.every((i) => i < glyphs.length), {
    path: ['order'],
    error: () => 'A segment names an outline that is not in the list.',
  });

export type Letters = z.infer<typeof lettersSchema>;

/** Letters with the number of segments that they go into. */
export type LetteredRing = Letters & { readonly count: number };
export type Glyph = Letters['glyphs'][number];
