import type { Point } from '@fellside/core';

/** An outline turned about the axis, radians counter-clockwise. */
export function turned(outline: readonly Point[], by: number): Point[] {
  const [cos, sin] = [Math.cos(by), Math.sin(by)];
  return outline.map(({ x, y }) => ({ x: x * cos - y * sin, y: x * sin + y * cos }));
}

/** A closed path round an outline. */
export const outlinePath = (outline: readonly Point[]): string =>
  `${outline.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(3)} ${y.toFixed(3)}`).join('')}Z`;
