import { edit, ringOwner } from '@fellside/core';
import { editPiece } from './edits.js';
import { projectOf } from './house.js';
import { selectedRingsOf } from './selection.js';
import { session } from './sessionSlice.js';
import type { Dispatch, State } from './store.js';

/** The rings that move with one: all that are selected, where it is one of several. */
function moving(state: State, ring: number): readonly number[] {
  const selected = selectedRingsOf(state);
  return selected.length > 1 && selected.includes(ring) ? [...selected].sort((a, b) => a - b) : [ring];
}

/** Moves rings so that they come to lie below the ring at `before`, and keeps them selected. */
const move = (rings: readonly number[], before: number) => (dispatch: Dispatch, getState: () => State) => {
  const owners = rings.map((ring) => ringOwner(projectOf(getState()).rings[ring]!.id));
  if (dispatch(editPiece(edit.moveRings(rings, before))).ok) dispatch(session.selected(owners));
};

/** Moves a ring to where another is: above it when it comes from below, below it when it comes from above. */
export const moveRingsTo = (from: number, to: number) => (dispatch: Dispatch, getState: () => State) =>
  dispatch(move(moving(getState(), from), to > from ? to + 1 : to));

/** Moves a ring, and those selected with it, one place up (1) or down (−1). */
export const moveRingsBy = (ring: number, step: number) => (dispatch: Dispatch, getState: () => State) => {
  const rings = moving(getState(), ring);
  const last = projectOf(getState()).rings.length;
  const before = step > 0 ? rings.at(-1)! + 2 : rings[0]! - 1;
  if (before >= 0 && before <= last) dispatch(move(rings, before));
};
