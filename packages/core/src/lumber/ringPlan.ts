import type { LayerLine, Made } from '../making/contract.js';
import type { Figure } from '../making/figures.js';
import type { RingMaking } from '../making/registry.js';
import type { Step } from '../making/step.js';
import type { Warning } from '../making/warnings.js';
import type { Mm } from '../measure/quantity.js';
import type { Reason } from '../measure/reason.js';
import type { Turn } from '../measure/turn.js';
import type { RingNeed } from '../ring/need.js';
import type { Band } from '../ring/overlap.js';
import type { Reach } from '../ring/reach.js';
import type { Course } from '../ring/stack.js';
import type { OwnedPieces } from './owned.js';

/** The figures of one ring. */
export interface RingPlan {
  readonly index: number;
  readonly id: string;
  /** Heights of its faces in the piece, on the axis. */
  readonly bottomMm: Mm;
  readonly topMm: Mm;
  /** Where it is glued, before slanted bands are cut through the stack. */
  readonly course: Course;
  /** Where it lies in the piece, region by region. */
  readonly reaches: readonly Reach[];
  /** The turned wall, what the form asks for round it, and what the ring gives; null where it cannot be made. */
  readonly wall: Band;
  /** The wall as the ring leans, by radii at half its height, or round the middle of a shell; the same where it stands upright. */
  readonly wallAlong: Band;
  readonly need: RingNeed;
  readonly gives: Band | null;
  /** How it is turned from the index mark, counter-clockwise from above: in its segments, and as an angle. */
  readonly turn: Turn;
  /** Whether its size stands, whatever the form asks for: pieces cut, or the ring made and measured. */
  readonly fixed: boolean;
  readonly cornerMm: Mm;
  /** Width of the glue joint with the ring below; null for the lowest ring. */
  readonly overlapMm: Mm | null;
  readonly pieces: readonly OwnedPieces[];
  readonly reasons: readonly Reason[];
  /** Parameters near by that can be made, where these cannot. */
  readonly instead: RingMaking | null;
  /** Wood all round; otherwise there are gaps between its pieces. */
  readonly closed: boolean;
  readonly layers: readonly LayerLine[];
  readonly reads: Made['reads'];
  readonly figures: readonly Figure[];
  readonly warnings: readonly Warning[];
  /** What is done to make it, in order. */
  readonly steps: readonly Step[];
  /** Least area by which an end of a segment is glued to the ring below, mm²; only where one of the two has gaps. */
  readonly contactMm2: number | null;
}
