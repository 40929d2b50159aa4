import { type Mm, mm } from '../measure/quantity.js';
import type { Result } from '../measure/reason.js';
import { type RingNeed, withRadii } from '../ring/need.js';
import type { Made } from './contract.js';
import { mitred } from './stock.js';

/** Halvings of the range in which the hole is looked for: to the last digit of any ring. */
const HALVINGS = 52;

/** Radial width of a ring's widest mitred pieces, of a shell the thickness of its panels; null where it has none. */
function widthOf(made: Result<Made>): number | null {
  if (!made.ok) return null;
  if (made.value.ball !== null) return Math.max(...made.value.kinds.map(({ heightMm }) => heightMm));
  const widths = made.value.kinds.flatMap(({ stock }) => {
    const piece = mitred(stock);
    return piece && piece.cutAngle > 0 ? [piece.widthMm] : [];
  });
  return widths.length > 0 ? Math.max(...widths) : null;
}

/**
 * The size of a ring that came out with another outer radius: its strips were cut to the planned width, so the hole is
 * the one with which strips of that width make the ring. A hole that would be less than nothing is 0.
 */
export function sameStrips(
  make: (need: RingNeed) => Result<Made>,
  planned: RingNeed,
  outerRadiusMm: Mm,
): RingNeed {
  const width = widthOf(make(planned));
  const sized = (inner: number): RingNeed => ({
    heightMm: planned.heightMm,
    outerRadiusMm,
    innerRadiusMm: mm(inner),
    ...(planned.round && {
      round: () => withRadii(planned.round!(), { outerRadiusMm, innerRadiusMm: inner }),
    }),
  });
  if (width === null) return sized(Math.min(planned.innerRadiusMm, outerRadiusMm));
  let [least, most] = [0, Number(outerRadiusMm)];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (least + most) / 2;
    const here = widthOf(make(sized(middle)));
    if (here === null || here <= width) most = middle;
    else least = middle;
  }
  return sized(most < outerRadiusMm * 1e-12 ? 0 : most);
}
