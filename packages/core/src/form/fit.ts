import { mm } from '../measure/quantity.js';
import {
  type Curve,
  type CurvePoint,
  curveThrough,
  pieceAt,
  pieceRadius,
  pieceSlope,
  radiusAt,
} from './curve.js';
import { MIN_RISE } from './order.js';

/** A point that a curve is to be drawn through or near, heights rising (mm). */
export interface Sample {
  readonly r: number;
  readonly z: number;
  /** Where the curve turns sharply. */
  readonly corner?: boolean;
  /** Where the curve surely has a point. */
  readonly point?: boolean;
}

/**
 * As few curve points as will do so that the curve through them passes `accepts`: starts with the ends, the corners,
 * points and places where the radius turns back, then adds the sample that is farthest off in every stretch that is not good
 * enough yet. `accepts` is asked for each stretch between two neighbouring points. Ends when nothing can be added, or
 * with more than `most` points, when it has run away.
 */
export function fitPoints(
  samples: readonly Sample[],
  accepts: (curve: Curve, from: number, to: number) => boolean,
  most = Number.POSITIVE_INFINITY,
): CurvePoint[] {
  const chosen = new Set<number>([0, samples.length - 1]);
  samples.forEach(({ corner, point }, i) => {
    if (chosen.size > most) return;
    if ((corner || point || turnsBack(samples, i)) && clear(samples, chosen, i)) chosen.add(i);
  });
  for (;;) {
    const order = [...chosen].sort((a, b) => a - b);
    const points = order.map((i) => pointOf(samples[i]!));
    if (points.length > most) return points;
    const curve = curveThrough(points);
    let added = false;
    order.slice(1).forEach((end, k) => {
      const start = order[k]!;
      if (accepts(curve, samples[start]!.z, samples[end]!.z)) return;
      const worst = farthestOff(samples, curve, start, end);
      if (worst === null || !clear(samples, chosen, worst)) return;
      chosen.add(worst);
      added = true;
    });
    if (!added) return points;
  }
}

/** Accepts stretches where the curve passes every sample within a tolerance, square to its slope (mm). */
export const within =
  (samples: readonly Sample[], tolerance: number) =>
  (curve: Curve, from: number, to: number): boolean =>
    samples.every(({ r, z }) => {
      if (z < from || z > to) return true;
      const piece = pieceAt(curve, z);
      return Math.abs(pieceRadius(piece, z) - r) <= tolerance * Math.hypot(1, pieceSlope(piece, z));
    });

const pointOf = ({ r, z, corner }: Sample): CurvePoint => ({
  radiusMm: mm(r),
  heightMm: mm(z),
  kind: corner ? 'corner' : 'smooth',
});

/** Changes of radius smaller than this are no turning back (mm). */
const NOTICED = 1e-4;

function turnsBack(samples: readonly Sample[], i: number): boolean {
  const [before, at, after] = [samples[i - 1], samples[i]!, samples[i + 1]];
  if (!before || !after) return false;
  const [rise, fall] = [at.r - before.r, after.r - at.r];
  return rise * fall < 0 && Math.max(Math.abs(rise), Math.abs(fall)) > NOTICED;
}

/** Whether a sample is far enough in height from all chosen ones to be a point of its own. */
function clear(samples: readonly Sample[], chosen: ReadonlySet<number>, i: number): boolean {
  for (const other of chosen) if (Math.abs(samples[other]!.z - samples[i]!.z) < MIN_RISE) return false;
  return true;
}

function farthestOff(samples: readonly Sample[], curve: Curve, start: number, end: number): number | null {
  let [worst, most]: [number | null, number] = [null, -1];
  for (let i = start + 1; i < end; i++) {
    const { r, z } = samples[i]!;
    if (z - samples[start]!.z < MIN_RISE || samples[end]!.z - z < MIN_RISE) continue;
    const off = Math.abs(radiusAt(curve, z) - r);
    if (off > most) [worst, most] = [i, off];
  }
  return worst;
}
