import { type Mm, mm } from '../../measure/quantity.js';
import type { Reason } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import type { Project, Ring } from '../schema.js';
import { heightOf } from '../sizing.js';
import type { Command } from './command.js';
import { each, named, type Rings } from './each.js';
import { copyOf, freshId, stackOf } from './stack.js';

/** Why a ring's height cannot be changed: it is locked, or it was measured. */
function stays(ring: Ring, index: number): Reason[] {
  if (!ring.locked && ring.measured?.heightMm === undefined) return [];
  const message = ring.locked
    ? say`Ring ${index + 1} is locked at ${sayMm(heightOf(ring))}; unlock it first.`
    : say`Ring ${index + 1} was measured at ${sayMm(heightOf(ring))}; clear the measured thickness first.`;
  return [{ code: 'height-stays', path: `rings.${index}.heightMm`, message }];
}

/** Ring heights, those above shifting along. */
export const setRingHeight = (rings: Rings, heightMm: Mm): Command => ({
  label: `Height of ${named(rings)}`,
  apply: each(rings, (ring, index) => {
    const reasons = stays(ring, index);
    if (reasons.length > 0) return { reasons };
    ring.heightMm = heightMm;
    return undefined;
  }),
});

/** The upper edge of a ring moved to a height; the ring above gives or takes, unless it is the top one. */
export const moveEdge = (index: number, toMm: number): Command => ({
  label: `Edge above ring ${index + 1}`,
  apply(draft) {
    const [lower, upper] = [draft.rings[index]!, draft.rings[index + 1]];
    const reasons = [...stays(lower, index), ...(upper ? stays(upper, index + 1) : [])];
    if (reasons.length > 0) return { reasons };
    const { bottomMm, topMm } = stackOf(draft.rings)[index]!;
    lower.heightMm = mm(toMm - bottomMm);
    if (upper) upper.heightMm = mm(upper.heightMm + topMm - toMm);
    return undefined;
  },
});

/** Keeps the heights of rings through slicing and dragging, or lets them go. */
export const setLocked = (rings: Rings, locked: boolean): Command => ({
  label: `${locked ? 'Lock' : 'Unlock'} ${named(rings)}`,
  apply: each(rings, (ring) => {
    if (locked) ring.locked = true;
    else delete ring.locked;
    return undefined;
  }),
});

/** Saws a ring into two at a height of the stack; in half where none is given. */
export const splitRing = (index: number, atMm?: number): Command => ({
  label: `Split ring ${index + 1}`,
  apply(draft) {
    const ring = draft.rings[index]!;
    const { bottomMm, topMm } = stackOf(draft.rings)[index]!;
    const at = atMm ?? (bottomMm + topMm) / 2;
    const upper = copyOf(ring, { id: freshId(draft.rings), heightMm: mm(topMm - at) });
    ring.heightMm = mm(at - bottomMm);
    if (ring.measured) delete ring.measured.heightMm;
    draft.rings.splice(index + 1, 0, upper);
    return undefined;
  },
});

/** Makes neighbouring rings into one of their height, made like the lowest. */
export const mergeRings = (rings: Rings): Command => ({
  label: `Merge ${named(rings)}`,
  apply(draft) {
    const [low, high] = [Math.min(...rings), Math.max(...rings)];
    if (rings.length < 2 || high - low + 1 !== new Set(rings).size)
      return {
        reasons: [
          {
            code: 'not-neighbours',
            path: 'rings',
            message: 'Select two or more rings that lie on each other; those are merged into one.',
          },
        ],
      };
    const total = draft.rings.slice(low, high + 1).reduce((sum, ring) => sum + heightOf(ring), 0);
    draft.rings[low] = copyOf(draft.rings[low]!, { heightMm: mm(total) });
    draft.rings.splice(low + 1, high - low);
    return { note: say`Rings ${low + 1} to ${high + 1} are one ring now, made like ring ${low + 1}.` };
  },
});

/** A ring like the one at `index`, put in above or below it; all above shift up. */
export const insertRing = (index: number, where: 'above' | 'below'): Command => ({
  label: `Insert a ring ${where} ring ${index + 1}`,
  apply(draft) {
    const { fixed: _, ...ring } = copyOf(draft.rings[index]!, { id: freshId(draft.rings) });
    draft.rings.splice(where === 'above' ? index + 1 : index, 0, ring);
    return undefined;
  },
});

/** Copies of rings, in their order, on top of the highest of them. */
export const duplicateRings = (rings: Rings): Command => ({
  label: `Duplicate ${named(rings)}`,
  apply(draft) {
    const order = [...rings].sort((a, b) => a - b);
    const at = order[order.length - 1]! + 1;
    order.forEach((index, i) => {
      const copy = copyOf(draft.rings[index]!, { id: freshId(draft.rings) });
      draft.rings.splice(at + i, 0, copy);
    });
    return undefined;
  },
});

/** Takes rings out; what lies above comes down. */
export const removeRings = (rings: Rings): Command => ({
  label: `Remove ${named(rings)}`,
  apply(draft) {
    draft.rings = draft.rings.filter((_, i) => !rings.includes(i));
    return undefined;
  },
});

/** Moves rings, in their order, so that they come to lie below the ring that is at `before` now (its count: on top). */
export const moveRings = (rings: Rings, before: number): Command => ({
  label: `Move ${named(rings)}`,
  apply(draft: Project) {
    const moved = draft.rings.filter((_, i) => rings.includes(i));
    const below = draft.rings.filter((_, i) => i < before && !rings.includes(i));
    const above = draft.rings.filter((_, i) => i >= before && !rings.includes(i));
    draft.rings = [...below, ...moved, ...above];
    return undefined;
  },
});
