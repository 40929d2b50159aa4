import { type Mm, mm } from '../../measure/quantity.js';
import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import type { Course } from '../../ring/stack.js';
import type { Project, Ring } from '../schema.js';
import type { Command } from './command.js';
import { named } from './each.js';
import { refusedEdit } from './refusedEdit.js';
import { fitStack, stackOf } from './stack.js';
import { lip, noted, remap, setTop } from './stretch.js';

/** What stays as it is when boards of another thickness are used: the rows of the pattern, or the height of the piece. */
export type Keeps = 'rows' | 'height';

/** Whether a ring stands at its height for good: made, measured or locked. */
const stands = ({ locked, measured, cut, fixed }: Ring): boolean =>
  Boolean(locked || cut || fixed || measured?.heightMm !== undefined);

/** Heights that rings are planned with, and which rings those are (by index, bottom to top); those that stand for good left out. */
export function ringHeightsOf({ rings }: Pick<Project, 'rings'>): { heightMm: Mm; rings: number[] }[] {
  const found: { heightMm: Mm; rings: number[] }[] = [];
  rings.forEach((ring, i) => {
    if (stands(ring)) return;
    const same = found.find(({ heightMm }) => Math.abs(heightMm - ring.heightMm) < SAME_LENGTH);
    if (same) same.rings.push(i);
    else found.push({ heightMm: mm(ring.heightMm), rings: [i] });
  });
  return found.sort((a, b) => b.rings.length - a.rings.length);
}

/**
 * Boards of another thickness for all rings that are so high. Rows kept: every ring stays a row of the pattern, and the form is
 * stretched ring by ring so that each keeps its place in it. Height kept: the form stays, and rings come on top or go.
 */
export const substituteThickness = (fromMm: Mm, toMm: Mm, keeps: Keeps): Command => ({
  label: `Boards of another thickness, ${keeps} kept`,
  apply(draft) {
    const rings = ringHeightsOf(draft).find(
      ({ heightMm }) => Math.abs(heightMm - fromMm) < SAME_LENGTH,
    )?.rings;
    if (!rings)
      return refusedEdit(
        'thickness-none',
        'rings',
        say`No ring that can still be changed is ${sayMm(fromMm)} high.`,
      );
    const before = stackOf(draft.rings);
    for (const i of rings) draft.rings[i]!.heightMm = toMm;
    if (keeps === 'height') return noted(fitStack(draft));
    const after = stackOf(draft.rings);
    const lipMm = lip(draft.form.points);
    const map = draft.slants?.length ? evenly(before, after) : ringByRing(before, after);
    remap(draft, map);
    setTop(draft.form, mm(map.at(lipMm)));
    return {
      note: say`The piece is ${sayMm(map.at(lipMm))} high, before ${sayMm(lipMm)}; ${named(rings)} ${rings.length === 1 ? 'is' : 'are'} ${sayMm(toMm)}.`,
    };
  },
});

const topOf = (courses: readonly Course[]): number => courses.at(-1)?.topMm ?? 0;

function evenly(before: readonly Course[], after: readonly Course[]) {
  const factor = topOf(after) / topOf(before);
  return { at: (z: number) => z * factor, rate: () => factor };
}

/** Heights of one stack in another of as many rings; beyond its ends as in the ring that is next. */
function ringByRing(before: readonly Course[], after: readonly Course[]) {
  const ringAt = (z: number, side: 'below' | 'above'): number => {
    const found = before.findIndex(({ topMm }) =>
      side === 'below' ? z <= topMm + SAME_LENGTH : z < topMm - SAME_LENGTH,
    );
    return found < 0 ? before.length - 1 : found;
  };
  const rateOf = (i: number) =>
    (after[i]!.topMm - after[i]!.bottomMm) / (before[i]!.topMm - before[i]!.bottomMm);
  return {
    at: (z: number) => {
      const i = ringAt(z, 'below');
      return after[i]!.bottomMm + (z - before[i]!.bottomMm) * rateOf(i);
    },
    rate: (z: number, side: 'below' | 'above') => rateOf(ringAt(z, side)),
  };
}
