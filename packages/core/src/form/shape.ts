import { z } from 'zod';
import { length } from '../measure/field.js';

/** A point that the outside of the piece passes through. */
const pointSchema = z.strictObject({
  radiusMm: length('Radius', 1, 1000),
  heightMm: length('Height', 0, 2000),
  kind: z.enum(['smooth', 'corner']),
});

/**
 * A half-section. The outside passes through `points`, bottom to top, the first at height 0 and the last at the lip;
 * the inside lies `wallMm` in from it, measured square to the curve, and is closed `floorMm` above the bottom.
 */
export const formSchema = z.strictObject({
  points: z.array(pointSchema).min(2).max(60),
  wallMm: length('Wall thickness', 0.5, 500),
  floorMm: length('Floor thickness', 0, 2000),
});

export type FormPoint = z.infer<typeof pointSchema>;
export type Form = z.infer<typeof formSchema>;
