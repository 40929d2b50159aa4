import { type Mm, mm } from '../../measure/quantity.js';
import { done, refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { backing, backingGroup, backingLine, backingTooDeep } from '../faced/backing.js';
import {
  box,
  type FacePoint,
  type FaceShape,
  field,
  pocket,
  round,
  THROUGH,
  throughShape,
} from '../faced/face.js';
import { facedRing, faceWidth, layFaces } from '../faced/facedRing.js';
import { facesAgainst, wholeFacesAgainst } from '../faced/goes.js';
import { placesOfSegments, type SegmentGroup, type Source, togetherOf } from '../sources/contract.js';
import { bottoms, doesNotFit } from './fit.js';
import { edgePieces, kindsOf } from './kinds.js';
import { plugsIn } from './lens.js';
import { type InlaidRing, type PlugParams, type Plugs, plugsSchema } from './params.js';
import { inlaidPictures } from './pictures.js';
import { inlaidSteps } from './steps.js';

const groupsFor = (given: Plugs): SegmentGroup[] => [
  { name: 'Segment', each: 1 },
  { name: 'Plug', each: given.plugs.length },
  { name: 'Edge', each: edgePieces(given.edge) },
  ...backingGroup(given),
];

/** Outline of a plug in the face of a segment of a ring so high. */
export function plugLoop({ shape, acrossMm, asideMm, upMm }: PlugParams, heightMm: number): FacePoint[] {
  const at = { u: asideMm, z: heightMm / 2 + upMm };
  const half = acrossMm / 2;
  if (shape === 'round') return round(at, half);
  if (shape === 'square') return box(at.u - half, at.u + half, at.z - half, at.z + half);
  return [
    { u: at.u, z: at.z - half },
    { u: at.u + half, z: at.z },
    { u: at.u, z: at.z + half },
    { u: at.u - half, z: at.z },
  ];
}

/** The face of one segment: its plugs, the edge round its field, and the field. */
function inlaidFace(given: InlaidRing, segment: number, width: number, heightMm: number): FaceShape[] {
  const { plugs, edge } = given;
  const { topMm, bottomMm, sidesMm } = edge;
  const side = width / 2 - sidesMm;
  const edges = [
    ...(topMm > 0 ? [box(-width, width, heightMm - topMm, heightMm)] : []),
    ...(bottomMm > 0 ? [box(-width, width, 0, bottomMm)] : []),
    ...(sidesMm > 0 ? [box(-width, -side, 0, heightMm), box(side, width, 0, heightMm)] : []),
  ];
  return [
    ...plugsIn(given, segment).map((plug, i) =>
      pocket(1 + i, plug.depthMm ?? THROUGH, plugLoop(plug, heightMm)),
    ),
    ...backing(given, 1 + plugs.length + edges.length),
    ...edges.map((loop, i) => throughShape(1 + plugs.length + i, loop)),
    field(0),
  ];
}

/** The face of every segment; those that are alike are one object, and where all are there is only one. */
function facesOf(given: InlaidRing, width: number, heightMm: number): FaceShape[][] {
  const known = new Map<string, FaceShape[]>();
  return Array.from({ length: given.lens ? given.count : 1 }, (_, segment) => {
    const key = plugsIn(given, segment)
      .map(({ acrossMm }) => acrossMm)
      .join();
    const face = known.get(key) ?? inlaidFace(given, segment, width, heightMm);
    known.set(key, face);
    return face;
  });
}

/** Dots, plugs and windows in the faces of segments, and fields with an edge all round. */
export const inlaid: Source<Plugs> = {
  is: 'plugs',
  params: plugsSchema,
  most: { count: 120, of: 'a ring with plugs' },
  strict: true,
  groups: groupsFor,
  against: (of, beside) =>
    (of.edge.sidesMm > 0 || (beside.staves && edgePieces(of.edge) > 0) ? wholeFacesAgainst : facesAgainst)(
      of,
      beside,
    ),
  repeats: ({ lens }, count) => (!lens ? count : count % lens.times === 0 ? lens.times : 1),
  mirror: (given, count) => ({
    ...given,
    plugs: given.plugs.map((plug) => ({ ...plug, asideMm: mm(0 - plug.asideMm) })),
    ...(given.lens && {
      lens: { ...given.lens, segment: mirroredAt(given.lens.segment, count) },
    }),
  }),
  tones: (given, count) =>
    Array.from({ length: placesOfSegments(groupsFor(given), count) }, (_, i) =>
      i < count ? 'light' : 'dark',
    ),
  saw(of, frame) {
    const { count } = frame.framing;
    const given: InlaidRing = { ...of, count };
    const { plugs } = given;
    const ring = facedRing(frame, of.backingMm);
    const { heightMm } = ring;
    const width = faceWidth(ring);
    const tooLarge = doesNotFit(given, ring) ?? backingTooDeep(given, ring);
    if (tooLarge) return tooLarge;
    const groups = groupsFor(given);
    const faces = facesOf(given, width, heightMm);
    const faceOf = (segment: number) => faces[segment % faces.length]!;
    const lay = layFaces(ring, groups, faceOf);
    const hidden = plugs.findIndex((_, i) =>
      faces.some((_, segment) => lay(count + segment * plugs.length + i).length === 0),
    );
    if (hidden >= 0)
      return refuse(
        'plug-hidden',
        `sawnFrom.plugs.${hidden}`,
        say`Plug ${hidden + 1} of ${sayMm(plugs[hidden]!.acrossMm)} lies wholly within one that comes before it; put the smaller one first.`,
      );
    return done({
      kinds: kindsOf(given, ring, groups),
      radial: false,
      together: togetherOf(groups, count),
      lay,
      layers: [...bottoms(given, ring, heightMm), ...backingLine(given, frame)],
      figures: [
        { key: 'face-width', value: width, unit: 'mm' },
        { key: 'plugs', value: plugs.length * count, unit: 'count' },
      ],
      steps: (planing) => inlaidSteps(given, frame, ring, planing),
      pictures: () => inlaidPictures(given, ring, faceOf, groups),
    });
  },
  instead(given, frame) {
    const room = Math.min(faceWidth(frame) - 2 * frame.asideMm, frame.heightMm);
    const { topMm, bottomMm, sidesMm } = given.edge;
    const most = mm(Math.floor(room * 0.9 * 2) / 2);
    if (most < 1) return null;
    const narrower = (e: Mm) => mm(Math.min(e, room / 4));
    const swell = given.lens?.swell ?? 1;
    const deep = frame.segments[0]!.stock.widthMm;
    return {
      ...given,
      edge: { topMm: narrower(topMm), bottomMm: narrower(bottomMm), sidesMm: narrower(sidesMm) },
      plugs: given.plugs.map((plug) => ({
        ...plug,
        acrossMm: mm(Math.max(0.5, Math.min(plug.acrossMm, most / swell))),
        asideMm: mm(0),
        upMm: mm(0),
        ...(plug.depthMm !== undefined && { depthMm: mm(Math.min(plug.depthMm, deep * 0.8)) }),
      })),
    };
  },
};

/** A place among the segments as it is seen in a mirror that stands on the index mark: s is N − 1 − s, once round. */
const mirroredAt = (segment: number, count: number): number =>
  (((count - 1 - segment) % count) + count) % count;
