import type { MadeBlank } from '../blank/contract.js';
import type { Vessel } from '../form/vessel.js';
import type { InlayLies } from '../inlay/placed.js';
import type { Inlay } from '../inlay/schema.js';
import type { Lumber } from '../lumber/lumber.js';
import type { RingPlan } from '../lumber/ringPlan.js';
import type { RingMaking } from '../making/registry.js';
import type { Result } from '../measure/reason.js';
import type { Said } from '../measure/said.js';
import type { MotifUse } from '../pattern/motifUse.js';
import type { Tone } from '../pattern/tones.js';
import type { Owner, Roll } from '../ring/owner.js';
import type { FinishId } from '../settings/finishes.js';
import type { Shop } from '../settings/shop.js';
import type { CheckCode } from './codes.js';

/** What puts a check right, as data; `project/commands/remedies.ts` turns it into an edit. Rings by index. */
export type Remedy =
  | { readonly does: 'follow-form'; readonly ring: number }
  | { readonly does: 'make-disc'; readonly ring: number }
  | { readonly does: 'make-segments'; readonly ring: number }
  | { readonly does: 'make-plugged'; readonly ring: number }
  | { readonly does: 'make-as'; readonly ring: number; readonly making: RingMaking }
  | { readonly does: 'alternate-hands'; readonly rings: readonly number[] }
  | { readonly does: 'cut-one-hand'; readonly rings: readonly number[] }
  | { readonly does: 'fewer-segments'; readonly rings: readonly number[]; readonly shortestMm: number }
  | { readonly does: 'split'; readonly ring: number; readonly atMm: number }
  | { readonly does: 'remove'; readonly rings: readonly number[] }
  | { readonly does: 'top-up' }
  | { readonly does: 'form-to-stack' }
  | { readonly does: 'finish'; readonly finish: FinishId }
  | {
      readonly does: 'other-wood';
      /** Of the palette entry, and the wood that it is given, with the names of both. */
      readonly key: string;
      readonly wood: string;
      readonly name: string;
      readonly instead: string;
    };

/** Something to look at: a sentence with its numbers, lengths in mm, what it is about from the bottom, what helps. */
export interface Check {
  readonly code: CheckCode;
  readonly owners: readonly Owner[];
  readonly message: Said;
  readonly remedies: readonly Remedy[];
  /** Good to know, and nothing that has to be put right. */
  readonly note?: true;
}

/** What a check may look at. */
export interface Subject {
  readonly shop: Shop;
  readonly vessel: Vessel;
  /** Whether panels close the hollow all round. */
  readonly shut: boolean;
  readonly rings: readonly RingPlan[];
  /** How far the wall stands over the top of the stack and under its foot, where slanted cuts run out there (mm). */
  readonly over: { readonly topMm: number; readonly footMm: number };
  /** Slanted bands with the size of their boards, and the least that they may be (mm). */
  readonly bands: readonly {
    readonly id: string;
    readonly lengthMm: number;
    readonly widthMm: number;
    readonly leastMm: { readonly lengthMm: number; readonly widthMm: number };
  }[];
  /** What is let into the outside; a sentence where the form no longer takes it. */
  readonly inlays: readonly { readonly inlay: Inlay; readonly placed: Result<InlayLies> }[];
  readonly lumber: Lumber;
  readonly roll: Roll;
  readonly blanks: readonly { readonly id: string; readonly made: Result<MadeBlank> }[];
  readonly palette: readonly { readonly tone: Tone }[];
  readonly motifs: readonly { readonly use: MotifUse }[];
}
