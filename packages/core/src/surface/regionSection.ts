import type { HalfSpace } from '../ring/slant.js';
import type { SectionPoint } from './drawing.js';
import { withinLines } from './through.js';

/**
 * What lies within half-spaces of a half-plane from the axis in a direction (radians from the index mark): the part of the
 * rectangle up to a radius and between two heights, as an outline, mm; empty where there is none.
 */
export function regionSection(
  sides: readonly HalfSpace[],
  direction: number,
  radiusMm: number,
  [fromMm, toMm]: readonly [number, number],
): SectionPoint[] {
  const [cos, sin] = [Math.cos(direction), Math.sin(direction)];
  const lines = sides.map(({ normal, most }) => ({
    x: normal.x * cos + normal.y * sin,
    y: normal.z,
    most,
  }));
  const whole = [
    { x: 0, y: fromMm },
    { x: radiusMm, y: fromMm },
    { x: radiusMm, y: toMm },
    { x: 0, y: toMm },
  ];
  return withinLines(whole, lines).map(({ x, y }) => ({ r: x, z: y }));
}
