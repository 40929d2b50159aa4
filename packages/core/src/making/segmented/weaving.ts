import { fromDegrees } from '../../measure/quantity.js';
import type { Made } from '../contract.js';
import type { Frame } from '../joints/frame.js';
import { levelThickness } from '../joints/jointed.js';
import type { PicturePart, StepPicture } from '../picture.js';
import { type Step, step } from '../step.js';
import type { SegmentedParams } from './params.js';

/** Rings of a basket that it takes to read as weaving; common practice. */
const LEAST_RINGS = 3;

export const WEAVING: Made['reads'] = { as: 'weaving', rings: LEAST_RINGS };

/** Stacking rings of a basket. */
export const STACK_WOVEN: Step = step(
  'stack',
  'bench',
  `Turn each ring half a segment from the one below; at least ${LEAST_RINGS} rings, with a plain cap ring below and above.`,
);

/** Rows and segments that the picture shows. */
const ROWS = 3;
const SHOWN = 5;

/** Three rings of a basket from outside, half a segment on from each other, laid flat. */
export function wovenPicture({ count, lean, between }: SegmentedParams, frame: Frame): StepPicture {
  const { heightMm } = frame;
  const thick =
    between?.put === 'spacers' && between.spacers.at === 'every' ? between.spacers.thicknessMm : 0;
  const tau = fromDegrees(lean?.tiltDeg ?? 0);
  const edge = 2 * frame.faces.outerRadiusMm * Math.tan(frame.half);
  const level = levelThickness(thick, tau);
  const pitch = edge + level;
  const aside = (lean?.hand === 'right' ? 1 : -1) * heightMm * Math.tan(tau);
  const parts = Array.from({ length: ROWS }, (_, row) =>
    Array.from({ length: SHOWN }, (_, i): PicturePart[] => {
      const from = (i + (row % 2) / 2) * pitch;
      const [low, high] = [row * heightMm, (row + 1) * heightMm];
      const band = (left: number, right: number) => [
        { x: left - aside / 2, y: low },
        { x: right - aside / 2, y: low },
        { x: right + aside / 2, y: high },
        { x: left + aside / 2, y: high },
      ];
      return [
        { outline: band(from, from + level), place: count + i },
        { outline: band(from + level, from + pitch), place: i },
      ];
    }).flat(),
  ).flat();
  return {
    step: STACK_WOVEN.id,
    title: 'Rings',
    says: 'Three rings from outside, each half a segment on from the one below: spacers and segments as they lean.',
    parts,
    lines: [],
    sizes: [{ from: { x: level, y: 0 }, to: { x: pitch, y: 0 }, mm: edge }],
  };
}
