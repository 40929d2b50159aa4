import { rad } from '../../measure/quantity.js';
import { type Result, refuse } from '../../measure/reason.js';
import { say, sayMm, sayRad } from '../../measure/said.js';
import { SAME_ANGLE } from '../../measure/tolerance.js';
import type { Band } from '../../ring/overlap.js';
import type { Figure } from '../figures.js';
import type { Warning } from '../warnings.js';
import { type Gap, holdOfGaps } from './gaps.js';

/** Over this share of the half-pitch, neighbours in half-pitch bond hold on to each other by too little. */
const LITTLE_HOLD = 1 / 3;

/** Hold at each end of a segment, outside and inside, radians. */
const holds = (gap: Gap, count: number, { outerRadiusMm, innerRadiusMm }: Band) => ({
  outside: holdOfGaps(gap, count, outerRadiusMm),
  inside: Math.max(0, holdOfGaps(gap, count, innerRadiusMm)),
});

/** By how much segments lie on those of the next ring, half a pitch round. */
export function holdFigures(gap: Gap, count: number, band: Band): Figure[] {
  const { outside, inside } = holds(gap, count, band);
  return gap.sides === 'tapered'
    ? [{ key: 'overlap-at-each-end', value: rad(outside), unit: 'rad' }]
    : [
        { key: 'overlap-at-each-end-outside', value: rad(outside), unit: 'rad' },
        { key: 'overlap-at-each-end-inside', value: rad(inside), unit: 'rad' },
      ];
}

/** Where little of each segment lies on the next ring. */
export function holdWarnings(gap: Gap, count: number, band: Band): Warning[] {
  const theta = Math.PI / count;
  const { outside, inside } = holds(gap, count, band);
  return inside < theta * LITTLE_HOLD ? [littleHold(inside, outside, theta)] : [];
}

/** Hold is least inside, where a gap takes most of the circle: it is judged there. */
function littleHold(inside: number, outside: number, theta: number): Warning {
  const both =
    outside - inside < SAME_ANGLE
      ? sayRad(inside)
      : say`${sayRad(inside)} inside and ${sayRad(outside)} outside`;
  return {
    code: 'little-hold',
    message: say`Its segments lie on those of the next ring by ${both} at each end, under a third of half a pitch (${sayRad(theta)}): little holds the wall together.`,
  };
}

/** The refusal of gaps that leave nothing to be glued on half a pitch round, by the field that they are in; null where there is hold. */
export function noHold(gap: Gap, count: number, outerRadiusMm: number, field: string): Result<never> | null {
  if (holdOfGaps(gap, count, outerRadiusMm) > 0) return null;
  if (gap.sides === 'tapered')
    return refuse(
      'gap-no-contact',
      `${field}.share`,
      say`Gaps that take ${Math.round(gap.share * 100)} % of the circle leave no contact with the next ring half a pitch round; they have to take less than 50 %.`,
      { most: 0.5 },
    );
  const most = 2 * outerRadiusMm * Math.sin(Math.PI / (2 * count));
  return refuse(
    'gap-no-contact',
    `${field}.widthMm`,
    say`Gaps of ${sayMm(gap.widthMm)} leave no contact with the next ring half a pitch round; in a ring of ${sayMm(2 * outerRadiusMm)} with ${count} segments they have to be less than ${sayMm(most)}.`,
    { most },
  );
}
