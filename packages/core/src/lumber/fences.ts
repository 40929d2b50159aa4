import { SAME_SETTING } from '../measure/tolerance.js';
import type { Lumber } from './lumber.js';

/** Positions of the rip fence that strips of so many widths take, whatever wood they are of. */
export function fencesFor({ strips }: Pick<Lumber, 'strips'>): number {
  const widths = strips.map(({ widthMm }) => widthMm).sort((a, b) => b - a);
  return widths.filter((width, i) => i === 0 || widths[i - 1]! - width >= SAME_SETTING).length;
}
