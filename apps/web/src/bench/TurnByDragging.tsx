import { type PointerEvent, type ReactNode, useRef } from 'react';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';

/** Pixels that the pointer moves before a press becomes a drag. */
const SLACK = 4;

/** What is drawn inside turns about the axis while it is dragged sideways, as if rolled under the hand. */
export function TurnByDragging({ radius, children }: { radius: number; children: ReactNode }) {
  const dispatch = useActions();
  const view = useApp((state) => state.session.view);
  const start = useRef<{ x: number; view: number; moved: boolean } | null>(null);
  const move = (event: PointerEvent<SVGGElement>) => {
    if (!start.current) return;
    const along = event.clientX - start.current.x;
    if (!start.current.moved && Math.abs(along) < SLACK) return;
    if (!start.current.moved) event.currentTarget.setPointerCapture(event.pointerId);
    start.current.moved = true;
    dispatch(session.viewed(start.current.view - along / radius));
  };
  const end = () => {
    start.current = null;
  };
  return (
    <g
      className="cursor-grab touch-pan-y active:cursor-grabbing"
      onPointerDown={(event) => {
        start.current = { x: event.clientX, view, moved: false };
      }}
      onPointerMove={move}
      onPointerUp={end}
      onPointerCancel={end}
    >
      {children}
    </g>
  );
}
