import { radiusAt } from '../form/curve.js';
import { insideAt, type Vessel } from '../form/vessel.js';
import { integrate } from '../measure/quadrature.js';

/**
 * Modulus of segment rings bent across the grain, N/mm² at a density of 640 kg/m³, and in proportion to it: 0.05 to 0.13 of that along
 * the grain (ratios of the Wood Handbook, chapter 5, from memory).
 */
const ACROSS_GRAIN = 1000;
const MIDDLING = 640;

export const stiffnessOf = (density: number): number => (ACROSS_GRAIN * density) / MIDDLING;

/** More than this, mm sideways for every newton, and the work moves under the tool: a working limit of this project. */
export const MOST_FLEX = 0.005;

/** What is bent: radii at a height, mm, and the modulus there, N/mm². */
export interface Section {
  readonly outer: number;
  readonly inner: number;
  readonly modulus: number;
}

/** Panels of the sum between two heights where the section may jump. */
const PANELS = 6;

/**
 * How far work that is held at one height gives under a newton sideways at another, mm/N: ∫ (zt − z)²/(E·I) dz, I = π(R⁴ − r⁴)/4, as a
 * beam of changing section (any handbook of mechanics). Infinite where there is no wood between the two.
 *
 * @param jumps heights at which the section may change at once, rising.
 */
export function flexAt(
  sectionAt: (z: number) => Section,
  heldMm: number,
  toolMm: number,
  jumps: readonly number[] = [],
): number {
  const ends = [heldMm, ...jumps.filter((z) => z > heldMm && z < toolMm), toolMm];
  let sum = 0;
  for (let i = 1; i < ends.length; i++) {
    const [from, step] = [ends[i - 1]!, (ends[i]! - ends[i - 1]!) / PANELS];
    for (let k = 0; k < PANELS; k++)
      sum += integrate(
        (z) => {
          const { outer, inner, modulus } = sectionAt(z);
          return (toolMm - z) ** 2 / (modulus * (Math.PI / 4) * (outer ** 4 - inner ** 4));
        },
        from + k * step,
        from + (k + 1) * step,
      );
  }
  return Number.isFinite(sum) && sum >= 0 ? sum : Number.POSITIVE_INFINITY;
}

/** What a light cut presses sideways with, N: a working figure of this project. */
export const LIGHT_CUT = 20;

/** How the work gives at a height, mm/N: solid as it was before it was hollowed, and hollowed; from when on it wants a steady. */
export interface Flex {
  readonly atMm: number;
  readonly solid: number;
  readonly hollowed: number;
  readonly steady: 'none' | 'hollowed' | 'always';
}

/** How a turned piece that is held by its foot gives at the top of each ring, mm/N, from the lowest up. */
export function flexAlong(
  vessel: Vessel,
  rings: readonly { readonly bottomMm: number; readonly topMm: number; readonly density: number }[],
): Flex[] {
  const jumps = rings.map(({ bottomMm }) => bottomMm);
  const modulusAt = (z: number) =>
    stiffnessOf((rings.find(({ topMm }) => z <= topMm) ?? rings.at(-1)!).density);
  const section = (hollow: boolean) => (z: number) => ({
    outer: radiusAt(vessel.outside, z),
    inner: hollow ? (insideAt(vessel, z) ?? 0) : 0,
    modulus: modulusAt(z),
  });
  return rings.map(({ topMm }) => {
    const atMm = Math.min(topMm, vessel.heightMm);
    const along = [...jumps, vessel.hollowFromMm].sort((a, b) => a - b);
    const solid = flexAt(section(false), 0, atMm, along);
    const hollowed = flexAt(section(true), 0, atMm, along);
    const steady = solid > MOST_FLEX ? 'always' : hollowed > MOST_FLEX ? 'hollowed' : 'none';
    return { atMm, solid, hollowed, steady };
  });
}
