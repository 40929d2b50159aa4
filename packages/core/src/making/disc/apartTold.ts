import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import type { RingNeed } from '../../ring/need.js';
import type { Warning } from '../warnings.js';
import type { SlicedDisc, ThickDisc } from './apart.js';

/** Slices of a height that a board gives: n = floor((T + k)/(t + k)), with a hair for what was meant exactly. */
export const slicesOf = (boardMm: number, sliceMm: number, kerfMm: number): number =>
  Math.floor((boardMm + kerfMm) / (sliceMm + kerfMm) + 1e-9);

/** What can be looked at in a slice of a disc that can be made all the same. */
export const apartWarnings = (after: SlicedDisc, need: RingNeed, thick: ThickDisc): Warning[] => [
  ...tooManySlices(after, thick),
  ...pinShows(after, need),
];

/** A pin is turned away with the hollow: not in a slice that stays solid there. */
const pinShows = ({ pinMm }: SlicedDisc, { innerRadiusMm }: RingNeed): Warning[] =>
  pinMm === undefined || innerRadiusMm > pinMm / 2
    ? []
    : [
        {
          code: 'pin-shows',
          message: say`The hole for the pin of ${sayMm(pinMm)} stays: the slice is solid to ${sayMm(innerRadiusMm)} from its middle. Leave the pin out of this one and line it up by its mark.`,
        },
      ];

function tooManySlices(
  { boardMm, kerfMm }: SlicedDisc,
  { glued: { heightsMm, need } }: ThickDisc,
): Warning[] {
  const takesMm = need.heightMm;
  if (boardMm === undefined || takesMm <= boardMm + SAME_LENGTH) return [];
  const gives = slicesOf(boardMm, Math.max(...heightsMm), kerfMm);
  return [
    {
      code: 'section-too-thick',
      message: say`${heightsMm.length} slices take a board ${sayMm(takesMm)} thick; the one of ${sayMm(boardMm)} gives ${gives}. Divide the stack into sections of ${Math.max(1, gives)}.`,
    },
  ];
}
