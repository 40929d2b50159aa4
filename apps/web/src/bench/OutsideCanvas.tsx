import type { Prepared } from '@fellside/core';
import { useCallback, useMemo } from 'react';
import { paletteOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { type Canvas, drawRound, standingAt } from '../surfaces/draw.js';
import { SurfaceCanvas } from '../surfaces/SurfaceCanvas.js';
import { useInks } from '../surfaces/useInks.js';
import { useSampledWall } from '../surfaces/useSampledWall.js';
import type { Upright } from './upright.js';

interface OutsideCanvasProps {
  readonly prepared: Prepared;
  readonly upright: Upright;
  /** Where the axis stands in the pane, and how much room there is right of it, px. */
  readonly half: number;
  /** Whether the wall is shown nowhere else: then no more of it is worked out in a gesture than is seen here. */
  readonly alone: boolean;
}

/** The woods of the outside, right of the axis, as seen from the front. */
export function OutsideCanvas({ prepared, upright: { y, height, scale }, half, alone }: OutsideCanvasProps) {
  const palette = useApp(paletteOf);
  const hatched = useApp((state) => state.session.hatched);
  const view = useApp((state) => state.session.view);
  const arc = useMemo(() => (alone ? { from: view, to: view + Math.PI / 2 } : undefined), [alone, view]);
  const { wall, current } = useSampledWall('outside', 'outside', height, { arc });
  const inks = useInks(prepared, palette, current);
  const draw = useCallback(
    (canvas: Canvas, sharp: number) => {
      if (!wall) return;
      const upward = standingAt(y(0) * sharp, scale * sharp);
      drawRound(canvas, wall, inks, upward, hatched, { axisX: 0, scale: scale * sharp, view });
    },
    [wall, inks, hatched, scale, y, view],
  );
  return <SurfaceCanvas left={half} width={half} height={height} draw={draw} />;
}
