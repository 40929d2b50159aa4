import { inlayMesh } from '../inlay/mesh.js';
import { type HalfSpace, type Region, sidesOf } from '../ring/slant.js';
import { type MeshFineness, type RingMesh, ringMesh } from '../surface/mesh.js';
import type { Prepared } from './prepare.js';

/** The mesh of a ring, or of a band behind the rings, as far as it lies in one region of the piece. */
export interface StackMesh {
  readonly ring: number;
  /** Whole: what of it lies beyond any of the sides is not there. */
  readonly mesh: RingMesh;
  readonly sides: readonly HalfSpace[];
  /** How many parts of the piece lie below it, when it is taken apart. */
  readonly level: number;
}

/** How many parts lie below a region: every cut parts a piece in what is under it, its band, and what is over it. */
function levelOf({ band, above }: Region): number {
  const under = Array.from({ length: 32 }, (_, i) => (above >> i) & 1).reduce((a, b) => a + b, 0);
  return 2 * under + (band === null ? 0 : 1);
}

/** The meshes of a piece one after the other, so that a worker can look up in between. */
export function* meshesOf(
  { turned, rings, cuts, bands, inlays }: Prepared,
  fineness: MeshFineness,
): Generator<StackMesh> {
  for (const [index, { made, turn, course, reaches, vessel }] of rings.entries()) {
    if (!made.ok) continue;
    if (cuts.length === 0) {
      const mesh = ringMesh(made.value, turn, course.bottomMm, vessel, fineness);
      yield { ring: index, mesh, sides: [], level: index };
    }
    for (const { region } of cuts.length > 0 ? reaches : []) {
      const { shift } = region;
      const mesh = ringMesh(made.value, turn, course.bottomMm + shift.z, vessel, fineness, shift);
      yield { ring: index, mesh, sides: sidesOf(cuts, region), level: levelOf(region) };
    }
  }
  for (const [band, { made, turn, bottomMm, reaches }] of bands.entries())
    for (const { region } of reaches) {
      const { shift } = region;
      const mesh = ringMesh(made, turn, bottomMm + shift.z, turned, fineness, shift);
      yield { ring: rings.length + band, mesh, sides: sidesOf(cuts, region), level: levelOf(region) };
    }
  // Over all of them: an inlay is let in when the piece is whole.
  for (const [i, { inlay, placed }] of inlays.entries())
    if (placed.ok)
      yield {
        ring: rings.length + bands.length + i,
        mesh: inlayMesh(inlay, placed.value, turned),
        sides: [],
        level: levelAt(rings, placed.value.frame.heightMm, cuts.length > 0),
      };
}

/** The part that an inlay is taken apart with: the ring at its middle. */
const levelAt = (rings: Prepared['rings'], z: number, cut: boolean): number =>
  cut
    ? 0
    : Math.max(
        0,
        rings.findLastIndex(({ stands }) => stands.bottomMm <= z),
      );
