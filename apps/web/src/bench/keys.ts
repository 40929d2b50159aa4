import { session } from '../store/sessionSlice.js';

/** The keys held while a ring is clicked. */
export interface Keys {
  readonly shiftKey: boolean;
  readonly ctrlKey: boolean;
  readonly metaKey: boolean;
}

/** Shift extends the selection, Ctrl or ⌘ adds to it or takes from it. */
export const clickRing = (ring: number, { shiftKey, ctrlKey, metaKey }: Keys) =>
  session.clicked({ ring, extend: shiftKey, toggle: ctrlKey || metaKey });
