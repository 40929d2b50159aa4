import { useEffect, useRef } from 'react';
import { isTypedIn } from '../../shell/typing.js';

/** What keys, a pedal or a remote do to a card. */
export interface CardKeys {
  readonly count: (more: number) => void;
  readonly go: (by: 1 | -1) => void;
}

/** Once the field has heard the key itself. */
const leave = (field: HTMLElement): void => void setTimeout(() => field.blur());

/**
 * Space counts, − takes back, arrows and page keys go to the next card and back: pedals and remotes send one of these. Nothing while a field is
 * typed in, which Escape ends, or while a button has the focus that the key is for.
 */
export function useCardKeys(keys: CardKeys): void {
  const now = useRef(keys);
  now.current = keys;
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (isTypedIn(event.target)) {
        if (event.key === 'Escape') leave(event.target as HTMLElement);
        return;
      }
      const onButton =
        event.target instanceof HTMLElement && event.target.closest('button, summary') !== null;
      if (event.key === ' ' && !onButton) now.current.count(1);
      else if (event.key === '-' || event.key === 'Backspace') now.current.count(-1);
      else if (event.key === '+' || event.key === '=') now.current.count(1);
      else if (event.key === 'ArrowRight' || event.key === 'PageDown') now.current.go(1);
      else if (event.key === 'ArrowLeft' || event.key === 'PageUp') now.current.go(-1);
      else return;
      event.preventDefault();
      // Plus and minus are the bench's scale elsewhere.
      event.stopImmediatePropagation();
    };
    window.addEventListener('keydown', pressed, { capture: true });
    return () => window.removeEventListener('keydown', pressed, { capture: true });
  }, []);
}
