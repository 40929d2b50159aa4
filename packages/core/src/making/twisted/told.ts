import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import type { RingNeed } from '../../ring/need.js';
import type { Warning } from '../warnings.js';
import type { TwistedParams } from './params.js';

/** Slices of a height that a board gives: n = floor((T + k)/(t + k)), with a hair for what was meant exactly. */
export const slicesOf = (boardMm: number, sliceMm: number, kerfMm: number): number =>
  Math.floor((boardMm + kerfMm) / (sliceMm + kerfMm) + 1e-9);

const isSymmetric = (widths: readonly number[]): boolean =>
  widths.every((w, i) => Math.abs(w - widths[widths.length - 1 - i]!) < 0.01);

/** What can be looked at in a section that can be made all the same; `thick` is what its slices take of a board. */
export const twistedWarnings = (
  given: TwistedParams,
  need: RingNeed,
  heights: readonly number[],
  thick: number,
): Warning[] => [
  ...tooManySlices(given, heights, thick),
  ...crooked(given.stripsMm),
  ...pinShows(given, need),
];

/** A pin is turned away with the hollow: not in a slice that stays solid there. */
const pinShows = ({ pinMm }: TwistedParams, { innerRadiusMm }: RingNeed): Warning[] =>
  pinMm === undefined || innerRadiusMm > pinMm / 2
    ? []
    : [
        {
          code: 'pin-shows',
          message: say`The hole for the pin of ${sayMm(pinMm)} stays: the slice is solid to ${sayMm(innerRadiusMm)} from its middle. Leave the pin out of this one and line it up by the register strip.`,
        },
      ];

function tooManySlices(
  { boardMm, kerfMm }: TwistedParams,
  heights: readonly number[],
  thick: number,
): Warning[] {
  if (thick <= boardMm + SAME_LENGTH) return [];
  const gives = slicesOf(boardMm, Math.max(...heights), kerfMm);
  return [
    {
      code: 'section-too-thick',
      message: say`${heights.length} slices take a board ${sayMm(thick)} thick; the one of ${sayMm(boardMm)} gives ${gives}. Divide the stack into sections of ${Math.max(1, gives)}.`,
    },
  ];
}

const crooked = (stripsMm: readonly number[]): Warning[] =>
  isSymmetric(stripsMm)
    ? []
    : [
        {
          code: 'board-crooked',
          message: say`The ${stripsMm.length} strips are not the same on both sides of the middle; the swirl will look crooked.`,
        },
      ];
