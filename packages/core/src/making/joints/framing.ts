import type { PlaceGroup } from '../contract.js';
import { type Plug, plugGroup } from '../plug.js';
import { type Between, spacersIn } from './between.js';
import type { Leaning } from './lean.js';
import { spacerGroups } from './spacers.js';

/** Segments and joints, two of the four answers that a ring is put together from. */
export interface Framing {
  readonly count: number;
  /** Angles of unequal segments in proportion; left out where they are equal. */
  readonly parts?: readonly number[] | undefined;
  /** In the middle, through all of them. */
  readonly plug?: Plug | undefined;
  /** How joints lean; left out where they stand upright. */
  readonly lean?: Leaning | undefined;
  /** What lies in the joints; left out where segments are glued to each other. */
  readonly between?: Between | undefined;
}

/** Groups of places after those of the segments. */
export const otherGroups = ({ count, between, plug }: Framing): PlaceGroup[] => [
  ...spacerGroups(count, spacersIn(between)),
  ...plugGroup(plug),
];
