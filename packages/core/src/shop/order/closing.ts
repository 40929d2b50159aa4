import type { RingPlan } from '../../lumber/ringPlan.js';
import type { Mm } from '../../measure/quantity.js';
import type { FinishId } from '../../settings/finishes.js';
import type { Workshop } from '../../settings/workshop.js';
import type { Assembly } from './assembly.js';
import type { Hold } from './held.js';
import type { PlacedInlay } from './inlayJobs.js';
import type { Job } from './job.js';
import type { Part } from './partJobs.js';
import type { LeaningJoint } from './placing.js';

/** What the work on the whole piece is worked out from. */
export interface Closing {
  readonly rings: readonly RingPlan[];
  readonly workshop: Workshop;
  readonly assembly: Assembly;
  /** Of every ring, how its joints meet those of the ring below where both lean. */
  readonly leaning: readonly (LeaningJoint | null)[];
  /** The last job of each section, in its order. */
  readonly ends: readonly (Job | undefined)[];
  /** Rings, by their place, that give too much for the tool: they are left to the last. */
  readonly slender: readonly number[];
  /** How it is held when it was turned round. */
  readonly reversed: Hold;
  readonly underFootMm: Mm;
  /** Thickness of the spare foot; 0 where there is none. */
  readonly spareMm: Mm;
  /** The centre of gravity lies off the axis: the force at speed is felt. */
  readonly shakes: boolean;
  readonly letIn: DiscLetIn | null;
  /** What it is finished with, where it says. */
  readonly finish: FinishId | undefined;
  /** What is let into the outside. */
  readonly inlays: readonly PlacedInlay[];
  /** What is made beside it for the whole piece: a base that its halves stand on. */
  readonly beside: readonly Part[];
}

/** A disc let into the bottom: it hides the grip, and carries what is written on it; mm. */
export interface DiscLetIn {
  readonly radiusMm: number;
  readonly depthMm: number;
  readonly says: string;
}
