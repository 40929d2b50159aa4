import type { z } from 'zod';
import type { Mm, Rad } from '../measure/quantity.js';
import type { Result } from '../measure/reason.js';
import type { Said } from '../measure/said.js';
import type { Convex } from '../ring/convex.js';
import type { RingNeed } from '../ring/need.js';
import type { Band } from '../ring/overlap.js';
import type { Point } from '../ring/plane.js';
import type { Sanded } from '../ring/sanded.js';
import type { Figure } from './figures.js';
import type { JointRun } from './joints/stripe.js';
import type { StepPicture } from './picture.js';
import type { Planing } from './planing.js';
import type { Step } from './step.js';
import type { Stock } from './stock.js';
import type { MeantTone } from './tone.js';
import type { Warning } from './warnings.js';

/** Places of one sort: segments, spacers, a plug. They are numbered one group after the other. */
export interface PlaceGroup {
  readonly name: string;
  readonly count: number;
}

/**
 * How the grain of a piece lies in the ring: along the segment, from the axis outwards, upright, or straight across the
 * whole piece in the direction of the index mark.
 */
export type GrainWay = 'along' | 'outwards' | 'upright' | 'across';

/** One kind of piece of a ring: all of one size as they are sawn. */
export interface PieceKind {
  readonly name: Said;
  readonly grain: GrainWay;
  readonly heightMm: Mm;
  readonly stock: Stock;
  /** The places these pieces fill, one piece each. */
  readonly places: readonly number[];
}

/**
 * One piece where it lies in the ring at turn 0, or a part of one that is not so simply shaped: outlines at its bottom and
 * its top, counter-clockwise, mm. Both have the same number of corners; between them each corner goes straight from the
 * one to the other. Parts of a piece do not overlap.
 */
export interface LaidPiece {
  readonly place: number;
  /** Heights of bottom and top above the ring's bottom. */
  readonly fromMm: number;
  readonly toMm: number;
  readonly bottom: readonly Point[];
  readonly top: readonly Point[];
}

/** A line between two places of one piece that turning must not break through: where it is nearest to the axis, and farthest. */
export interface LayerLine {
  readonly name: Said;
  readonly nearMm: number;
  readonly farMm: number;
  /** Heights above the ring's bottom between which it lies; left out where it goes all the way up. */
  readonly fromMm?: number;
  readonly toMm?: number;
  /** By how much its radii grow for every mm of height; they are told at half the ring's. Left out where they are the same all the way up. */
  readonly lean?: number;
}

/** A ring that can be made: prepared once, then asked as often as a drawing likes. */
export interface Made {
  readonly heightMm: Mm;
  /** Radii between which the blank has wood (gaps apart), at half its height; of a shell those of its spheres. */
  readonly gives: Band;
  /** Height above its bottom of the point that a shell goes round; null of a ring whose wall goes up. */
  readonly ball: number | null;
  /** By how much these radii grow for every mm of height; 0 in an upright ring. */
  readonly lean: number;
  /** Whether the ring is wood all round; otherwise there are gaps between its pieces. */
  readonly closed: boolean;
  /** Whether every joint is an upright plane through the axis, from the ring's bottom to its top: a piece then holds one share of every circle. */
  readonly radial: boolean;
  /** How often the lay-out comes to itself in a turn, woods apart; so does the order of the places in every group. */
  readonly repeats: number;
  /** Farthest point of the blank from the axis, mm: what the lathe must swing. */
  readonly cornerMm: Mm;
  readonly groups: readonly PlaceGroup[];
  readonly kinds: readonly PieceKind[];
  /** Places that are glued up before they are sawn, segment by segment; empty where each place of the first group is one. */
  readonly together: readonly (readonly number[])[];
  /** Whether the lines between what is glued up within a segment are not to be seen. */
  readonly hidesGlue: boolean;
  /** Whether its pieces are laid and fitted on a drawing of the ring at full size. */
  readonly laidOnPlan: boolean;
  /** What several rings of it on top of each other read as, and how many it takes; null where one is enough. */
  readonly reads: { readonly as: string; readonly rings: number } | null;
  readonly layers: readonly LayerLine[];
  readonly figures: readonly Figure[];
  readonly warnings: readonly Warning[];
  /** The piece at one of the places: one outline that rises, or several where it takes more; none where nothing is left of it. */
  lay(place: number): readonly LaidPiece[];
  /** Of a shell, the panel at one of the places as flat faces, mm from the ring's bottom, turn 0. */
  panel?(place: number): Convex;
  /** Which place holds the point (mm; z from the ring's bottom; turn 0); null where there is no wood. */
  placeAt(x: number, y: number, z: number): number | null;
  /** What is written on the piece at a place, where its order matters; null where it does not. */
  mark(place: number): string | null;
  /** What is done, in order, in a shop that planes its wood so. */
  steps(planing: Planing): readonly Step[];
  /** The glue-up as pictures, each with the step that it shows, where there is more to it than sawing and gluing segments. */
  pictures?(): readonly StepPicture[];
}

