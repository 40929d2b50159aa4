import { setTheSaw } from '../making/segments.js';
import { type Step, step } from '../making/step.js';
import type { StripStock } from '../making/stock.js';
import { say, sayMade, sayMm, sayRad } from '../measure/said.js';
import type { Slant } from '../ring/slant.js';
import type { PreparedBand } from './preparedBand.js';

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** What is done to put a slanted band into the work, in order. */
export const bandSteps = ({ slant, made, lengthMm, widthMm }: PreparedBand): Step[] => {
  const { stock } = made.kinds[0]!;
  return [
    ...(stock.from === 'strip' ? ringSteps(slant, stock) : [boardStep(slant, lengthMm, widthMm)]),
    ...putIn(slant),
  ];
};

const boardStep = ({ thicknessMm }: Slant, lengthMm: number, widthMm: number): Step =>
  step(
    'board',
    'planer',
    say`Plane a board to ${sayMm(thicknessMm, 'thickness')}, ${sayMm(lengthMm, 'length')} up the slope and ${sayMm(widthMm, 'width')} across it.`,
    ['dust'],
  );

/** A ring of segments is glued up like any other, flat, and thin. */
const ringSteps = ({ count = 0, thicknessMm }: Slant, stock: StripStock): Step[] => [
  step(
    'board',
    'planer',
    say`Plane strips to ${sayMm(thicknessMm, 'thickness')} and a little for flattening, and rip them ${sayMm(stock.widthMm, 'width')} wide.`,
    ['thin-stock', 'dust'],
  ),
  setTheSaw(stock, count),
  step(
    'ring',
    'clamps',
    say`Glue the ${sayMade(count)} segments into a flat ring and flatten it to ${sayMm(thicknessMm, 'thickness')}; a joint goes where the cut is lowest.`,
    ['dust'],
  ),
];

const putIn = ({ heightMm, slantDeg, towardDeg, kerfMm, count }: Slant): Step[] => [
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
    count === undefined
      ? 'Glue the board between the parts, line on line, and saw it round when the glue is hard.'
      : 'Glue the ring between the parts, its middle on the axis, a joint on the line where the cut is lowest, and saw it round when the glue is hard.',
    ['bandsaw', 'dust'],
  ),
];
