import { insideAt, type Vessel } from '../form/vessel.js';
import { remembered } from '../measure/memo.js';

/** A hollow as it stands while it is worked at: its radius at a height, null where it is solid, and where it begins and ends; mm. */
export interface Cavity {
  at(z: number): number | null;
  readonly fromMm: number;
  readonly toMm: number;
}

/** The hollow of a form; empty where it is solid. */
export const cavityOf = (vessel: Vessel): Cavity => ({
  at: (z) => insideAt(vessel, z),
  fromMm: vessel.hollowFromMm,
  toMm: vessel.hollowToMm,
});

/** The same from the other end, as the upper part of a piece hangs on its own plate; heights from its top. */
export const upsideDown = ({ at, fromMm, toMm }: Cavity, heightMm: number): Cavity => ({
  at: (z) => at(heightMm - z),
  fromMm: heightMm - toMm,
  toMm: heightMm - fromMm,
});

/** Heights that the inside is looked at, at most this far from each other (mm). */
const LOOK = 1;
/** What is as near as this to a height is the look at that height itself, but for what computing leaves behind (mm). */
const SAME = LOOK / 100;

/** The inside at a height, mm. */
export interface Look {
  readonly z: number;
  readonly r: number;
}

const looksAt = ({ at }: Cavity, heights: readonly number[]): readonly Look[] =>
  heights.flatMap((z) => {
    const r = at(z);
    return r === null ? [] : [{ z, r }];
  });

/** The whole inside, lowest first: looked at once for all that is asked of it, whatever mouth it has at the moment. */
const whole = remembered((cavity: Cavity): readonly Look[] => {
  const deep = cavity.toMm - cavity.fromMm;
  const looks = Math.max(1, Math.ceil(deep / LOOK));
  return looksAt(
    cavity,
    Array.from({ length: looks + 1 }, (_, i) => cavity.fromMm + (i / looks) * deep),
  );
});

/** Inside radii from a height up to the mouth, lowest first. */
export function insideUp(cavity: Cavity, fromMm: number, mouthMm: number): readonly Look[] {
  const toMm = Math.min(mouthMm, cavity.toMm);
  return [
    ...looksAt(cavity, [fromMm]),
    ...whole(cavity).filter(({ z }) => z > fromMm + SAME && z < toMm),
    ...looksAt(cavity, toMm > fromMm ? [toMm] : []),
  ];
}

/** A stretch of the inside, mm. */
export interface Hidden {
  readonly fromMm: number;
  readonly toMm: number;
}

/** Stretches of the inside below a mouth that are hidden, looked at every millimetre. */
export function hiddenWhere(cavity: Cavity, mouthMm: number, isHidden: (z: number) => boolean): Hidden[] {
  const hidden: { fromMm: number; toMm: number }[] = [];
  const [from, to] = [cavity.fromMm, Math.min(mouthMm, cavity.toMm)];
  if (to <= from) return [];
  const looks = Math.max(1, Math.ceil((to - from) / LOOK));
  for (let i = 0; i <= looks; i++) {
    const z = from + (i / looks) * (to - from);
    if (!isHidden(z)) continue;
    const last = hidden.at(-1);
    if (last && z - last.toMm <= (1.01 * (to - from)) / looks) last.toMm = z;
    else hidden.push({ fromMm: z, toMm: z });
  }
  return hidden;
}
