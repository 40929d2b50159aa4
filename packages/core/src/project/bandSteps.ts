import { type Step, step } from '../making/step.js';
import { say, sayMm, sayRad } from '../measure/said.js';
import type { Slant } from '../ring/slant.js';

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** What is done to put a slanted band into the work, in order; sizes of its board in mm. */
export const bandSteps = (
  { heightMm, slantDeg, towardDeg, thicknessMm, kerfMm }: Slant,
  lengthMm: number,
  widthMm: number,
): Step[] => [
  step(
    'board',
    'planer',
    say`Plane a board to ${sayMm(thicknessMm, 'thickness')}, ${sayMm(lengthMm, 'length')} up the slope and ${sayMm(widthMm, 'width')} across it.`,
    ['dust'],
  ),
  step(
    'mark',
    'bench',
    say`Mark the cut on the work: ${sayMm(heightMm, 'place')} above the bench on the axis, lowest at ${sayRad(radians(towardDeg), 'turn')} from the index mark; draw a line up the side across the cut, so that both parts come back as they were.`,
  ),
  step(
    'cut',
    'bandsaw',
    say`Bed the work in a cradle, clamp it and saw it through at ${sayRad(radians(slantDeg), 'cut-angle')} from level, losing ${sayMm(kerfMm)}.`,
    ['round-work', 'bandsaw', 'dust'],
  ),
  step(
    'true',
    'sander',
    'True both faces on a flat board, and no more than that: what is sanded off moves all that is above.',
    ['dust'],
  ),
  step(
    'glue',
    'clamps',
    'Glue the board between the parts, line on line, and saw it round when the glue is hard.',
    ['bandsaw', 'dust'],
  ),
];
