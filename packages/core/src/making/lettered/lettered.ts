import { mm } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { backing, backingGroup, backingLine, backingTooDeep, sawnPlain } from '../faced/backing.js';
import { type FaceShape, field, pocket } from '../faced/face.js';
import { facedRing, faceWidth, layFaces } from '../faced/facedRing.js';
import { facesAgainst } from '../faced/goes.js';
import { segmentAndRing } from '../faced/pictures.js';
import { placeOfPiece, type SegmentGroup, type Source, togetherOf } from '../sources/contract.js';
import { step } from '../step.js';
import { bottoms, doesNotFit } from './fit.js';
import { kindsOf } from './kinds.js';
import { pocketOf } from './outlines.js';
import { type Glyph, type LetteredRing, type Letters, lettersSchema } from './params.js';

const groupsFor = (given: Letters): SegmentGroup[] => [
  { name: 'Segment', each: 1 },
  { name: 'Inlay', each: 1 },
  ...backingGroup(given),
];

/** A letter that the ring begins with: a plain upright cross, so that there is something to see. */
export const FIRST_GLYPH: Glyph = {
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
export const lettered: Source<Letters> = {
  is: 'letters',
  params: lettersSchema,
  most: { count: 60, of: 'a ring with letters' },
  strict: true,
  groups: groupsFor,
  against: facesAgainst,
  repeats: ({ order }, count) => (order.length >= count && order.every((i) => i === order[0]) ? count : 1),
  withCount: (given, count) => ({ ...given, order: given.order.slice(0, count) }),
  mirror: (given, count) => ({
    ...given,
    glyphs: given.glyphs.map(({ name, loops }) => ({
      name,
      loops: loops.map((loop) => loop.map(([u, z]): [number, number] => [0 - u, z]).reverse()),
    })),
    order: Array.from({ length: count }, (_, i) => given.order[count - 1 - i] ?? -1),
  }),
  tones: (given, count) =>
    groupsFor(given).flatMap((_, i) => Array.from({ length: count }, () => (i === 0 ? 'light' : 'dark'))),
  saw(of, frame) {
    const { count } = frame.framing;
    const given: LetteredRing = { ...of, count };
    const ring = facedRing(frame, of.backingMm);
    const { heightMm } = ring;
    const pockets = given.glyphs.map((glyph) => pocketOf(glyph, given));
    const wrong = doesNotFit(given, pockets, ring) ?? backingTooDeep(given, ring);
    if (wrong) return wrong;
    const groups = groupsFor(given);
    const behind = backing(given, 2);
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
    return done({
      kinds: kindsOf(given, pockets, ring, groups),
      radial: false,
      together: togetherOf(groups, count),
      lay: layFaces(ring, groups, faceOf),
      layers: [...bottoms(given, pockets, ring, heightMm), ...backingLine(given, frame)],
      figures: [
        { key: 'face-width', value: faceWidth(ring), unit: 'mm' },
        { key: 'letters', value: given.order.filter((i) => i >= 0).length, unit: 'count' },
      ],
      steps: (planing) => [
        ...sawnPlain(given, frame, ring, planing),
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
      ],
      pictures: () =>
        segmentAndRing(ring, faceOf, (segment, piece) => placeOfPiece(groups, count, segment, piece)),
    });
  },
  instead(given, frame) {
    const pockets = given.glyphs.map((glyph) => pocketOf(glyph, given));
    const wide = Math.max(0.1, ...pockets.flat(2).map(({ u }) => 2 * Math.abs(u)));
    const high = Math.max(0.1, ...pockets.flat(2).map(({ z }) => 2 * Math.abs(z)));
    const room = faceWidth(frame) - 2 * frame.asideMm;
    const by = Math.min(1, (0.9 * room) / wide, (0.9 * frame.heightMm) / high);
    return {
      ...given,
      upMm: mm(0),
      sizeMm: mm(Math.max(1, given.sizeMm * by)),
      depthMm: mm(Math.min(given.depthMm, frame.segments[0]!.stock.widthMm * 0.8)),
    };
  },
};
