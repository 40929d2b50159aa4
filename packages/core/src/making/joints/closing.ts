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
 * By how much the ring is longer one way than square to it (mm): only the two-fold part of what the spacers do is an oval,
 * `½·|Σ sj·e^{2iφj}|`. Two opposite spacers of s give s; three or more that lie evenly give none: between them the ring
 * has lobes, which its outer edge is sized for.
 */
export function ovalOf(thicknesses: readonly number[]): number {
  const step = (2 * Math.PI) / thicknesses.length;
  let [x, y] = [0, 0];
  thicknesses.forEach((s, j) => {
    x += s * Math.cos(2 * j * step);
    y += s * Math.sin(2 * j * step);
  });
  return Math.hypot(x, y) / 2;
}
