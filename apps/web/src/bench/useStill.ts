import type { Prepared } from '@fellside/core';
import { type RefObject, useEffect, useRef } from 'react';
import { lastRingOf } from '../store/selection.js';
import { useApp } from '../store/store.js';
import { HEAD } from './layout.js';

/** What was so before a gesture began stays so until it ends: the drawing does not move away under the hand. */
export function useStill<T>(now: T): T {
  const dragging = useApp((state) => state.piece.preview !== null);
  const before = useRef(now);
  if (!dragging) before.current = now;
  return before.current;
}

/** Scrolls to the ring that was last selected when it is out of sight. */
export function useInView(
  bench: RefObject<HTMLElement | null>,
  rings: Prepared['rings'],
  scale: number,
  heightMm: number,
): void {
  const last = useApp(lastRingOf);
  const place = useRef({ rings, scale, heightMm });
  place.current = { rings, scale, heightMm };
  useEffect(() => {
    const element = bench.current;
    const { rings, scale, heightMm } = place.current;
    const course = last === undefined ? undefined : rings[last]?.stands;
    if (!element || !course) return;
    const [top, bottom] = [course.topMm, course.bottomMm].map((z) => HEAD + (heightMm - z) * scale) as [
      number,
      number,
    ];
    const { scrollTop, clientHeight } = element;
    if (top < scrollTop + HEAD || bottom > scrollTop + clientHeight)
      element.scrollTop = (top + bottom - clientHeight) / 2;
  }, [bench, last]);
}
