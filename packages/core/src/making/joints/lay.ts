import type { RingNeed } from '../../ring/need.js';
import type { Rising } from '../assemble.js';
import { circle, drilled, type Plug } from '../plug.js';
import { wedgeOutline } from '../wedge.js';
import type { Jointed } from './jointed.js';

/** Pieces of such a ring: segments, then what lies in the joints, then the plug in the hole that is drilled through all. */
export function layJointed(
  { wedges, faces, strips, stripOutline }: Jointed,
  plug: Plug | undefined,
  { heightMm }: RingNeed,
): (place: number) => Rising {
  const count = wedges.length;
  const rim = plug && circle(plug.diameterMm / 2);
  return (place) => {
    if (place >= count + strips.length) return { place, bottom: rim!, top: rim! };
    const wedge = wedges[place];
    const leans = (wedge ?? wedges[strips[place - count]!.joint]!).tiltFrom !== 0;
    // A rim needs as many corners at the bottom as at the top, and where joints lean it lies round more of the hole.
    const rimHalf = leans ? Math.PI / 2 : Math.PI / count / (wedge ? 1 : 2);
    const at = (dz: number) => {
      const outline = wedge ? wedgeOutline(wedge, faces, dz) : stripOutline(place - count, dz);
      return plug ? drilled(outline, plug.diameterMm / 2, rimHalf) : outline;
    };
    const bottom = at(-heightMm / 2);
    return { place, bottom, top: leans ? at(heightMm / 2) : bottom };
  };
}
