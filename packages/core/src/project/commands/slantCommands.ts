import { current } from 'immer';
import { mm } from '../../measure/quantity.js';
import { type Said, say, sayMm } from '../../measure/said.js';
import { bandWoods, MOST_SLANTS, type Slant, slantSchema } from '../../ring/slant.js';
import { stackHeight } from '../../ring/stack.js';
import type { Project } from '../schema.js';
import { reasonsOf } from '../sentences.js';
import { heightOf } from '../sizing.js';
import type { Command, Outcome } from './command.js';
import { freshId, liftOfBands } from './stack.js';

/** A first band, common practice: thin, gently slanted, cut with a bandsaw; each further one is turned by a third. */
const USUAL = { slantDeg: 8, thicknessMm: mm(3), kerfMm: mm(1), turnedBy: 120 } as const;

const nameOf = (index: number) => `slanted band ${index + 1}`;

/** One more slanted band, in half the height of the work or like the last one, turned on by a third of the way round. */
export const addSlant = (): Command => ({
  label: 'Add a slanted band',
  apply(draft) {
    const slants = draft.slants ?? [];
    if (slants.length >= MOST_SLANTS)
      return refusedFor(`There are ${MOST_SLANTS} slanted bands already; no more are allowed.`);
    draft.slants = [...slants, following(draft, freshId(slants))];
    return undefined;
  },
});

function following(draft: Project, id: string): Slant {
  const { slants = [], rings, palette } = draft;
  const last = slants.at(-1);
  if (last) {
    const round = (last.towardDeg + USUAL.turnedBy) % 360;
    return { ...last, id, towardDeg: round };
  }
  const middle = (stackHeight(rings.map(heightOf)) + liftOfBands(draft)) / 2;
  const { slantDeg, thicknessMm, kerfMm } = USUAL;
  const heightMm = mm(Math.round(middle));
  return { id, heightMm, slantDeg, towardDeg: 0, thicknessMm, kerfMm, wood: palette.at(-1)!.key };
}

/** Other sizes of a slanted band, or another wood; what is out of its limits is refused with them. */
export const setSlant = (index: number, change: Partial<Omit<Slant, 'id'>>): Command => ({
  label: `Change ${nameOf(index)}`,
  apply(draft) {
    const slant = draft.slants?.[index];
    if (!slant) return undefined;
    const changed = { ...(current(slant as object) as Slant), ...change };
    // Another number of segments, or another wood for all, takes the place of what was painted.
    if ('count' in change || 'wood' in change) delete changed.woods;
    if (changed.count === undefined) delete changed.count;
    const tried = slantSchema.safeParse(changed);
    if (!tried.success) return { reasons: reasonsOf(tried.error) };
    const top = stackHeight(draft.rings.map(heightOf)) + liftOfBands(draft);
    if (tried.data.heightMm >= top)
      return refusedFor(
        say`The cut has to meet the axis below the top of the work, which is at ${sayMm(Math.round(top))}.`,
      );
    draft.slants![index] = tried.data;
    return undefined;
  },
});

/** Segments of a band in another wood. */
export const setSlantWood = (index: number, wood: string, places: readonly number[]): Command => ({
  label: `Paint ${nameOf(index)}`,
  apply(draft) {
    const slant = draft.slants?.[index];
    if (!slant) return undefined;
    const woods = [...bandWoods(current(slant as object) as Slant)];
    for (const place of places) if (place < woods.length) woods[place] = wood;
    if (slant.count === undefined) slant.wood = wood;
    else slant.woods = woods;
    return undefined;
  },
});

export const removeSlant = (index: number): Command => ({
  label: `Remove ${nameOf(index)}`,
  apply(draft) {
    const left = (draft.slants ?? []).filter((_, i) => i !== index);
    if (left.length > 0) draft.slants = left;
    else delete draft.slants;
    return undefined;
  },
});

const refusedFor = (message: Said): Outcome => ({ reasons: [{ code: 'slant', path: 'slants', message }] });
