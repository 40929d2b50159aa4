import { sayMm } from '../../measure/format.js';
import { type Mm, mm } from '../../measure/quantity.js';
import { done, refuse } from '../../measure/reason.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import { assemble } from '../assemble.js';
import type { LayerLine, Making, PieceKind } from '../contract.js';
import { type FacePoint, type FaceShape, field, pocket } from '../faced/face.js';
import {
  type FacedRing,
  type FaceGroup,
  faceGroups,
  faceWidth,
  layFaces,
  sizedForFaces,
  togetherOf,
} from '../faced/facedRing.js';
import { segmentAndRing } from '../faced/pictures.js';
import { placeOfPiece } from '../faced/placeOf.js';
import { GLUE_RING, pitchOfCount, planeAndRip, SEGMENT_CAUTIONS, setTheSaw } from '../segments.js';
import { pocketOf } from './outlines.js';
import { type LetteredParams, letteredParams } from './params.js';

const GROUPS: readonly FaceGroup[] = [
  { name: 'Segment', each: 1 },
  { name: 'Inlay', each: 1 },
];

/** A letter that the ring begins with: a plain upright cross, so that there is something to see. */
const BEGUN = {
  name: 'cross',
  loops: [
    [
      [-0.15, -0.5],
      [0.15, -0.5],
      [0.15, 0.05],
      [0.4, 0.05],
      [0.4, 0.32],
      [0.15, 0.32],
      [0.15, 0.5],
      [-0.15, 0.5],
      [-0.15, 0.32],
      [-0.4, 0.32],
      [-0.4, 0.05],
      [-0.15, 0.05],
    ] as [number, number][],
  ],
};

/** Letters or pictures let into the faces of segments, one a segment; segments without one are plain. */
export const lettered: Making<LetteredParams> = {
  way: 'lettered',
  name: 'Letters and pictures',
  says: 'one letter or picture let into each segment, with spacers between them to make room',
  params: letteredParams,
  solid: false,
  bond: 'as-it-was',
  strict: true,
  begin: ({ segments }) => {
    const count = Math.min(60, segments);
    return {
      way: 'lettered',
      count,
      spacerMm: mm(0),
      glyphs: [BEGUN],
      order: Array.from({ length: count }, () => 0),
      sizeMm: mm(12),
      upMm: mm(0),
      depthMm: mm(8),
      cutterMm: mm(1),
      clearanceMm: mm(0.04),
      turnedOver: false,
    };
  },
  groups: (given) => faceGroups(GROUPS, given.count, given.spacerMm),
  segments: ({ count }) => count,
  withSegments: (given, count) => ({
    ...given,
    count: Math.min(60, count),
    order: given.order.slice(0, count),
  }),
  pitch: ({ count }) => pitchOfCount(count),
  mirror: (given) => ({
    ...given,
    glyphs: given.glyphs.map(({ name, loops }) => ({
      name,
      loops: loops.map((loop) => loop.map(([u, z]): [number, number] => [0 - u, z]).reverse()),
    })),
    order: Array.from({ length: given.count }, (_, i) => given.order[given.count - 1 - i] ?? -1),
  }),
  tones: ({ count, spacerMm }) =>
    Array.from({ length: count * (spacerMm > 0 ? 3 : 2) }, (_, i) => (i < count ? 'light' : 'dark')),
  make(given, need) {
    const { count, spacerMm } = given;
    const sized = sizedForFaces(count, spacerMm, need);
    if (!sized.ok) return sized;
    const ring = sized.value;
    const { heightMm } = need;
    const pockets = given.glyphs.map((glyph) => pocketOf(glyph, given));
    const wrong = doesNotFit(given, pockets, ring, heightMm);
    if (wrong) return wrong;
    const lifted = pockets.map((loops) =>
      loops.map((loop) => loop.map(({ u, z }) => ({ u, z: z + heightMm / 2 + given.upMm }))),
    );
    const faces = lifted.map((loops): FaceShape[] => [pocket(1, given.depthMm, ...loops), field(0)]);
    const plain: FaceShape[] = [field(0)];
    const faceOf = (segment: number) => faces[given.order[segment] ?? -1] ?? plain;
    const same = given.order.length >= count && given.order.every((i) => i === given.order[0]);
    return done(
      assemble({
        heightMm,
        gives: ring.gives,
        cornerMm: ring.cornerMm,
        radial: false,
        repeats: same ? count : 1,
        groups: lettered.groups(given),
        kinds: kindsOf(given, pockets, ring, heightMm),
        together: togetherOf(GROUPS, count),
        lay: layFaces(ring, GROUPS, heightMm, faceOf),
        layers: bottoms(given, pockets, ring, heightMm),
        figures: [
          { name: 'Face, width', value: faceWidth(ring), unit: 'mm' },
          { name: 'Letters', value: given.order.filter((i) => i >= 0).length, unit: 'pieces' },
        ],
        steps: () => [
          planeAndRip(ring.segment),
          setTheSaw(ring.segment, count),
          `Rout the pockets ${sayMm(given.depthMm)} deep with a cutter of ${sayMm(given.cutterMm)}, inside the line; cut the inserts outside theirs, ${sayMm(given.clearanceMm)} smaller all round. Outlines of both are in the files.`,
          given.turnedOver
            ? 'Inserts go in turned over: their outlines are mirrored. Number pockets and inserts.'
            : 'Inserts go in as they are cut: their outlines are not mirrored. Number pockets and inserts.',
          'Glue the inserts in and sand them flush with the face.',
          ...(spacerMm > 0
            ? [
                `Plane ${count} spacers to ${sayMm(spacerMm)}, each ${sayMm(ring.spacer!.stock.longEdgeMm)} long; they keep the letters off the joints.`,
              ]
            : []),
          GLUE_RING,
        ],
        cautions: [...SEGMENT_CAUTIONS, 'router'],
        pictures: () =>
          segmentAndRing(ring, heightMm, count, faceOf, (segment, piece) =>
            placeOfPiece(GROUPS, count, segment, piece),
          ),
      }),
    );
  },
  instead(given, need) {
    const sized = sizedForFaces(given.count, given.spacerMm, need);
    if (!sized.ok) return null;
    const pockets = given.glyphs.map((glyph) => pocketOf(glyph, given));
    const wide = Math.max(0.1, ...pockets.flat(2).map(({ u }) => 2 * Math.abs(u)));
    const high = Math.max(0.1, ...pockets.flat(2).map(({ z }) => 2 * Math.abs(z)));
    const by = Math.min(1, (0.9 * faceWidth(sized.value)) / wide, (0.9 * need.heightMm) / high);
    return {
      ...given,
      upMm: mm(0),
      sizeMm: mm(Math.max(1, given.sizeMm * by)),
      depthMm: mm(Math.min(given.depthMm, sized.value.segment.widthMm * 0.8)),
    };
  },
};

