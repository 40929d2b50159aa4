import { type Mm, mm, TURN } from '../../measure/quantity.js';
import { say, sayMm } from '../../measure/said.js';
import { type Point, polar } from '../../ring/plane.js';
import type { PieceKind } from '../contract.js';
import { type Step, step } from '../step.js';
import type { DiscSize } from './contract.js';

/** Corners of the polygon that a disc is drawn with; it touches the circle from outside, 0.01 % larger. */
const DRAWN_SIDES = 180;

export function roundOutline({ outerRadiusMm }: DiscSize): readonly Point[] {
  const corner = outerRadiusMm / Math.cos(Math.PI / DRAWN_SIDES);
  return Array.from({ length: DRAWN_SIDES }, (_, i) => polar(corner, (i * TURN) / DRAWN_SIDES));
}

/** A board as a piece of a disc: as wide as it is long. */
export function roundKind(name: string, { outerRadiusMm }: DiscSize, heightMm: Mm, place: number): PieceKind {
  const across = mm(2 * outerRadiusMm);
  return {
    name,
    grain: 'across',
    heightMm,
    stock: { from: 'panel', shape: 'disc', lengthMm: across, widthMm: across, thicknessMm: heightMm },
    places: [place],
  };
}

export const sawRound = ({ outerRadiusMm }: DiscSize): Step =>
  step(
    'disc',
    'bandsaw',
    say`Draw a circle of diameter ${sayMm(2 * outerRadiusMm, 'diameter')} and saw it round.`,
    ['bandsaw', 'dust'],
  );
