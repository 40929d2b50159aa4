import { z } from 'zod';
import { length, whole } from '../../measure/field.js';
import { MOST_SEGMENTS } from '../segments.js';

const halfSchema = z.strictObject({
  count: whole('Segments of a half', 2, MOST_SEGMENTS / 2),
  /** Between the segments of this half; 0: none. */
  spacerMm: length('Spacer', 0, 100),
});

export const halvesParams = z.strictObject({
  way: z.literal('halves'),
  halves: z.tuple([halfSchema, halfSchema]),
  /** Between the halves, at 0° and 180°; null where they meet. */
  divider: z
    .strictObject({
      leftMm: length('Divider', 0.2, 100),
      /** Sawn through later: the ring is cut in two, and each half keeps `leftMm` at both ends. */
      sawn: z.boolean(),
      kerfMm: length('Kerf of the parting cut', 0.1, 10),
    })
    .nullable(),
});

export type HalvesParams = z.infer<typeof halvesParams>;
export type Half = HalvesParams['halves'][number];

/** Thickness of the divider as it is glued in: 2·s + kerf where it is sawn through later (mm). */
export const dividerMm = (divider: HalvesParams['divider']): number =>
  divider === null ? 0 : divider.sawn ? 2 * divider.leftMm + divider.kerfMm : divider.leftMm;
