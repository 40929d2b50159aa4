import { radiusAt } from '../../form/curve.js';
import { vesselOf } from '../../form/vessel.js';
import { jointRuns, leans, pitchOf } from '../../making/registry.js';
import { type Mm, mm } from '../../measure/quantity.js';
import type { Reason } from '../../measure/reason.js';
import { type Said, say, sayList, sayMm } from '../../measure/said.js';
import { stepAtJoint } from '../../surface/steps.js';
import { prepare } from '../prepare.js';
import type { Project } from '../schema.js';
import type { Command } from './command.js';
import { each, named, type Rings } from './each.js';
import { stackOf } from './stack.js';
import { noted } from './stretch.js';

/**
 * Turns leaning rings on from the lowest of them, so that their joints meet at a radius: each by what the joint below
 * has run to its top and its own joint has run at its bottom. At other radii a step is left over. Slices of one thick ring are turned
 * on by what the kerf took of their joints.
 */
export const runStripe = (rings: Rings, radiusMm: Mm): Command => ({
  label: `Running stripe through ${named(rings)}`,
  apply(draft) {
    const prepared = prepare(draft);
    if (!prepared.ok) return { reasons: prepared.reasons };
    const order = [...rings].sort((a, b) => a - b);
    let below: number | null = null;
    for (const index of order) {
      const ring = draft.rings[index]!;
      const runs = jointRuns(ring.making, prepared.value.rings[index]!.size, radiusMm);
      if (runs === null) return { reasons: [notFollowed(index, radiusMm)] };
      const pitch = pitchOf(ring.making);
      if (below !== null) ring.turn = ((below - runs.toBottom) / pitch) % 360;
      below = ring.turn * pitch + runs.toTop;
    }
    return noted(stepsLeft(draft, order, radiusMm));
  },
});

/** Why the joints of a ring cannot be followed: they have moved past the radius. */
const notFollowed = (index: number, radiusMm: Mm): Reason => ({
  code: 'stripe-radius',
  path: 'radiusMm',
  message: say`At a radius of ${sayMm(radiusMm)} the joints of ring ${index + 1} cannot be followed; give a larger one.`,
});

/** What is left over where two leaning rings meet at another radius than that of the stripe, in words. */
function stepsLeft(draft: Project, order: Rings, radiusMm: Mm): Said | undefined {
  const prepared = prepare(draft);
  if (!prepared.ok) return undefined;
  const { rings } = prepared.value;
  const steps = order.slice(1).flatMap((index, i) => {
    const [lower, upper] = [rings[order[i]!]!, rings[index]!];
    if (index !== order[i]! + 1 || !lower.made.ok || !upper.made.ok) return [];
    const radius = Math.min(lower.wall.outerRadiusMm, upper.wall.outerRadiusMm);
    const step = stepAtJoint(
      { made: lower.made.value, turn: lower.turn },
      { made: upper.made.value, turn: upper.turn },
      radius,
    );
    return step === null ? [] : [say`${sayMm(step)} at ring ${index + 1}`];
  });
  return steps.length === 0
    ? undefined
    : say`Joints meet at a radius of ${sayMm(radiusMm)}; the step left over at the outside is ${sayList(steps)}.`;
}

/**
 * Lets the joints of leaning rings run left and right in turn, from the lowest of them: a wave. Each ring and the next
 * get one size, that of both, so that every strip between two fences gives pieces for the one and for the other.
 */
export const alternateHands = (rings: Rings): Command => ({
  label: `Left and right in turn for ${named(rings)}`,
  apply(draft) {
    const prepared = prepare(draft);
    if (!prepared.ok) return { reasons: prepared.reasons };
    const order = [...rings].sort((a, b) => a - b).filter((i) => leans(draft.rings[i]!.making));
    order.forEach((index, i) => {
      const { making } = draft.rings[index]!;
      if (making.way === 'segmented' && making.lean) making.lean.hand = i % 2 === 0 ? 'right' : 'left';
      const pair = order.slice(i - (i % 2), i - (i % 2) + 2);
      if (pair.length < 2) return;
      const sizes = pair.map((other) => ({
        ...prepared.value.rings[other]!.need,
        ...draft.rings[other]!.fixed,
      }));
      draft.rings[index]!.fixed = {
        outerRadiusMm: mm(Math.max(...sizes.map(({ outerRadiusMm }) => outerRadiusMm))),
        innerRadiusMm: mm(Math.min(...sizes.map(({ innerRadiusMm }) => innerRadiusMm))),
      };
    });
    return { note: 'Each pair of rings has one size now, so that both hands of a strip are used.' };
  },
});

/** Lets staves lean as the outside of the form does over their ring, to a hundredth of a degree. */
export const leanLikeWall = (rings: Rings): Command => ({
  label: `Staves of ${named(rings)} lean like the wall`,
  apply(draft) {
    const vessel = vesselOf(draft.form);
    if (!vessel.ok) return { reasons: vessel.reasons };
    const { outside, heightMm } = vessel.value;
    const stack = stackOf(draft.rings);
    const lean = each(rings, (ring, index) => {
      if (ring.making.way !== 'segmented' || !ring.making.staves) return undefined;
      const { bottomMm, topMm } = stack[index]!;
      const top = Math.min(topMm, heightMm);
      const slope = (radiusAt(outside, top) - radiusAt(outside, bottomMm)) / (top - bottomMm);
      ring.making.staves.leanDeg = Math.round((Math.atan(slope) * 18000) / Math.PI) / 100;
      return undefined;
    });
    return lean(draft);
  },
});
