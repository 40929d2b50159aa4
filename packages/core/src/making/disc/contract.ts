import type { z } from 'zod';
import type { Mm, Rad } from '../../measure/quantity.js';
import type { Result } from '../../measure/reason.js';
import type { Point } from '../../ring/plane.js';
import type { Rising } from '../assemble.js';
import type { BoardRows, LaidPiece, PieceKind, PlaceGroup } from '../contract.js';
import type { Figure } from '../figures.js';
import type { StepPicture } from '../picture.js';
import type { Planing } from '../planing.js';
import type { Step } from '../step.js';
import type { MeantTone } from '../tone.js';
import type { Warning } from '../warnings.js';
import type { SharedBoard } from './scribed.js';

/** What is glued up for a disc: the circle that it holds, and how high it is (mm). */
export interface DiscSize {
  readonly outerRadiusMm: Mm;
  readonly heightMm: Mm;
  /** How it is sawn apart; left out where it stays whole. */
  readonly apart?: Apart;
}

/** How a thick disc is sawn apart, lengths in mm. */
export interface Apart {
  readonly slices: number;
  /** Which of its slices the ring is, from the bottom. */
  readonly index: number;
  readonly kerfMm: number;
  /** Heights of the cuts' middles. */
  readonly cutsMm: readonly number[];
  readonly pinMm: number | null;
  /** The board that it is scribed on with others; null where each has one of its own. */
  readonly shared: SharedBoard | null;
}

/** A disc before it is sawn apart: its pieces as they are sawn, and where they lie. */
export interface LaidDisc {
  readonly kinds: readonly PieceKind[];
  /** Farthest point of the blank from the axis, mm. */
  readonly cornerMm: number;
  readonly repeats: number;
  readonly figures: readonly Figure[];
  /** Whether its pieces are laid and fitted on a drawing of it at full size. */
  readonly laidOnPlan: boolean;
  readonly warnings?: readonly Warning[];
  lay(place: number): Rising | readonly LaidPiece[];
  steps(planing: Planing): readonly Step[];
  /** What is done with its slices all together; left out where each is cleaned up by itself. */
  readonly stacked?: Step;
  pictures?(): readonly StepPicture[];
}

/** What a disc is called, and the starting point that it is nearest to. */
export interface DiscCalled {
  readonly start: 'disc' | 'medallion' | 'twisted';
  readonly called: string;
}

/** What a disc is sawn from; `sources.ts` is the only list of them. */
export interface DiscSource<S extends { readonly is: string }> {
  readonly is: S['is'];
  readonly params: z.ZodType<S>;
  /** What it begins with. */
  readonly begun: S;
  readonly called: { readonly whole: DiscCalled; readonly sliced: DiscCalled };
  /** Parameters with which a disc can no longer be made are refused at the edit, not told afterwards. */
  readonly strict: boolean;
  /** Why slices of it are no discs of the same; null where they are. */
  readonly whole: string | null;
  groups(of: S): readonly PlaceGroup[];
  /** The angle that turns count in. */
  pitch(of: S): Rad;
  /** The longest board that several discs are scribed on side by side, mm; null, or left out, where each is glued up by itself. */
  longest?(of: S): number | null;
  /** Lays out what holds a disc; refuses what does not go into it. */
  lay(of: S, size: DiscSize): Result<LaidDisc>;
  tones?(of: S): readonly MeantTone[];
  mirror?(of: S): S;
  readonly rows?: BoardRows<S>;
  /** The same so that it goes into a disc; null when nothing is at hand. */
  instead?(of: S, size: DiscSize): S | null;
}

/** A floor glued up from pieces that all go from its bottom to its top. */
export interface Floor extends Pick<LaidDisc, 'kinds' | 'repeats' | 'figures' | 'steps'> {
  readonly outlines: readonly (readonly Point[])[];
  /** The step that each kind comes with, by its id. */
  readonly stepOf: readonly string[];
}
