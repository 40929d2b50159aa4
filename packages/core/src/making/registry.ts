import { z } from 'zod';
import type { Mm, Rad } from '../measure/quantity.js';
import type { Result } from '../measure/reason.js';
import type { RingNeed } from '../ring/need.js';
import type { Made, Making } from './contract.js';
import { type DiscParams, disc } from './disc/disc.js';
import { type FlatParams, flat } from './flat/flat.js';

/** How a ring is made, with the parameters of that way. */
export type RingMaking = FlatParams | DiscParams;
export type Way = RingMaking['way'];

/** The only list of the ways of making a ring. */
export const MAKINGS = { flat, disc } satisfies { [W in Way]: Making<Extract<RingMaking, { way: W }>> };

export const WAYS = Object.keys(MAKINGS) as readonly Way[];

const paramsOfEveryWay = WAYS.map((way) => MAKINGS[way].params) as unknown as [z.ZodObject, ...z.ZodObject[]];

/** Parameters of any way; `way` says which. */
export const makingSchema = z.discriminatedUnion('way', paramsOfEveryWay, {
  error: () => `Way of making is not known; it has to be one of ${WAYS.join(', ')}.`,
}) as unknown as z.ZodType<RingMaking>;

/** The definition behind a ring's parameters; the one place where the two are matched. */
const definition = (making: RingMaking): Making<RingMaking> =>
  MAKINGS[making.way] as unknown as Making<RingMaking>;

export const placesOf = (making: RingMaking): number => definition(making).places(making);
export const pitchOf = (making: RingMaking): Rad => definition(making).pitch(making);
export const makeRing = (making: RingMaking, need: RingNeed): Result<Made> =>
  definition(making).make(making, need);
export const ringAsMeasured = (making: RingMaking, planned: RingNeed, outerMm: Mm): RingNeed =>
  definition(making).asMeasured(making, planned, outerMm);
