import { useLayoutEffect, useRef } from 'react';
import type { Canvas } from './draw.js';

/** Canvases are drawn no taller than this and stretched beyond it, px. */
const TALLEST = 1800;

/** How many of the canvas's pixels make one of the page's. */
export const sharpness = (height: number): number =>
  Math.min(Math.min(2, globalThis.devicePixelRatio || 1), TALLEST / Math.max(1, height));

interface SurfaceCanvasProps {
  readonly width: number;
  readonly height: number;
  readonly left?: number;
  /** Fills the pixels; `sharp` of them make one of the page's. */
  readonly draw: (canvas: Canvas, sharp: number) => void;
}

/** A picture behind a drawing, filled pixel by pixel; what it shows is said by the drawing in front of it. */
export function SurfaceCanvas({ width, height, left = 0, draw }: SurfaceCanvasProps) {
  const ref = useRef<HTMLCanvasElement>(null);
  useLayoutEffect(() => {
    const element = ref.current;
    const sharp = sharpness(height);
    const [wide, tall] = [Math.round(width * sharp), Math.round(height * sharp)];
    if (!element || wide < 1 || tall < 1) return;
    if (element.width !== wide) element.width = wide;
    if (element.height !== tall) element.height = tall;
    const context = element.getContext('2d');
    if (!context) return;
    const image = context.createImageData(wide, tall);
    draw({ width: wide, height: tall, pixels: new Uint32Array(image.data.buffer) }, sharp);
    context.putImageData(image, 0, 0);
    element.dataset.drawn = 'true';
  }, [width, height, draw]);
  return (
    <canvas
      ref={ref}
      aria-hidden
      className="pointer-events-none absolute top-0"
      style={{ left, width, height }}
    />
  );
}
