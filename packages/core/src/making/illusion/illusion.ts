import { z } from 'zod';
import { whole } from '../../measure/field.js';
import { mm } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { say, sayMade, sayMm } from '../../measure/said.js';
import type { PieceKind } from '../contract.js';
import {
  backing,
  backingField,
  backingGroup,
  backingKind,
  backingLine,
  backingTooDeep,
  gluedBehind,
} from '../faced/backing.js';
import { type FaceShape, loopArea, throughShape } from '../faced/face.js';
import { type FacedRing, facedRing, faceWidth, layFaces } from '../faced/facedRing.js';
import { wholeFacesAgainst } from '../faced/goes.js';
import { segmentAndRing } from '../faced/pictures.js';
import { SEGMENT_CAUTIONS, setTheSaw } from '../segments.js';
import { placeOfPiece, type SegmentGroup, type Source, togetherOf } from '../sources/contract.js';
import { step } from '../step.js';
import type { Warning } from '../warnings.js';
import { blocks } from './blocks.js';
import type { Facet, IllusionFigure } from './figure.js';
import { interlace } from './interlace.js';
import { lozenge } from './lozenge.js';
import { stairs } from './stairs.js';

/** The illusions, one file each. */
export const ILLUSIONS = { blocks, stairs, lozenge, interlace } satisfies Record<string, IllusionFigure>;
export type IllusionName = keyof typeof ILLUSIONS;

const names = Object.keys(ILLUSIONS) as [IllusionName, ...IllusionName[]];

export const illusionSchema = z.strictObject({
  is: z.literal('illusion'),
  figure: z.enum(names, { error: () => `The illusion is not one of ${names.join(', ')}.` }),
  /** Rows of blocks above each other, steps of a flight; other figures have one. */
  rows: whole('Rows or steps', 1, 8),
  /** The side it is meant to be looked at from: from inside, left and right are exchanged. */
  seen: z.enum(['outside', 'inside'], { error: () => 'It is seen from outside or from inside.' }),
  /** Whether its sides are told apart by woods, or by grain that runs three ways in one wood. */
  by: z.enum(['wood', 'grain'], { error: () => 'Its sides differ by wood or by grain.' }),
  backingMm: backingField,
});

export type Illusion = z.infer<typeof illusionSchema>;

const figureOf = ({ figure }: Illusion): IllusionFigure => ILLUSIONS[figure];

/** Facets side by side, each side's together; the order in which they cover each other is kept beside. */
function facetsOf(given: Illusion, width: number, height: number): readonly Facet[] {
  const facets = figureOf(given).facets(width, height, given.rows);
  return given.seen === 'outside'
    ? facets
    : facets.map(({ side, loop }) => ({ side, loop: loop.map(({ u, z }) => ({ u: 0 - u, z })).reverse() }));
}

function groupsFor(given: Illusion): SegmentGroup[] {
  const facets = facetsOf(given, 1, figureOf(given).ratio(given.rows));
  const sides = figureOf(given).sides.map(({ name }) => ({
    name,
    each: facets.filter(({ side }) => side === name).length,
  }));
  return [...sides, ...backingGroup(given)];
}

/** Number of each facet's piece within its segment: group by group. */
function piecesOf(facets: readonly Facet[], groups: readonly SegmentGroup[]): number[] {
  const next = new Map<string, number>();
  let first = 0;
  for (const { name, each } of groups) {
    next.set(name, first);
    first += each;
  }
  return facets.map(({ side }) => {
    const piece = next.get(side)!;
    next.set(side, piece + 1);
    return piece;
  });
}

