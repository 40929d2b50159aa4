import type { Mm } from '../../measure/quantity.js';
import type { Band } from '../../ring/overlap.js';
import type { Point } from '../../ring/plane.js';
import type { PieceKind } from '../contract.js';
import type { StripStock } from '../stock.js';
import type { Faces, Wedge } from '../wedge.js';
import type { Jointed } from './jointed.js';

/** Pieces of a kind that are sawn off strips. */
export type StripKind = PieceKind & { readonly stock: StripStock };

/** Segments and joints in their sizes. */
export interface Shaped {
  readonly faces: Faces;
  readonly gives: Band;
  readonly cornerMm: Mm;
  /** Segments as they are sawn in one piece, by width. */
  readonly segments: readonly StripKind[];
  /** Equal segments with what lies in their joints; null where these are closed and upright, or of two halves. */
  readonly jointed: Jointed | null;
  /** The wood between segments; null where there is none. */
  readonly inJoints: InJoints | null;
  readonly repeats: number;
  /** Whether every joint lies in an upright plane through the axis. */
  readonly radial: boolean;
  wedge(segment: number): Wedge;
  /** Its own faces; those of two halves may differ. */
  facesOf(segment: number): Faces;
}

/** Wood between segments; its places follow theirs. */
export interface InJoints {
  readonly kinds: readonly StripKind[];
  readonly number: number;
  /** A piece by its number, at `dz` above half height. */
  outline(piece: number, dz: number): readonly Point[];
}
