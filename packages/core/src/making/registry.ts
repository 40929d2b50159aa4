import { z } from 'zod';
import type { Mm, Rad } from '../measure/quantity.js';
import type { Result } from '../measure/reason.js';
import type { RingNeed } from '../ring/need.js';
import type { Sanded } from '../ring/sanded.js';
import type { Beginning, BoardRows, Made, Making, PlaceGroup, Start } from './contract.js';
import { type DISC_STARTS, disc } from './disc/disc.js';
import type { DiscParams } from './disc/params.js';
import { type GlobeParams, globe } from './globe/globe.js';
import { type JointRun, UPRIGHT_RUN } from './joints/stripe.js';
import { placesIn } from './layOut.js';
import { madeOnce } from './made.js';
import { sameStrips } from './measured.js';
import type { SegmentedParams } from './segmented/params.js';
import { segmented } from './segmented/segmented.js';
import type { SEGMENTED_STARTS } from './segmented/starts.js';
import { fromStock, type StockParams } from './stock/fromStock.js';
import type { MeantTone } from './tone.js';

/** Ways of making a ring at the saw. */
export type SawnMaking = SegmentedParams | GlobeParams | DiscParams;

/** How a ring is made, with the parameters of that way. */
export type RingMaking = SawnMaking | StockParams<SawnMaking>;
export type Way = RingMaking['way'];
type SawnWay = SawnMaking['way'];
export type ParamsOf<W extends Way> = Extract<RingMaking, { way: W }>;

/** A name that turners start from: of segments as they are put together, or of one of the other ways. */
export type StartId =
  | keyof typeof SEGMENTED_STARTS
  | keyof typeof DISC_STARTS
  | Exclude<Way, 'segmented' | 'disc'>;

const SAWN = {
  segmented,
  globe,
  disc,
} satisfies { [W in SawnWay]: Making<ParamsOf<W>> };

/** Parameters of any of some ways; `way` says which. */
const anyOf = <P>(ways: Record<string, Making<never>>): z.ZodType<P> => {
  const options = Object.values(ways).map(({ params }) => params) as unknown as [
    z.ZodObject,
    ...z.ZodObject[],
  ];
  return z.discriminatedUnion('way', options, {
    error: () => `Way of making is not known; it has to be one of ${Object.keys(ways).join(', ')}.`,
  }) as unknown as z.ZodType<P>;
};

const sawn = (making: SawnMaking): Making<SawnMaking> => SAWN[making.way] as unknown as Making<SawnMaking>;

/** How rings in the stash were made: any way but from the stash. */
export const sawnSchema = anyOf<SawnMaking>(SAWN as unknown as Record<string, Making<never>>);

/** The only list of the ways of making a ring. */
export const MAKINGS = {
  ...SAWN,
  stock: fromStock<SawnMaking>({
    schema: sawnSchema,
    groups: (made) => sawn(made).groups(made),
    segments: (made) => sawn(made).segments(made),
    pitch: (made) => sawn(made).pitch(made),
    make: (made, need) => sawn(made).make(made, need),
  }),
} satisfies { [W in Way]: Making<ParamsOf<W>> };

export const WAYS = Object.keys(MAKINGS) as readonly Way[];

export const makingSchema = anyOf<RingMaking>(MAKINGS as unknown as Record<string, Making<never>>);

/** The definition behind a ring's parameters; the one place where the two are matched. */
const definition = (making: { readonly way: Way }): Making<RingMaking> =>
  MAKINGS[making.way] as unknown as Making<RingMaking>;

/** Every starting point, with the way that it is of. */
export const STARTS = Object.fromEntries(
  Object.values(MAKINGS as unknown as Record<Way, Making<RingMaking>>).flatMap(({ way, starts }) =>
    Object.entries(starts).map(([id, start]) => [id, { ...start, way }]),
  ),
) as unknown as Readonly<Record<StartId, Start<RingMaking> & { readonly way: Way }>>;

export const START_IDS = Object.keys(STARTS) as readonly StartId[];

/** A ring as it is started; null where that needs more than a number of segments. */
export const begun = (start: StartId, from: Beginning): RingMaking | null => STARTS[start].begin(from);

/** The starting point that a ring is nearest to. */
export const startOf = (making: RingMaking): StartId =>
  (definition(making).nearest?.(making) ?? making.way) as StartId;

