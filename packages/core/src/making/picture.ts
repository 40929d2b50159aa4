import type { Said } from '../measure/said.js';
import type { Point } from '../ring/plane.js';

/** Something drawn in a step: an outline (x to the right, y up, mm) and the place whose wood it has; null for none. */
export interface PicturePart {
  readonly outline: readonly Point[];
  readonly place: number | null;
  /** Further outlines that are holes in it, or islands in these (even-odd). */
  readonly holes?: readonly (readonly Point[])[];
}

/** A length that is written into a step's picture, along the line between two points. */
export interface PictureSize {
  readonly from: Point;
  readonly to: Point;
  readonly mm: number;
}

/** A line in a step's picture: where a saw goes, what is trimmed off, or an edge. */
export interface PictureLine {
  readonly from: Point;
  readonly to: Point;
  readonly is: 'cut' | 'trim' | 'edge';
}

/** One step of a glue-up as a picture: board, slices, block, segment, ring. */
export interface StepPicture {
  /** The id of the step that it shows. */
  readonly step: string;
  readonly title: string;
  /** What is seen, and from where. */
  readonly says: Said;
  /** Drawn in their order, later ones over earlier ones. */
  readonly parts: readonly PicturePart[];
  readonly lines: readonly PictureLine[];
  readonly sizes: readonly PictureSize[];
}

/** What is laid on the work at full size, to saw and drill by: lines by what they are, about its middle (mm). */
export interface FullSize {
  readonly title: string;
  readonly lines: readonly {
    readonly is: 'outline' | 'middle' | 'saw' | 'hole' | 'cross';
    readonly points: readonly Point[];
    readonly closed: boolean;
  }[];
}

/** The outline of something with square corners. */
export const boxOutline = (left: number, low: number, right: number, high: number): Point[] => [
  { x: left, y: low },
  { x: right, y: low },
  { x: right, y: high },
  { x: left, y: high },
];
