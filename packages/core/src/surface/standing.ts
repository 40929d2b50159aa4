import type { Made } from '../making/contract.js';
import type { Cuts } from '../ring/slant.js';

/** A ring as it stands in the piece, for drawing its turned wall. */
export interface Standing {
  readonly made: Made;
  /** Radians from the index mark. */
  readonly turn: number;
  /** Height of its bottom in the stack, mm: in the piece, where no slanted band has lifted it. */
  readonly bottomMm: number;
  /** Slanted cuts through the stack, and which band this is, if it is one. */
  readonly cuts?: Cuts;
  readonly band?: number;
}
