import { radiusAt } from '../form/curve.js';
import type { Vessel } from '../form/vessel.js';
import { copyLoops, type WallMark } from '../surface/marks.js';
import type { FrontPoint } from '../surface/outside.js';

const HALF = Math.PI / 2;

/** The loops of what is let into the wall as the eye sees them from a direction, copy by copy: only where they face it; x right, z up, mm. */
export const frontMarks = (
  { loops, copies }: Pick<WallMark, 'loops' | 'copies'>,
  { outside }: Vessel,
  view: number,
): readonly (readonly FrontPoint[])[] =>
  copies.flatMap((copy) => {
    const stood = copyLoops(loops, copy);
    const lap = view + 2 * Math.PI * Math.round((copy.toward - view) / (2 * Math.PI));
    if (stood.flat().every(({ angle }) => Math.abs(angle - lap) > HALF)) return [];
    return stood.map((loop) =>
      loop.map(({ angle, z }) => ({
        x: radiusAt(outside, z) * Math.sin(Math.min(HALF, Math.max(-HALF, angle - lap))),
        z,
      })),
    );
  });
