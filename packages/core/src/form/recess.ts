import type { Reason } from '../measure/reason.js';
import { say, sayMm } from '../measure/said.js';
import { type Curve, radiusAt } from './curve.js';
import type { Recess } from './shape.js';

/** A cap of a sphere, its flat side on the bench: depth and radius there, and the sphere's radius (mm). */
export interface Cap extends Recess {
  readonly sphereMm: number;
}

/** Radius of the sphere: R = (a² + d²) / 2d (Pythagoras). */
export const capOf = (recess: Recess): Cap => ({
  ...recess,
  sphereMm: (recess.radiusMm ** 2 + recess.depthMm ** 2) / (2 * recess.depthMm),
});

/** Radius of the recess at a height above the bench (mm); 0 above it. */
export function recessAt(cap: Cap | null, z: number): number {
  if (!cap || z >= cap.depthMm) return 0;
  const fromMiddle = z - cap.depthMm + cap.sphereMm;
  return Math.sqrt(Math.max(0, cap.sphereMm ** 2 - fromMiddle ** 2));
}

/** Volume of the recess between two heights, mm³: π∫(R² − u²) du. The whole is the textbook πd(3a² + d²)/6. */
export function recessVolume(cap: Cap | null, z0: number, z1: number): number {
  if (!cap || z0 >= cap.depthMm) return 0;
  const to = (z: number) => {
    const u = Math.min(z, cap.depthMm) - cap.depthMm + cap.sphereMm;
    return cap.sphereMm ** 2 * u - u ** 3 / 3;
  };
  return Math.PI * (to(z1) - to(z0));
}

/** Least width of the rim that a piece stands on, and of the floor over the recess (mm). */
export const LEAST_RIM = 1;

/** Why a recess cannot be turned: no rim is left, or it comes through the floor; looked at every half millimetre. */
export function recessReasons(recess: Recess, outside: Curve, floorMm: number): Reason[] {
  const cap = capOf(recess);
  if (recess.depthMm > recess.radiusMm)
    return [
      {
        code: 'recess-deep',
        path: 'form.recess.depthMm',
        message: say`The foot recess is ${sayMm(recess.depthMm)} deep; it cannot be deeper than its radius of ${sayMm(recess.radiusMm)}.`,
        limits: { most: recess.radiusMm },
      },
    ];
  if (recess.depthMm > floorMm - LEAST_RIM)
    return [
      {
        code: 'recess-through',
        path: 'form.recess.depthMm',
        message: say`The foot recess, ${sayMm(recess.depthMm)} deep, comes through the floor at ${sayMm(floorMm)}; at least ${sayMm(LEAST_RIM)} has to stay.`,
        limits: { most: floorMm - LEAST_RIM },
      },
    ];
  for (let z = 0; z < recess.depthMm; z += 0.5) {
    if (recessAt(cap, z) <= radiusAt(outside, z) - LEAST_RIM) continue;
    const message = say`The foot recess, ${sayMm(recess.radiusMm)} in radius, leaves no rim at height ${sayMm(z)}, where the outside has a radius of ${sayMm(radiusAt(outside, z))}.`;
    return [{ code: 'recess-wide', path: 'form.recess.radiusMm', message }];
  }
  return [];
}
