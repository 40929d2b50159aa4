import { z } from 'zod';
import { length, text } from '../../measure/field.js';

export const twistedParams = z.strictObject({
  way: z.literal('twisted'),
  /** Widths of the strips that the board is glued up from, side by side. */
  stripsMm: z
    .array(length('Strip', 0.5, 500))
    .min(2, { error: () => 'The board has fewer than 2 strips.' })
    .max(60, { error: () => 'The board has too many strips; 60 are allowed.' }),
  /** The section that this slice is sawn from; its slices are the rings of the piece that name it. */
  from: text('Section', 40),
  /** Thickness of the board. */
  boardMm: length('Board', 2, 300),
  kerfMm: length('Kerf of the resaw', 0.1, 10),
  cleanUpMm: length('Clean-up', 0, 50),
  /**
   * The discs of all sections with the same strips and woods are scribed on boards no longer than this, side by side on the
   * register strip; left out, each section has a board of its own.
   */
  longestMm: length('Longest board', 100, 6000).optional(),
  /** Diameter of a pin through the middle of every slice; left out, none is drilled. */
  pinMm: length('Pin', 1, 25).optional(),
});

export type TwistedParams = z.infer<typeof twistedParams>;
