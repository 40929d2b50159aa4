import { z } from 'zod';
import { whole } from '../../measure/field.js';

/** How the stack is put together. */
export const STACKINGS = {
  'ring-by-ring': 'Ring by ring, on the lathe',
  pairs: 'Pairs, then pairs of pairs',
  batches: 'Batches of thin rings on plates',
  halves: 'Two halves, joined at the widest',
  'both-ends': 'From both ends, the lid never parted',
  rod: 'Dry on a rod, glued after turning',
} as const;
export type Stacking = keyof typeof STACKINGS;
export const STACKING_IDS = Object.keys(STACKINGS) as Stacking[];

/** How the joints of a ring are closed. */
export const JOININGS = {
  band: 'All at once, with a band',
  halves: 'Pairs, then two halves sanded true',
  opposite: 'Opposite joints, two at a time',
  quadrants: 'Quarters round the spacers',
} as const;
export type Joining = keyof typeof JOININGS;
export const JOINING_IDS = Object.keys(JOININGS) as Joining[];

/** What holds the work while it is built. */
export const SEATS = {
  plate: 'Waste block on a faceplate',
  tenon: 'Tenon on a waste block, gripped',
  recess: 'Recess in the foot, spread',
} as const;
export type Seat = keyof typeof SEATS;
export const SEAT_IDS = Object.keys(SEATS) as Seat[];

/** In which order segments are cut. */
export const SAWINGS = {
  settings: 'Setting by setting: the saw is changed least',
  rings: 'Ring by ring',
} as const;
export type Sawing = keyof typeof SAWINGS;
export const SAWING_IDS = Object.keys(SAWINGS) as Sawing[];

const oneOf = <T extends string>(label: string, ids: readonly T[]) =>
  z.enum(ids as [T, ...T[]], { error: () => `${label} is one of ${ids.join(', ')}.` });

/** What was chosen of the schools for a piece; what is left out is as it is proposed. */
export const schoolsSchema = z.strictObject({
  stacking: oneOf('How the stack is put together', STACKING_IDS).optional(),
  /** Rings of a batch. */
  batch: whole('Rings of a batch', 2, 8).optional(),
  joining: oneOf('How joints are closed', JOINING_IDS).optional(),
  seat: oneOf('What holds the work', SEAT_IDS).optional(),
  sawing: oneOf('The order of cutting', SAWING_IDS).optional(),
  /** A spare foot is glued on at the start. */
  spareFoot: z.boolean({ error: () => 'Whether a spare foot is glued on is yes or no.' }).optional(),
});
export type Schools = z.infer<typeof schoolsSchema>;
