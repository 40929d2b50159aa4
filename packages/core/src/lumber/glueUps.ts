import type { Step } from '../making/step.js';
import type { Said } from '../measure/said.js';
import type { RingPlan } from './ringPlan.js';

type Rung = Pick<RingPlan, 'index' | 'id'>;

/** A line of work on a board before segments come of it, and the rings that it is done for. */
export interface GlueUpRow {
  readonly rings: readonly Rung[];
  readonly says: Said;
}

/** Steps at which a board has become segments, or a ring. */
const BEGUN: readonly string[] = ['saw', 'glue', 'stack', 'dry-fit'];

/**
 * What is glued up and cut before there are segments or slices to be glued into rings, in the order of the work: boards,
 * discs scribed on them, slices. Work done once for several rings stands once.
 */
export function glueUpRows(rings: readonly (Rung & Pick<RingPlan, 'steps'>)[]): GlueUpRow[] {
  const rows: { rings: Rung[]; says: Said }[] = [];
  const shared = new Map<string, Rung[]>();
  for (const ring of rings)
    for (const { id, once, says } of untilSegments(ring.steps)) {
      const key = once === undefined ? `${ring.id}/${id}` : `${once}/${id}`;
      const known = shared.get(key);
      if (known) {
        known.push(ring);
        continue;
      }
      const own = [ring];
      shared.set(key, own);
      rows.push({ rings: own, says });
    }
  return rows;
}

/** The steps from the board to the first segment; none of a ring that no board is glued up for. */
function untilSegments(steps: readonly Step[]): readonly Step[] {
  const from = steps.findIndex(({ id }) => id === 'board');
  if (from < 0) return [];
  const to = steps.findIndex(({ id }, i) => i > from && BEGUN.includes(id));
  return steps.slice(from, to < 0 ? steps.length : to);
}
