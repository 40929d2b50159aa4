import { whole } from '../measure/field.js';
import { mm, type Rad, rad, TURN } from '../measure/quantity.js';
import { type Result, refuse } from '../measure/reason.js';
import { say, sayMade, sayMm, sayRad } from '../measure/said.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import type { CautionId } from '../settings/cautions.js';
import { type Planing, planedTo } from './planing.js';
import { type Step, step } from './step.js';
import type { StripStock } from './stock.js';
import type { Faces } from './wedge.js';

export const FEWEST_SEGMENTS = 3;
export const MOST_SEGMENTS = 360;

/** A segment of a wider angle is no longer cut by a mitre. */
export const WIDEST = (150 * Math.PI) / 180;

export const segmentCount = whole('Segment count', FEWEST_SEGMENTS, MOST_SEGMENTS);

export const pitchOfCount = (count: number): Rad => rad(TURN / count);

/** What is at the saw when segments are cut. */
export const SEGMENT_CAUTIONS: readonly CautionId[] = ['short-pieces', 'trapped-offcut', 'dust'];

/**
 * A segment as it is sawn off its strip: θ from square, `Lo = 2·ao·tan θ`, `Li = 2·ai·tan θ`, `w = ao − ai`, with the
 * apothems of its own faces; derived in docs/how-it-computes.md, “The flat ring”.
 */
export const segmentStock = (faces: Faces, half: number, heightMm: number): StripStock => ({
  from: 'strip',
  longEdgeMm: mm(2 * faces.outerRadiusMm * Math.tan(half)),
  shortEdgeMm: mm(2 * faces.innerRadiusMm * Math.tan(half)),
  widthMm: mm(faces.outerRadiusMm - faces.innerRadiusMm),
  thicknessMm: mm(heightMm),
  cutAngle: rad(half),
  bladeTilt: rad(0),
  cutting: 'turned-over',
});

/** A refusal where a ring has no wood between its faces; null where it has. */
export const withoutWidth = (outerRadiusMm: number, innerRadiusMm: number): Result<never> | null =>
  outerRadiusMm - innerRadiusMm > SAME_LENGTH
    ? null
    : refuse(
        'ring-no-width',
        'innerRadiusMm',
        say`The ring has no width: its outer radius is ${sayMm(outerRadiusMm)}, its inner one ${sayMm(innerRadiusMm)}.`,
      );

export const setTheSaw = (
  { cutAngle, bladeTilt, longEdgeMm }: StripStock,
  pieces: number,
  how = 'turning the strip over between cuts',
  cautions: readonly CautionId[] = [],
): Step => {
  const tilt = bladeTilt === 0 ? '' : say` and the blade to ${sayRad(bladeTilt, 'blade-tilt')}`;
  return step(
    'saw',
    'saw',
    say`Set the saw to ${sayRad(cutAngle, 'cut-angle')} from square${tilt} and the stop so that the long edge is ${sayMm(longEdgeMm, 'stop')}; cut ${sayMade(pieces)} segments, ${how}, and one to test the setting.`,
    [...SEGMENT_CAUTIONS, ...cautions],
  );
};

export const planeAndRip = ({ thicknessMm, widthMm }: StripStock, planing: Planing): Step =>
  step(
    'rip',
    'planer',
    say`Plane strips to ${planedTo(thicknessMm, planing)} and rip them ${sayMm(widthMm, 'width')} wide.`,
    ['dust'],
  );

export const GLUE_RING: Step = step('glue', 'clamps', 'Dry-fit the ring, close the last joint, then glue.');

/** Joints that lean: a band alone lets them slide. */
export const GLUE_LEANING: Step = step(
  'glue',
  'clamps',
  'Dry-fit the ring and close the last joint, then glue between stiff plates that squeeze from above and below as well as with a band: leaning joints slide apart under a band alone.',
);

/** Thin parallel pieces between segments. */
export const spacersStep = (count: number, thickMm: number, longMm: number, why = ''): Step =>
  step(
    'spacers',
    'planer',
    say`Plane ${sayMade(count)} spacers to ${sayMm(thickMm, 'thickness')}, each ${sayMm(longMm, 'length')} long${why}.`,
    ['thin-stock', 'dust'],
  );
