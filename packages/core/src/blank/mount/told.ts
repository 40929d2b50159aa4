import { type Step, step } from '../../making/step.js';
import type { Warning } from '../../making/warnings.js';
import { say, sayMade, sayMm, sayRad } from '../../measure/said.js';
import { leanOf } from './holes.js';
import type { MountParams } from './params.js';
import type { MountSize } from './size.js';

/** Leans over by less than this before it falls (radians): a working value for something that stands on a shelf. */
const TIPS = 0.26;

/** What can be looked at in halves on rods that can be made all the same. */
export const mountWarnings = ({ tips }: MountSize): Warning[] =>
  tips < TIPS
    ? [
        {
          code: 'tips-easily',
          message: say`It falls when it leans over by ${sayRad(tips)}. A longer or wider base stands better; lead let into its bottom helps.`,
        },
      ]
    : [];

/** What is done, in order: the base beside the lathe, holes and saw cut in the turned piece, the rods when its finish is on. */
export function mountSteps(given: MountParams, size: MountSize): Step[] {
  const { rods, rodMm, sawnDeg, drilledMm, insetMm, base, kerfMm } = given;
  const lean = leanOf(given);
  const leaning =
    lean === 0
      ? 'the drill table square'
      : say`the drill table tilted ${sayRad(Math.abs(lean), 'blade-tilt')}`;
  const turnRound =
    lean === 0
      ? ''
      : say` The rods of the two halves lean ${lean > 0 ? 'apart' : 'together'} going up: turn the work end for end for those of the other.`;
  return [
    step(
      'base',
      'saw',
      say`Plane a block for the base to ${sayMm(base.heightMm, 'thickness')}, and saw it to ${sayMm(base.lengthMm, 'length')} × ${sayMm(base.widthMm, 'width')}.`,
      ['dust'],
    ),
    step(
      'base-holes',
      'drill',
      say`Lay the full-size template on it, prick the ${sayMade(2 * rods)} crosses, and with ${leaning} drill ${sayMm(rodMm, 'diameter')}, ${sayMm(base.drilledMm, 'depth')} deep along the drill.${turnRound}`,
      ['drill', 'dust'],
    ),
    step(
      'rods',
      'bench',
      say`Cut ${sayMade(2 * rods)} rods of ${sayMm(rodMm)} to ${sayMm(size.rodLengthMm, 'length')} and take the edge off both ends.`,
    ),
    {
      ...step(
        'foot-holes',
        'drill',
        say`While it is whole: mark the saw line over the foot, ${sawnDeg}° from the index mark, lay the template of the foot along it and prick the crosses, ${sayMm(insetMm, 'place')} from the sawn face${rods > 1 ? say` and ${sayMm(size.spacingMm)} apart` : ''}. Stand it upside down in a padded ring, clamped, and with ${leaning} drill ${sayMm(rodMm, 'diameter')}, ${sayMm(drilledMm, 'depth')} deep along the drill.${turnRound}`,
        ['drill', 'dust'],
      ),
      when: 'turned',
    },
    {
      ...step(
        'halve',
        'bandsaw',
        say`Saw it in two along the line, ${sawnDeg}° and ${(sawnDeg + 180) % 360}° from the index mark, bedded in a cradle that holds it upright and keeps it from turning. The saw takes ${sayMm(kerfMm)}.`,
        ['round-work', 'bandsaw', 'dust'],
      ),
      when: 'turned',
    },
    {
      ...step(
        'sawn-faces',
        'sander',
        'Flatten both sawn faces on a sanding board, the half moved and not the board, and break their edges.',
        ['dust'],
      ),
      when: 'turned',
    },
    {
      ...step(
        'mount',
        'clamps',
        say`Push rods and halves together dry. Then glue the rods into the base, let that set, and glue the halves on, ${sayMm(given.freeMm, 'place')} above the base; weight them until it holds. Metal rods: roughen their ends and use an epoxy.`,
      ),
      when: 'finished',
    },
  ];
}
