import { current } from 'immer';
import {
  bodyOf,
  isStrict,
  type ParamsOf,
  type RingMaking,
  STARTS,
  type StartId,
  segmentsOf,
  startOf,
  tonesOf,
  type Way,
  withSegments,
} from '../../making/registry.js';
import type { Reason } from '../../measure/reason.js';
import { type Said, say } from '../../measure/said.js';
import { keyOfTone } from '../../pattern/tones.js';
import { stackUp } from '../prepare.js';
import type { Project } from '../schema.js';
import { carried, carriedWoods, lost, lostWoods } from './carry.js';
import type { Command, Outcome } from './command.js';
import { named, type Rings } from './each.js';
import { parsedMaking } from './parsedMaking.js';
import { segmentsNear, usualSegments } from './stack.js';

/** What edits of how rings are made are called. */
export const howMade = (rings: Rings) => `How ${named(rings)} ${rings.length === 1 ? 'is' : 'are'} made`;

/** Whether two rings are made in the same way and sawn from the same sort of thing, both woven or neither: then new places are no new figure. */
const sameSort = (a: RingMaking, b: RingMaking): boolean =>
  a.way === b.way && sourceIn(a) === sourceIn(b) && 'woven' in a === 'woven' in b;

const sourceIn = (making: RingMaking): string | undefined =>
  'sawnFrom' in making ? making.sawnFrom?.is : undefined;

/** Makes one ring with other parameters; its woods carry over group by group. */
function make(draft: Project, index: number, making: RingMaking): Outcome | undefined {
  const parsed = parsedMaking(index, making);
  if ('reasons' in parsed) return parsed;
  const next = parsed.making;
  const ring = draft.rings[index]!;
  const woods = carriedWoods(
    ring,
    next,
    draft.palette.map(({ key }) => key),
    sameSort(ring.making, next) ? null : meantWoods(draft, next),
  );
  const gone = [...lost(ring.making, next), ...lostWoods(ring.woods, woods)];
  ring.woods = woods;
  ring.making = next;
  return gone.length > 0 ? { note: say`Not carried over: ${gone.join(', ')}.` } : undefined;
}

/** Palette keys of the tones that a way means its places to have; null where it means none. */
export const meantWoods = ({ palette }: Pick<Project, 'palette'>, making: RingMaking): string[] | null =>
  tonesOf(making)?.map((tone) => keyOfTone(palette, tone)) ?? null;

/** The same for several rings; the first that cannot be made so ends it, and what does not carry over is said once. */
function makeAll(
  draft: Project,
  rings: Rings,
  making: (index: number) => RingMaking | null,
): Outcome | undefined {
  let note: Said | undefined;
  for (const index of rings) {
    const wanted = making(index);
    const outcome = wanted ? make(draft, index, wanted) : undefined;
    if (outcome?.reasons) return outcome;
    note ??= outcome?.note;
  }
  return note ? { note } : undefined;
}

/** Makes rings with the given parameters; what can be kept of their woods is kept. */
export const setMaking = (rings: Rings, making: RingMaking): Command => ({
  label: howMade(rings),
  apply: (draft) => makeAll(draft, rings, () => making),
});

/** Makes rings as a starting point has them; what it keeps of how they were made stays as far as it goes with it. */
export const startFrom = (rings: Rings, start: StartId): Command => ({
  label: howMade(rings),
  apply(draft) {
    const order = [...rings].sort((a, b) => a - b);
    const first = order[0]!;
    const body = freshBody(draft);
    const { begin, keeps = [], bond } = STARTS[start];
    const outcome = makeAll(draft, order, (index) => {
      const { making } = draft.rings[index]!;
      if (startOf(making) === start) return null;
      const begun = begin({ segments: segmentsNear(draft.rings, index), body });
      return begun && carried(making, begun, keeps);
    });
    if (!outcome?.reasons && bond === 'half-pitch') turnHalfOn(draft, order);
    const lead = draft.rings[first]!;
    if (!outcome?.reasons && bodyOf(lead.making) === body)
      for (const index of order) {
        draft.rings[index]!.making = { ...lead.making };
        draft.rings[index]!.woods = [...lead.woods];
      }
    return outcome;
  },
});

/** Turns each ring half a segment from the one below it, so that its segments bridge the joints or gaps there. */
function turnHalfOn({ rings }: Project, order: Rings): void {
  for (const index of order) if (index > 0) rings[index]!.turn = (rings[index - 1]!.turn + 0.5) % 1;
}

/** A name for a glue-up that no ring of the piece has. */
export function freshBody({ rings }: Project): string {
  const taken = new Set(rings.map(({ making }) => bodyOf(making)));
  for (let n = 1; ; n++) if (!taken.has(`thick-${n}`)) return `thick-${n}`;
}

type Change<W extends Way> = { readonly [K in keyof ParamsOf<W>]?: ParamsOf<W>[K] | undefined };

/** Other values for some parameters of the rings that are made in a way; undefined takes a parameter away. */
export const setParams = <W extends Way>(rings: Rings, way: W, change: Change<W>): Command =>
  changeParams(rings, way, () => change);

/** The same where what is changed follows from what there is. */
export const changeParams = <W extends Way>(
  rings: Rings,
  way: W,
  change: (params: ParamsOf<W>) => Change<W>,
): Command => ({
  label: howMade(rings),
  apply: (draft) =>
    ifPossible(draft, rings, () =>
      makeAll(draft, rings, (index) => {
        const { making } = draft.rings[index]!;
        if (making.way !== way) return null;
        const next = { ...making, ...change(making as ParamsOf<W>) };
        return without(next) as unknown as RingMaking;
      }),
    ),
});

/** Without the fields that have no value. */
export const without = (given: object): object =>
  Object.fromEntries(Object.entries(given).filter(([, value]) => value !== undefined));

/** An edit of rings, refused where it makes one of a strict way impossible that could be made before. */
function ifPossible(draft: Project, rings: Rings, edit: () => Outcome | undefined): Outcome | undefined {
  const strict = rings.filter((index) => isStrict(draft.rings[index]!.making));
  if (strict.length === 0) return edit();
  const before = reasonsIn(draft, strict);
  const outcome = edit();
  if (outcome?.reasons) return outcome;
  const reasons = reasonsIn(draft, strict).find((now, i) => now.length > 0 && before[i]!.length === 0);
  return reasons ? { reasons } : outcome;
}

/** Why rings of a draft cannot be made, ring by ring; empty for those that can. */
function reasonsIn(draft: Project, rings: Rings): (readonly Reason[])[] {
  const stack = stackUp(current(draft as object) as Project);
  return rings.map((index) => {
    const made = stack.ok ? stack.value.rings[index]!.made : stack;
    return made.ok ? [] : made.reasons;
  });
}

/** Segment counts of rings; discs become rings of segments. Held back where a ring of a strict way could not be made then. */
export const setCount = (rings: Rings, count: number): Command => ({
  label: `Segments of ${named(rings)}`,
  apply: (draft) =>
    ifPossible(draft, rings, () =>
      makeAll(draft, rings, (index) => {
        const { making } = draft.rings[index]!;
        return segmentsOf(making) === null ? usualSegments(count) : withSegments(making, count);
      }),
    ),
});
