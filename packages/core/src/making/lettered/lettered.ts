import { mm } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { assemble } from '../assemble.js';
import type { Making } from '../contract.js';
import { backedBoard, backing, backingLine, backingTooDeep } from '../faced/backing.js';
import { type FaceShape, field, pocket } from '../faced/face.js';
import {
  type FaceGroup,
  faceGroups,
  faceWidth,
  layFaces,
  sizedForFaces,
  togetherOf,
} from '../faced/facedRing.js';
import { segmentAndRing } from '../faced/pictures.js';
import { placeOfPiece } from '../faced/placeOf.js';
import { thickerSpacer } from '../joints/thicker.js';
import { placesIn } from '../layOut.js';
import { GLUE_RING, pitchOfCount, planeAndRip, setTheSaw, spacersStep } from '../segments.js';
import { step } from '../step.js';
import { bottoms, doesNotFit } from './fit.js';
import { kindsOf } from './kinds.js';
import { pocketOf } from './outlines.js';
import { type LetteredParams, letteredParams } from './params.js';

const groupsFor = ({ backingMm }: LetteredParams): FaceGroup[] => [
  { name: 'Segment', each: 1 },
  { name: 'Inlay', each: 1 },
  ...(backingMm === undefined ? [] : [{ name: 'Backing', each: 1 }]),
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
  groups: (given) => faceGroups(groupsFor(given), given.count, given.spacerMm),
  segments: ({ count }) => count,
  withSegments: (given, count) => ({
    ...given,
    count: Math.min(60, count),
    order: given.order.slice(0, count),
  }),
  pitch: ({ count }) => pitchOfCount(count),
  thicker: thickerSpacer,
  mirror: (given) => ({
    ...given,
    glyphs: given.glyphs.map(({ name, loops }) => ({
      name,
      loops: loops.map((loop) => loop.map(([u, z]): [number, number] => [0 - u, z]).reverse()),
    })),
    order: Array.from({ length: given.count }, (_, i) => given.order[given.count - 1 - i] ?? -1),
  }),
  tones: (given) =>
    Array.from({ length: placesIn(lettered.groups(given)) }, (_, i) => (i < given.count ? 'light' : 'dark')),
  make(given, need) {
    const { count, spacerMm, backingMm } = given;
    const sized = sizedForFaces(count, spacerMm, need);
    if (!sized.ok) return sized;
    const ring = sized.value;
    const { heightMm } = need;
    const pockets = given.glyphs.map((glyph) => pocketOf(glyph, given));
    const wrong =
      doesNotFit(given, pockets, ring, heightMm) ??
      (backingMm === undefined ? null : backingTooDeep(backingMm, ring));
    if (wrong) return wrong;
    const groups = groupsFor(given);
    const behind = backingMm === undefined ? [] : [backing(2, backingMm)];
    const lifted = pockets.map((loops) =>
      loops.map((loop) => loop.map(({ u, z }) => ({ u, z: z + heightMm / 2 + given.upMm }))),
    );
    const faces = lifted.map((loops): FaceShape[] => [
      pocket(1, given.depthMm, ...loops),
      ...behind,
      field(0),
    ]);
    const plain: FaceShape[] = [...behind, field(0)];
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
        together: togetherOf(groups, count),
        lay: layFaces(ring, groups, heightMm, faceOf),
        layers: [
          ...bottoms(given, pockets, ring, heightMm),
          ...(backingMm === undefined ? [] : [backingLine(backingMm, ring)]),
        ],
        figures: [
          { key: 'face-width', value: faceWidth(ring), unit: 'mm' },
          { key: 'letters', value: given.order.filter((i) => i >= 0).length, unit: 'count' },
        ],
        steps: (planing) => [
          ...(backingMm === undefined
            ? [planeAndRip(ring.segment, planing), setTheSaw(ring.segment, count)]
            : [
                backedBoard(backingMm, ring, planing),
                setTheSaw(ring.segment, count, 'the board on edge, the same edge out every time'),
              ]),
          step(
            'rout',
            'router',
            say`Rout the pockets ${sayMm(given.depthMm, 'depth')} deep with a cutter of ${sayMm(given.cutterMm, 'diameter')}, inside the line; cut the inserts outside theirs, ${sayMm(given.clearanceMm)} smaller all round. Outlines of both are in the files.`,
            ['router', 'dust'],
          ),
          step(
            'number',
            'bench',
            given.turnedOver
              ? 'Inserts go in turned over: their outlines are mirrored. Number pockets and inserts.'
              : 'Inserts go in as they are cut: their outlines are not mirrored. Number pockets and inserts.',
          ),
          step('inlay', 'clamps', 'Glue the inserts in and sand them flush with the face.', ['dust']),
          ...(spacerMm > 0
            ? [
                spacersStep(
                  count,
                  spacerMm,
                  ring.spacer!.stock.longEdgeMm,
                  '; they keep the letters off the joints',
                ),
              ]
            : []),
          GLUE_RING,
        ],
        pictures: () =>
          segmentAndRing(ring, heightMm, count, faceOf, (segment, piece) =>
            placeOfPiece(groups, count, segment, piece),
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
