import { bodyOf, oneWoodOf, type RingMaking } from '../../making/registry.js';
import type { Project, Ring } from '../schema.js';

/**
 * Keeps together what is one piece of wood: where a command has changed one slice of a thick ring, the others follow in
 * how it is made and in its woods; places sawn from one piece have one wood. A motif that lies on no ring any more is
 * dropped. `before` is the piece as it was.
 */
export function relink(before: Project, draft: Project): void {
  const old = new Map(before.rings.map((ring) => [ring.id, ring]));
  for (const ring of draft.rings) matchLeaves(ring, old.get(ring.id));
  dropBareMotifs(draft);
  const bodies = new Map<string, Ring[]>();
  for (const ring of draft.rings) {
    const body = bodyOf(ring.making);
    if (body !== null) bodies.set(body, [...(bodies.get(body) ?? []), ring]);
  }
  for (const slices of bodies.values()) {
    const changed = slices.filter((ring) => isNew(ring, old.get(ring.id)));
    const leader = changed[changed.length - 1] ?? slices[0]!;
    for (const ring of slices) {
      if (ring === leader) continue;
      ring.making = JSON.parse(JSON.stringify(leader.making)) as RingMaking;
      ring.woods = [...leader.woods];
      if (leader.fixed) ring.fixed = { ...leader.fixed };
      else delete ring.fixed;
    }
  }
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Whether a slice was changed itself: one that was there before, in the same glue-up, and is no longer as it was. */
const isNew = (ring: Ring, before: Ring | undefined): boolean =>
  before !== undefined &&
  !(same(ring.making, before.making) && same(ring.woods, before.woods) && same(ring.fixed, before.fixed));

function dropBareMotifs(draft: Project): void {
  const used = new Set(draft.rings.map(({ motif }) => motif));
  if (draft.motifs.some(({ id }) => !used.has(id)))
    draft.motifs = draft.motifs.filter(({ id }) => used.has(id));
}

function matchLeaves(ring: Ring, before: Ring | undefined): void {
  for (const places of oneWoodOf(ring.making)) {
    const changed = places.find((place) => ring.woods[place] !== before?.woods[place]) ?? places[0]!;
    const wood = ring.woods[changed]!;
    for (const place of places) if (ring.woods[place] !== wood) ring.woods[place] = wood;
  }
}
