import type { Prepared, Spot } from '@fellside/core';
import { useEffect, useMemo, useRef } from 'react';
import type { Brush } from '../bench/UnrolledPane.js';
import { settlePreview } from '../store/edits.js';
import { piece } from '../store/pieceSlice.js';
import { session } from '../store/sessionSlice.js';
import { type Dispatch, type State, useActions } from '../store/store.js';
import { MarkedBlock } from './MarkedBlock.js';
import { pickUp, previewStroke, stretchOf, strokeAt } from './paint.js';

/** Marks the part of the wall between two places, whole segments of the rings in between. */
const markBetween = (from: Spot, to: Spot) => (dispatch: Dispatch, getState: () => State) => {
  const [a, b] = [stretchOf(getState(), from), stretchOf(getState(), to)];
  if (!a || !b) return;
  const [first, last] = a.from <= b.from ? [a, b] : [b, a];
  dispatch(
    session.painting({
      marked: {
        low: Math.min(from.ring, to.ring),
        high: Math.max(from.ring, to.ring),
        from: first.from,
        widthTurns: Math.min(1, Math.max(first.to, last.to) - first.from),
      },
    }),
  );
};

/**
 * Strokes over the unrolled wall with the tool at hand. Single places are painted along while the pointer is down, as one
 * step; Escape puts it back. A block is marked by dragging over it.
 */
export function useBrush(rings: Prepared['rings']): Brush {
  const dispatch = useActions();
  const spots = useRef<Spot[] | null>(null);
  const marking = useRef<Spot | null>(null);
  useEffect(() => {
    const end = (keep: boolean) => {
      marking.current = null;
      if (!spots.current) return;
      spots.current = null;
      dispatch(keep ? settlePreview() : piece.putBack());
    };
    const up = () => end(true);
    const lost = () => end(false);
    const escaped = (event: KeyboardEvent) => event.key === 'Escape' && end(false);
    window.addEventListener('pointerup', up);
    window.addEventListener('pointercancel', lost);
    window.addEventListener('keydown', escaped);
    return () => {
      window.removeEventListener('pointerup', up);
      window.removeEventListener('pointercancel', lost);
      window.removeEventListener('keydown', escaped);
    };
  }, [dispatch]);
  return useMemo((): Brush => {
    const press = (ring: number, place: number) =>
      dispatch((_: Dispatch, getState: () => State) => {
        const { tool, brush } = getState().session;
        const spot = { ring, place };
        if (tool === 'block') {
          if (ring >= rings.length) return;
          marking.current = spot;
          dispatch(markBetween(spot, spot));
        } else if (tool === 'place' && brush) {
          spots.current = [spot];
          dispatch(previewStroke(spots.current));
        } else dispatch(strokeAt(spot));
      });
    const enter = (ring: number, place: number) => {
      const spot = { ring, place };
      if (marking.current && ring < rings.length) dispatch(markBetween(marking.current, spot));
      if (!spots.current || ring >= rings.length) return;
      if (spots.current.some((known) => known.ring === ring && known.place === place)) return;
      spots.current = [...spots.current, spot];
      dispatch(previewStroke(spots.current));
    };
    const pick = (ring: number, place: number) => dispatch(pickUp({ ring, place }));
    return { press, enter, pick, overlay: (width, y) => <MarkedBlock {...{ rings, width, y }} /> };
  }, [dispatch, rings]);
}
