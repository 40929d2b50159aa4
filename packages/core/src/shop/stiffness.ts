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

/** ∫ zᵏ/(E·I) dz over a stretch of the work, k = 0, 1, 2, with heights from where it is held: stretches on each other add up. */
export type Compliance = readonly [c0: number, c1: number, c2: number];

export const NONE: Compliance = [0, 0, 0];
export const together = (a: Compliance, b: Compliance): Compliance => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];

/** Of a stretch between two heights, I = π(R⁴ − r⁴)/4; infinite where there is no wood. */
export function complianceOf(sectionAt: (z: number) => Section, fromMm: number, toMm: number): Compliance {
  let sum = NONE;
  const step = (toMm - fromMm) / PANELS;
  if (step <= 0) return sum;
  const over = (z: number): number => {
    const { outer, inner, modulus } = sectionAt(z);
    const stiff = modulus * (Math.PI / 4) * (outer ** 4 - inner ** 4);
    return stiff > 0 ? 1 / stiff : Number.POSITIVE_INFINITY;
  };
  for (let k = 0; k < PANELS; k++) {
    const [from, to] = [fromMm + k * step, fromMm + (k + 1) * step];
    sum = together(sum, [
      integrate(over, from, to),
      integrate((z) => z * over(z), from, to),
      integrate((z) => z * z * over(z), from, to),
    ]);
  }
  return sum;
}

/**
 * How far work that is held at 0 gives under a newton sideways at a height, mm/N, by all stretches below it: ∫ (zt − z)²/(E·I) dz, as a
 * beam of changing section (any handbook of mechanics). Infinite where there is no wood between the two.
 */
export function flexOf([c0, c1, c2]: Compliance, toolMm: number): number {
  const sum = c2 - 2 * toolMm * c1 + toolMm ** 2 * c0;
  return Number.isFinite(sum) ? Math.max(0, sum) : Number.POSITIVE_INFINITY;
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

/** From when on work that gives so much wants a steady. */
export const steadyFrom = (solid: number, hollowed: number): Flex['steady'] =>
  solid > MOST_FLEX ? 'always' : hollowed > MOST_FLEX ? 'hollowed' : 'none';

/** A ring of a turned piece: its upper face, and the mean density of its woods, kg/m³. */
interface Turned {
  readonly topMm: number;
  readonly density: number;
}

/** What a stretch of the finished form adds to how it gives, solid or hollowed. */
function stretch(vessel: Vessel, density: number, fromMm: number, toMm: number, hollow: boolean): Compliance {
  const modulus = stiffnessOf(density);
  const sectionAt = (z: number): Section => ({
    outer: radiusAt(vessel.outside, z),
    inner: hollow ? (insideAt(vessel, z) ?? 0) : 0,
    modulus,
  });
  return complianceOf(sectionAt, fromMm, toMm);
}

/** How a turned piece that is held by its foot gives at the top of each ring, mm/N, from the lowest up. */
export function flexAlong(vessel: Vessel, rings: readonly Turned[]): Flex[] {
  let [solid, hollowed] = [NONE, NONE];
  let below = 0;
  return rings.map(({ topMm, density }) => {
    const atMm = Math.min(topMm, vessel.heightMm);
    // The section jumps at the joint, and where the hollow begins.
    const floor = Math.min(Math.max(below, vessel.hollowFromMm), atMm);
    solid = together(solid, stretch(vessel, density, below, atMm, false));
    hollowed = [
      stretch(vessel, density, below, floor, true),
      stretch(vessel, density, floor, atMm, true),
    ].reduce(together, hollowed);
    below = atMm;
    const gives = { solid: flexOf(solid, atMm), hollowed: flexOf(hollowed, atMm) };
    return { atMm, ...gives, steady: steadyFrom(gives.solid, gives.hollowed) };
  });
}

/**
 * Rings, by their place, that make the top of a turned piece give too much: the fewest, slimmest first, without which the others would let it
 * give no more than the working limit. They are left thick until all the rest is done.
 */
export function slenderIn(vessel: Vessel, rings: readonly Turned[]): number[] {
  const top = Math.min(rings.at(-1)?.topMm ?? 0, vessel.heightMm);
  const gives = rings.map(({ topMm, density }, i) => {
    const [from, to] = [i === 0 ? 0 : rings[i - 1]!.topMm, topMm].map((z) => Math.min(z, vessel.heightMm));
    return { ring: i, give: flexOf(stretch(vessel, density, from!, to!, false), top), high: to! - from! };
  });
  let left = gives.reduce((sum, { give }) => sum + give, 0);
  const slender: number[] = [];
  for (const { ring, give } of [...gives].sort((a, b) => b.give / b.high - a.give / a.high)) {
    if (left <= MOST_FLEX) break;
    slender.push(ring);
    left -= give;
  }
  return slender.sort((a, b) => a - b);
}
