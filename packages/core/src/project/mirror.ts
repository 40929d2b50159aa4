import { outlineAt } from '../making/layOut.js';
import { groupsOf, makeRing, mirrored, pitchOf, placesOf, type RingMaking } from '../making/registry.js';
import { mm } from '../measure/quantity.js';
import type { RingNeed } from '../ring/need.js';
import { centroid } from '../ring/plane.js';
import { heightOf, prepare } from './prepare.js';
import type { Project, Ring } from './schema.js';

/**
 * The mirror image of a piece: what can be made of leaning pieces of the other hand. Rings are turned the other way
 * round, woods follow their places, joints that leaned right lean left.
 */
export function mirrorImage(project: Project, name: string): Project {
  const prepared = prepare(project);
  const rings = project.rings.map((ring, i): Ring => {
    const making = mirrored(ring.making);
    const need = prepared.ok ? prepared.value.rings[i]!.need : null;
    const turn = -ring.turn * (pitchOf(ring.making) / pitchOf(making));
    return { ...ring, making, turn: turn === 0 ? 0 : turn, woods: woodsOf(ring, making, need) };
  });
  return { ...project, name, rings };
}

/** Woods by place in the mirrored ring: each place takes that of the piece which lies where it is seen in the mirror. */
function woodsOf(ring: Ring, making: RingMaking, need: RingNeed | null): string[] {
  const size = { ...(need ?? { outerMm: mm(0), innerMm: mm(0) }), ...ring.fixed, heightMm: heightOf(ring) };
  const [here, there] = [makeRing(ring.making, size), makeRing(making, size)];
  if (!here.ok || !there.ok) return reversed(ring);
  return Array.from({ length: placesOf(making) }, (_, place) => {
    const { x, y } = centroid(outlineAt(there.value.lay(place), 0.5));
    const found = here.value.placeAt(x, -y, here.value.heightMm / 2);
    return ring.woods[found ?? place]!;
  });
}

/** A ring that cannot be made has no places to look at: its woods in the opposite order, group by group. */
function reversed({ making, woods }: Ring): string[] {
  let first = 0;
  return groupsOf(making).flatMap(({ count }) => {
    first += count;
    return woods.slice(first - count, first).reverse();
  });
}
