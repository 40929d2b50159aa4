import type { Mm, Rad } from '../measure/quantity.js';

export type Hand = 'left' | 'right';

/**
 * How pieces follow each other along a strip: turned over between cuts, so that long and short edges take turns; the
 * same edge always out, which wastes a wedge each time; or between two fences, the strip never turned, so that pieces
 * leaning left and right come in turn.
 */
export type Cutting = 'turned-over' | 'same-edge' | 'two-fences';

/** Sawn through after gluing: one thick piece gives several. `kerfMm` and `cleanUpMm` are lost between and after. */
export interface Slicing {
  readonly slices: number;
  /** How many of them lie in this ring; the others lie in rings of the same body. */
  readonly inRing: number;
  readonly kerfMm: Mm;
  readonly cleanUpMm: Mm;
  /** Heights of all slices together. */
  readonly keptMm: Mm;
}

/** Piece sawn off a strip: long edge outside, cut angle from square, blade tilt from upright. */
export interface StripStock {
  readonly from: 'strip';
  readonly longEdgeMm: Mm;
  readonly shortEdgeMm: Mm;
  readonly widthMm: Mm;
  /** Of the strip, upright in the ring, without what is sanded off later. */
  readonly thicknessMm: Mm;
  readonly cutAngle: Rad;
  readonly bladeTilt: Rad;
  readonly cutting: Cutting;
  readonly hand?: Hand;
  /** Pieces are cut and marked in the order of their places. */
  readonly inOrder?: true;
  /** Strips glued edge to edge into one board and cut as one: long edge of the whole piece. */
  readonly boardEdgeMm?: Mm;
  readonly slicing?: Slicing;
  /** Of a layer of a strip: faces that come off with those of the ring, at most; both where it is left out. */
  readonly mostFacesSanded?: number;
}

/**
 * Piece sawn out of the middle of a wide board: the least block it comes from, grain along the length. A `layer` is one
 * of those that a laminated board is glued up from, planed to its thickness; many pieces are cut from it.
 */
export interface PanelStock {
  readonly from: 'panel';
  readonly shape: 'disc' | 'plug' | 'stave' | 'layer' | 'block' | 'dowel';
  readonly lengthMm: Mm;
  readonly widthMm: Mm;
  readonly thicknessMm: Mm;
  /** Staves: edges at the narrow end, angle of the mitre gauge and tilt of the blade. */
  readonly narrowMm?: Mm;
  readonly mitre?: Rad;
  readonly bladeTilt?: Rad;
  readonly slicing?: Slicing;
  /** Blocks of this size that all pieces of the kind come from; one for each piece where it is left out. */
  readonly blocks?: number;
  /** Volume of all pieces that come from one, mm³, where some of them go to rings of other glue-ups. */
  readonly givesMm3?: number;
}

/** Whether a piece is turned round as it is: a disc, or a plug. */
export const isRound = (stock: Stock): stock is PanelStock =>
  stock.from === 'panel' && (stock.shape === 'disc' || stock.shape === 'plug');

/** Volume of a round piece, mm³: drawn with many corners, but turned. */
export const roundVolume = ({ widthMm }: PanelStock, heightMm: number): number =>
  (Math.PI / 4) * widthMm ** 2 * heightMm;

/** Comes off a glue-up that is counted with another ring of the same body. */
export interface SliceStock {
  readonly from: 'slice';
  readonly longEdgeMm: Mm;
  readonly shortEdgeMm: Mm;
  readonly widthMm: Mm;
  readonly cutAngle: Rad;
}

/** Comes from a ring that is made already. */
export interface StashStock {
  readonly from: 'stash';
}

export type Stock = StripStock | PanelStock | SliceStock | StashStock;

/** The sizes of a mitred piece, whatever it comes from; null for others. */
export const mitred = (stock: Stock): StripStock | SliceStock | null =>
  stock.from === 'strip' || stock.from === 'slice' ? stock : null;
