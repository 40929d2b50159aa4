import { radiusAt } from '../form/curve.js';
import type { Vessel } from '../form/vessel.js';
import { woodVolume } from '../form/volume.js';
import type { RingPlan } from '../lumber/ringPlan.js';
import type { LaidPiece, Made } from '../making/contract.js';
import { layOut, outlineAtHeight } from '../making/layOut.js';
import { remembered } from '../measure/memo.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import { shortfall } from '../ring/need.js';
import type { Point } from '../ring/plane.js';
import { bandWoods, type Cuts, sidesOf } from '../ring/slant.js';
import { overPlaces } from '../surface/round.js';
import { areaBetween } from '../surface/within.js';
import { hollowAt, type Lying, overHeights, partsOf, SLICE } from './left.js';
import type { Prepared, PreparedRing } from './prepare.js';
import type { PreparedBand } from './preparedBand.js';

/** Volume of each wood that is left in the turned piece, mm³ by species; `plans` has the pieces of every ring. */
export function finishedVolumes(
  { turned, rings, cuts, bands }: Prepared,
  plans: readonly RingPlan[],
  woodOf: ReadonlyMap<string, string>,
): ReadonlyMap<string, number> {
  const byWood = new Map<string, number>();
  const add = (wood: string, volume: number) => byWood.set(wood, (byWood.get(wood) ?? 0) + volume);
  rings.forEach((prepared, i) => {
    for (const [wood, volume] of leftInRing(plans[i]!, prepared, cuts)) add(wood, volume);
  });
  for (const band of bands) {
    const volumes = leftInBand(band, turned, cuts);
    bandWoods(band.slant).forEach((key, place) => {
      add(woodOf.get(key)!, volumes[place]!);
    });
  }
  return byWood;
}

/** What is left of every piece of a band, mm³. */
const leftInBand = remembered((band: PreparedBand, vessel: Vessel, cuts: Cuts) =>
  movedVolumes(band, vessel, cuts),
);

/** What is left of one ring, by wood; the same as before as long as the ring is. */
const leftInRing = remembered(
  ({ pieces }: RingPlan, prepared: PreparedRing, cuts: Cuts): ReadonlyMap<string, number> => {
    const { made, vessel } = prepared;
    if (!made.ok) return new Map();
    const whole = isWhole(prepared, made.value, cuts);
    const full = whole ? fullVolume(prepared, made.value, vessel) : null;
    const first = pieces[0]?.wood;
    if (full !== null && first !== undefined && pieces.every(({ wood }) => wood === first))
      return new Map([[first, full]]);
    const { parts, together } = leftByPlace(made.value, prepared, vessel, cuts, {
      whole,
      held: full !== null,
    });
    // A ring of which next to nothing is left may have no volume in any of its places.
    const scale = full === null || together === 0 ? 1 : full / together;
    const byWood = new Map<string, number>();
    for (const { wood, places } of pieces) {
      const volume = scale * places.reduce((sum, place) => sum + parts[place]!, 0);
      byWood.set(wood, (byWood.get(wood) ?? 0) + volume);
    }
    return byWood;
  },
);

/** Whether a ring lies in one region, and no cut goes through it: one that leaves the piece through its lip leaves no part beyond. */
function isWhole({ course, reaches }: PreparedRing, { cornerMm }: Made, cuts: Cuts): boolean {
  const [only, ...others] = reaches;
  if (!only || others.length > 0) return false;
  const { z } = only.region.shift;
  const ends = [course.bottomMm + z, course.topMm + z];
  return sidesOf(cuts, only.region).every(({ normal, most }) =>
    ends.every((end) => Math.hypot(normal.x, normal.y) * cornerMm + normal.z * end <= most + SAME_LENGTH),
  );
}

/**
 * What is left of every place of a ring, mm³; of one that is `whole` and wood all round as it is `held` only the proportions
 * matter. Woods do not come in.
 */
