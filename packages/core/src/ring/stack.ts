import type { Mm } from '../measure/quantity.js';
import { mm } from '../measure/quantity.js';

/** Where a ring stands: its index from the bottom (0 first) and the heights of its faces. */
export interface Course {
  readonly index: number;
  readonly bottomMm: Mm;
  readonly topMm: Mm;
}

/** Sums are taken to so many parts of a millimetre: an edge that moves leaves the rings above where they were, to the last bit. */
const PARTS = 1e9;

/** The heights of a stack's rings, bottom to top. */
export function courses(heightsMm: readonly number[]): Course[] {
  let bottom = 0;
  return heightsMm.map((height, index) => {
    const top = Math.round((bottom + height) * PARTS) / PARTS;
    const course = { index, bottomMm: mm(bottom), topMm: mm(top) };
    bottom = top;
    return course;
  });
}

export const stackHeight = (heightsMm: readonly number[]): number => courses(heightsMm).at(-1)?.topMm ?? 0;
