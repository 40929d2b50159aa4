import { z } from 'zod';
import { glyphFields } from '../making/lettered/params.js';
import { length, number, whole } from '../measure/field.js';

/** Inlays that a piece can have, each with all its copies. */
export const MOST_INLAYS = 12;

const size = {
  widthMm: length('Width of the outline', 1, 1000),
  heightMm: length('Height of the outline', 1, 1000),
};

/** An own outline or a letter, one unit high, as letters in rings have them. */
const drawn = z.strictObject({ shape: z.literal('drawn'), ...glyphFields, heightMm: size.heightMm });

export const outlineSchema = z.discriminatedUnion(
  'shape',
  [
    z.strictObject({ shape: z.literal('rectangle'), ...size }),
    z.strictObject({ shape: z.literal('ellipse'), ...size }),
    z.strictObject({ shape: z.literal('capsule'), ...size }),
    drawn,
  ],
  { error: () => 'The outline is a rectangle, an ellipse, a capsule or one that was drawn.' },
);
export type Outline = z.infer<typeof outlineSchema>;

/**
 * An outline let into the turned outside: a pocket with a level floor is cut square to the surface at its middle, a block of
 * another wood is glued in and turned flush. The same is a patch where it hides a fault.
 */
export const inlaySchema = z.strictObject({
  id: z.string().min(1).max(40),
  outline: outlineSchema,
  /** Its middle: height above the bench, and direction from the index mark, counter-clockwise from above. */
  heightMm: length('Height of the middle', 0, 2000),
  towardDeg: number('Direction of the middle', -360, 360, '°'),
  /** Turned in its own face, counter-clockwise as it is seen. */
  tiltDeg: number('Turned in its face', -180, 180, '°'),
  /** How many of it stand round the piece, evenly. */
  copies: whole('Copies', 1, 60),
  /** Every other copy is the mirror image: a patch and its twin on the far side. */
  mirrored: z.literal(true).optional(),
  /** Of the pocket, at its middle. */
  depthMm: length('Depth of the pocket', 0.3, 100),
  /** Palette key. */
  wood: z.string().min(1).max(24),
  /** A strip of another wood all round the inlay, within the pocket; left out where there is none. */
  seam: z.strictObject({ widthMm: length('Seam', 0.2, 20), wood: z.string().min(1).max(24) }).optional(),
  cutterMm: length('Cutter', 0.2, 20),
  clearanceMm: length('Clearance', 0, 1),
  /** The insert goes in turned over, as a tapered one does: then it is cut mirrored. */
  turnedOver: z.literal(true).optional(),
  /** It hides a fault. */
  patch: z.literal(true).optional(),
});
export interface Inlay extends z.infer<typeof inlaySchema> {}
