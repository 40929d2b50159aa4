import { type Owner, ownerKey, type Project, ringOwner, sameOwner } from '@fellside/core';
import { createSelector } from '@reduxjs/toolkit';
import { session } from './sessionSlice.js';
import type { Dispatch, State } from './store.js';

/** The keys held while something is clicked. */
export interface Keys {
  readonly shiftKey: boolean;
  readonly ctrlKey: boolean;
  readonly metaKey: boolean;
}

const NONE: Project['rings'] = [];
const ringsOf = (state: State): Project['rings'] =>
  (state.piece.preview?.project ?? state.piece.edited?.project)?.rings ?? NONE;

const sameNumbers = (a: readonly number[], b: readonly number[]): boolean =>
  a.length === b.length && a.every((each, i) => each === b[i]);

/** The selected rings that there are, by index, in the order in which they were selected. */
export const selectedRingsOf: (state: State) => readonly number[] = createSelector(
  [ringsOf, (state: State) => state.session.selected],
  (rings, selected): readonly number[] => {
    const places = new Map(rings.map(({ id }, index) => [id, index]));
    return selected.flatMap(({ of, id }) => (of === 'ring' ? (places.get(id) ?? []) : []));
  },
  { memoizeOptions: { resultEqualityCheck: sameNumbers } },
);

/** The ring last selected, by index. */
export const lastRingOf = (state: State): number | undefined => selectedRingsOf(state).at(-1);

/** Selects rings, by index, and nothing else. */
export const selectRings = (indexes: readonly number[]) => (dispatch: Dispatch, getState: () => State) => {
  const rings = ringsOf(getState());
  dispatch(session.selected(indexes.flatMap((index) => (rings[index] ? [ringOwner(rings[index].id)] : []))));
};

/** What a click selects: Shift extends from the ring last clicked, Ctrl or ⌘ adds and takes away. */
export const clickOwner =
  (owner: Owner, { shiftKey, ctrlKey, metaKey }: Keys) =>
  (dispatch: Dispatch, getState: () => State) => {
    const { selected } = getState().session;
    if (shiftKey) dispatch(session.selected(extended(selected.at(-1), owner, ringsOf(getState()))));
    else if (ctrlKey || metaKey) {
      const others = selected.filter((each) => !sameOwner(each, owner));
      dispatch(session.selected(others.length < selected.length ? others : [...selected, owner]));
    } else dispatch(session.selected([owner]));
  };

/** The same for a ring by its index. */
export const clickRing = (index: number, keys: Keys) => (dispatch: Dispatch, getState: () => State) => {
  const ring = ringsOf(getState())[index];
  if (ring) dispatch(clickOwner(ringOwner(ring.id), keys));
};

/** From one ring to another, this one last; of what is no ring only itself. */
function extended(from: Owner | undefined, to: Owner, rings: Project['rings']): Owner[] {
  const place = (owner: Owner | undefined) =>
    owner?.of === 'ring' ? rings.findIndex(({ id }) => id === owner.id) : -1;
  const [a, b] = [place(from), place(to)];
  if (a < 0 || b < 0) return [to];
  const range = rings.slice(Math.min(a, b), Math.max(a, b) + 1).map(({ id }) => ringOwner(id));
  return [...range.filter((each) => !sameOwner(each, to)), to];
}

/** Whether an owner is among those selected, to be asked for many. */
export const isIn = (selected: readonly Owner[]): ((owner: Owner | null) => boolean) => {
  const keys = new Set(selected.map(ownerKey));
  return (owner) => owner !== null && keys.has(ownerKey(owner));
};

/** Where a ring of a piece is found: its address carries its id, so that it stays the same ring when others are moved. */
export const ringAddress = (piece: string | null | undefined, ringId: string | undefined): string =>
  ringId === undefined ? `/piece/${piece}/rings` : `/piece/${piece}/rings/${encodeURIComponent(ringId)}`;
