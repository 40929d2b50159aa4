import { current } from 'immer';
import type { Lens } from '../../making/inlaid/params.js';
import type { Figure, Laminated } from '../../making/laminated/params.js';
import { groupsOf, insteadOf, makeRing, type RingMaking } from '../../making/registry.js';
import type { Said } from '../../measure/said.js';
import { stackUp } from '../prepare.js';
import type { Project, Ring } from '../schema.js';
import { carriedWoods, mostUsed } from './carry.js';
import type { Command } from './command.js';
import { named, type Rings } from './each.js';
import { freezeUnder } from './freeze.js';
import { meantWoods } from './wayCommands.js';

/** Dots that swell as under a lens: its middle lies in the middle of the rings, bottom to top. */
export const layLens = (rings: Rings, lens: Omit<Lens, 'ring'>): Command => ({
  label: `Lens over ${named(rings)}`,
  apply(draft) {
    const order = [...rings].sort((a, b) => a - b);
    const middle = (order[0]! + order.at(-1)!) / 2;
    for (const index of order) {
      const { making } = draft.rings[index]!;
      if (making.way === 'segmented' && making.sawnFrom?.is === 'plugs')
        making.sawnFrom.lens = { ...lens, ring: index - middle };
    }
    return undefined;
  },
});

/** What slices of laminated boards are put together to; a board that does not go with it is made to suit, and that is said. */
export const setFigure = (rings: Rings, figure: Figure): Command => ({
  label: `Figure of ${named(rings)}`,
  apply(draft) {
    const stack = stackUp(current(draft as object) as Project);
    if (!stack.ok) return undefined;
    let note: Said | undefined;
    for (const index of rings) {
      const ring = draft.rings[index]!;
      const old = current(ring as object) as Ring;
      if (old.making.way !== 'segmented' || old.making.sawnFrom?.is !== 'laminated') continue;
      const board: Laminated = { ...old.making.sawnFrom, figure };
      const wanted: RingMaking = { ...old.making, sawnFrom: board };
      const { need } = stack.value.rings[index]!;
      const suits = makeRing(wanted, need).ok;
      const near = suits ? wanted : insteadOf(wanted, need);
      ring.making = near ?? wanted;
      ring.woods = carriedWoods(old, ring.making, [], meantWoods(draft, ring.making));
      if (near && !suits) note = 'The board was made to suit the figure: look at its layers.';
    }
    return note ? { note } : undefined;
  },
});

export interface Patch {
  /** First segment, counted from the index mark, how many of them, and how often the patch comes round. */
  readonly segment: number;
  readonly segments: number;
  readonly times: number;
}

/**
 * A patch over several rings: within it the two woods that a ring has most of are exchanged, segments and what lies between
 * them alike.
 */
export const patchRings = (rings: Rings, { segment, segments, times }: Patch): Command => ({
  label: `Patch on ${named(rings)}`,
  apply(draft) {
    const note = freezeUnder(draft, rings);
    for (const index of rings) {
      const ring = draft.rings[index]!;
      const most = mostUsed(ring.woods);
      const next = mostUsed(ring.woods.filter((key) => key !== most).concat(most));
      const other = next === most ? draft.palette.find(({ key }) => key !== most)?.key : next;
      if (other === undefined) continue;
      let first = 0;
      for (const { count } of groupsOf(ring.making)) {
        const round = groupsOf(ring.making)[0]!.count;
        for (let i = 0; i < count; i++) {
          const at = (i * round) / count;
          const within = (((at - segment) % (round / times)) + round / times) % (round / times) < segments;
          const wood = ring.woods[first + i]!;
          if (within && wood === most) ring.woods[first + i] = other;
          else if (within && wood === other) ring.woods[first + i] = most;
        }
        first += count;
      }
    }
    return note;
  },
});
