import { useLayoutEffect, useRef, useState } from 'react';

/** A line of text in the ledger: no ring is drawn lower than this unless the whole piece is to fit (px). */
export const ROW = 22;

interface Piece {
  readonly heightMm: number;
  /** Widest half of the drawing. */
  readonly reachMm: number;
  readonly thinnestMm: number;
}

/**
 * Pixels a millimetre for all panes at once: the whole piece in the box that `ref` is put on, grown where a ring
 * would be lower than a line of text, unless `fit`.
 */
export function useScale({ heightMm, reachMm, thinnestMm }: Piece, fit: boolean, halves: number) {
  const ref = useRef<HTMLDivElement>(null);
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
  const whole = Math.max(0.05, Math.min(box.height / heightMm, box.width / halves / reachMm));
  const scale = fit ? whole : Math.max(whole, ROW / thinnestMm);
  return { ref, scale, box };
}
