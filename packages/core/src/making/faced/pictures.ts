import { say } from '../../measure/said.js';
import type { Point } from '../../ring/plane.js';
import type { PicturePart, PictureSize, StepPicture } from '../picture.js';
import { placed } from './carve.js';
import type { FacePoint, FaceShape } from './face.js';
import type { FacedRing } from './facedRing.js';
import { faceWidth } from './facedRing.js';
import { lineAt, trapezoids } from './sweep.js';

const point = ({ u, z }: FacePoint): Point => ({ x: u, y: z });

/** A face as it is seen from outside: the parts of its pieces that show, moved to the right by `aside`. */
function facePart(face: readonly FaceShape[], width: number, heightMm: number, aside: number) {
  const [least, most] = [-width / 2, width / 2];
  const held = (u: number) => Math.min(most, Math.max(least, u)) + aside;
  return trapezoids(face, heightMm).flatMap(({ fromMm, toMm, left, right, behind }) => {
    const outline = [
      { u: held(lineAt(left, fromMm)), z: fromMm },
      { u: held(lineAt(right, fromMm)), z: fromMm },
      { u: held(lineAt(right, toMm)), z: toMm },
      { u: held(lineAt(left, toMm)), z: toMm },
    ];
    const wide = Math.max(outline[1]!.u - outline[0]!.u, outline[2]!.u - outline[3]!.u);
    return behind[0] && wide > 1e-6 ? [{ piece: behind[0].piece, outline: outline.map(point) }] : [];
  });
}

/** Outer faces of neighbouring segments side by side, as parts of a picture. */
export function faceRow(
  ring: FacedRing,
  segments: readonly number[],
  faceOf: (segment: number) => readonly FaceShape[],
  placeOf: (segment: number, piece: number) => number,
): PicturePart[] {
  const width = faceWidth(ring);
  return segments.flatMap((segment, i) =>
    facePart(faceOf(segment), width, ring.heightMm, i * width).map(({ piece, outline }) => ({
      outline,
      place: placeOf(segment, piece),
    })),
  );
}

/** How many segments a picture of the ring's wall shows. */
const SHOWN = 6;

/** The last two steps of every ring with faces: a segment as it is sawn out, and a stretch of the ring. */
export function segmentAndRing(
  ring: FacedRing,
  faceOf: (segment: number) => readonly FaceShape[],
  placeOf: (segment: number, piece: number) => number,
): StepPicture[] {
  const width = faceWidth(ring);
  const { faces, half, segment, heightMm, stance } = ring;
  const called = stance.called.toLowerCase();
  const count = ring.wedges.length;
  const wedge = { middle: Math.PI / 2, shift: { x: 0, y: 0 }, half, tiltFrom: 0, tiltTo: 0 };
  const plan = placed(wedge, [
    { x: faces.outerRadiusMm, y: -faces.outerRadiusMm * Math.tan(half) },
    { x: faces.outerRadiusMm, y: faces.outerRadiusMm * Math.tan(half) },
    { x: faces.innerRadiusMm, y: faces.innerRadiusMm * Math.tan(half) },
    { x: faces.innerRadiusMm, y: -faces.innerRadiusMm * Math.tan(half) },
  ]);
  const above = heightMm * 1.35 - faces.innerRadiusMm;
  const lifted = plan.map(({ x, y }) => ({ x, y: y + above }));
  const sizes: PictureSize[] = [
    { from: { x: -width / 2, y: 0 }, to: { x: width / 2, y: 0 }, mm: width },
    { from: { x: width / 2, y: 0 }, to: { x: width / 2, y: heightMm }, mm: heightMm },
    {
      from: { x: -width / 2, y: faces.innerRadiusMm + above },
      to: { x: -width / 2, y: faces.outerRadiusMm + above },
      mm: segment.widthMm,
    },
  ];
  const several = Array.from({ length: Math.min(SHOWN, count) }, (_, i) => i);
  return [
    {
      step: 'saw',
      title: stance.called,
      says: say`A ${called} from outside, and ${stance.seen} with its mitres.`,
      parts: [...faceRow(ring, [0], faceOf, placeOf), { outline: lifted, place: placeOf(0, 0) }],
      lines: [],
      sizes,
    },
    {
      step: 'glue',
      title: 'Ring',
      says: say`${several.length} of ${count} ${called}s side by side, seen from outside, before turning.`,
      parts: faceRow(ring, several, faceOf, placeOf),
      lines: several.slice(1).map((i) => ({
        from: { x: (i - 0.5) * width, y: 0 },
        to: { x: (i - 0.5) * width, y: heightMm },
        is: 'edge',
      })),
      sizes: [],
    },
  ];
}
