import type { SlicedDisc } from '../../making/disc/apart.js';
import type { DiscSawnFrom } from '../../making/disc/sources.js';
import { halvesBegun, LEAST_OF_A_HALF } from '../../making/halves/params.js';
import type { Leaning } from '../../making/joints/lean.js';
import { type After, RESAW } from '../../making/segmented/after.js';
import type { SegmentedParams } from '../../making/segmented/params.js';
import type { SawnFrom } from '../../making/sources/registry.js';
import type { Command } from './command.js';
import type { Rings } from './each.js';
import { changeParams, freshBody, howMade, setParams, without } from './wayCommands.js';

/** Other values for some fields of one of several shapes; undefined takes a field away. */
type Change<S> = S extends unknown ? { readonly [K in keyof S]?: S[K] | undefined } : never;

/** What is sawn from something of a sort, with other values for some of it; from something else it stays as it is. */
const resourced = <S extends { readonly is: string }>(sawnFrom: S | undefined, is: string, change: object) =>
  sawnFrom?.is === is ? { sawnFrom: without({ ...sawnFrom, ...change }) as unknown as S } : {};

/** Other values for some of what the segments of rings are sawn from. */
export const setSource = <I extends SawnFrom['is']>(
  rings: Rings,
  is: I,
  change: Change<Extract<SawnFrom, { is: I }>>,
): Command => changeParams(rings, 'segmented', ({ sawnFrom }) => resourced(sawnFrom, is, change));

/** The same of what discs are sawn from. */
export const setDiscSource = <I extends DiscSawnFrom['is']>(
  rings: Rings,
  is: I,
  change: Change<Extract<DiscSawnFrom, { is: I }>>,
): Command => changeParams(rings, 'disc', ({ sawnFrom }) => resourced(sawnFrom, is, change));

/** How the segments of a ring stand together: flat round a hole or to the centre, on end as staves, or in two halves. */
export type Stand = 'round' | 'centre' | 'staves' | 'halves';

/** How the segments of a ring stand. */
export const standOf = ({ toCentre, staves, inHalves }: SegmentedParams): Stand =>
  toCentre ? 'centre' : staves ? 'staves' : inHalves ? 'halves' : 'round';

type Stance = Change<Pick<SegmentedParams, 'count' | 'toCentre' | 'staves' | 'inHalves'>>;

/** Lets the segments of rings stand in another way; staves begin upright, halves as equal as they go. */
export const setStand = (rings: Rings, stand: Stand): Command =>
  changeParams(rings, 'segmented', (given): Stance => {
    if (standOf(given) === stand) return {};
    const count = stand === 'halves' ? Math.max(given.count, 2 * LEAST_OF_A_HALF) : given.count;
    return {
      count,
      toCentre: stand === 'centre' ? true : undefined,
      staves: stand === 'staves' ? { leanDeg: 0 } : undefined,
      inHalves: stand === 'halves' ? halvesBegun(count) : undefined,
    };
  });

/** How far staves lean that there are. */
export const setStavesLean = (rings: Rings, leanDeg: number): Command =>
  changeParams(rings, 'segmented', ({ staves }) => (staves ? { staves: { leanDeg } } : {}));

/** How joints lean that lean already: other values for some of it. */
export const setLean = (rings: Rings, change: Partial<Leaning>): Command =>
  changeParams(rings, 'segmented', ({ lean }) => (lean ? { lean: { ...lean, ...change } } : {}));

/** What is done with rings once they are glued: nothing, or they come off one thick ring, or disc, of their own, or are opened like a book. */
export const setAfter = (rings: Rings, done: After['done'] | 'whole'): Command => ({
  label: howMade(rings),
  apply(draft, ripping) {
    if (done === 'whole') return afterwards(rings, () => undefined).apply(draft, ripping);
    if (done === 'sliced')
      return afterwards(rings, () => ({ done, from: freshBody(draft), ...RESAW })).apply(draft, ripping);
    return setParams(rings, 'segmented', { after: { done, ...RESAW } }).apply(draft, ripping);
  },
});

type Sliced = Extract<After, { done: 'sliced' }>;
type ThickDisc = Pick<SlicedDisc, 'boardMm' | 'pinMm'>;

/** What is done with rings of segments, and then with discs; each sort is a glue-up of its own. */
const afterwards = (rings: Rings, after: () => Sliced | undefined): Pick<Command, 'apply'> => ({
  apply(draft, ripping) {
    const segments = setParams(rings, 'segmented', { after: after() }).apply(draft, ripping);
    if (segments?.reasons) return segments;
    return setParams(rings, 'disc', { after: after() }).apply(draft, ripping) ?? segments;
  },
});

/** What is lost in it, of rings that are sawn apart already; each stays a slice of what it is of. */
export const setLost = (rings: Rings, change: Partial<Pick<After, 'kerfMm' | 'cleanUpMm'>>): Command => ({
  label: howMade(rings),
  apply(draft, ripping) {
    const lost = <A extends After>(after: A | undefined) => (after ? { after: { ...after, ...change } } : {});
    const segments = changeParams(rings, 'segmented', ({ after }) => lost(after)).apply(draft, ripping);
    if (segments?.reasons) return segments;
    return changeParams(rings, 'disc', ({ after }) => lost(after)).apply(draft, ripping) ?? segments;
  },
});

/** The board that there is for discs that are sliced, and the pin through them; each stays a slice of what it is of. */
export const setThickDisc = (rings: Rings, change: Change<ThickDisc>): Command =>
  changeParams(rings, 'disc', ({ after }) =>
    after ? { after: without({ ...after, ...change }) as SlicedDisc } : {},
  );
