import type { Made } from '../making/contract.js';
import { segmentOfPlace, segmentsIn } from '../making/layOut.js';
import { placesRound } from './round.js';

interface Turned {
  readonly made: Made;
  readonly turn: number;
}

/**
 * How far the joints of a ring lie beside the nearest ones of the ring below it, along the wall of a radius where the two
 * meet (mm): the step that is left in a running stripe, half a segment in brick bond. The worst of all its segments'.
 */
export function stepAtJoint(lower: Turned, upper: Turned, radius: number): number | null {
  const starts = ({ made, turn }: Turned, z: number) => {
    const segment = segmentOfPlace(made);
    const arcs = placesRound(made, radius, turn, z).filter(({ place }) => segment(place) !== null);
    return arcs
      .filter((arc, i) => segment(arc.place) !== segment(arcs[(i + arcs.length - 1) % arcs.length]!.place))
      .map(({ from }) => from);
  };
  if ([lower, upper].some(({ made }) => segmentsIn(made) < 2)) return null;
  const below = starts(lower, lower.made.heightMm);
  const above = starts(upper, 0);
  if (below.length === 0 || above.length === 0) return null;
  const apart = (a: number, b: number) => Math.abs(Math.atan2(Math.sin(a - b), Math.cos(a - b)));
  const steps = above.map((a) => Math.min(...below.map((b) => apart(a, b))));
  return radius * Math.max(...steps);
}
