import { radiusAt } from '../form/curve.js';
import type { Made } from '../making/contract.js';
import type { RingBorders } from '../pattern/borders.js';
import type { Wall } from '../pattern/reach.js';
import { type ShownRing, shownRing } from '../pattern/showing.js';
import type { Prepared } from './prepare.js';

const kept = new WeakMap<Made, { readonly key: string; readonly shown: ShownRing }>();

/** The rings of a piece as painting sees them: what shows of each on the outside at half its height below the lip. */
export const wallOf = ({ vessel, rings }: Prepared): Wall =>
  rings.map(({ made, turn, stands }) => {
    if (!made.ok || stands.bottomMm >= vessel.heightMm) return null;
    const z = (stands.bottomMm + Math.min(stands.topMm, vessel.heightMm)) / 2;
    const radius = radiusAt(vessel.outside, z);
    const up = Math.min(made.value.heightMm, z - stands.bottomMm);
    const key = `${turn} ${radius} ${up}`;
    const last = kept.get(made.value);
    if (last?.key === key) return last.shown;
    const shown = shownRing(made.value, radius, turn, up);
    kept.set(made.value, { key, shown });
    return shown;
  });

/** What the borders between woods measure in every ring, mm. */
export const bordersIn = ({ vessel, rings }: Prepared): RingBorders[] =>
  rings.map(({ stands: course }) => {
    const top = Math.min(course.topMm, vessel.heightMm);
    const [low, high] = [radiusAt(vessel.outside, course.bottomMm), radiusAt(vessel.outside, top)];
    return { slantMm: Math.hypot(Math.max(0, top - course.bottomMm), high - low), topRadiusMm: high };
  });

/** How far round the outside is in the middle between two rings, mm; their height together, as far as it is turned. */
function across({ vessel, rings }: Prepared, low: number, high: number): { round: number; height: number } {
  const bottom = rings[low]!.stands.bottomMm;
  const top = Math.min(vessel.heightMm, rings[high]!.stands.topMm);
  const radius = radiusAt(vessel.outside, Math.min(vessel.heightMm, (bottom + top) / 2));
  return { round: 2 * Math.PI * radius, height: top - bottom };
}

/** Width of a segment on the outside over its height, in a ring of so many. */
export function cellAspect(prepared: Prepared, ring: number, segments: number): number {
  const { round, height } = across(prepared, ring, ring);
  return round / segments / height;
}

/** How much of the way round, in turns, a picture of a shape (width over height) takes when it is not stretched over rings. */
export function trueTurns(prepared: Prepared, low: number, high: number, aspect: number): number {
  const { round, height } = across(prepared, low, high);
  return (aspect * height) / round;
}
