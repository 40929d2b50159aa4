import type { z } from 'zod';
import type { Result } from '../../measure/reason.js';
import type { Rising } from '../assemble.js';
import type { BoardRows, LaidPiece, Made, PieceKind } from '../contract.js';
import type { Frame } from '../joints/frame.js';
import type { Framing } from '../joints/framing.js';
import type { Planing } from '../planing.js';
import type { After } from '../segmented/after.js';
import type { Step } from '../step.js';
import type { MeantTone } from '../tone.js';

/** Pieces of one sort in every segment: so many of them, and what they are called. */
export interface SegmentGroup {
  readonly name: string;
  readonly each: number;
}

/** The answers beside what segments are sawn from. */
export interface Beside extends Framing {
  /** Segments are glued in the order in which they come off the strip. */
  readonly inOrder?: true | undefined;
  /** What is done with the ring once it is glued; left out where it stays whole. */
  readonly after?: After | undefined;
}

/** Why an answer does not go with another, by the field it is about. */
export interface Against {
  readonly path: readonly string[];
  readonly message: string;
}

/** The pieces of all segments, sawn and where they lie; places are numbered sort by sort, each segment by segment. */
export interface Sawn
  extends Partial<Pick<Made, 'together' | 'hidesGlue' | 'reads' | 'layers' | 'figures' | 'warnings'>> {
  readonly kinds: readonly PieceKind[];
  /** Whether every joint within a segment is an upright plane towards the axis, as its ends are. */
  readonly radial: boolean;
  lay(place: number): Rising | readonly LaidPiece[];
  /** From the board to the sawn segment. */
  steps(planing: Planing): readonly Step[];
  pictures?(): ReturnType<NonNullable<Made['pictures']>>;
}

/** What a segment is sawn from: the third answer that a ring is put together from. `registry.ts` is the only list of them. */
export interface Source<S extends { readonly is: string }> {
  readonly is: S['is'];
  readonly params: z.ZodType<S>;
  /** The most segments that a ring of it has, and what such a ring is called. */
  readonly most?: { readonly count: number; readonly of: string };
  /** Parameters with which a ring can no longer be made are refused at the edit, not told afterwards. */
  readonly strict?: true;
  groups(of: S): readonly SegmentGroup[];
  /** Why it does not go with the other answers; null where it does. */
  against(of: S, beside: Beside): Against | null;
  /** How often segments come to themselves among `count` of them, woods apart. */
  repeats(of: S, count: number): number;
  /** Saws the segments of a ring that is sized already; refuses what does not go into them. */
  saw(of: S, frame: Frame, beside: Beside): Result<Sawn>;
  /** The same in a ring of another count. */
  withCount?(of: S, count: number): S;
  mirror?(of: S, count: number): S;
  /** Tones that the places of the segments are meant to have. */
  tones?(of: S, count: number): readonly MeantTone[];
  /** Places that are sawn from one piece and so have one wood. */
  oneWood?(of: S, count: number): readonly (readonly number[])[];
  /** What its board is glued up from, in a ring of `count`. */
  rows?(count: number): BoardRows<S>;
  /** The same so that it goes into a ring that is sized already; null when nothing is at hand. */
  instead?(of: S, frame: Frame): S | null;
}

/** Places of a sort in all segments. */
export function placesOfGroup(
  groups: readonly SegmentGroup[],
  count: number,
  index: number,
): readonly number[] {
  const first = groups.slice(0, index).reduce((sum, { each }) => sum + each * count, 0);
  return Array.from({ length: groups[index]!.each * count }, (_, i) => first + i);
}

/** Where a place of the segments lies: in which segment, and which piece of it; null for what lies beyond them. */
export function pieceAt(
  groups: readonly SegmentGroup[],
  count: number,
  place: number,
): { readonly segment: number; readonly piece: number } | null {
  let [first, piece] = [0, 0];
  for (const { each } of groups) {
    if (place < first + each * count) {
      const at = place - first;
      return { segment: Math.floor(at / each), piece: piece + (at % each) };
    }
    first += each * count;
    piece += each;
  }
  return null;
}

/** Which place a piece of a segment is. */
export function placeOfPiece(
  groups: readonly SegmentGroup[],
  count: number,
  segment: number,
  piece: number,
): number {
  let [first, number] = [0, 0];
  for (const { each } of groups) {
    if (piece < number + each) return first + segment * each + (piece - number);
    first += each * count;
    number += each;
  }
  return first + segment;
}

/** Places of each segment, with everything in it. */
export function togetherOf(groups: readonly SegmentGroup[], count: number): number[][] {
  const segments = Array.from({ length: count }, (): number[] => []);
  groups.forEach(({ each }, g) => {
    for (const [i, place] of placesOfGroup(groups, count, g).entries())
      segments[Math.floor(i / each)]!.push(place);
  });
  return segments;
}

/** How many places all segments have together. */
export const placesOfSegments = (groups: readonly SegmentGroup[], count: number): number =>
  groups.reduce((sum, { each }) => sum + each * count, 0);
