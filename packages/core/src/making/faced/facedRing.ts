import { type Mm, mm } from '../../measure/quantity.js';
import { done, type Result } from '../../measure/reason.js';
import type { RingNeed } from '../../ring/need.js';
import type { Band } from '../../ring/overlap.js';
import type { LaidPiece, PlaceGroup } from '../contract.js';
import { anglesOf, flatRing } from '../flat/ring.js';
import { jointed } from '../joints/jointed.js';
import { segmentStock } from '../segments.js';
import type { StripStock } from '../stock.js';
import type { Faces, Wedge } from '../wedge.js';
import { type CarvedPart, carve, placed } from './carve.js';
import type { FaceShape } from './face.js';
import { trapezoids } from './sweep.js';

/** A ring of equal segments whose faces are made up of several woods, with or without a spacer at every joint. */
export interface FacedRing {
  readonly wedges: readonly Wedge[];
  readonly faces: Faces;
  readonly half: number;
  readonly gives: Band;
  readonly cornerMm: Mm;
  /** A segment as it is sawn, whatever it is made up of. */
  readonly segment: StripStock;
  /** What lies between two segments, if anything does. */
  readonly spacer: { readonly stock: StripStock; lay(joint: number): LaidPiece[] } | null;
}

/** Sizes of such a ring: a plain flat ring, or one with a spacer of `spacerMm` at every joint. */
export function sizedForFaces(count: number, spacerMm: number, need: RingNeed): Result<FacedRing> {
  const { heightMm } = need;
  const half = Math.PI / count;
  if (spacerMm === 0) {
    const sized = flatRing(count, anglesOf(count), need);
    if (!sized.ok) return sized;
    const { faces, gives, cornerMm, wedge } = sized.value;
    const wedges = Array.from({ length: count }, (_, i) => wedge(i));
    return done({
      wedges,
      faces,
      half,
      gives,
      cornerMm,
      segment: segmentStock(faces, half, heightMm),
      spacer: null,
    });
  }
  const thicknesses = Array.from({ length: count }, () => spacerMm);
  const sized = jointed({ thicknesses, filled: true }, need);
  if (!sized.ok) return sized;
  const { wedges, faces, gives, cornerMm, stripOutline, stripStock } = sized.value;
  return done({
    wedges,
    faces,
    half,
    gives,
    cornerMm,
    segment: segmentStock(faces, half, heightMm),
    spacer: {
      stock: stripStock(0),
      lay(joint) {
        const outline = stripOutline(joint, 0);
        return [{ place: joint, fromMm: 0, toMm: heightMm, bottom: outline, top: outline }];
      },
    },
  });
}

/** Pieces of one sort in every segment: so many of them, and what they are called. */
export interface FaceGroup {
  readonly name: string;
  readonly each: number;
}

/** What the places of a ring with faces are: pieces group by group, each segment by segment, then the spacers. */
export const faceGroups = (groups: readonly FaceGroup[], count: number, spacerMm: number): PlaceGroup[] => [
  ...groups.filter(({ each }) => each > 0).map(({ name, each }) => ({ name, count: each * count })),
  ...(spacerMm > 0 ? [{ name: 'Spacer', count }] : []),
];

/** Numbers of the places of a group, all segments. */
export function placesOfFaceGroup(
  groups: readonly FaceGroup[],
  count: number,
  index: number,
): readonly number[] {
  const first = groups.slice(0, index).reduce((sum, { each }) => sum + each * count, 0);
  return Array.from({ length: groups[index]!.each * count }, (_, i) => first + i);
}

/** Where a place lies: in which segment, and which piece of it; null for spacers. */
function pieceAt(
  groups: readonly FaceGroup[],
  count: number,
  place: number,
): { segment: number; piece: number } | null {
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

/** Places of each segment, with everything in it. */
export function togetherOf(groups: readonly FaceGroup[], count: number): number[][] {
  const segments = Array.from({ length: count }, (): number[] => []);
  groups.forEach(({ each }, g) => {
    for (const [i, place] of placesOfFaceGroup(groups, count, g).entries())
      segments[Math.floor(i / each)]!.push(place);
  });
  return segments;
}

/**
 * Lays out the pieces of a ring whose segments have the faces that `faceOf` says. Faces that are the same object are
 * worked out once. Pieces of a segment are numbered through its groups in their order.
 */
export function layFaces(
  ring: FacedRing,
  groups: readonly FaceGroup[],
  heightMm: number,
  faceOf: (segment: number) => readonly FaceShape[],
): (place: number) => readonly LaidPiece[] {
  const count = ring.wedges.length;
  const spacers = groups.reduce((sum, { each }) => sum + each * count, 0);
  const known = new Map<readonly FaceShape[], ReadonlyMap<number, readonly CarvedPart[]>>();
  const carvedOf = (face: readonly FaceShape[]) => {
    const carved = known.get(face) ?? byPiece(face, heightMm, ring);
    known.set(face, carved);
    return carved;
  };
  return (place) => {
    const at = pieceAt(groups, count, place);
    if (!at) return ring.spacer!.lay(place - spacers).map((part) => ({ ...part, place }));
    const wedge = ring.wedges[at.segment]!;
    const parts = carvedOf(faceOf(at.segment)).get(at.piece) ?? [];
    return parts.map(({ fromMm, toMm, bottom, top }) => {
      const low = placed(wedge, bottom);
      return { place, fromMm, toMm, bottom: low, top: top === bottom ? low : placed(wedge, top) };
    });
  };
}

function byPiece(
  face: readonly FaceShape[],
  heightMm: number,
  { half, faces }: FacedRing,
): ReadonlyMap<number, readonly CarvedPart[]> {
  const pieces = new Map<number, CarvedPart[]>();
  for (const part of trapezoids(face, heightMm).flatMap((each) => carve(each, half, faces))) {
    const known = pieces.get(part.piece);
    if (known) known.push(part);
    else pieces.set(part.piece, [part]);
  }
  return pieces;
}

/** Width of the face at the outside (mm). */
export const faceWidth = ({ faces, half }: FacedRing): Mm => mm(2 * faces.outerRadiusMm * Math.tan(half));
