import type { Prepared, Species } from '@fellside/core';
import { useMemo, useRef } from 'react';
import { type Inks, inksOf } from './inks.js';

/** What a wall is drawn with. While a new shape is being sampled the old wall keeps the woods that its places had. */
export function useInks(prepared: Prepared, palette: ReadonlyMap<string, Species>, current: boolean): Inks {
  const inks = useMemo(() => inksOf(prepared, palette), [prepared, palette]);
  const last = useRef(inks);
  if (current) last.current = inks;
  return last.current;
}
