import { type Mm, mm } from '../../measure/quantity.js';
import { done, refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { assemble } from '../assemble.js';
import type { Making } from '../contract.js';
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
import {
  type FaceGroup,
  faceGroups,
  faceWidth,
  layFaces,
  sizedForFaces,
  togetherOf,
} from '../faced/facedRing.js';
import { thickerSpacer } from '../joints/thicker.js';
import { placesIn } from '../layOut.js';
import { pitchOfCount } from '../segments.js';
import { bottoms, doesNotFit } from './fit.js';
import { edgePieces, kindsOf } from './kinds.js';
import { plugsIn } from './lens.js';
import { type InlaidParams, inlaidParams, type PlugParams } from './params.js';
import { inlaidPictures } from './pictures.js';
import { inlaidSteps } from './steps.js';

const groupsFor = ({ plugs, edge }: InlaidParams): FaceGroup[] => [
  { name: 'Segment', each: 1 },
  { name: 'Plug', each: plugs.length },
  { name: 'Edge', each: edgePieces(edge) },
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
function inlaidFace(given: InlaidParams, segment: number, width: number, heightMm: number): FaceShape[] {
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
    ...edges.map((loop, i) => throughShape(1 + plugs.length + i, loop)),
    field(0),
  ];
}

/** The face of every segment; those that are alike are one object, and where all are there is only one. */
function facesOf(given: InlaidParams, width: number, heightMm: number): FaceShape[][] {
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
export const inlaid: Making<InlaidParams> = {
  way: 'inlaid',
  name: 'Plugs and frames',
  says: 'dots, square plugs or windows let into the segments, or a field with an edge all round',
  params: inlaidParams,
  solid: false,
  bond: 'as-it-was',
  strict: true,
  begin: ({ segments }) => ({
    way: 'inlaid',
    count: Math.min(120, segments),
    spacerMm: mm(0),
    plugs: [{ shape: 'round', acrossMm: mm(8), asideMm: mm(0), upMm: mm(0), depthMm: mm(10) }],
    edge: { topMm: mm(0), bottomMm: mm(0), sidesMm: mm(0) },
  }),
  groups: (given) => faceGroups(groupsFor(given), given.count, given.spacerMm),
  segments: ({ count }) => count,
  withSegments: (given, count) => ({ ...given, count: Math.min(120, count) }),
  pitch: ({ count }) => pitchOfCount(count),
  thicker: thickerSpacer,
  mirror: (given) => ({
    ...given,
    plugs: given.plugs.map((plug) => ({ ...plug, asideMm: mm(0 - plug.asideMm) })),
    ...(given.lens && {
      lens: { ...given.lens, segment: (2 * given.count - 1 - given.lens.segment) % given.count },
    }),
  }),
  tones: (given) => [
    ...Array.from({ length: given.count }, () => 'light' as const),
    ...Array.from({ length: placesIn(inlaid.groups(given)) - given.count }, () => 'dark' as const),
  ],
  make(given, need) {
    const { count, spacerMm, plugs } = given;
    const sized = sizedForFaces(count, spacerMm, need);
    if (!sized.ok) return sized;
    const ring = sized.value;
    const heightMm = need.heightMm;
    const width = faceWidth(ring);
    const tooLarge = doesNotFit(given, ring, heightMm);
    if (tooLarge) return tooLarge;
    const groups = groupsFor(given);
    const faces = facesOf(given, width, heightMm);
    const faceOf = (segment: number) => faces[segment % faces.length]!;
    const lay = layFaces(ring, groups, heightMm, faceOf);
    const hidden = plugs.findIndex((_, i) =>
      faces.some((_, segment) => lay(count + segment * plugs.length + i).length === 0),
    );
    if (hidden >= 0)
      return refuse(
        'plug-hidden',
        `plugs.${hidden}`,
        say`Plug ${hidden + 1} of ${sayMm(plugs[hidden]!.acrossMm)} lies wholly within one that comes before it; put the smaller one first.`,
      );
    return done(
      assemble({
        heightMm,
        gives: ring.gives,
        cornerMm: ring.cornerMm,
        radial: false,
        repeats: given.lens ? (count % given.lens.times === 0 ? given.lens.times : 1) : count,
        groups: inlaid.groups(given),
        kinds: kindsOf(given, ring, heightMm, groups),
        together: togetherOf(groups, count),
        lay,
        layers: bottoms(given, ring, heightMm),
        figures: [
          { key: 'face-width', value: width, unit: 'mm' },
          { key: 'plugs', value: plugs.length * count, unit: 'count' },
        ],
        steps: (planing) => inlaidSteps(given, ring, heightMm, planing),
        pictures: () => inlaidPictures(given, ring, heightMm, faceOf, groups),
      }),
    );
  },
  instead(given, need) {
    const sized = sizedForFaces(given.count, given.spacerMm, need);
    if (!sized.ok) return null;
    const room = Math.min(faceWidth(sized.value), need.heightMm);
    const { topMm, bottomMm, sidesMm } = given.edge;
    const most = mm(Math.floor(room * 0.9 * 2) / 2);
    if (most < 1) return null;
    const narrower = (e: Mm) => mm(Math.min(e, room / 4));
    const swell = given.lens?.swell ?? 1;
    return {
      ...given,
      edge: { topMm: narrower(topMm), bottomMm: narrower(bottomMm), sidesMm: narrower(sidesMm) },
      plugs: given.plugs.map((plug) => ({
        ...plug,
        acrossMm: mm(Math.max(0.5, Math.min(plug.acrossMm, most / swell))),
        asideMm: mm(0),
        upMm: mm(0),
        ...(plug.depthMm !== undefined && {
          depthMm: mm(Math.min(plug.depthMm, sized.value.segment.widthMm * 0.8)),
        }),
      })),
    };
  },
};
