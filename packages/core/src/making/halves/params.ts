import { z } from 'zod';
import { length, whole } from '../../measure/field.js';
import { mm } from '../../measure/quantity.js';
import { MOST_SEGMENTS } from '../segments.js';

/** Fewer segments than this make no half of a ring. */
export const LEAST_OF_A_HALF = 2;

const spacer = length('Spacer', 0, 100);

/** Two half-rings, each closed by itself: how the segments are shared out, and what lies between them. */
export const inHalvesSchema = z.strictObject({
  /** Segments of the half from 0° to 180°; the other has the rest. */
  first: whole('Segments of the first half', LEAST_OF_A_HALF, MOST_SEGMENTS - LEAST_OF_A_HALF),
  /** Between the segments of each half; 0: none. */
  spacersMm: z.tuple([spacer, spacer]),
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

export type InHalves = z.infer<typeof inHalvesSchema>;

/** One of the two. */
export interface Half {
  readonly count: number;
  readonly spacerMm: number;
}

/** Both halves of a ring of `count` segments. */
export const halvesIn = (count: number, { first, spacersMm: [a, b] }: InHalves): readonly [Half, Half] => [
  { count: first, spacerMm: a },
  { count: count - first, spacerMm: b },
];

/** Thickness of the divider as it is glued in: 2·s + kerf where it is sawn through later (mm). */
export const dividerMm = ({ divider }: InHalves): number =>
  divider === null ? 0 : divider.sawn ? 2 * divider.leftMm + divider.kerfMm : divider.leftMm;

/** Halves of `count` segments as they are begun: as equal as it goes, with nothing between them. */
export const halvesBegun = (count: number): InHalves => ({
  first: Math.ceil(count / 2),
  spacersMm: [mm(0), mm(0)],
  divider: null,
});

/** The same in a ring of another count. */
export const inHalvesFor = (given: InHalves, count: number): InHalves => ({
  ...given,
  first: halvesBegun(count).first,
});

/** The same in the mirror: the halves change places. */
export const mirroredHalves = (given: InHalves, count: number): InHalves => ({
  ...given,
  first: count - given.first,
  spacersMm: [given.spacersMm[1], given.spacersMm[0]],
});
