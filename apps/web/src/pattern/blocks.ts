import {
  type Block,
  cutOut,
  edit,
  keyOfTone,
  layBlock,
  mirroredBlock,
  type Result,
  toneNames,
} from '@fellside/core';
import { editPiece, refusedEntry } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { selectedRingsOf } from '../store/selection.js';
import { type Marked, session } from '../store/sessionSlice.js';
import type { Dispatch, State } from '../store/store.js';
import { keyAt, wallOfPiece } from './paint.js';

/** The marked part; without one the selected rings, or all, as a whole. */
function windowOf(state: State): Marked {
  const { marked } = state.session;
  if (marked) return marked;
  const selected = selectedRingsOf(state);
  const rings = selected.length > 0 ? selected : projectOf(state).rings.map((_, index) => index);
  return { low: Math.min(...rings), high: Math.max(...rings), from: 0, widthTurns: 1 };
}

/** The marked part of the wall as a block; null where nothing shows. */
export function markedBlock(state: State): Block | null {
  const { palette } = projectOf(state);
  const names = new Map(toneNames(palette).map((name, i) => [palette[i]!.key, name]));
  const woodAt = keyAt(state);
  return cutOut(wallOfPiece(state), windowOf(state), (spot) => names.get(woodAt(spot)) ?? 'light');
}

export const copyBlock = () => (dispatch: Dispatch, getState: () => State) => {
  const block = markedBlock(getState());
  if (block) dispatch(session.painting({ copied: block }));
  else dispatch(refusedEntry('Nothing shows in the marked part; mark a part of the wall first.'));
};

/** Lays a block at the marked place, or at the index mark of the lowest selected ring, as often round as strokes repeat. */
export const pasteBlock =
  (block: Block, label = 'Paste a block') =>
  (dispatch: Dispatch, getState: () => State): Result<unknown> => {
    const state = getState();
    const { low, from } = windowOf(state);
    const { fold, mirror } = state.session;
    if (block.widthTurns * fold > 1 + 1e-6)
      return dispatch(
        refusedEntry(
          `The block takes ${Math.round(block.widthTurns * 360)}° of the way round; ${fold} of them do not fit, at most ${Math.floor(1 / block.widthTurns + 1e-6)}.`,
        ),
      );
    const { palette } = projectOf(state);
    const laid = layBlock(wallOfPiece(state), mirror ? mirroredBlock(block) : block, {
      ring: low,
      from,
      times: fold,
    });
    const strokes = laid.map(({ tone, ...spot }) => ({ ...spot, key: keyOfTone(palette, tone) }));
    return dispatch(editPiece(edit.paint(strokes, label)));
  };
