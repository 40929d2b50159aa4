import type { PreparedRing } from '@fellside/core';
import type { KeyboardEvent } from 'react';
import { lastRingOf, selectRings } from '../store/selection.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';

const STEPS: Record<string, readonly [ring: number, place: number]> = {
  ArrowUp: [1, 0],
  ArrowDown: [-1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};

/** Arrow keys walk from segment to segment, round the ring and from ring to ring; Enter or space paints. */
export function useWalk(rings: readonly PreparedRing[], onPlace?: (ring: number, place: number) => void) {
  const dispatch = useActions();
  const hover = useApp((state) => state.session.hover);
  const selected = useApp((state) => lastRingOf(state) ?? 0);
  const at = {
    ring: Math.min(hover?.ring ?? selected, rings.length - 1),
    place: hover?.place ?? 0,
  };
  return (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (step) {
      const ring = Math.min(rings.length - 1, Math.max(0, at.ring + step[0]));
      const [places, before] = [rings[ring]!.ring.woods.length, rings[at.ring]!.ring.woods.length];
      const place = hover ? (Math.floor((at.place * places) / before) + step[1] + places) % places : at.place;
      dispatch(session.hovered({ ring, place }));
      dispatch(selectRings([ring]));
    } else if (event.key === 'Enter' || event.key === ' ') onPlace?.(at.ring, at.place);
    else return;
    event.preventDefault();
  };
}
