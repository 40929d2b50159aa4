import { useEffect } from 'react';
import { ZOOM_STEP } from '../bench/useZoom.js';
import { session } from '../store/sessionSlice.js';
import { type Dispatch, type State, useActions } from '../store/store.js';
import { redo, undo } from '../store/undoing.js';
import { isTypedIn } from './typing.js';

const zoomBy = (factor: number) => (dispatch: Dispatch, getState: () => State) =>
  dispatch(session.zoomed(getState().session.zoom * factor));

/** Ctrl or ⌘ with Z, Shift+Z or Y: undo and redo. Plus, minus and 0: the scale of the bench. Not while a field is typed in. */
export function useShortcuts(): void {
  const dispatch = useActions();
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (isTypedIn(event.target)) return;
      const key = event.key.toLowerCase();
      if (event.ctrlKey || event.metaKey) {
        if (key !== 'z' && key !== 'y') return;
        event.preventDefault();
        dispatch(key === 'y' || event.shiftKey ? redo() : undo());
      } else if (key === '+' || key === '=') dispatch(zoomBy(ZOOM_STEP));
      else if (key === '-') dispatch(zoomBy(1 / ZOOM_STEP));
      else if (key === '0') dispatch(session.zoomed(1));
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, [dispatch]);
}
