import {
  column,
  diagonal,
  edit,
  patch,
  repeated,
  type Spot,
  shownOn,
  stretchAt,
  type Wall,
  wallOf,
} from '@fellside/core';
import { createSelector } from '@reduxjs/toolkit';
import { editPiece, previewPiece } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { preparedOf } from '../store/selectors.js';
import { session, type Tool } from '../store/sessionSlice.js';
import type { Dispatch, State } from '../store/store.js';

/** The wall of the open piece as painting sees it; empty where the form cannot be. */
export const wallOfPiece: (state: State) => Wall = createSelector([preparedOf], (prepared) =>
  prepared.ok ? wallOf(prepared.value) : [],
);

/** The palette key that a place shows. */
export const keyAt =
  (state: State) =>
  ({ ring, place }: Spot): string => {
    const prepared = preparedOf(state);
    return (prepared.ok && shownOn(prepared.value)[ring]?.woods[place]) || '';
  };

/** The places that a stroke of a tool at one of them covers, before repeats. */
function covered(state: State, tool: Tool, spot: Spot): Spot[] {
  const wall = wallOfPiece(state);
  switch (tool) {
    case 'ring': {
      const prepared = preparedOf(state);
      const woods = prepared.ok ? (prepared.value.rings[spot.ring]?.ring.woods ?? []) : [];
      return woods.map((_, place) => ({ ring: spot.ring, place }));
    }
    case 'column':
      return column(wall, spot);
    case 'diagonal':
      return diagonal(wall, spot, state.session.across);
    case 'patch':
      return patch(wall, spot, keyAt(state));
    default:
      return [spot];
  }
}

const LABELS: Partial<Record<Tool, string>> = {
  ring: 'Paint a ring',
  column: 'Paint a column',
  diagonal: 'Paint a diagonal',
  patch: 'Fill a patch',
};

/** The edit that strokes at some places come to; null without a wood to paint with. */
function strokeOf(state: State, spots: readonly Spot[]) {
  const { brush, tool, fold, mirror } = state.session;
  if (!brush) return null;
  const { rings } = projectOf(state);
  const band = spots.find(({ ring }) => ring >= rings.length);
  if (band) return edit.setSlant(band.ring - rings.length, { wood: brush });
  const all = spots.flatMap((spot) => covered(state, tool, spot));
  const images = repeated(wallOfPiece(state), all, { fold, mirror });
  return edit.paint(
    images.map((spot) => ({ ...spot, key: brush })),
    LABELS[tool],
  );
}

/** Takes the wood of a place for the next strokes. */
export const pickUp = (spot: Spot) => (dispatch: Dispatch, getState: () => State) => {
  dispatch(session.brushed(keyAt(getState())(spot)));
};

/** One stroke at a place with the tool at hand: paints, or picks a wood up. */
export const strokeAt = (spot: Spot) => (dispatch: Dispatch, getState: () => State) => {
  const state = getState();
  if (state.session.tool === 'pick') {
    dispatch(pickUp(spot));
    dispatch(session.painting({ tool: 'place' }));
    return;
  }
  const command = strokeOf(state, [spot]);
  if (command) dispatch(editPiece(command));
};

/** What a stroke that is still being drawn would come to; `before` is the piece as it was when it began. */
export const previewStroke = (spots: readonly Spot[]) => (dispatch: Dispatch, getState: () => State) => {
  const command = strokeOf(getState(), spots);
  if (command) dispatch(previewPiece(command));
};

/** Where a place's stretch begins and ends round the piece, turns; null where it does not show. */
export function stretchOf(state: State, { ring, place }: Spot): { from: number; to: number } | null {
  const shown = wallOfPiece(state)[ring];
  const own = shown?.stretches.find((stretch) => stretch.place === place);
  return own ?? (shown ? stretchAt(shown, 0) : null);
}
