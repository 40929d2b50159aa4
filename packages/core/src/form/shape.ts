import { z } from 'zod';
import { length, number } from '../measure/field.js';

export const MOST_POINTS = 400;

const kind = z.enum(['smooth', 'corner']);

/** A slope dr/dz that a curve has below and above a point; what is left out it finds by itself. */
const slopeSchema = z.strictObject({
  below: number('Slope below a point', -1e5, 1e5).optional(),
  above: number('Slope above a point', -1e5, 1e5).optional(),
});

/** A point that the outside of the piece passes through. */
const pointSchema = z.strictObject({
  /** 0 where the piece ends in a point; else at least 1. */
  radiusMm: length('Radius', 0, 1000),
  heightMm: length('Height', 0, 2000),
  kind,
  /** Kept of a curve that was sawn off, so that what stands keeps its shape. */
  slope: slopeSchema.optional(),
});

/** A point of an inside that is a curve of its own; it may lie on the axis. */
const insidePointSchema = pointSchema.extend({ radiusMm: length('Inside radius', 0, 1000) });

/** Wall thickness, square to the outside, at a height; between heights it changes in proportion. */
const wallSchema = z.strictObject({
  heightMm: length('Height of the wall thickness', 0, 2000),
  wallMm: length('Wall thickness', 0.5, 500),
});

/** The inside as the outside less a wall, closed by a floor; or as a curve of its own, its lowest point on the floor. */
const insideSchema = z.discriminatedUnion('by', [
  z.strictObject({
    by: z.literal('wall'),
    /** Heights rising; one alone holds everywhere. */
    walls: z.array(wallSchema).min(1).max(40, { abort: true }),
    floorMm: length('Floor thickness', 0, 2000),
  }),
  z.strictObject({
    by: z.literal('curve'),
    points: z.array(insidePointSchema).min(2).max(MOST_POINTS, { abort: true }),
  }),
]);

/** The hollow turned into the bottom so that the piece stands on a rim: a cap of a sphere. */
const recessSchema = z.strictObject({
  radiusMm: length('Foot recess, radius', 1, 1000),
  depthMm: length('Foot recess, depth', 0.1, 500),
});

/**
 * Where body and lid part, and how much wood is left above the hollow of the lid, from the top of its knob down. Two halves
 * that are joined for good are no lid: the hollow is closed at both ends (ball, egg, spindle).
 */
const lidSchema = z.strictObject({
  heightMm: length('Lid line', 0, 2000),
  roofMm: length('Lid thickness', 0.5, 500),
  joined: z.literal(true).optional(),
});

/** A half-section. The outside passes through `points`, bottom to top, the first at height 0 and the last at the top. */
export const formSchema = z.strictObject({
  points: z.array(pointSchema).min(2).max(MOST_POINTS, { abort: true }),
  inside: insideSchema,
  recess: recessSchema.nullable(),
  lid: lidSchema.nullable(),
});

export type FormPoint = z.infer<typeof pointSchema>;
export type WallAt = z.infer<typeof wallSchema>;
export type Inside = z.infer<typeof insideSchema>;
export type Recess = z.infer<typeof recessSchema>;
export type Lid = z.infer<typeof lidSchema>;
export type Form = z.infer<typeof formSchema>;
