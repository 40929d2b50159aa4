import type { PlaceGroup } from '../contract.js';
import { groupsBetween } from '../halves/groups.js';
import type { InHalves } from '../halves/params.js';
import { type Plug, plugGroup } from '../plug.js';
import type { Staves } from '../staves/staves.js';
import { type Between, spacersIn } from './between.js';
import type { Leaning } from './lean.js';
import { spacerGroups } from './spacers.js';

/** Segments and joints, two of the four answers that a ring is put together from. */
export interface Framing {
  readonly count: number;
  /** Angles of unequal segments in proportion; left out where they are equal. */
  readonly parts?: readonly number[] | undefined;
  /** Two half-rings of segments of their own; left out where all close the ring together. */
  readonly inHalves?: InHalves | undefined;
  /** Segments stand on end as staves, and may lean out or in; left out where they lie flat. */
  readonly staves?: Staves | undefined;
  /** Segments go to the middle: their points meet, or a plug takes their place. */
  readonly toCentre?: true | undefined;
  /** In the middle, through all of them. */
  readonly plug?: Plug | undefined;
  /** How joints lean; left out where they stand upright. */
  readonly lean?: Leaning | undefined;
  /** What lies in the joints; left out where segments are glued to each other. */
  readonly between?: Between | undefined;
}

/** Groups of places after those of the segments. */
export const otherGroups = ({ count, between, inHalves, plug }: Framing): PlaceGroup[] => [
  ...spacerGroups(count, spacersIn(between)),
  ...(inHalves ? groupsBetween(count, inHalves) : []),
  ...plugGroup(plug),
];