/** Why the outlines do not go into the faces; null where they do. */
function doesNotFit(
  given: LetteredParams,
  pockets: readonly (readonly (readonly FacePoint[])[])[],
  ring: FacedRing,
  heightMm: number,
) {
  const width = faceWidth(ring);
  for (const [i, loops] of pockets.entries()) {
    if (!given.order.includes(i)) continue;
    const name = `“${given.glyphs[i]!.name}”`;
    if (loops.length === 0)
      return refuse(
        'glyph-too-fine',
        `glyphs.${i}`,
        `${name} is ${sayMm(given.sizeMm)} high and finer than the cutter of ${sayMm(given.cutterMm)} everywhere: make it larger or take a smaller cutter.`,
        { least: given.cutterMm },
      );
    const points = loops.flat();
    const wide = 2 * Math.max(...points.map(({ u }) => Math.abs(u)));
    const [low, high] = [Math.min(...points.map(({ z }) => z)), Math.max(...points.map(({ z }) => z))];
    if (wide > width + SAME_LENGTH)
      return refuse(
        'glyph-wider-than-face',
        'sizeMm',
        `${name} is ${sayMm(wide)} wide and the face ${sayMm(width)}: make the letters smaller, or the segments fewer.`,
        { most: width },
      );
    if (high + given.upMm > heightMm / 2 + SAME_LENGTH || low + given.upMm < -heightMm / 2 - SAME_LENGTH)
      return refuse(
        'glyph-higher-than-face',
        'sizeMm',
        `${name} is ${sayMm(high - low)} high, ${sayMm(Math.abs(given.upMm))} off the middle, and the ring ${sayMm(heightMm)} high.`,
        { most: heightMm },
      );
  }
  if (given.depthMm > ring.segment.widthMm - SAME_LENGTH)
    return refuse(
      'pocket-too-deep',
      'depthMm',
      `The pockets are ${sayMm(given.depthMm)} deep and the segments ${sayMm(ring.segment.widthMm)}.`,
      { most: ring.segment.widthMm },
    );
  return null;
}

/** The bottoms of the pockets, one line for all of them. */
function bottoms(
  { depthMm, upMm, order }: LetteredParams,
  pockets: readonly (readonly (readonly FacePoint[])[])[],
  { faces, wedges }: FacedRing,
  heightMm: number,
): LayerLine[] {
  const points = pockets.filter((_, i) => order.includes(i)).flat(2);
  if (points.length === 0) return [];
  const line = faces.outerMm - depthMm + Math.hypot(wedges[0]!.shift.x, wedges[0]!.shift.y);
  return [
    {
      name: 'The bottom of the letters',
      nearMm: line,
      farMm: Math.hypot(line, Math.max(...points.map(({ u }) => Math.abs(u)))),
      fromMm: Math.max(0, heightMm / 2 + upMm + Math.min(...points.map(({ z }) => z))),
      toMm: Math.min(heightMm, heightMm / 2 + upMm + Math.max(...points.map(({ z }) => z))),
    },
  ];
}

/** Segments, an insert for each glyph, spacers. Places of segments without a letter belong to no insert. */
function kindsOf(
  given: LetteredParams,
  pockets: readonly (readonly (readonly FacePoint[])[])[],
  ring: FacedRing,
  heightMm: Mm,
): PieceKind[] {
  const { count, order, glyphs, spacerMm } = given;
  const inserts = glyphs.flatMap((glyph, i): PieceKind[] => {
    const places = Array.from({ length: count }, (_, s) => s).flatMap((s) =>
      order[s] === i ? [count + s] : [],
    );
    const points = pockets[i]!.flat();
    if (places.length === 0 || points.length === 0) return [];
    const span = (of: (p: FacePoint) => number) =>
      mm(Math.max(...points.map(of)) - Math.min(...points.map(of)));
    return [
      {
        name: `Inlay ${glyph.name}`,
        grain: 'along',
        heightMm,
        stock: {
          from: 'panel',
          shape: 'block',
          lengthMm: span(({ u }) => u),
          widthMm: span(({ z }) => z),
          thicknessMm: given.depthMm,
        },
        places,
      },
    ];
  });
  const all = (first: number) => Array.from({ length: count }, (_, i) => first + i);
  return [
    { name: 'Segment', grain: 'along', heightMm, stock: ring.segment, places: all(0) },
    ...inserts,
    ...(ring.spacer && spacerMm > 0
      ? [
          {
            name: 'Spacer',
            grain: 'outwards' as const,
            heightMm,
            stock: ring.spacer.stock,
            places: all(2 * count),
          },
        ]
      : []),
  ];
}
