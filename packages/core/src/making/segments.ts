import { whole } from '../measure/field.js';
import { formatAngle, sayMm } from '../measure/format.js';
import { mm, type Rad, rad, TURN } from '../measure/quantity.js';
import { type Result, refuse } from '../measure/reason.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import type { CautionId } from '../settings/cautions.js';
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
  longEdgeMm: mm(2 * faces.outerMm * Math.tan(half)),
  shortEdgeMm: mm(2 * faces.innerMm * Math.tan(half)),
  widthMm: mm(faces.outerMm - faces.innerMm),
  thicknessMm: mm(heightMm),
  cutAngle: rad(half),
  bladeTilt: rad(0),
  cutting: 'turned-over',
});

/** A refusal where a ring has no wood between its faces; null where it has. */
export const withoutWidth = (outerMm: number, innerMm: number): Result<never> | null =>
  outerMm - innerMm > SAME_LENGTH
    ? null
    : refuse(
        'ring-no-width',
        'innerMm',
        `The ring has no width: outside ${sayMm(outerMm)}, inside ${sayMm(innerMm)}.`,
      );

export const setTheSaw = (
  { cutAngle, bladeTilt, longEdgeMm }: StripStock,
  pieces: number,
  how = 'turning the strip over between cuts',
): string => {
  const tilt = bladeTilt === 0 ? '' : ` and the blade to ${formatAngle(bladeTilt)}`;
  return `Set the saw to ${formatAngle(cutAngle)} from square${tilt} and the stop so that the long edge is ${sayMm(longEdgeMm)}; cut ${pieces} segments, ${how}, and one to test the setting.`;
};

export const planeAndRip = ({ thicknessMm, widthMm }: StripStock, what = 'the ring’s thickness'): string =>
  `Plane strips to ${what}, ${sayMm(thicknessMm)} and what is sanded off, and rip them ${sayMm(widthMm)} wide.`;

export const GLUE_RING = 'Dry-fit the ring, close the last joint, then glue.';
