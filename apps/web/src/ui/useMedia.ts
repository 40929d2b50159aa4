import { useSyncExternalStore } from 'react';

/** Narrower than this, what stands beside the bench goes below it (`--breakpoint-wide` of theme.css). */
export const NARROW = '(width < 56.25rem)';

const queryOf = (text: string) => window.matchMedia?.(text);

/** Whether a media query holds now; it does not where there are none. */
export const useMedia = (text: string): boolean =>
  useSyncExternalStore(
    (changed) => {
      const query = queryOf(text);
      query?.addEventListener('change', changed);
      return () => query?.removeEventListener('change', changed);
    },
    () => queryOf(text)?.matches ?? false,
  );
