import { nearestBalanced } from './balanced.js';
import { pickedFrom, type Spacers, thicknessesOf } from './spacers.js';

/** The nearest set of spacers that closes, of the same layers; null where nothing near does. */
export function nearestSpacers(count: number, spacers: Spacers): Spacers | null {
  const near = nearestBalanced(thicknessesOf({ count, spacers }));
  const { layers } = spacers;
  return near && { ...pickedFrom(near), ...(layers && { layers }) };
}
