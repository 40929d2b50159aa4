import type { PlaceGroup } from '../contract.js';
import { halvesIn, type InHalves } from './params.js';

/** What lies between the segments of two halves as groups of places: spacers of each, dividers. */
export function groupsBetween(count: number, inHalves: InHalves): PlaceGroup[] {
  const [a, b] = halvesIn(count, inHalves);
  return [
    { name: 'Spacer of the first half', count: a.spacerMm > 0 ? a.count - 1 : 0 },
    { name: 'Spacer of the second half', count: b.spacerMm > 0 ? b.count - 1 : 0 },
    { name: 'Divider', count: inHalves.divider ? 2 : 0 },
  ].filter(({ count }) => count > 0);
}
