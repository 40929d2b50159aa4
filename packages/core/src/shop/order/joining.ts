import type { RingPlan } from '../../lumber/ringPlan.js';
import { mitred } from '../../making/stock.js';
import { type Said, say } from '../../measure/said.js';
import type { Workshop } from '../../settings/workshop.js';
import type { Joining } from './schools.js';

/** How the joints of a ring are closed, and why so. */
export interface RingJoining {
  readonly by: Joining;
  readonly because: Said | null;
}

/** The step of rings that are glued as two halves in any case. */
const HALF_BY_HALF = 'glue-halves';

/** Joints of a ring that is glued from segments in one go; null where it is glued otherwise, half by half too, or is one piece. */
export function jointsOf({ pieces, steps }: Pick<RingPlan, 'pieces' | 'steps'>): number | null {
  if (steps.some(({ id }) => id === HALF_BY_HALF)) return null;
  const count = pieces.reduce(
    (sum, { kind, count }) => sum + ((mitred(kind.stock)?.cutAngle ?? 0) > 0 ? count : 0),
    0,
  );
  return count >= 3 ? count : null;
}

/** Spacers stand between the segments. */
const spaced = ({ steps }: Pick<RingPlan, 'steps'>): boolean => steps.some(({ id }) => id === 'spacers');
/** Joints lean: a band alone lets them slide. */
const leaning = ({ pieces }: Pick<RingPlan, 'pieces'>): boolean =>
  pieces.some(({ kind: { stock } }) => stock.from === 'strip' && stock.bladeTilt > 0);

/** Why joints of a ring cannot be closed in a way; null where they can. */
export function cannotJoin(
  by: Joining,
  ring: Pick<RingPlan, 'pieces' | 'steps'>,
  { equipment }: Pick<Workshop, 'equipment'>,
): Said | null {
  const joints = jointsOf(ring) ?? 0;
  if (by === 'quadrants' && !spaced(ring)) return 'It has no spacers that quarters could be glued round.';
  if ((by === 'halves' || by === 'opposite') && joints % 2 === 1)
    return say`It has ${joints} joints, an odd number: no two of them lie opposite.`;
  if (by === 'quadrants' && joints % 4 !== 0) return say`Its ${joints} joints do not make four quarters.`;
  if (by !== 'opposite' && equipment.bands === 0) return 'There is no ring clamp in the shop.';
  return null;
}

/**
 * How the joints of a ring are closed: as it was chosen, where that can be. All at once as long as the glue stays open for so many
 * joints, else as two halves, whose last joints are sanded true; rings that lean go between plates.
 */
export function joiningOf(
  ring: Pick<RingPlan, 'pieces' | 'steps'>,
  { equipment, glue, minutes }: Pick<Workshop, 'equipment' | 'glue' | 'minutes'>,
  chosen?: Joining,
): RingJoining {
  const can = (by: Joining) => cannotJoin(by, ring, { equipment });
  const wrong = chosen ? can(chosen) : null;
  if (chosen && !wrong) return { by: chosen, because: null };
  const joints = jointsOf(ring) ?? 0;
  const long = joints * minutes.joint;
  if (can('band')) return { by: can('opposite') ? 'band' : 'opposite', because: can('band') };
  if (spaced(ring) && !can('quadrants'))
    return {
      by: 'quadrants',
      because: wrong ?? 'Spacers keep their place when they are glued a quarter at a time.',
    };
  if (long > glue.openMinutes && !can('halves') && !leaning(ring))
    return {
      by: 'halves',
      because:
        wrong ??
        say`${joints} joints take ${Math.ceil(long)} minutes; the glue stays open for ${glue.openMinutes}. The two dry joints are sanded straight, so that an angle a little out does not show.`,
    };
  return { by: 'band', because: wrong };
}
