import { z } from 'zod';
import { length, number, whole } from '../../measure/field.js';

export const mountParams = z.strictObject({
  kind: z.literal('mount'),
  /** Where the saw goes through, degrees from the index mark. */
  sawnDeg: number('Direction of the saw', 0, 360, '°'),
  kerfMm: length('Kerf of the saw', 0, 20),
  /** Rods of each half. */
  rods: whole('Rods of each half', 1, 6),
  rodMm: length('Rods, diameter', 1, 60),
  /** From upright, up and away from the other half; less than nothing the other way. */
  leanDeg: number('Lean of the rods', -45, 45, '°'),
  /** From the sawn face to the middle of the rods where they enter the foot. */
  insetMm: length('Rods, in from the sawn face', 0.5, 500),
  /** From rod to rod of a half; left out, as far apart as the margin lets them be. */
  spacingMm: length('Rods, apart', 1, 1000).optional(),
  /** Drilled into the half, along the rod. */
  drilledMm: length('Drilled into the half', 1, 500),
  /** Wood that stays round every hole, at least. */
  marginMm: length('Wood round the holes', 0.5, 100),
  /** Between the two sawn faces, and between foot and base. */
  apartMm: length('Halves, apart', 0, 2000),
  freeMm: length('Foot above the base', 0, 1000),
  base: z.strictObject({
    /** Along the saw cut, square to it, and high. */
    lengthMm: length('Base, long', 10, 2000),
    widthMm: length('Base, wide', 10, 2000),
    heightMm: length('Base, high', 4, 300),
    /** Along the rod. */
    drilledMm: length('Drilled into the base', 1, 300),
  }),
});

export type MountParams = z.infer<typeof mountParams>;
