import { extremes, radiusAt } from '../form/curve.js';
import { recessAt } from '../form/recess.js';
import { insideAt, type Vessel } from '../form/vessel.js';
import { woodVolume } from '../form/volume.js';
import type { RingPlan } from '../lumber/ringPlan.js';
import { integrate } from '../measure/quadrature.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import { shortfall } from '../ring/need.js';
import type { Band } from '../ring/overlap.js';
import { shareOf } from '../surface/round.js';
import type { Prepared } from './prepare.js';

/** Volume of each wood that is left in the turned piece, mm³ by species; `plans` has the pieces of every ring. */
export function finishedVolumes(
  { vessel, rings }: Prepared,
  plans: readonly RingPlan[],
): ReadonlyMap<string, number> {
  const byWood = new Map<string, number>();
  const add = (wood: string, volume: number) => byWood.set(wood, (byWood.get(wood) ?? 0) + volume);
  rings.forEach(({ course, made, wall }, i) => {
    if (!made.ok) return;
    const top = Math.min(course.topMm, vessel.heightMm);
    const { outsideMm, insideMm } = shortfall(made.value.gives, wall);
    const holds = Math.max(outsideMm, insideMm) <= SAME_LENGTH;
    const volume = holds
      ? woodVolume(vessel, course.bottomMm, top)
      : volumeWithin(vessel, made.value.gives, course.bottomMm, top);
    const { pieces } = plans[i]!;
    const only = pieces.every(({ wood }) => wood === pieces[0]!.wood) ? pieces[0]!.wood : null;
    const radius = middleOfWall(vessel, course.bottomMm, top);
    if (only !== null) add(only, volume);
    else
      for (const { wood, kind, count } of pieces)
        add(wood, volume * count * shareOf(made.value, kind, radius));
  });
  return byWood;
}

/** Slices in which a ring that does not hold its wall is measured (mm). */
const SLICE = 0.25;

/** Volume of wood between two heights where a ring has wood only between the radii of `band`, mm³. */
function volumeWithin(vessel: Vessel, band: Band, z0: number, z1: number): number {
  const area = (z: number) => {
    const outer = Math.min(radiusAt(vessel.outside, z), band.outerMm);
    const hollow = Math.max(insideAt(vessel, z) ?? 0, recessAt(vessel.recess, z), band.innerMm);
    return outer > hollow ? outer * outer - hollow * hollow : 0;
  };
  const slices = Math.max(1, Math.ceil((z1 - z0) / SLICE));
  let sum = 0;
  for (let i = 0; i < slices; i++)
    sum += integrate(area, z0 + ((z1 - z0) * i) / slices, z0 + ((z1 - z0) * (i + 1)) / slices);
  return Math.PI * sum;
}

/** A radius that lies in the blank of the ring between two heights, whatever the slope of its wall. */
function middleOfWall(vessel: Vessel, bottom: number, top: number): number {
  const { least } = extremes(vessel.outside, bottom, top);
  return (least + Math.max(0, insideAt(vessel, top) ?? 0, insideAt(vessel, bottom) ?? 0)) / 2;
}
