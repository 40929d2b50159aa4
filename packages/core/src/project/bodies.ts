import { bodyOf } from '../making/registry.js';
import { rememberedTogether } from '../measure/memo.js';
import type { RingNeed } from '../ring/need.js';
import type { SizedRing } from './sizing.js';

/** Rings that are sawn from one glue-up, by its name. */
export function bodiesOf(all: readonly SizedRing[]): ReadonlyMap<string, readonly SizedRing[]> {
  const bodies = new Map<string, SizedRing[]>();
  for (const each of all) {
    const body = bodyOf(each.ring.making);
    if (body === null) continue;
    const known = bodies.get(body);
    if (known) known.push(each);
    else bodies.set(body, [each]);
  }
  return bodies;
}

const ALONE: readonly SizedRing[] = [];

/** The same list for the same members. */
const together = rememberedTogether((members: readonly SizedRing[]) => members);

/** The rings that one is glued up with, itself among them; none of a ring that is glued up alone. */
export function membersOf({ ring }: SizedRing, bodies: ReadonlyMap<string, readonly SizedRing[]>) {
  const body = bodyOf(ring.making);
  const members = body === null ? undefined : bodies.get(body);
  return members ? together(members) : ALONE;
}

/** The size together with those of all rings that are sawn from the same glue-up. */
export function withBody(sized: SizedRing, size: RingNeed, members: readonly SizedRing[]): RingNeed {
  if (members.length === 0) return size;
  const sizes = members.map((other) => other.size);
  return { ...size, body: { members: sizes, index: members.indexOf(sized) } };
}
