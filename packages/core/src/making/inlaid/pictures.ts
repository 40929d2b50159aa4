import type { FaceShape } from '../faced/face.js';
import { type FacedRing, type FaceGroup, faceWidth } from '../faced/facedRing.js';
import { boxOutline, segmentAndRing } from '../faced/pictures.js';
import { placeOfPiece } from '../faced/placeOf.js';
import type { StepPicture } from '../picture.js';
import type { InlaidParams } from './params.js';

/** The hole from the side, the segment and the ring as pictures. */
export function inlaidPictures(
  given: InlaidParams,
  ring: FacedRing,
  heightMm: number,
  faceOf: (segment: number) => readonly FaceShape[],
  groups: readonly FaceGroup[],
): StepPicture[] {
  const placeOf = (segment: number, piece: number) => placeOfPiece(groups, given.count, segment, piece);
  const rest = segmentAndRing(ring, heightMm, given.count, faceOf, placeOf);
  return given.plugs.length === 0
    ? [facePicture(given, ring, heightMm), ...rest]
    : [holePicture(given, ring, heightMm, placeOf), ...rest];
}

/** What of a segment is glued up before its ends are mitred. */
function facePicture({ edge }: InlaidParams, ring: FacedRing, heightMm: number): StepPicture {
  const width = faceWidth(ring);
  const framed = edge.topMm + edge.bottomMm + edge.sidesMm > 0;
  return {
    step: framed ? 'frame' : 'rip',
    title: 'Block',
    says: 'The block that a segment is glued up as, before its mitres, from outside.',
    parts: [{ outline: boxOutline(0, 0, width, heightMm), place: 0 }],
    lines: [],
    sizes: [{ from: { x: 0, y: 0 }, to: { x: width, y: 0 }, mm: width }],
  };
}

/** A cut through the middle of a segment, outside to the left: how deep its plugs go. */
function holePicture(
  { plugs }: InlaidParams,
  ring: FacedRing,
  heightMm: number,
  placeOf: (segment: number, piece: number) => number,
): StepPicture {
  const deep = ring.segment.widthMm;
  return {
    step: 'plug-1',
    title: 'Holes',
    says: 'A cut through the middle of a segment, its outer face to the left: how deep the plugs go.',
    parts: [
      { outline: boxOutline(0, 0, deep, heightMm), place: placeOf(0, 0) },
      ...[...plugs.entries()].reverse().map(([i, { acrossMm, upMm, depthMm }]) => ({
        outline: boxOutline(
          0,
          heightMm / 2 + upMm - acrossMm / 2,
          depthMm ?? deep,
          heightMm / 2 + upMm + acrossMm / 2,
        ),
        place: placeOf(0, 1 + i),
      })),
    ],
    lines: [],
    sizes: [
      { from: { x: 0, y: 0 }, to: { x: deep, y: 0 }, mm: deep },
      ...plugs.slice(0, 1).map(({ depthMm }) => ({
        from: { x: 0, y: heightMm },
        to: { x: depthMm ?? deep, y: heightMm },
        mm: depthMm ?? deep,
      })),
    ],
  };
}
