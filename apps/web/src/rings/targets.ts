import { useMemo } from 'react';
import { projectOf } from '../store/house.js';
import { selectedRingsOf } from '../store/selection.js';
import { useApp } from '../store/store.js';

/** The value that all share; null when they differ. */
export const shared = <T>(values: readonly T[]): T | null =>
  values.every((value) => value === values[0]) ? (values[0] ?? null) : null;

/** The selected rings that there are, and those that a change goes to: all where none is selected. */
export function useTargets(): { selected: readonly number[]; targets: readonly number[] } {
  const count = useApp((state) => projectOf(state).rings.length);
  const selected = useApp(selectedRingsOf);
  return useMemo(
    () => ({
      selected,
      targets: selected.length > 0 ? selected : Array.from({ length: count }, (_, index) => index),
    }),
    [selected, count],
  );
}
