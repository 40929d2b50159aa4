import { type RefObject, useEffect, useLayoutEffect, useRef } from 'react';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { HEAD } from './layout.js';

/** How much a notch of the wheel, or a key, changes the scale. */
export const ZOOM_STEP = 1.2;
const PER_PIXEL = 0.0025;

/**
 * Zooms the bench by Ctrl or ⌘ with the wheel and by pinching; what is under the pointer stays there. A plain wheel, one
 * finger and the keys of a scrolled box pan it.
 */
export function useZoom(bench: RefObject<HTMLDivElement | null>, scale: number): void {
  const dispatch = useActions();
  const zoom = useApp((state) => state.session.zoom);
  const now = useRef({ zoom, pointer: 0 });
  now.current.zoom = zoom;
  const drawnAt = useRef(scale);

  useLayoutEffect(() => {
    const element = bench.current;
    const ratio = scale / drawnAt.current;
    drawnAt.current = scale;
    if (!element || ratio === 1) return;
    const { pointer } = now.current;
    element.scrollTop = (element.scrollTop + pointer) * ratio - pointer;
  }, [bench, scale]);

  useEffect(() => {
    const element = bench.current;
    if (!element) return;
    const by = (factor: number, clientY: number) => {
      now.current.pointer = clientY - element.getBoundingClientRect().top - HEAD;
      dispatch(session.zoomed(now.current.zoom * factor));
    };
    const wheel = (event: WheelEvent) => {
      if (!event.ctrlKey && !event.metaKey) return;
      event.preventDefault();
      by(Math.exp(-event.deltaY * PER_PIXEL), event.clientY);
    };
    let apart = 0;
    const touch = (event: TouchEvent) => {
      const [a, b] = [event.touches[0], event.touches[1]];
      // A second finger: what the first had begun was no stroke and no drag.
      if (event.type === 'touchstart' && b && !event.touches[2])
        a?.target.dispatchEvent(new Event('pointercancel', { bubbles: true }));
      if (!a || !b) {
        apart = 0;
        return;
      }
      event.preventDefault();
      const distance = Math.hypot(a.clientX - b.clientX, a.clientY - b.clientY);
      if (apart > 0) by(distance / apart, (a.clientY + b.clientY) / 2);
      apart = distance;
    };
    const wide = { passive: false };
    element.addEventListener('wheel', wheel, wide);
    for (const name of ['touchstart', 'touchmove', 'touchend'] as const)
      element.addEventListener(name, touch, wide);
    return () => {
      element.removeEventListener('wheel', wheel);
      for (const name of ['touchstart', 'touchmove', 'touchend'] as const)
        element.removeEventListener(name, touch);
    };
  }, [bench, dispatch]);
}
