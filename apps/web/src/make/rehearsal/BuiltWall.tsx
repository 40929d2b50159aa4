import { done, type Prepared } from '@fellside/core';
import { useCallback } from 'react';
import { paletteOf } from '../../store/selectors.js';
import { useApp } from '../../store/store.js';
import { type Canvas, drawUnrolled, standingAt } from '../../surfaces/draw.js';
import { SurfaceCanvas } from '../../surfaces/SurfaceCanvas.js';
import { ShownInstead } from '../../surfaces/shownPiece.js';
import { useInks } from '../../surfaces/useInks.js';
import { useSampledWall } from '../../surfaces/useSampledWall.js';
import type { Shape } from '../../workers/geometry.js';

interface BuiltWallProps {
  readonly shape: Shape;
  /** The same piece, as drawn: for its woods and its height. */
  readonly prepared: Prepared;
  /** Who asks: a name of its own for each wall on the page. */
  readonly asker: string;
  /** Nothing where the wall is said beside it. */
  readonly label: string;
  readonly width: number;
  readonly height: number;
  readonly small?: boolean;
}

/** The wall of a build laid flat, with its gaps and steps as they are. */
export const BuiltWall = (props: BuiltWallProps) => (
  <ShownInstead value={{ shape: props.shape, prepared: done(props.prepared) }}>
    <Wall {...props} />
  </ShownInstead>
);

function Wall({ prepared, asker, label, width, height, small = false }: BuiltWallProps) {
  const palette = useApp(paletteOf);
  const { wall, current } = useSampledWall(asker, 'outside', height, { small });
  const inks = useInks(prepared, palette, current);
  const { heightMm } = prepared.vessel;
  const draw = useCallback(
    (canvas: Canvas, sharp: number) => {
      if (!wall) return;
      const scale = height / heightMm;
      drawUnrolled(canvas, wall, inks, standingAt(height * sharp, scale * sharp), false);
    },
    [wall, inks, height, heightMm],
  );
  return (
    <span
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
      className="wood-ground relative block"
      style={{ width, height }}
    >
      <SurfaceCanvas width={width} height={height} draw={draw} />
    </span>
  );
}
