import { mm } from '../../measure/quantity.js';
import { type Between, jointingOf, spacersIn } from './between.js';
import type { Gap } from './gaps.js';

/** How thick spacers are until another thickness is given: 3 mm, a line that is seen across a room. */
export const SPACER_BEGUN = mm(3);

/** Gaps until others are given: a quarter of the circle, or 6 mm. */
export const GAPS_BEGUN: Readonly<Record<Gap['sides'], Gap>> = {
  tapered: { sides: 'tapered', share: 0.25 },
  parallel: { sides: 'parallel', widthMm: mm(6) },
};

/** What the joints of a ring of `count` hold when it is chosen; joint by joint it begins with what they hold `now`. */
export function betweenBegun(put: Between['put'], count: number, now?: Between): Between {
  if (put === 'spacers') return { put, spacers: { at: 'every', thicknessMm: SPACER_BEGUN } };
  if (put === 'gaps') return { put, gap: GAPS_BEGUN.tapered };
  const { thicknesses, wood } = jointingOf(count, now);
  const held = thicknesses.flatMap((thick, joint) =>
    thick > 0
      ? [{ joint, holds: wood[joint]! > 0 ? ('spacer' as const) : ('gap' as const), thicknessMm: mm(thick) }]
      : [],
  );
  const layers = spacersIn(now)?.layers;
  if (held.length > 0) return { put, joints: held, ...(layers && { layers }) };
  // Two that lie opposite close; of an odd number only all of them do for certain.
  const joints = count % 2 === 0 ? [0, count / 2] : Array.from({ length: count }, (_, joint) => joint);
  return { put, joints: joints.map((joint) => ({ joint, holds: 'spacer', thicknessMm: SPACER_BEGUN })) };
}
