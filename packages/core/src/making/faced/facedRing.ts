import { type Mm, mm } from '../../measure/quantity.js';
import type { Band } from '../../ring/overlap.js';
import type { LaidPiece, LayerLine } from '../contract.js';
import type { Frame } from '../joints/frame.js';
import { pieceAt, type SegmentGroup } from '../sources/contract.js';
import { type Stance, stanceOf } from '../staves/staves.js';
import type { StripStock } from '../stock.js';
import { apexOf, type Faces, type Wedge } from '../wedge.js';
import { type CarvedPart, carve, placed } from './carve.js';
import type { FaceShape } from './face.js';
import { trapezoids } from './sweep.js';

/** A ring of equal segments whose faces are made up of several woods. */
export interface FacedRing {
  readonly wedges: readonly Wedge[];
  readonly faces: Faces;
  readonly half: number;
  readonly heightMm: Mm;
  readonly gives: Band;
  /** A segment as it is sawn, whatever it is made up of. */
  readonly segment: StripStock;
  /** By how much less of a face's width goes from bottom to top where its joints lean, either side (mm). */
  readonly asideMm: number;
  /** How deep what is in the face goes: to the backing, or right through (mm). */
  readonly frontMm: Mm;
  /** How its segments stand, and so are called and looked at. */
  readonly stance: Stance;
}

/** The faces of a ring that is sized already; `backingMm` is how far behind them a backing begins, where there is one. */
export function facedRing(frame: Frame, backingMm: Mm | undefined): FacedRing {
  const { framing, faces, half, heightMm, gives, segments, asideMm, wedge } = frame;
  const segment = segments[0]!.stock;
  return {
    wedges: Array.from({ length: framing.count }, (_, i) => wedge(i)),
    faces,
    half,
    heightMm,
    gives,
    segment,
    asideMm,
    frontMm: backingMm ?? segment.widthMm,
    stance: stanceOf(framing.staves),
  };
}

/**
 * Lays out the pieces of segments that have the faces that `faceOf` says. Faces that are the same object are worked out
 * once. Pieces of a segment are numbered through its groups in their order.
 */
export function layFaces(
  ring: FacedRing,
  groups: readonly SegmentGroup[],
  faceOf: (segment: number) => readonly FaceShape[],
): (place: number) => readonly LaidPiece[] {
  const count = ring.wedges.length;
  type Pieces = ReadonlyMap<number, readonly CarvedPart[]>;
  /** By face, and of wedges glued alternately upside down by which of the two it is. */
  const known = new Map<readonly FaceShape[], Map<number, Pieces>>();
  const carvedOf = (face: readonly FaceShape[], wedge: Wedge) => {
    const byLean = known.get(face) ?? new Map<number, Pieces>();
    const carved = byLean.get(wedge.tiltTo) ?? byPiece(face, ring, wedge);
    byLean.set(wedge.tiltTo, carved);
    known.set(face, byLean);
    return carved;
  };
  return (place) => {
    const { segment, piece } = pieceAt(groups, count, place)!;
    const wedge = ring.wedges[segment]!;
    const parts = carvedOf(faceOf(segment), wedge).get(piece) ?? [];
    return parts.map(({ fromMm, toMm, bottom, top }) => {
      const low = placed(wedge, bottom);
      return { place, fromMm, toMm, bottom: low, top: top === bottom ? low : placed(wedge, top) };
    });
  };
}

function byPiece(
  face: readonly FaceShape[],
  { faces, heightMm }: FacedRing,
  wedge: Wedge,
): ReadonlyMap<number, readonly CarvedPart[]> {
  const pieces = new Map<number, CarvedPart[]>();
  for (const part of trapezoids(face, heightMm).flatMap((each) => carve(each, wedge, faces, heightMm))) {
    const known = pieces.get(part.piece);
    if (known) known.push(part);
    else pieces.set(part.piece, [part]);
  }
  return pieces;
}

/** Width of the face at the outside (mm). */
export const faceWidth = ({ faces, half }: Pick<FacedRing, 'faces' | 'half'>): Mm =>
  mm(2 * faces.outerRadiusMm * Math.tan(half));

/** Where a stretch across the face, so far behind it, lies nearest to the axis and farthest over all segments (mm). */
export function behindFace(
  { faces, wedges }: Pick<FacedRing, 'faces' | 'wedges'>,
  depthMm: number,
  [from, to]: readonly [from: number, to: number],
): Pick<LayerLine, 'nearMm' | 'farMm'> {
  const lines = wedges.map((wedge) => {
    const { x, y } = apexOf(wedge);
    const across = [y + from, y + to] as const;
    const at = faces.outerRadiusMm - depthMm + x;
    return {
      near: Math.hypot(at, Math.max(0, across[0], -across[1])),
      far: Math.hypot(at, Math.max(...across.map(Math.abs))),
    };
  });
  return {
    nearMm: Math.min(...lines.map(({ near }) => near)),
    farMm: Math.max(...lines.map(({ far }) => far)),
  };
}
