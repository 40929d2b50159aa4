import { type Step, step } from '../making/step.js';
import type { Warning } from '../making/warnings.js';
import { say, sayMade, sayMm, sayRad } from '../measure/said.js';

/** A bent stack as it is told of: sizes in mm, radii, the sweep in degrees. */
interface BentTold {
  readonly outerRadiusMm: number;
  readonly innerRadiusMm: number;
  readonly segments: number;
  readonly wedges: number;
  readonly curveMm: number;
  readonly sweepDeg: number;
  readonly linkAsideMm: number;
  readonly straight?: { readonly lengthMm: number; readonly rings: number } | undefined;
}

/** What can be looked at in a bent stack that can be made all the same. */
export function bentWarnings(
  { curveMm, linkAsideMm, straight }: BentTold,
  thin: number,
  clearance: number | null,
  linked: boolean,
): Warning[] {
  const told: Warning[] = [];
  if (thin < 1)
    told.push({
      code: 'wedge-thin',
      message: say`The wedges come to ${sayMm(thin)} inside; under ${sayMm(1)} they break out. Take fewer of them or a wider curve.`,
    });
  if (clearance !== null && !linked)
    told.push({
      code: 'links-apart',
      message: say`With its middle ${sayMm(linkAsideMm)} aside the second link does not pass through the first; less than ${sayMm(2 * curveMm + (straight?.lengthMm ?? 0))} does.`,
    });
  else if (clearance !== null && clearance < 0)
    told.push({
      code: 'links-collide',
      message: say`The links run into each other by ${sayMm(-clearance)}; take a thinner tube or a wider curve.`,
    });
  return told;
}

/** What is done to make a bent stack, in order. */
export const bentSteps = (
  { outerRadiusMm, innerRadiusMm, segments, wedges, curveMm, sweepDeg, straight }: BentTold,
  angle: number,
  thick: number,
  thin: number,
  clearance: number | null,
): Step[] => [
  step(
    'rings',
    'clamps',
    say`Glue ${sayMade(wedges)} rings of ${segments} segments, ${sayMm(outerRadiusMm)} outside across the flats and ${sayMm(innerRadiusMm)} inside, at least ${sayMm(thick, 'thickness')} high.`,
    ['short-pieces', 'trapped-offcut', 'dust'],
  ),
  step(
    'wedges',
    'sander',
    say`Sand each to a wedge of ${sayRad(angle, 'cut-angle')}: ${sayMm(thick)} outside, ${sayMm(thin)} inside. A sled with a tapered stop makes them alike.`,
    ['tapers', 'dust'],
  ),
  ...(straight
    ? [
        step(
          'straights',
          'clamps',
          say`Glue ${sayMade(straight.rings * (sweepDeg === 360 ? 2 : 1))} rings of the same section with level faces, ${sayMm(straight.lengthMm / straight.rings, 'thickness')} high, into ${sweepDeg === 360 ? 'two straight lengths' : 'a straight length'} of ${sayMm(straight.lengthMm, 'length')}; they come between the two halves of the curve.`,
          ['short-pieces', 'dust'],
        ),
      ]
    : []),
  step(
    'curve',
    'clamps',
    say`Glue them on their faces round a former of ${sayMm(curveMm - outerRadiusMm)}, segments in line or turned by a step; ${sweepDeg === 360 ? 'dry-fit the last one before the circle is closed' : say`${sayRad((sweepDeg * Math.PI) / 180)} in all`}.`,
  ),
  ...(clearance === null
    ? []
    : [
        step(
          'link',
          'clamps',
          clearance < 0
            ? say`The second link cannot be closed through the first: they would run into each other by ${sayMm(-clearance)}.`
            : say`Close the second link through the first: ${sayMm(clearance)} of room is left all round.`,
        ),
      ]),
];
