import { knotsBetween, radiusAt } from '../form/curve.js';
import { recessAt } from '../form/recess.js';
import { insideAt, type Vessel } from '../form/vessel.js';

/** A height at which a ring is lofted: in the glued stack and in the turned piece, with the radii that turning leaves. */
export interface Level {
  /** Height in the blank and in the turned piece, mm above the bench; they differ above the lip only. */
  readonly blankZ: number;
  readonly z: number;
  readonly outer: number;
  readonly inner: number;
}

/** Times that the way between two heights is halved at most. */
const HALVINGS = 6;
/** A height just above or below another, mm: a floor is looked at from either side. */
const BESIDE = 0.002;

const innerAt = (vessel: Vessel, z: number): number =>
  Math.max(0, insideAt(vessel, z) ?? 0, recessAt(vessel.recess, z));

/**
 * Heights at which a ring between two heights of the stack is followed, bottom to top. A floor, a lid's roof and the
 * ceiling of a foot recess come twice, as they are below and above. Between two heights a curve strays from the straight
 * way by no more than about `sagittaMm`.
 */
export function levelsOf(vessel: Vessel, bottomMm: number, topMm: number, sagittaMm: number): Level[] {
  const lip = Math.min(topMm, vessel.heightMm);
  const at = (z: number, look = z, blankZ = z): Level => ({
    blankZ,
    z,
    outer: radiusAt(vessel.outside, z),
    inner: innerAt(vessel, look),
  });
  if (bottomMm >= lip) return [at(lip, lip, bottomMm), at(lip, lip, topMm)];
  const { hollowFromMm, hollowToMm, recess, heightMm } = vessel;
  const turns = [hollowFromMm, hollowToMm < heightMm ? hollowToMm : -1, recess?.depthMm ?? -1];
  const curves = [vessel.outside, ...(vessel.inside ? [vessel.inside] : [])];
  const knots = [...curves.flatMap((curve) => knotsBetween(curve, bottomMm, lip)), ...turns]
    .filter((z) => z > bottomMm + 2 * BESIDE && z < lip - 2 * BESIDE)
    .sort((a, b) => a - b);
  const stops = [bottomMm, ...knots.filter((z, i) => i === 0 || z - knots[i - 1]! > 2 * BESIDE), lip];
  const levels = stops.slice(1).flatMap((to, i) => {
    const from = stops[i]!;
    const [first, last] = [at(from, from + BESIDE), at(to, to - BESIDE)];
    const whole = [first, ...between(first, last, (z) => at(z), sagittaMm, HALVINGS), last];
    const before = i > 0 && !turns.includes(from);
    return before ? whole.slice(1) : whole;
  });
  return topMm > lip + 0.01 ? [...levels, at(lip, lip - BESIDE, topMm)] : levels;
}

/** Levels between two where a curve strays from the straight way. */
function between(
  low: Level,
  high: Level,
  at: (z: number) => Level,
  sagitta: number,
  halvings: number,
): Level[] {
  const middle = at((low.z + high.z) / 2);
  const strays = (side: 'outer' | 'inner') => Math.abs(middle[side] - (low[side] + high[side]) / 2) > sagitta;
  const quarter = at(low.z + (high.z - low.z) / 4);
  const skewed = (side: 'outer' | 'inner') =>
    Math.abs(quarter[side] - (0.75 * low[side] + 0.25 * high[side])) > sagitta;
  if (halvings === 0 || !(['outer', 'inner'] as const).some((side) => strays(side) || skewed(side)))
    return [];
  return [
    ...between(low, middle, at, sagitta, halvings - 1),
    middle,
    ...between(middle, high, at, sagitta, halvings - 1),
  ];
}
