import { radiusAt } from '../form/curve.js';
import type { Made } from '../making/contract.js';
import type { RingBorders } from '../pattern/borders.js';
import type { Wall } from '../pattern/reach.js';
import { type ShownRing, shownRing } from '../pattern/showing.js';
import type { Prepared } from './prepare.js';

const kept = new WeakMap<Made, { readonly key: string; readonly shown: ShownRing }>();

/** The rings of a piece as painting sees them: what shows of each on the outside at half its height below the lip. */
export const wallOf = ({ vessel, rings }: Prepared): Wall =>
  rings.map(({ made, turn, course }) => {
    if (!made.ok || course.bottomMm >= vessel.heightMm) return null;
    const z = (course.bottomMm + Math.min(course.topMm, vessel.heightMm)) / 2;
    const radius = radiusAt(vessel.outside, z);
    const key = `${turn} ${radius} ${z - course.bottomMm}`;
    const last = kept.get(made.value);
    if (last?.key === key) return last.shown;
    const shown = shownRing(made.value, radius, turn, z - course.bottomMm);
    kept.set(made.value, { key, shown });
    return shown;
  });

/** What the borders between woods measure in every ring, mm. */
export const bordersIn = ({ vessel, rings }: Prepared): RingBorders[] =>
  rings.map(({ course }) => {
    const top = Math.min(course.topMm, vessel.heightMm);
    const [low, high] = [radiusAt(vessel.outside, course.bottomMm), radiusAt(vessel.outside, top)];
    return { slantMm: Math.hypot(Math.max(0, top - course.bottomMm), high - low), topRadiusMm: high };
  });
