import type { Mm } from '../measure/quantity.js';
import { mm } from '../measure/quantity.js';

/** Where a ring stands: its index from the bottom (0 first) and the heights of its faces. */
export interface Course {
  readonly index: number;
  readonly bottomMm: Mm;
  readonly topMm: Mm;
}

/** The heights of a stack's rings, bottom to top. */
export function courses(heightsMm: readonly number[]): Course[] {
  let bottom = 0;
  return heightsMm.map((height, index) => {
    const course = { index, bottomMm: mm(bottom), topMm: mm(bottom + height) };
    bottom += height;
    return course;
  });
}

export const stackHeight = (heightsMm: readonly number[]): number => heightsMm.reduce((a, b) => a + b, 0);