/** What a ring is called. */
export const calledOf = (making: RingMaking): string =>
  definition(making).called?.(making) ?? STARTS[startOf(making)].name;
export const groupsOf = (making: RingMaking): readonly PlaceGroup[] => definition(making).groups(making);
export const placesOf = (making: RingMaking): number => placesIn(groupsOf(making));
export const segmentsOf = (making: RingMaking): number | null => definition(making).segments(making);
export const isSolid = (making: RingMaking): boolean => definition(making).solid(making);
export const isShell = (making: RingMaking): boolean => definition(making).shell ?? false;
export const pitchOf = (making: RingMaking): Rad => definition(making).pitch(making);
export const bodyOf = (making: RingMaking): string | null => definition(making).body?.(making) ?? null;
/** A ring of a glue-up as one of a glue-up of another name. */
export const ofBody = <M extends RingMaking>(making: M, body: string): M =>
  (definition(making).ofBody?.(making, body) ?? making) as M;
/** A ring of a glue-up as one by itself; null where it is none then. */
export const wholeOf = <M extends RingMaking>(making: M): M | null =>
  (definition(making).whole?.(making) ?? null) as M | null;
/** What the board is made of that a ring's glue-up is marked out on with others; null of all others. */
export const boardOf = (making: RingMaking): string | null => definition(making).board?.(making) ?? null;
/** The boards that a ring is glued up from, row by row. */
export const boardsOf = (making: RingMaking): readonly BoardRows<RingMaking>[] =>
  definition(making).boards?.(making) ?? [];
export const oneWoodOf = (making: RingMaking): readonly (readonly number[])[] =>
  definition(making).oneWood?.(making) ?? [];
/** Faces that rings of a way are usually sanded on. */
export const usuallySanded = (making: RingMaking): Sanded =>
  definition(making).usuallySanded?.(making) ?? 'both';
/** Whether the joints of a ring lean. */
export const leans = (making: RingMaking): boolean => definition(making).leans?.(making) ?? false;
/** How a joint of a ring of a size runs round at a radius (mm) from bottom to top; null where it cannot be followed. */
export const jointRuns = (making: RingMaking, size: RingNeed, radiusMm: number): JointRun | null => {
  const { runs } = definition(making);
  return runs ? runs(making, size, radiusMm) : UPRIGHT_RUN;
};
/** Width of a ring's strips where its hole alone makes them wider, mm; null of all others. */
export const stripWidth = (making: RingMaking, size: RingNeed): number | null =>
  definition(making).stripWidth?.(making, size) ?? null;
export const isStrict = (making: RingMaking): boolean => definition(making).strict?.(making) ?? false;
export const tonesOf = (making: RingMaking): readonly MeantTone[] | null =>
  definition(making).tones?.(making) ?? null;
/** Makes a ring that holds a round wall: radii and height of `need` in mm; once for the same (frozen) parameters and need. */
export const makeRing = madeOnce(
  (making: RingMaking, need: RingNeed): Result<Made> => definition(making).make(making, need),
);
/** Parameters as seen in a mirror; a ring from the stash is made anew, for there is only one of it. */
export const mirrored = (making: RingMaking): RingMaking => {
  const own = making.way === 'stock' ? making.of : making;
  return definition(own).mirror?.(own) ?? own;
};
/** With stripes in its joints so many times as thick; null where there are none. */
export const thicker = (making: RingMaking, times: number): RingMaking | null =>
  definition(making).thicker?.(making, times) ?? null;
/** Another number of segments, as far as the way has segments. */
export const withSegments = (making: RingMaking, count: number): RingMaking =>
  definition(making).withSegments(making, count);
/** Parameters near these that can be made in the way, when these cannot. */
export const insteadOf = (making: RingMaking, need: RingNeed): RingMaking | null => {
  const near = definition(making).instead?.(making, need) ?? null;
  return near && makeRing(near, need).ok ? near : null;
};

/** What a ring of the planned size is when it was made and its outer radius, across the flats, is another. */
export const ringAsMeasured = (making: RingMaking, planned: RingNeed, outerRadiusMm: Mm): RingNeed =>
  sameStrips((need) => makeRing(making, need), planned, outerRadiusMm);
