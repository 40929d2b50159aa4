import type { Command } from '@fellside/core';
import { type PointerEvent, useEffect, useRef } from 'react';
import { previewPiece, settlePreview } from '../store/edits.js';
import { piece } from '../store/pieceSlice.js';
import { useActions } from '../store/store.js';

/** How far the pointer has come since the press, px; right and down are positive. */
export interface Travel {
  readonly x: number;
  readonly y: number;
}

/**
 * Dragging as one edit: while the pointer moves, every frame shows what `commandAt` would do from where it began; letting
 * go makes it one step to undo, Escape or a lost pointer puts it back.
 */
export function useDrag(commandAt: (travel: Travel) => Command) {
  const dispatch = useActions();
  const begun = useRef(commandAt);
  const start = useRef<{ x: number; y: number } | null>(null);
  const frame = useRef(0);
  const end = (keep: boolean) => {
    if (!start.current) return;
    start.current = null;
    cancelAnimationFrame(frame.current);
    dispatch(keep ? settlePreview() : piece.putBack());
  };
  const ending = useRef(end);
  ending.current = end;
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (event.key === 'Escape') ending.current(false);
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, []);
  return {
    onPointerDown(event: PointerEvent<Element>) {
      if (event.button !== 0) return;
      event.stopPropagation();
      event.currentTarget.setPointerCapture(event.pointerId);
      start.current = { x: event.clientX, y: event.clientY };
      // What is dragged from is what was there at the press, not what the last frame made of it.
      begun.current = commandAt;
    },
    onPointerMove({ clientX, clientY }: PointerEvent<Element>) {
      const from = start.current;
      if (!from) return;
      cancelAnimationFrame(frame.current);
      frame.current = requestAnimationFrame(() =>
        dispatch(previewPiece(begun.current({ x: clientX - from.x, y: clientY - from.y }))),
      );
    },
    onPointerUp({ clientX, clientY }: PointerEvent<Element>) {
      const from = start.current;
      if (!from) return;
      if (clientX !== from.x || clientY !== from.y)
        dispatch(previewPiece(begun.current({ x: clientX - from.x, y: clientY - from.y })));
      end(true);
    },
    onPointerCancel: () => end(false),
  };
}
