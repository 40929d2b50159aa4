import { knotsBetween, radiusAt } from '../form/curve.js';
import { recessAt } from '../form/recess.js';
import { insideAt, type Vessel } from '../form/vessel.js';
import { woodVolume } from '../form/volume.js';
import type { RingPlan } from '../lumber/ringPlan.js';
import type { LaidPiece, Made } from '../making/contract.js';
import { outlineAtHeight } from '../making/layOut.js';
import { integrate } from '../measure/quadrature.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import { shortfall } from '../ring/need.js';
import { overPlaces } from '../surface/round.js';
import { areaBetween } from '../surface/within.js';
import type { Prepared, PreparedRing } from './prepare.js';

/** Volume of each wood that is left in the turned piece, mm³ by species; `plans` has the pieces of every ring. */
export function finishedVolumes(
  { vessel, rings }: Prepared,
  plans: readonly RingPlan[],
): ReadonlyMap<string, number> {
  const byWood = new Map<string, number>();
  const add = (wood: string, volume: number) => byWood.set(wood, (byWood.get(wood) ?? 0) + volume);
  rings.forEach((prepared, i) => {
    const { course, made } = prepared;
    if (!made.ok) return;
    const { pieces } = plans[i]!;
    const full = fullVolume(prepared, made.value, vessel);
    const only = pieces.every(({ wood }) => wood === pieces[0]!.wood) ? pieces[0]!.wood : null;
    if (full !== null && only !== null) {
      add(only, full);
      return;
    }
    const top = Math.min(course.topMm, vessel.heightMm);
    const parts = placeVolumes(made.value, vessel, course.bottomMm, top, full !== null);
    const scale = full === null ? 1 : full / parts.reduce((a, b) => a + b, 0);
    for (const { wood, places } of pieces)
      add(wood, scale * places.reduce((sum, place) => sum + parts[place]!, 0));
  });
  return byWood;
}

/** Volume of the turned wood in a ring that is wood all round and holds its wall, mm³; null for others. */
function fullVolume({ wallAlong, course }: PreparedRing, made: Made, vessel: Vessel): number | null {
  const { outsideMm, insideMm } = shortfall(made.gives, wallAlong);
  if (!made.closed || Math.max(outsideMm, insideMm) > SAME_LENGTH) return null;
  return woodVolume(vessel, course.bottomMm, Math.min(course.topMm, vessel.heightMm));
}

/** Slices in which pieces are measured (mm). */
const SLICE = 2;

/**
 * What is left of every place between two heights, mm³: at each height the area of its outline between inside and
 * outside is exact. Only the proportions matter where the whole is known; radial joints hold theirs at every height.
 */
function placeVolumes(made: Made, vessel: Vessel, z0: number, z1: number, whole: boolean): number[] {
  const hollow = (z: number) => Math.max(insideAt(vessel, z) ?? 0, recessAt(vessel.recess, z));
  const areaAt = (piece: LaidPiece, z: number) => {
    const outline = outlineAtHeight(piece, z - z0);
    const outer = radiusAt(vessel.outside, z);
    return Math.max(0, areaBetween(outline, Math.min(outer, hollow(z)), outer));
  };
  if (whole && made.radial) {
    const { outerMm, innerMm } = made.gives;
    return overPlaces(made, (place) => areaBetween(made.lay(place)[0]!.bottom, innerMm, outerMm));
  }
  const volume = (piece: LaidPiece) => {
    const [low, high] = [z0 + piece.fromMm, Math.min(z1, z0 + piece.toMm)];
    if (high <= low) return 0;
    const knots = knotsBetween(vessel.outside, low, high);
    let sum = 0;
    for (let k = 1; k < knots.length; k++) {
      const [from, to] = [knots[k - 1]!, knots[k]!];
      const slices = Math.max(1, Math.ceil((to - from) / SLICE));
      for (let i = 0; i < slices; i++)
        sum += integrate(
          (z) => areaAt(piece, z),
          from + ((to - from) * i) / slices,
          from + ((to - from) * (i + 1)) / slices,
        );
    }
    return sum;
  };
  return overPlaces(made, (place) => made.lay(place).reduce((sum, piece) => sum + volume(piece), 0));
}
