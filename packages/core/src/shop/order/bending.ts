import type { RingPlan } from '../../lumber/ringPlan.js';
import {
  type Compliance,
  complianceOf,
  type Flex,
  flexOf,
  NONE,
  steadyFrom,
  stiffnessOf,
  together,
} from '../stiffness.js';
import type { Section } from './assembly.js';

/** A ring as it is glued up, and the density of its woods, kg/m³. */
export type Bent = Pick<RingPlan, 'gives' | 'need'> & { readonly density: number };

/** What each ring of a section, in the order in which they go on, adds to how it gives: as it is glued up, and hollowed. */
export interface Bending {
  readonly solid: readonly Compliance[];
  readonly hollowed: readonly Compliance[];
  /** All rings below, hollowed. */
  readonly below: readonly Compliance[];
}

/** Of a section, its heights counted from the plate that it stands or hangs on; the outside is not turned yet. */
export function bendingOf(
  { rings: own, topsMm, cavity }: Pick<Section, 'rings' | 'topsMm' | 'cavity'>,
  rings: readonly Bent[],
): Bending {
  const spans = own.map((ring, i) => ({
    ring: rings[ring]!,
    from: i === 0 ? 0 : topsMm[i - 1]!,
    to: topsMm[i]!,
  }));
  const hollowed = spans.map(({ ring, from, to }) => hollowedOf(ring, cavity, from, to));
  let sum = NONE;
  const below = hollowed.map((each) => {
    const under = sum;
    sum = together(sum, each);
    return under;
  });
  return { solid: spans.map(({ ring, from, to }) => gluedUp(ring, from, to)), hollowed, below };
}

/**
 * How a section gives at the tops of the rings of a stage, mm/N, the lowest first: before it is hollowed, with all hollow that earlier stages hollowed,
 * and after. `whole` tells of the rings of earlier stages too, for which both are the same.
 */
export function stageFlex(
  { stages, topsMm }: Pick<Section, 'stages' | 'topsMm'>,
  bending: Bending,
  stage: number,
  whole = false,
): Flex[] {
  const early = stages.slice(0, stage).reduce((sum, { rings }) => sum + rings.length, 0);
  const from = whole ? 0 : early;
  let [solid, hollowed] = [bending.below[from]!, bending.below[from]!];
  return Array.from({ length: early - from + stages[stage]!.rings.length }, (_, k) => {
    const [i, atMm] = [from + k, topsMm[from + k]!];
    solid = together(solid, i < early ? bending.hollowed[i]! : bending.solid[i]!);
    hollowed = together(hollowed, bending.hollowed[i]!);
    const gives = { solid: flexOf(solid, atMm), hollowed: flexOf(hollowed, atMm) };
    return { atMm, ...gives, steady: steadyFrom(gives.solid, gives.hollowed) };
  });
}

const sizesOf = ({ gives, need, density }: Bent) => {
  const { outerRadiusMm: outer, innerRadiusMm: inner } = gives ?? need;
  return { outer, inner, modulus: stiffnessOf(density) };
};

const gluedUp = (ring: Bent, fromMm: number, toMm: number): Compliance => {
  const section = sizesOf(ring);
  return complianceOf(() => section, fromMm, toMm);
};

/** The section jumps where the hollow begins. */
function hollowedOf(ring: Bent, cavity: Section['cavity'], fromMm: number, toMm: number): Compliance {
  const section = sizesOf(ring);
  const floor = Math.min(Math.max(fromMm, cavity.fromMm), toMm);
  const hollow = (z: number) => ({ ...section, inner: Math.max(section.inner, cavity.at(z) ?? 0) });
  return together(
    complianceOf(() => section, fromMm, floor),
    complianceOf(hollow, floor, toMm),
  );
}
