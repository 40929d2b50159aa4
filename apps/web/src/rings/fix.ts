import { type Command, edit, mm, type Plan, type Ring } from '@fellside/core';

/**
 * Fixes the size of rings, each at its own: what it is fixed to already, else what it gives now; `change` (radii, mm) goes to
 * all of them.
 */
export const fixRings = (
  rings: readonly number[],
  plan: Plan,
  change: Partial<Ring['fixed']> = {},
): Command => ({
  label: `Fixed size of ${rings.length === 1 ? `ring ${rings[0]! + 1}` : `${rings.length} rings`}`,
  apply(draft) {
    for (const index of rings) {
      const { gives, need } = plan.rings[index]!;
      const now = gives ?? need;
      const size = draft.rings[index]!.fixed ?? { outerMm: mm(now.outerMm), innerMm: mm(now.innerMm) };
      const outcome = edit.setFixed([index], { ...size, ...change }).apply(draft);
      if (outcome?.reasons) return outcome;
    }
    return undefined;
  },
});
