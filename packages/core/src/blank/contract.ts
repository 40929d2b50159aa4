import type { PieceKind, PlaceGroup } from '../making/contract.js';
import type { Figure } from '../making/figures.js';
import type { FullSize, PicturePart, StepPicture } from '../making/picture.js';
import type { Step } from '../making/step.js';
import type { Warning } from '../making/warnings.js';
import type { Point3, Solid } from '../ring/space.js';

/**
 * A blank that is no ring: it has no radii between which it is wood all round. What it shares with a ring is everything
 * from its kinds of pieces down.
 */
export interface MadeBlank {
  readonly groups: readonly PlaceGroup[];
  readonly kinds: readonly PieceKind[];
  /** Every piece as it lies in the blank; convex, one for each place. */
  readonly solids: readonly Solid[];
  /** What stands beside it and is only looked at, such as a second link; its places are those of the blank. */
  readonly beside: readonly Solid[];
  /** The pattern laid flat, a part for each place. */
  readonly flat: readonly PicturePart[];
  /** How it looks and where it is drilled, where that says more than a pattern laid flat. */
  readonly pictures?: readonly StepPicture[];
  /** What is printed at full size to saw and drill it by. */
  readonly fullSize?: readonly FullSize[];
  /** Which place holds a point (mm); null where there is no wood. */
  placeAt(p: Point3): number | null;
  readonly figures: readonly Figure[];
  readonly warnings: readonly Warning[];
  /** What is done, in order. */
  steps(): readonly Step[];
}

/** Finds the solid that holds a point: slow and sure, for blanks of a few hundred pieces. */
export const finder =
  (solids: readonly Solid[], holds: (solid: Solid, p: Point3) => boolean) =>
  (p: Point3): number | null =>
    solids.find((solid) => holds(solid, p))?.place ?? null;