function leftByPlace(
  made: Made,
  { course, turn, reaches }: PreparedRing,
  vessel: Vessel,
  cuts: Cuts,
  { whole, held }: { readonly whole: boolean; readonly held: boolean },
): { readonly parts: readonly number[]; readonly together: number } {
  const body = { made, turn, bottomMm: course.bottomMm, reaches };
  const parts =
    whole && reaches[0]!.region.above === 0
      ? placeVolumes(made, vessel, course.bottomMm, reaches[0]!.toMm, held)
      : movedVolumes(body, vessel, cuts);
  return { parts, together: parts.reduce((a, b) => a + b, 0) };
}

/**
 * Volume of the turned wood in a ring that is whole, is wood all round and holds its wall, mm³; null for others, and for panels that
 * close the hollow: how much of it they leave they say themselves.
 */
function fullVolume({ wallAlong, course, reaches }: PreparedRing, made: Made, vessel: Vessel): number | null {
  if (made.ball !== null && vessel.inside === null) return null;
  const { outsideMm, insideMm } = shortfall(made.gives, wallAlong);
  const [only] = reaches;
  if (!only || !made.closed) return null;
  if (Math.max(outsideMm, insideMm) > SAME_LENGTH) return null;
  const { z } = only.region.shift;
  return woodVolume(vessel, course.bottomMm + z, Math.min(course.topMm + z, vessel.heightMm));
}

/** Area of an outline that is left between inside and outside at a height of the piece, mm². */
function areaLeft(outline: readonly Point[], vessel: Vessel, z: number): number {
  const outer = radiusAt(vessel.outside, z);
  return Math.max(0, areaBetween(outline, Math.min(outer, hollowAt(vessel, z)), outer));
}

/** Area of every place of a ring with radial joints between its radii, mm². */
const sharesOf = remembered((made: Made) => {
  const { outerRadiusMm, innerRadiusMm } = made.gives;
  return overPlaces(made, (place) => areaBetween(made.lay(place)[0]!.bottom, innerRadiusMm, outerRadiusMm));
});

/**
 * What is left of every place between two heights, mm³: at each height the area of its outline between inside and
 * outside is exact. Only the proportions matter where the whole is known; radial joints hold theirs at every height.
 */
function placeVolumes(made: Made, vessel: Vessel, z0: number, z1: number, whole: boolean): number[] {
  if (whole && made.radial) return sharesOf(made);
  const volume = (piece: LaidPiece) =>
    overHeights((z) => areaLeft(outlineAtHeight(piece, z - z0), vessel, z), vessel, [
      z0 + piece.fromMm,
      Math.min(z1, z0 + piece.toMm),
    ]);
  return overPlaces(made, (place) => made.lay(place).reduce((sum, piece) => sum + volume(piece), 0));
}

/** So many slices are looked at in all pieces of one ring that cuts go through: they are thicker where it has hundreds. */
const MOST_SLICES = 4000;
/** Corners of a usual piece; one of more counts for as many. */
const CORNERS = 4;

/** The same of a ring or a band that slanted cuts have moved or divided: region by region, place by place. */
function movedVolumes(body: Lying, vessel: Vessel, cuts: Cuts): number[] {
  const { made, reaches } = body;
  const corners = layOut(made).reduce((sum, { bottom }) => sum + bottom.length, 0) / CORNERS;
  const slices = reaches.reduce((sum, { fromMm, toMm }) => sum + (toMm - fromMm) / SLICE, 0) * corners;
  const slice = SLICE * Math.max(1, slices / MOST_SLICES);
  const volumes = made.groups.flatMap(({ count }) => Array.from({ length: count }, () => 0));
  for (const { place, heightsMm, bendsMm, outline } of partsOf(body, vessel, cuts))
    volumes[place]! += overHeights((z) => areaLeft(outline(z), vessel, z), vessel, heightsMm, slice, bendsMm);
  return volumes;
}
