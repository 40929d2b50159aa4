import { sayMm } from '../../measure/format.js';
import { type Mm, mm } from '../../measure/quantity.js';
import { done, refuse } from '../../measure/reason.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import { assemble } from '../assemble.js';
import type { LayerLine, Making, PieceKind } from '../contract.js';
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
  type FacedRing,
  type FaceGroup,
  faceGroups,
  faceWidth,
  layFaces,
  placesOfFaceGroup,
  sizedForFaces,
  togetherOf,
} from '../faced/facedRing.js';
import { placesIn } from '../layOut.js';
import { pitchOfCount, SEGMENT_CAUTIONS } from '../segments.js';
import { plugsIn } from './lens.js';
import { type Edge, type InlaidParams, inlaidParams, type PlugParams } from './params.js';
import { inlaidPictures } from './pictures.js';
import { inlaidSteps } from './steps.js';

/** Pieces of the edge that there are: above, below, at the sides. */
const edgePieces = ({ topMm, bottomMm, sidesMm }: Edge): number =>
  (topMm > 0 ? 1 : 0) + (bottomMm > 0 ? 1 : 0) + (sidesMm > 0 ? 2 : 0);

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
    const { count, spacerMm, edge, plugs } = given;
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
        `Plug ${hidden + 1} of ${sayMm(plugs[hidden]!.acrossMm)} lies wholly within one that comes before it; put the smaller one first.`,
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
          { name: 'Face, width', value: width, unit: 'mm' },
          { name: 'Plugs', value: plugs.length * count, unit: 'pieces' },
        ],
        steps: () => inlaidSteps(given, ring, heightMm),
        cautions: [
          ...SEGMENT_CAUTIONS,
          ...(plugs.length > 0 ? (['drill'] as const) : []),
          ...(edge.sidesMm + edge.topMm + edge.bottomMm > 0 ? (['thin-stock'] as const) : []),
        ],
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

/** Why plugs or edges do not go into the face; null where they do. */
function doesNotFit(given: InlaidParams, ring: FacedRing, heightMm: number) {
  const { edge, count } = given;
  const width = faceWidth(ring);
  if (edge.topMm + edge.bottomMm >= heightMm - SAME_LENGTH || 2 * edge.sidesMm >= width - SAME_LENGTH)
    return refuse(
      'edge-too-wide',
      'edge',
      `The edges take ${sayMm(edge.topMm + edge.bottomMm)} of the height of ${sayMm(heightMm)} and ${sayMm(2 * edge.sidesMm)} of the face of ${sayMm(width)}; nothing is left of the field.`,
      { most: Math.min(heightMm, width) },
    );
  for (let segment = 0; segment < (given.lens ? count : 1); segment++)
    for (const [i, plug] of plugsIn(given, segment).entries()) {
      const half = plug.acrossMm / 2;
      const named = `Plug ${i + 1} of ${sayMm(plug.acrossMm)}`;
      if (Math.abs(plug.asideMm) + half > width / 2 + SAME_LENGTH)
        return refuse(
          'plug-wider-than-face',
          `plugs.${i}`,
          `${named} reaches ${sayMm(Math.abs(plug.asideMm) + half)} from the middle; the face of ${sayMm(width)} ends at ${sayMm(width / 2)}.`,
          { most: width },
        );
      if (Math.abs(plug.upMm) + half > heightMm / 2 + SAME_LENGTH)
        return refuse(
          'plug-higher-than-face',
          `plugs.${i}`,
          `${named} reaches ${sayMm(Math.abs(plug.upMm) + half)} from half the height; the ring of ${sayMm(heightMm)} ends at ${sayMm(heightMm / 2)}.`,
          { most: heightMm },
        );
      if (plug.depthMm !== undefined && plug.depthMm > ring.segment.widthMm - SAME_LENGTH)
        return refuse(
          'plug-too-deep',
          `plugs.${i}.depthMm`,
          `Plug ${i + 1} is let in ${sayMm(plug.depthMm)}, and the segment is ${sayMm(ring.segment.widthMm)} deep. Let it go through, or less deep.`,
          { most: ring.segment.widthMm },
        );
    }
  return null;
}

