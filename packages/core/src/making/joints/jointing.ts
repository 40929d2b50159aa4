import type { Lean } from './lean.js';
import type { SpacerLayers } from './spacers.js';

/** What lies in the joints of a ring of equal segments, and how they stand. */
export interface Jointing {
  /** How thick what lies in each joint is, square to its faces, mm; 0 where there is nothing. They close. */
  readonly thicknesses: readonly number[];
  /** The same of joints that hold wood; 0 where there is air, or nothing. */
  readonly wood: readonly number[];
  /** What the spacers are glued up from; left out where they are of one piece. */
  readonly layers?: SpacerLayers | undefined;
  /** Joints that lean; left out where they stand upright. */
  readonly lean?: Lean | undefined;
  /** How much radii grow for every mm of height where segments are staves that lean; left out where faces are upright. */
  readonly slope?: number;
  /** What tapered gaps take of every segment's angle, from 0 to 1. */
  readonly share?: number;
}
