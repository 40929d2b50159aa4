import type { Point } from '../../ring/plane.js';

/** Spacers this near to closing do close (mm): a hundredth of what a clamp takes up. */
export const CLOSES = 1e-3;

/** By how much spacers of these thicknesses, one for each joint from the index mark, fail to close: |Σ sj·e^{iφj}| (mm). */
export function misfit(thicknesses: readonly number[]): number {
  const step = (2 * Math.PI) / thicknesses.length;
  let [x, y] = [0, 0];
  thicknesses.forEach((s, j) => {
    x += s * Math.cos(j * step);
    y += s * Math.sin(j * step);
  });
  return Math.hypot(x, y);
}

export const closes = (thicknesses: readonly number[]): boolean => misfit(thicknesses) < CLOSES;

/**
 * How far each segment is pushed from the axis: going round, every spacer moves what follows by its thickness, square
 * to its joint; the axis is put where these shifts cancel. For spacers that close.
 */
export function shiftsOf(thicknesses: readonly number[]): Point[] {
  const count = thicknesses.length;
  const step = (2 * Math.PI) / count;
  const at = { x: 0, y: 0 };
  const walked = thicknesses.map((s, j) => {
    at.x -= s * Math.sin(j * step);
    at.y += s * Math.cos(j * step);
    return { ...at };
  });
  const middle = {
    x: walked.reduce((sum, p) => sum + p.x, 0) / count,
    y: walked.reduce((sum, p) => sum + p.y, 0) / count,
  };
  return walked.map(({ x, y }) => ({ x: x - middle.x, y: y - middle.y }));
}

/**
 * By how much the ring is stretched more one way than another (mm): opposite segments move apart by their shifts along
 * the line between them. Two opposite spacers of s give an oval of s.
 */
export function ovalOf(shifts: readonly Point[]): number {
  const count = shifts.length;
  const step = (2 * Math.PI) / count;
  let [least, most] = [Infinity, -Infinity];
  const see = (from: Point, to: Point, angle: number) => {
    const stretch = (to.x - from.x) * Math.cos(angle) + (to.y - from.y) * Math.sin(angle);
    least = Math.min(least, stretch);
    most = Math.max(most, stretch);
  };
  for (let i = 0; i < 2 * count; i++) {
    const [low, high] = [(i * step) / 2, ((i + 1) * step) / 2];
    const middle = (low + high) / 2;
    const to = shifts[Math.floor(middle / step) % count]!;
    const from = shifts[Math.floor((middle + Math.PI) / step) % count]!;
    see(from, to, low);
    see(from, to, high);
    const widest = Math.atan2(to.y - from.y, to.x - from.x);
    const inside = (((widest - low) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);
    if (inside < high - low) see(from, to, widest);
  }
  return most - least;
}