/** The bottoms of holes: where each lies nearest to the axis and farthest, and at which heights. */
function bottoms(given: InlaidParams, { faces, wedges }: FacedRing, heightMm: number): LayerLine[] {
  const push = Math.hypot(wedges[0]!.shift.x, wedges[0]!.shift.y);
  const segments = given.lens ? given.count : 1;
  return given.plugs.flatMap(({ depthMm }, i): LayerLine[] => {
    if (depthMm === undefined) return [];
    const largest = Math.max(
      ...Array.from({ length: segments }, (_, segment) => plugsIn(given, segment)[i]!.acrossMm),
    );
    const { asideMm, upMm } = given.plugs[i]!;
    const line = faces.outerMm - depthMm + push;
    const [half, aside] = [largest / 2, Math.abs(asideMm)];
    return [
      {
        name: `The bottom of plug ${i + 1}`,
        nearMm: Math.hypot(line, Math.max(0, aside - half)),
        farMm: Math.hypot(line, aside + half),
        fromMm: Math.max(0, heightMm / 2 + upMm - half),
        toMm: Math.min(heightMm, heightMm / 2 + upMm + half),
      },
    ];
  });
}

/** The kinds of pieces: fields, plugs by size, edges, spacers. */
function kindsOf(
  given: InlaidParams,
  ring: FacedRing,
  heightMm: Mm,
  groups: readonly FaceGroup[],
): PieceKind[] {
  const { count, plugs, edge, spacerMm } = given;
  const width = faceWidth(ring);
  const places = (group: number) => placesOfFaceGroup(groups, count, group);
  const framed = edgePieces(edge) > 0;
  const block = (lengthMm: number, thicknessMm: number) => ({
    from: 'panel' as const,
    shape: 'block' as const,
    lengthMm: mm(lengthMm),
    widthMm: ring.segment.widthMm,
    thicknessMm: mm(thicknessMm),
  });
  const inside = heightMm - edge.topMm - edge.bottomMm;
  const segment: PieceKind = {
    name: 'Segment',
    grain: 'along',
    heightMm,
    stock: framed ? block(width - 2 * edge.sidesMm, inside) : ring.segment,
    places: places(0),
  };
  const bySize = new Map<string, { plug: PlugParams; members: number[] }>();
  for (let at = 0; at < plugs.length * count; at++) {
    const plug = plugsIn(given, Math.floor(at / plugs.length))[at % plugs.length]!;
    const key = `${plug.shape} ${plug.acrossMm.toFixed(2)} ${plug.depthMm ?? ''}`;
    const known = bySize.get(key) ?? { plug, members: [] };
    known.members.push(count + at);
    bySize.set(key, known);
  }
  const dowels = [...bySize.values()].map(
    ({ plug, members }): PieceKind => ({
      name: `${plug.shape === 'round' ? 'Dowel' : 'Plug'} of ${sayMm(plug.acrossMm)}`,
      grain: 'outwards',
      heightMm,
      stock: {
        from: 'panel',
        shape: 'dowel',
        lengthMm: mm(plug.depthMm ?? ring.segment.widthMm),
        widthMm: plug.acrossMm,
        thicknessMm: plug.acrossMm,
      },
      places: members,
    }),
  );
  const edges = edgeKinds(edge, heightMm, block, width, places(2));
  const spacers: PieceKind[] =
    spacerMm > 0
      ? [
          {
            name: 'Spacer',
            grain: 'outwards',
            heightMm,
            stock: ring.spacer!.stock,
            places: Array.from(
              { length: count },
              (_, i) => (1 + plugs.length + edgePieces(edge)) * count + i,
            ),
          },
        ]
      : [];
  return [segment, ...dowels, ...edges, ...spacers];
}

function edgeKinds(
  { topMm, bottomMm, sidesMm }: Edge,
  heightMm: Mm,
  block: (lengthMm: number, thicknessMm: number) => PieceKind['stock'],
  width: number,
  places: readonly number[],
): PieceKind[] {
  const each = edgePieces({ topMm, bottomMm, sidesMm });
  const sorts = [
    ...(topMm > 0 ? [{ name: 'Edge above', stock: block(width, topMm) }] : []),
    ...(bottomMm > 0 ? [{ name: 'Edge below', stock: block(width, bottomMm) }] : []),
    ...(sidesMm > 0
      ? [0, 1].map((i) => ({
          name: i === 0 ? 'Edge at the left' : 'Edge at the right',
          stock: block(heightMm - topMm - bottomMm, sidesMm),
        }))
      : []),
  ];
  return sorts.map(({ name, stock }, i) => ({
    name,
    stock,
    heightMm,
    grain: 'along',
    places: places.filter((_, at) => at % each === i),
  }));
}
