import type { z } from 'zod';
import type { Mm, Rad } from '../measure/quantity.js';
import type { Result } from '../measure/reason.js';
import type { RingNeed } from '../ring/need.js';
import type { Band } from '../ring/overlap.js';
import type { Point } from '../ring/plane.js';
import type { CautionId } from '../settings/cautions.js';

/** Piece sawn off a strip by mitre cuts: long edge outside, cut angle from square, blade tilt. */
export interface StripStock {
  readonly from: 'strip';
  readonly longEdgeMm: Mm;
  readonly shortEdgeMm: Mm;
  readonly widthMm: Mm;
  readonly cutAngle: Rad;
}

/** Piece sawn out of the middle of a wide board: the least rectangle it comes from. */
export interface PanelStock {
  readonly from: 'panel';
  readonly lengthMm: Mm;
  readonly widthMm: Mm;
}

/** One kind of piece of a ring: all of one size, and alike when turned about the axis. */
export interface PieceKind {
  readonly name: string;
  readonly heightMm: Mm;
  readonly volumeMm3: number;
  readonly stock: StripStock | PanelStock;
  /** The places these pieces fill, one piece each. */
  readonly places: readonly number[];
}

/** One piece where it lies in the ring at turn 0, as outlines at its bottom and its top, counter-clockwise, mm. */
export interface LaidPiece {
  readonly place: number;
  readonly bottom: readonly Point[];
  readonly top: readonly Point[];
}

/** A ring that can be made: prepared once, then asked as often as a drawing likes. */
export interface Made {
  /** Radii between which the blank is wood all round. */
  readonly gives: Band;
  /** Farthest point of the blank from the axis, mm: what the lathe must swing. */
  readonly cornerMm: Mm;
  readonly kinds: readonly PieceKind[];
  /** The piece at one of the places. */
  lay(place: number): LaidPiece;
  /** Which place holds the point (mm; z from the ring's bottom; turn 0); null where there is no wood. */
  placeAt(x: number, y: number, z: number): number | null;
  /** What is done, in order; lengths in mm. */
  steps(): readonly string[];
  readonly cautions: readonly CautionId[];
}

/**
 * A way of making a ring. Everything else (drawings, totals, strips, checks) asks only these questions and knows no
 * particular way; `registry.ts` is the only list of them.
 */
export interface Making<P extends { readonly way: string }> {
  readonly way: P['way'];
  readonly name: string;
  /** When turners choose it, in one line. */
  readonly says: string;
  readonly params: z.ZodType<P>;
  /** How many places can be given a wood; they are numbered from the index mark, counter-clockwise from above. */
  places(params: P): number;
  /** The angle by which the ring looks the same again; `turn` counts in it. */
  pitch(params: P): Rad;
  make(params: P, need: RingNeed): Result<Made>;
  /** What a ring of the planned size is when it was made and its outer radius, across the flats, is another. */
  asMeasured(params: P, planned: RingNeed, outerMm: Mm): RingNeed;
}
