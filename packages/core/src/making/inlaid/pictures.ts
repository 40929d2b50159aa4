import { say } from '../../measure/said.js';
import type { FaceShape } from '../faced/face.js';
import { type FacedRing, faceWidth } from '../faced/facedRing.js';
import { segmentAndRing } from '../faced/pictures.js';
import { boxOutline, type StepPicture } from '../picture.js';
import { placeOfPiece, type SegmentGroup } from '../sources/contract.js';
import type { InlaidRing } from './params.js';

/** The hole from the side, the segment and the ring as pictures. */
export function inlaidPictures(
  given: InlaidRing,
  ring: FacedRing,
  faceOf: (segment: number) => readonly FaceShape[],
  groups: readonly SegmentGroup[],
): StepPicture[] {
  const placeOf = (segment: number, piece: number) => placeOfPiece(groups, given.count, segment, piece);
  const rest = segmentAndRing(ring, faceOf, placeOf);
  return given.plugs.length === 0
    ? [facePicture(given, ring), ...rest]
    : [holePicture(given, ring, placeOf), ...rest];
}

/** What of a segment is glued up before its ends are mitred. */
function facePicture({ edge, backingMm }: InlaidRing, ring: FacedRing): StepPicture {
  const { heightMm } = ring;
  const width = faceWidth(ring);
  const framed = edge.topMm + edge.bottomMm + edge.sidesMm > 0;
  return {
    step: framed ? 'frame' : backingMm === undefined ? 'rip' : 'board',
    title: 'Block',
    says: say`The block that a ${ring.stance.called.toLowerCase()} is glued up as, before its mitres, from outside.`,
    parts: [{ outline: boxOutline(0, 0, width, heightMm), place: 0 }],
    lines: [],
    sizes: [{ from: { x: 0, y: 0 }, to: { x: width, y: 0 }, mm: width }],
  };
}

/** A cut through the middle of a segment, outside to the left: how deep its plugs go. */
function holePicture(
  { plugs }: InlaidRing,
  ring: FacedRing,
  placeOf: (segment: number, piece: number) => number,
): StepPicture {
  const { heightMm } = ring;
  const deep = ring.segment.widthMm;
  return {
    step: 'plug-1',
    title: 'Holes',
    says: say`A cut through the middle of a ${ring.stance.called.toLowerCase()}, its outer face to the left: how deep the plugs go.`,
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
