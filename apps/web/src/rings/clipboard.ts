import { clipOf, edit, readClip } from '@fellside/core';
import { useEffect } from 'react';
import { isTypedIn } from '../shell/typing.js';
import { editPiece, refusedEntry } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { piece } from '../store/pieceSlice.js';
import { selectRings } from '../store/selection.js';
import { type Dispatch, type State, useActions } from '../store/store.js';

/** Copied rings for menus, which may not read the clipboard everywhere: all windows of this browser have it. */
const KEY = 'fellside.rings';

function keep(text: string): void {
  try {
    localStorage.setItem(KEY, text);
  } catch {
    // A full or forbidden store: the clipboard has it.
  }
}
const kept = (): string => {
  try {
    return localStorage.getItem(KEY) ?? '';
  } catch {
    return '';
  }
};

/** Copies rings: their text. */
export const copyRings = (rings: readonly number[]) => (_: Dispatch, getState: () => State) => {
  const text = JSON.stringify(clipOf(projectOf(getState()), rings));
  keep(text);
  void navigator.clipboard?.writeText(text).catch(() => {});
  return text;
};

/** Pastes copied rings above the highest of some, or their look on all of these; says so where nothing was copied. */
export const pasteCopied =
  (rings: readonly number[], what: 'rings' | 'look', text = kept()) =>
  (dispatch: Dispatch) => {
    const clip = readClip(text);
    if (!clip.ok) return void dispatch(piece.refused(clip.reasons));
    if (rings.length === 0)
      return void dispatch(refusedEntry('Select the ring above which they are to lie.'));
    const above = Math.max(...rings);
    const command = what === 'look' ? edit.pasteLook(rings, clip.value) : edit.pasteRings(above, clip.value);
    if (!dispatch(editPiece(command)).ok || what === 'look') return;
    dispatch(selectRings(clip.value.rings.map((_, i) => above + 1 + i)));
  };

/** Ctrl or ⌘ with C and V for the selected rings; with Shift as well V gives their look only. */
export function useRingClipboard(selected: readonly number[]): void {
  const dispatch = useActions();
  useEffect(() => {
    let withShift = false;
    const elsewhere = () => isTypedIn(document.activeElement) || !getSelection()?.isCollapsed;
    const pressed = ({ shiftKey }: KeyboardEvent) => {
      withShift = shiftKey;
    };
    const copied = (event: ClipboardEvent) => {
      if (elsewhere() || selected.length === 0) return;
      event.clipboardData?.setData('text/plain', dispatch(copyRings(selected)));
      event.preventDefault();
    };
    const pasted = (event: ClipboardEvent) => {
      if (elsewhere()) return;
      event.preventDefault();
      dispatch(
        pasteCopied(selected, withShift ? 'look' : 'rings', event.clipboardData?.getData('text/plain')),
      );
    };
    window.addEventListener('keydown', pressed);
    document.addEventListener('copy', copied);
    document.addEventListener('paste', pasted);
    return () => {
      window.removeEventListener('keydown', pressed);
      document.removeEventListener('copy', copied);
      document.removeEventListener('paste', pasted);
    };
  }, [dispatch, selected]);
}
