import { type RefObject, useLayoutEffect, useRef, useState } from 'react';
import { HEAD, MARGIN, ROW } from './layout.js';

interface Piece {
  readonly heightMm: number;
  /** Widest half of the drawing. */
  readonly reachMm: number;
  readonly thinnestMm: number;
}

/** The size of an element's inside, followed as it changes (px). */
export function useBox<E extends Element>(): { ref: RefObject<E | null>; width: number; height: number } {
  const ref = useRef<E>(null);
  const [box, setBox] = useState({ width: 400, height: 500 });
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return;
    const measure = () => setBox({ width: element.clientWidth, height: element.clientHeight });
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    measure();
    return () => observer.disconnect();
  }, []);
  return { ref, ...box };
}

/**
 * Pixels a millimetre for all panes at once: the whole piece in the height of the bench and the width of its first
 * pane, with room for labels beside it, grown where a ring would be lower than a line of text, unless `fit`.
 */
export function scaleFor(
  piece: Piece,
  bench: { height: number },
  pane: { width: number },
  fit: boolean,
  labels = 0,
): number {
  const tall = (bench.height - HEAD - 2 * MARGIN) / piece.heightMm;
  const wide = (pane.width / 2 - MARGIN - labels) / piece.reachMm;
  const whole = Math.max(0.05, Math.min(tall, wide));
  return fit ? whole : Math.max(whole, ROW / piece.thinnestMm);
}
