import { type Step, step } from '../making/step.js';
import { say, sayMade, sayMm, sayRad } from '../measure/said.js';

/** A globe as its steps tell of it. */
interface GlobeTold {
  readonly wallMm: number;
  readonly bevels: 'centre' | 'half-angle';
  readonly part: 'whole' | 'half';
}

/** What is done to make a facetted globe, in order. */
export const globeSteps = (
  { wallMm, bevels, part }: GlobeTold,
  count: number,
  isosceles: number,
  { leg, base }: { leg: number; base: number },
  bevel: { leg: number; base: number; side: number },
): Step[] => [
  step(
    'triangles',
    'saw',
    say`Plane stock to ${sayMm(wallMm, 'thickness')} and saw ${sayMade(isosceles)} isosceles triangles with legs of ${sayMm(leg, 'stop')} and a base of ${sayMm(base, 'stop')}, and ${sayMade(count - isosceles)} equilateral ones of ${sayMm(base, 'stop')}, as wide as their outer faces.`,
    ['short-pieces', 'tapers', 'dust'],
  ),
  step(
    'bevels',
    'saw',
    bevels === 'centre'
      ? say`Bevels aim at the centre: ${sayRad(bevel.leg, 'blade-tilt')} at the legs, ${sayRad(bevel.base, 'blade-tilt')} at the bases of the isosceles, ${sayRad(bevel.side, 'blade-tilt')} all round the equilateral.`
      : say`Bevels are half the angle between neighbours: ${sayRad(bevel.leg, 'blade-tilt')} at the legs, ${sayRad(bevel.base, 'blade-tilt')} at the bases and all round the equilateral.`,
    ['short-pieces', 'tapers', 'dust'],
  ),
  step(
    'caps',
    'clamps',
    'Glue three isosceles round every equilateral on a flat pattern with tape, fold them up, then join these twenty caps: five round each of the old corners.',
  ),
  step(
    'close',
    'clamps',
    part === 'half'
      ? 'Stop at the level circle of ten edges: that is the half globe for a bowl. True its rim before it is glued to a foot.'
      : 'Close the globe with the last cap; leave a hole for the faceplate if it is turned between centres.',
  ),
];
