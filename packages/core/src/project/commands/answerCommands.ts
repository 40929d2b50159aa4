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

/** Other values for some of what the segments of rings are sawn from; rings that are sawn from something else stay as they are. */
export const setSource = <I extends SawnFrom['is']>(
  rings: Rings,
  is: I,
  change: Change<Extract<SawnFrom, { is: I }>>,
): Command =>
  changeParams(rings, 'segmented', ({ sawnFrom }) =>
    sawnFrom?.is === is ? { sawnFrom: without({ ...sawnFrom, ...change }) as unknown as SawnFrom } : {},
  );

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

/** What is done with rings once they are glued: nothing, or they come off one thick ring of their own, or are opened like a book. */
export const setAfter = (rings: Rings, done: After['done'] | 'whole'): Command => ({
  label: howMade(rings),
  apply(draft, ripping) {
    const after: After | undefined =
      done === 'whole'
        ? undefined
        : done === 'opened'
          ? { done, ...RESAW }
          : { done, from: freshBody(draft), ...RESAW };
    const edits = [setParams(rings, 'segmented', { after })];
    if (after?.done !== 'opened') edits.push(setParams(rings, 'disc', { after }));
    return inTurn(edits).apply(draft, ripping);
  },
});

/** What is lost in it, of rings that are sawn apart already; each stays a slice of the thick ring that it is of. */
export const setLost = (rings: Rings, change: Partial<Pick<After, 'kerfMm' | 'cleanUpMm'>>): Command => ({
  label: howMade(rings),
  apply: inTurn([
    changeParams(rings, 'segmented', ({ after }) => (after ? { after: { ...after, ...change } } : {})),
    changeParams(rings, 'disc', ({ after }) => (after ? { after: { ...after, ...change } } : {})),
  ]).apply,
});

/** Edits of rings that are made in several ways, one after the other; the first that is refused ends it. */
const inTurn = (edits: readonly Command[]): Pick<Command, 'apply'> => ({
  apply(draft, ripping) {
    let outcome: ReturnType<Command['apply']>;
    for (const edit of edits) {
      const next = edit.apply(draft, ripping);
      if (next?.reasons) return next;
      outcome ??= next;
    }
    return outcome;
  },
});
