import { mirroredInlay } from '../inlay/mirrored.js';
import { biggestOf, outlineAt } from '../making/layOut.js';
import { groupsOf, makeRing, mirrored, pitchOf, placesOf, type RingMaking } from '../making/registry.js';
import { mm } from '../measure/quantity.js';
import { centroid } from '../ring/plane.js';
import { frozen } from './frozen.js';
import type { Project, Ring } from './schema.js';

/**
 * The mirror image of a piece: what can be made of leaning pieces of the other hand. Rings are turned the other way
 * round, woods follow their places, joints that leaned right lean left. Motifs become painted places.
 */
export const mirrorImage = (project: Project, name: string): Project => ({
  ...project,
  name,
  motifs: [],
  ...(project.slants && {
    slants: project.slants.map((slant) => ({
      ...slant,
      towardDeg: 0 - slant.towardDeg,
      ...(slant.woods && { woods: [...slant.woods].reverse() }),
    })),
  }),
  ...(project.inlays && { inlays: project.inlays.map(mirroredInlay) }),
  rings: frozen(project).map((ring): Ring => {
    const making = mirrored(ring.making);
    const turn = -ring.turn * (pitchOf(ring.making) / pitchOf(making));
    return { ...ring, making, turn: turn === 0 ? 0 : turn, woods: woodsOf(ring, making) };
  }),
});

/** Heights of half a shell and of a whole one, as shares of its radius. */
const SHELLS = [0.96, 1.93] as const;
const RADIUS = 1000;

/** So large that a ring of any parameters can be made of it, at its height, thin, or as high as a shell: which place lies where does not hang on it. */
const sizes = ({ heightMm }: Ring) =>
  [1, heightMm, ...SHELLS.map((share) => share * RADIUS)].map((high) => ({
    outerRadiusMm: mm(RADIUS),
    innerRadiusMm: mm(0.6 * RADIUS),
    heightMm: mm(high),
  }));

/** Woods by place in the mirrored ring: each place takes that of the piece which lies where it is seen in the mirror. */
function woodsOf(ring: Ring, making: RingMaking): string[] {
  const made = sizes(ring).map((size) => [makeRing(ring.making, size), makeRing(making, size)] as const);
  const [here, there] = made.find((pair) => pair.every(({ ok }) => ok)) ?? made[0]!;
  const inOrder = reversed(ring, making);
  if (!here.ok || !there.ok) return inOrder;
  return Array.from({ length: placesOf(making) }, (_, place) => {
    const part = biggestOf(there.value.lay(place));
    if (!part) return inOrder[place]!;
    const { x, y } = centroid(outlineAt(part, 0.5));
    const z = (part.fromMm + part.toMm) / 2;
    return ring.woods[here.value.placeAt(x, -y, z) ?? place]!;
  });
}

/**
 * A ring that cannot be made has no places to look at: its woods in the opposite order, group by group; in the mirror the groups of
 * two halves change places.
 */
function reversed({ making, woods }: Ring, image: RingMaking): string[] {
  let first = 0;
  const groups = groupsOf(making).map(({ count }) => {
    first += count;
    return woods.slice(first - count, first).reverse();
  });
  return groupsOf(image).flatMap(({ count }) => {
    const same = groups.findIndex(({ length }) => length === count);
    return groups.splice(same, 1)[0]!;
  });
}
