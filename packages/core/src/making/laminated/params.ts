import { z } from 'zod';
import { length, number, whole } from '../../measure/field.js';
import { backingField } from '../faced/backing.js';

/** What the slices of a laminated board are put together to. */
export const FIGURES = ['stripes', 'ramp', 'zigzag', 'chevron', 'diamond', 'chequer'] as const;
export type Figure = (typeof FIGURES)[number];

/**
 * How every other slice is turned over before it is glued: about its upright axis (front to back), about its lengthwise
 * axis (top to bottom), or about the line of sight (half a turn in its own face).
 */
export const TURNS = ['upright', 'lengthwise', 'face'] as const;

export const MOST_LAYERS = 24;

export const laminatedSchema = z.strictObject({
  is: z.literal('laminated'),
  figure: z.enum(FIGURES, { error: () => `The figure is not one of ${FIGURES.join(', ')}.` }),
  /** Thicknesses of the layers, bottom to top. */
  layersMm: z
    .array(length('Layer', 0.5, 200))
    .min(1, { error: () => 'The board has no layer; give it at least one.' })
    .max(MOST_LAYERS, { error: () => `The board has too many layers; ${MOST_LAYERS} are allowed.` }),
  /** Angle of the cross-cut from square; below 0 slices slope the other way, up to the left. */
  angleDeg: number('Angle of the slices', -75, 75, '°'),
  turn: z.enum(TURNS, { error: () => `Slices are turned ${TURNS.join(', ')}.` }),
  /** Whether the slice at the index mark is one of those that are turned over. */
  turnedFirst: z.boolean(),
  /** Slices side by side in a segment of chequers. */
  across: whole('Slices in a segment', 1, 12),
  /** Added to each slice's width, to be trimmed off. */
  trimMm: length('Trim', 0, 50),
  /** Where in the slices the ring is taken: up from their middle. */
  upMm: length('Taken above the middle', -200, 200),
  kerfMm: length('Kerf', 0.1, 10),
  /** Whether a board's two end cuts take a whole kerf each, or fall on its ends. */
  ends: z.enum(['whole', 'none'], { error: () => 'End cuts are whole or none.' }),
  /** Not used at either end of a board. */
  endWasteMm: length('End waste', 0, 500),
  spares: whole('Spare slices', 0, 100),
  /** The longest board that is glued up. */
  longestMm: length('Longest board', 100, 6000),
  /** Whether the two three-cornered ends of every board are glued into slices; left out, they are waste. */
  endsGlued: z.literal(true).optional(),
  /** A board that is there already, if it is asked what comes out of it. */
  onHandMm: length('Board on hand', 10, 6000).optional(),
  /** Whether the lines between layers are drawn. */
  glueLines: z.boolean(),
  backingMm: backingField,
});

export type Laminated = z.infer<typeof laminatedSchema>;

/** A board with the number of segments that are sawn from it. */
export type LaminatedRing = Laminated & { readonly count: number };

/** Rows of slices above each other in the ring. */
export const rowsOf = ({ figure }: Laminated): number =>
  figure === 'diamond' || figure === 'chevron' ? 2 : 1;

/** Slices side by side in a segment. */
export function slicesAcross({ figure, across }: Laminated): number {
  if (figure === 'chequer') return across;
  return figure === 'stripes' || figure === 'ramp' ? 1 : 2;
}

/** Angle that the slices are cut at, radians; stripes and chequers are cut square. */
export const sliceAngle = ({ figure, angleDeg }: Laminated): number =>
  figure === 'stripes' || figure === 'chequer' ? 0 : (angleDeg * Math.PI) / 180;

/** Whether the board is the same from above and from below; `woods`, where known, have to be so too. */
export const isSymmetric = (layersMm: readonly number[]): boolean =>
  layersMm.every((t, i) => Math.abs(t - layersMm[layersMm.length - 1 - i]!) < 0.01);
