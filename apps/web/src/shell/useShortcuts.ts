import { useEffect } from 'react';
import { redo, undo } from '../store/edits.js';
import { useActions } from '../store/store.js';

/** Ctrl or ⌘ with Z, Shift+Z or Y, anywhere but in a field. */
export function useShortcuts(): void {
  const dispatch = useActions();
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.target instanceof HTMLInputElement) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      dispatch(key === 'y' || event.shiftKey ? redo() : undo());
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, [dispatch]);
}
