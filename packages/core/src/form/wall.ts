import { type Curve, extremes, knotsBetween, pieceAt, pieceRadius, topOf } from './curve.js';

/** Samples of a stretch between two points of the curve before the smallest is closed in on. */
const SAMPLES = 6;
/** Golden-section steps: the bracket shrinks five hundredfold, which finds the minimum to about 1e-6 mm. */
const STEPS = 13;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/**
 * Radius of the inside over the whole band of heights z0..z1, `wall` mm square to the outside: the largest ρ such that
 * no point (ρ, z) of the band lies nearer than `wall` to the outside. A disc of radius `wall` rolled along the curve
 * marks it: `ρ = min over z' of r(z') − √(wall² − d²)`, d the distance of z' from the band. Negative or zero where the
 * wall fills the form. Derived in docs/how-it-computes.md.
 */
export function insideRadius(curve: Curve, wall: number, z0: number, z1: number): number {
  const from = Math.max(0, z0 - wall);
  const to = Math.min(topOf(curve), z1 + wall);
  const reach = (z: number) => {
    const away = z < z0 ? z0 - z : z > z1 ? z - z1 : 0;
    return Math.sqrt(Math.max(0, wall * wall - away * away));
  };
  const level = extremes(curve, z0, Math.min(z1, topOf(curve))).least - wall;
  return Math.min(level, beside(from, z0), beside(z1, to));

  /** The least gap over heights beside the band, where the disc's edge falls away. */
  function beside(low: number, high: number): number {
    if (high <= low) return Infinity;
    const knots = knotsBetween(curve, low, high);
    let least = Infinity;
    for (let k = 1; k < knots.length; k++) {
      const piece = pieceAt(curve, (knots[k - 1]! + knots[k]!) / 2);
      const gap = (z: number) => pieceRadius(piece, z) - reach(z);
      least = Math.min(least, smallest(gap, knots[k - 1]!, knots[k]!));
    }
    return least;
  }
}

/** The smallest value of a smooth function on [low, high]: the best of a few samples, then golden section. */
function smallest(f: (x: number) => number, low: number, high: number): number {
  const step = (high - low) / SAMPLES;
  let best = f(low);
  let at = 0;
  for (let i = 1; i <= SAMPLES; i++) {
    const value = f(low + i * step);
    if (value < best) [best, at] = [value, i];
  }
  let a = low + Math.max(0, at - 1) * step;
  let b = low + Math.min(SAMPLES, at + 1) * step;
  let x = b - GOLDEN * (b - a);
  let y = a + GOLDEN * (b - a);
  let [fx, fy] = [f(x), f(y)];
  for (let i = 0; i < STEPS; i++) {
    if (fx < fy) {
      [b, y, fy] = [y, x, fx];
      x = b - GOLDEN * (b - a);
      fx = f(x);
    } else {
      [a, x, fx] = [x, y, fy];
      y = a + GOLDEN * (b - a);
      fy = f(y);
    }
  }
  return Math.min(best, fx, fy);
}