/** Segments whose faces show a solid thing: blocks, stairs, studs, woven bands. */
export const illusion: Source<Illusion> = {
  is: 'illusion',
  params: illusionSchema,
  most: { count: 120, of: 'an illusion' },
  strict: true,
  groups: groupsFor,
  against: wholeFacesAgainst,
  repeats: (_, count) => count,
  mirror: (given) => ({ ...given, seen: given.seen === 'outside' ? 'inside' : 'outside' }),
  tones: (given, count) =>
    groupsFor(given).flatMap(({ each }, g) =>
      Array.from({ length: each * count }, (_, i) =>
        given.by === 'grain' ? 'middle' : (figureOf(given).sides[g]?.tone(Math.floor(i / each)) ?? 'dark'),
      ),
    ),
  saw(given, frame) {
    const { count } = frame.framing;
    const ring = facedRing(frame, given.backingMm);
    const deep = backingTooDeep(given, ring);
    if (deep) return deep;
    const { heightMm } = ring;
    const width = faceWidth(ring);
    const groups = groupsFor(given);
    const facets = facetsOf(given, width, heightMm);
    const pieces = piecesOf(facets, groups);
    const face: FaceShape[] = [
      ...backing(given, facets.length),
      ...facets.map(({ loop }, i) => throughShape(pieces[i]!, loop)),
    ];
    const right = figureOf(given).ratio(given.rows) * width;
    return done({
      kinds: [...kindsOf(given, groups, facets, pieces, ring), ...backingKind(given, ring, groups)],
      radial: false,
      together: togetherOf(groups, count),
      reads: given.figure === 'blocks' && given.rows < 3 ? { as: 'blocks', rings: 3 } : null,
      lay: layFaces(ring, groups, () => face),
      layers: backingLine(given, frame),
      figures: [
        { key: 'face-width', value: width, unit: 'mm' },
        { key: 'height-at-which-it-looks-right', value: right, unit: 'mm' },
      ],
      warnings: [...outOfShape(right, heightMm), ...oddBands(given, count)],
      steps: () => [
        step(
          'look',
          'bench',
          say`Made to be seen from ${given.seen}. ${figureOf(given).name}: ${figureOf(given).says}.`,
        ),
        step(
          'blocks',
          'saw',
          say`Saw the pieces of the list ${sayMm(ring.frontMm, 'width')} deep and glue up ${sayMade(count)} blocks ${sayMm(width)} wide and ${sayMm(heightMm)} high; a jig with two stops keeps them alike.`,
          [...SEGMENT_CAUTIONS, 'thin-stock'],
        ),
        step(
          'tones',
          'bench',
          given.by === 'grain'
            ? 'All pieces are of one wood: the grain of each side runs its own way (see the list), and light does the rest.'
            : 'Keep the tones where they are in the picture: light, middle and dark make the illusion.',
        ),
        ...gluedBehind(given, ring),
        setTheSaw(ring.segment, count, 'bevelling both ends of every block'),
      ],
      pictures: () =>
        segmentAndRing(
          ring,
          () => face,
          (segment, piece) => placeOfPiece(groups, count, segment, piece),
        ),
    });
  },
};

/** Kinds by side and size: pieces of one size are cut together. */
function kindsOf(
  given: Illusion,
  groups: readonly SegmentGroup[],
  facets: readonly Facet[],
  pieces: readonly number[],
  ring: FacedRing,
): PieceKind[] {
  const { heightMm } = ring;
  const count = ring.wedges.length;
  const kinds = new Map<string, { kind: Omit<PieceKind, 'places'>; places: number[] }>();
  facets.forEach(({ side, loop }, i) => {
    const [us, zs] = [loop.map(({ u }) => u), loop.map(({ z }) => z)];
    const wide = Math.max(...us) - Math.min(...us);
    const high = Math.max(...zs) - Math.min(...zs);
    const key = `${side} ${wide.toFixed(3)} ${high.toFixed(3)} ${Math.abs(loopArea(loop)).toFixed(3)}`;
    const known = kinds.get(key) ?? {
      kind: {
        name: side,
        grain:
          given.by === 'grain' ? figureOf(given).sides.find(({ name }) => name === side)!.grain : 'along',
        heightMm,
        stock: {
          from: 'panel',
          shape: 'block',
          lengthMm: mm(wide),
          widthMm: ring.frontMm,
          thicknessMm: mm(high),
        },
      },
      places: [],
    };
    for (let segment = 0; segment < count; segment++)
      known.places.push(placeOfPiece(groups, count, segment, pieces[i]!));
    kinds.set(key, known);
  });
  return [...kinds.values()].map(({ kind, places }) => ({ ...kind, places }));
}

const outOfShape = (right: number, heightMm: number): Warning[] =>
  Math.abs(right / heightMm - 1) < 0.25
    ? []
    : [
        {
          code: 'illusion-out-of-shape',
          message: say`The ring is ${sayMm(heightMm)} high; the picture is in shape at ${sayMm(right)}. Change the number of segments or the height.`,
        },
      ];

const oddBands = ({ figure }: Illusion, count: number): Warning[] =>
  figure === 'interlace' && count % 2 === 1
    ? [
        {
          code: 'bands-do-not-meet',
          message: say`${count} segments is an odd number: the two bands run into each other at the index mark. Take an even number.`,
        },
      ]
    : [];