/** What a way of making starts from when a ring is to be made in it. */
export interface Beginning {
  readonly segments: number;
  /** A name that no other glue-up of the piece has. */
  readonly body: string;
}

/** A starting point: a name that turners use, and what stands for it. */
export interface Start<P> {
  readonly name: string;
  /** When turners choose it, in one line. */
  readonly says: string;
  /** How rings are turned when they are first made so: half a segment from the ring below, or as they were. */
  readonly bond: 'half-pitch' | 'as-it-was';
  /** What stays of a ring that was made in the same way before, as far as it goes with it. */
  readonly keeps?: readonly (keyof P)[];
  /** Parameters that it stands for; null where it needs more than that (a ring from stock). */
  begin(from: Beginning): P | null;
}

/** Layers or strips that a ring's board is glued up from, as a list that is set row by row. */
export interface BoardRows<P> {
  /** What the list is called: where it begins and ends. */
  called(params: P): string;
  /** Thickness or width of each, mm; null for the last where it has what is left. */
  sizes(params: P): readonly (Mm | null)[];
  /** The same with other rows; the size of the last is of no use where it has what is left. */
  withSizes(params: P, sizes: readonly Mm[]): P;
  /** Places of a row, in the same order for every row. */
  places(params: P, row: number): readonly number[];
  /** Whether the first row lies lowest. */
  upward(params: P): boolean;
  /** What the last row has in a ring that is made, where it has what is left. */
  left?(params: P, made: Made): Mm | null;
}

/**
 * A way of making a ring. Everything else (drawings, totals, strips, checks) asks only these questions and knows no
 * particular way; `registry.ts` is the only list of them.
 */
export interface Making<P extends { readonly way: string }> {
  readonly way: P['way'];
  readonly params: z.ZodType<P>;
  /** What a turner can start from; the names of the starting points are told apart over all ways. */
  readonly starts: Readonly<Record<string, Start<P>>>;
  /** The starting point that a ring is nearest to; left out where there is only one. */
  nearest?(params: P): string;
  /** What a ring is called; left out where it is called as its starting point. */
  called?(params: P): string;
  /** Whether it is meant for rings that are solid to the centre. */
  solid(params: P): boolean;
  /** Whether it is a shell that stands for a whole stack: it grows with the form, and slices of it are no shells. Left out where it is a ring. */
  readonly shell?: boolean;
  /** What can be given a wood; segments come first, numbered from the index mark, counter-clockwise from above. */
  groups(params: P): readonly PlaceGroup[];
  /** Segments round the ring; null where there are none to count. */
  segments(params: P): number | null;
  /** The same with another number of segments; what does not go with it is left out. */
  withSegments(params: P, count: number): P;
  /** The angle that `turn` counts in: one segment, or one repeat of unequal ones. */
  pitch(params: P): Rad;
  make(params: P, need: RingNeed): Result<Made>;
  /** Parameters near these that can be made, when these cannot; null when none are at hand. */
  instead?(params: P, need: RingNeed): P | null;
  /** The same with what lies in its joints so many times as thick; null where nothing lies in them. Left out where nothing can. */
  thicker?(params: P, times: number): P | null;
  /** The same as seen in a mirror that stands on the index mark; left out where nothing has a hand. */
  mirror?(params: P): P;
  /**
   * Width of its strips where the hole alone makes them wider or narrower, mm; null where it cannot be made. Left out where a strip
   * is no such thing.
   */
  stripWidth?(params: P, size: RingNeed): number | null;
  /** Rings that name the same body are one glue-up, sawn apart: they share parameters, woods and radii; null where a ring is alone. */
  body?(params: P): string | null;
  /** The same as part of a glue-up of another name; what is no part of one stays as it is. */
  ofBody?(params: P, body: string): P;
  /** The same as a ring by itself, out of its glue-up; left out where it is none then. */
  whole?(params: P): P;
  /** Glue-ups with the same text here, of the same woods, are marked out on one board; null where each has its own. */
  board?(params: P): string | null;
  /** Faces that its rings are usually sanded on; left out where it is both. Rings with gaps cannot be flattened once they are glued. */
  usuallySanded?(params: P): Sanded;
  /**
   * How a joint of a ring of a size runs round at a radius (mm), from its bottom to its top; null where it cannot be followed. Left
   * out where no joints lean.
   */
  runs?(params: P, size: RingNeed, radiusMm: number): JointRun | null;
  /** Whether joints lean by the tilt of the blade; left out where none do. */
  leans?(params: P): boolean;
  /** Whether parameters with which a ring can no longer be made are refused at the edit, not told afterwards; left out where they are told. */
  strict?(params: P): boolean;
  /** Tones that its places are meant to have, one for each; left out, or null, where any wood does. */
  tones?(params: P): readonly MeantTone[] | null;
  /** What its boards are glued up from; left out where there are none. */
  boards?(params: P): readonly BoardRows<P>[];
  /** Places that are sawn from one piece and so have one wood; sets of two or more. */
  oneWood?(params: P): readonly (readonly number[])[];
}
