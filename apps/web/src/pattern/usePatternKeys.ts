import { useEffect } from 'react';
import { isTypedIn } from '../shell/typing.js';
import { projectOf } from '../store/house.js';
import { session } from '../store/sessionSlice.js';
import { type Dispatch, type State, useActions } from '../store/store.js';
import { copyBlock, pasteBlock } from './blocks.js';

/** The wood that a number key stands for becomes the brush. */
const pickByNumber = (number: number) => (dispatch: Dispatch, getState: () => State) => {
  const entry = projectOf(getState()).palette[number - 1];
  if (entry) dispatch(session.brushed(entry.key));
};

const paste = () => (dispatch: Dispatch, getState: () => State) => {
  const { copied } = getState().session;
  if (copied) dispatch(pasteBlock(copied));
};

/** 1 to 9 pick woods, Ctrl or ⌘ with C and V copies and pastes a block; not while a field is typed in. */
export function usePatternKeys(): void {
  const dispatch = useActions();
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (isTypedIn(event.target)) return;
      const modified = event.ctrlKey || event.metaKey;
      if (!modified && /^[1-9]$/.test(event.key)) dispatch(pickByNumber(Number(event.key)));
      else if (modified && event.key === 'c' && !window.getSelection()?.toString()) dispatch(copyBlock());
      else if (modified && event.key === 'v') dispatch(paste());
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, [dispatch]);
}
