import { say, sayMade, sayMm, sayRad } from '../../measure/said.js';
import { type Step, step } from '../step.js';
import { nippedBy } from './laid.js';
import { type GlobePart, globeFigures, type Sawn } from './panels.js';

/** A globe as its steps tell of it. */
interface GlobeTold extends Sawn {
  /** Of the sphere through its corners, and the thickness of its panels. */
  readonly radiusMm: number;
  readonly wallMm: number;
  /** Whether panels are glued to caps of five round the old corners first, or by threes round every equilateral. */
  readonly glued: 'fives' | 'triplets';
}

/** Isosceles and equilateral panels of a globe, or of half of one. */
export const panelsOf = (part: GlobePart): { readonly isosceles: number; readonly equilateral: number } =>
  part === 'half' ? { isosceles: 30, equilateral: 10 } : { isosceles: 60, equilateral: 20 };

/** Which panels are glued first, and how these come together; counted off the split icosahedron. */
const CAPS = {
  triplets: {
    whole:
      'Glue three isosceles round every equilateral on a flat pattern with tape, fold them up, then join these twenty caps: five round each of the old corners.',
    half: 'Glue three isosceles round each of five equilaterals on a flat pattern with tape, and two round each of the other five; fold them up. Join the five caps of four round the middle, the caps of three between them, and put the last five isosceles in between at the level edge.',
  },
  fives: {
    whole:
      'Glue five isosceles to a cap, points together, legs to legs, on a shallow form; twelve such caps in all. Join them with the equilaterals between, three caps round each.',
    half: 'Glue five isosceles to a cap, points together, legs to legs, on a shallow form; six such caps in all. Put one in the middle and five round it, with the equilaterals between.',
  },
} as const;

/** What is done to make a facetted globe, in order. */
export function globeSteps(
  { radiusMm, wallMm, bevels, part, glued }: GlobeTold,
  { leg, base }: { leg: number; base: number },
  bevel: { leg: number; base: number; side: number },
): Step[] {
  const nippedMm = nippedBy(bevels, radiusMm, wallMm);
  const { isosceles, equilateral } = panelsOf(part);
  const { centre } = globeFigures();
  return [
    step(
      'triangles',
      'saw',
      say`Plane stock to ${sayMm(wallMm, 'thickness')} and saw ${sayMade(isosceles)} isosceles triangles, as wide as their outer faces: a base of ${sayMm(base, 'stop')}, legs of ${sayMm(leg)}.`,
      ['short-pieces', 'tapers', 'dust'],
    ),
    step(
      'equilaterals',
      'saw',
      say`Saw ${sayMade(equilateral)} equilateral triangles of the same stock, ${sayMm(base, 'stop')} on every side.`,
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
    ...(bevels === 'half-angle' && part === 'half'
      ? [
          step(
            'rim',
            'saw',
            say`For a level rim bevel one base of five isosceles by ${sayRad(centre.base, 'blade-tilt')} and one side of five equilaterals by ${sayRad(centre.side, 'blade-tilt')} instead.`,
            ['short-pieces', 'tapers', 'dust'],
          ),
        ]
      : []),
    ...(nippedMm === null
      ? []
      : [
          step(
            'tips',
            'sander',
            say`Nip the inner tips of the equilaterals off by ${sayMm(nippedMm)}: where six panels meet, two of them would run into each other there.`,
            ['dust'],
          ),
        ]),
    step('caps', 'clamps', CAPS[glued][part]),
    step(
      'close',
      'clamps',
      part === 'half'
        ? 'Stop at the level circle of ten edges: that is the half globe for a bowl. True its rim before it is glued to a foot.'
        : 'Close the globe with the last cap; leave a hole for the faceplate if it is turned between centres.',
    ),
  ];
}
