import { type Mm, mm } from '../../measure/quantity.js';
import { prepare } from '../prepare.js';
import type { Command } from './command.js';
import { named, type Rings } from './each.js';
import { setFixed } from './ringCommands.js';

/**
 * Fixes the size of rings, each at its own: what it is fixed to already, else what it gives now, else what the form asks
 * for. `change` (radii) goes to all of them.
 */
export const fixSizes = (
  rings: Rings,
  change: { readonly outerRadiusMm?: Mm; readonly innerRadiusMm?: Mm } = {},
): Command => ({
  label: `Fixed size of ${named(rings)}`,
  apply(draft, ripping) {
    const prepared = prepare(draft, ripping);
    if (!prepared.ok) return { reasons: prepared.reasons };
    for (const index of rings) {
      const { made, need } = prepared.value.rings[index]!;
      const now = made.ok ? made.value.gives : need;
      const size = draft.rings[index]!.fixed ?? {
        outerRadiusMm: mm(now.outerRadiusMm),
        innerRadiusMm: mm(now.innerRadiusMm),
      };
      setFixed([index], { ...size, ...change }).apply(draft);
    }
    return undefined;
  },
});
