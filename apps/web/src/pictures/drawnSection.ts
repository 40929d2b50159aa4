import { type RefObject, useEffect, useRef } from 'react';

/** The drawing of the first pane as it stands on the page, and where in it the piece stands (px). */
export interface DrawnSection {
  readonly svg: SVGSVGElement;
  readonly axisX: number;
  readonly footY: number;
  /** Pixels a millimetre. */
  readonly scale: number;
}

/** Where the drawing is found by what exports it; null while there is none. */
export type SectionRef = RefObject<DrawnSection | null>;

/** Keeps what is drawn at hand for export; the answer goes on the drawing. */
export function useDrawnSection(into: SectionRef, axisX: number, footY: number, scale: number) {
  const svg = useRef<SVGSVGElement>(null);
  useEffect(() => {
    into.current = svg.current && { svg: svg.current, axisX, footY, scale };
    return () => {
      into.current = null;
    };
  }, [into, axisX, footY, scale]);
  return svg;
}
