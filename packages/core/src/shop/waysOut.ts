import { mm, type Rad } from '../measure/quantity.js';
import { type Said, say, sayMm, sayRad } from '../measure/said.js';
import { closingWedge, recut } from './dryFit.js';
import { halvesOf } from './halves.js';
import type { WrongRing } from './wrongAngle.js';

/** A way to close a ring that gapes, with what it costs. */
export interface WayOut {
  readonly id: 'recut' | 'halves' | 'wedge';
  readonly name: string;
  readonly does: Said;
  readonly price: Said;
}

/** Which cut is wrong, which way, and what to set. */
export const wrongSaid = ({ error, count }: WrongRing): Said => outSaid(error, (Math.PI / count) as Rad);

/** By how much every cut of a setting is out, and how the saw is set right. */
export const outSaid = (error: Rad, meant: Rad): Said =>
  error === 0
    ? 'No gap: the angle is right.'
    : say`Every mitre is ${sayRad(Math.abs(error) as Rad)} too ${error < 0 ? 'small' : 'large'}: set the saw ${error < 0 ? 'up' : 'down'} by that, to ${sayRad(meant)} true.`;

/** What can be done with the segments that are cut, the way that costs least wood first. */
export function waysOut(ring: WrongRing): WayOut[] {
  if (ring.error === 0) return [];
  const ways: WayOut[] = [];
  const again = recut(ring);
  const keeps = ring.error < 0;
  ways.push({
    id: 'recut',
    name: 'Correct and recut',
    does: keeps
      ? say`Trim both mitres of every segment at the true angle against the same stop: the outer corners stay, the wedge comes off the inner end.`
      : say`Trim both mitres of every segment at the true angle with the stop at ${sayMm(again.longEdgeMm, 'stop')}: the inner corners stay, the wedge comes off the outer end.`,
    price: keeps
      ? say`The ring keeps its size.`
      : say`Ring and hole get ${sayMm(again.radiusLostMm)} smaller in radius.`,
  });
  const halves = halvesOf(ring);
  if (halves)
    ways.push({
      id: 'halves',
      name: 'True two halves',
      does: say`Glue two halves of ${ring.count / 2} with the two joints between them dry, a stick in each; sand both ends of each half straight on a flat board, then glue the halves.`,
      price: say`${sayMm(halves.sandedMm)} comes off at the thick end. The largest circle left has ${sayMm(halves.leastFlatMm)} radius of ${sayMm(mm(ring.longEdgeMm / (2 * Math.tan(Math.PI / ring.count))))}; the flats are ${sayMm(halves.outOfRoundMm)} out of round, and the hole wants ${sayMm(halves.holeMm)} radius.`,
    });
  const wedge = closingWedge(ring);
  if (wedge)
    ways.push({
      id: 'wedge',
      name: 'Cut one exact wedge',
      does: say`Glue all but one, and cut the last from a strip ${sayMm(wedge.widthMm)} wide: both mitres at ${sayRad(wedge.cutAngle)}, the stop at ${sayMm(wedge.longEdgeMm, 'stop')}.`,
      price: say`That segment is ${sayMm(mm(Math.abs(wedge.widerMm)))} ${wedge.widerMm > 0 ? 'wider' : 'narrower'} than its neighbours: put it where no stripe runs.`,
    });
  return ways;
}
