import { say, sayMm } from '../../measure/said.js';
import { type Step, step } from '../step.js';
import { dividerMm, type InHalves } from './params.js';

/** Gluing two halves, each by itself, and sawing them apart again where they are meant for it. */
export function joiningHalves(inHalves: InHalves, between: boolean): Step[] {
  const { divider } = inHalves;
  const thick = dividerMm(inHalves);
  return [
    ...(between ? [SPACERS] : []),
    step(
      'glue-halves',
      'clamps',
      'Glue each half by itself, its ends dry against a straight edge; sand the ends true on a flat board.',
      ['dust'],
    ),
    step(
      'glue',
      'clamps',
      thick > 0
        ? say`Glue the halves with a divider of ${sayMm(thick, 'thickness')} at both ends.`
        : 'Glue the halves to each other.',
    ),
    ...(divider?.sawn
      ? [
          step(
            'saw-apart',
            'bandsaw',
            say`Saw the ring in two through the middle of the dividers; ${sayMm(divider.leftMm)} is left at every end.`,
            ['bandsaw', 'dust'],
          ),
        ]
      : []),
  ];
}

const SPACERS = step('spacers', 'planer', 'Plane spacers and dividers to the sizes of the list.', [
  'thin-stock',
  'dust',
]);
