import { type Prepared, type PreparedRing, radiusAt } from '@fellside/core';
import { useCallback } from 'react';
import { paletteOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { type Canvas, drawUnrolled } from '../surfaces/draw.js';
import { SurfaceCanvas } from '../surfaces/SurfaceCanvas.js';
import { useInks } from '../surfaces/useInks.js';
import { useSampledWall } from '../surfaces/useSampledWall.js';

/** Width of the strip of wall that is shown, px, and its height at least. */
const WIDE = 1180;
const LEAST_TALL = 70;
/** Its height at most, and the share of its width that a high ring keeps at least. */
const MOST_TALL = 180;
const LEAST_SHARE = 0.2;
/** Share of the way round that is shown. */
const SHARE = 0.5;

/** The turned wall of one ring laid flat, half of the way round, in its true proportions: what the feature looks like. */
export function FinishedLook({ prepared, ring }: { prepared: Prepared; ring: PreparedRing }) {
  const palette = useApp(paletteOf);
  const { wall, current } = useSampledWall('finished-look', 'outside', 640);
  const inks = useInks(prepared, palette, current);
  const { bottomMm } = ring.stands;
  const topMm = Math.min(ring.stands.topMm, prepared.vessel.heightMm);
  const middle = (bottomMm + topMm) / 2;
  const round = 2 * Math.PI * radiusAt(prepared.vessel.outside, Math.max(0, middle)) * SHARE;
  const ratio = (topMm - bottomMm) / round;
  // A ring as high as its piece keeps its proportions in a narrower picture; what is low is drawn a little taller.
  const tall = Math.round(Math.max(LEAST_TALL, Math.min(MOST_TALL, ratio * WIDE)));
  const wide = Math.min(WIDE, Math.round(Math.max(WIDE * LEAST_SHARE, tall / ratio)));
  const draw = useCallback(
    ({ width, height, pixels }: Canvas) => {
      if (!wall) return;
      const whole = {
        width: Math.round(width / SHARE),
        height,
        pixels: new Uint32Array(Math.round(width / SHARE) * height),
      };
      const upward = { heightAt: (y: number) => topMm - ((y + 0.5) / height) * (topMm - bottomMm) };
      drawUnrolled(whole, wall, inks, upward, false);
      for (let y = 0; y < height; y++)
        pixels.set(whole.pixels.subarray(y * whole.width, y * whole.width + width), y * width);
    },
    [wall, inks, topMm, bottomMm],
  );
  if (topMm <= bottomMm) return null;
  return (
    <figure className="mb-3">
      <figcaption className="mb-1 font-semibold">
        On the finished surface{' '}
        <span className="text-sm font-normal text-quiet">half of the way round, from the index mark</span>
      </figcaption>
      <div
        className="relative overflow-hidden rounded border border-line"
        style={{ height: tall, maxWidth: wide }}
        role="img"
        aria-label={`Ring ${ring.course.index + 1} as it will look, turned.`}
      >
        <SurfaceCanvas width={wide} height={tall} draw={draw} />
      </div>
    </figure>
  );
}
