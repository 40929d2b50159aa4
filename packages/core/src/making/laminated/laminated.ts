import { type Mm, mm } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { say } from '../../measure/said.js';
import { assemble } from '../assemble.js';
import type { Making, PieceKind } from '../contract.js';
import {
  type FaceGroup,
  faceGroups,
  faceWidth,
  layFaces,
  placesOfFaceGroup,
  sizedForFaces,
  togetherOf,
} from '../faced/facedRing.js';
import type { Figure } from '../figures.js';
import { pitchOfCount } from '../segments.js';
import type { Warning } from '../warnings.js';
import { slicesFromEnds } from './board.js';
import { type Laminate, laminate, neededThickness } from './laminate.js';
import { onHand } from './onHand.js';
import { type LaminatedParams, laminatedParams, rowsOf, slicesAcross } from './params.js';
import { laminatedPictures } from './pictures.js';
import { slicedFace, sliceSizes } from './slices.js';
import { laminatedSteps } from './steps.js';

const groupsFor = (given: LaminatedParams): FaceGroup[] =>
  given.layersMm.map((_, i) => ({ name: `Layer ${i + 1}`, each: rowsOf(given) * slicesAcross(given) }));

/** Tones of the layers of a new board, bottom to top and over again. */
const TONES = ['dark', 'light', 'middle', 'light'] as const;

/** Four layers alike, as a chequer wants them. */
const alternating = (layersMm: readonly Mm[]): Mm[] => Array.from({ length: 4 }, () => layersMm[0]!);

/** Segments whose faces are made of slices of a laminated board. */
export const laminated: Making<LaminatedParams> = {
  way: 'laminated',
  name: 'Laminated board',
  says: 'slices of a board glued up in layers: stripes, ramps, zigzags, chevrons, diamonds, chequers',
  params: laminatedParams,
  solid: false,
  bond: 'as-it-was',
  strict: true,
  begin: ({ segments }) => ({
    way: 'laminated',
    count: Math.min(120, segments),
    figure: 'zigzag',
    layersMm: [16, 4, 8, 4, 16].map(mm),
    angleDeg: 30,
    turn: 'upright',
    turnedFirst: false,
    across: 2,
    trimMm: mm(2),
    upMm: mm(0),
    kerfMm: mm(3.175),
    ends: 'whole',
    endWasteMm: mm(10),
    spares: 2,
    longestMm: mm(900),
    glueLines: false,
  }),
  groups: (given) => faceGroups(groupsFor(given), given.count, 0),
  rows: {
    called: () => 'Layers, bottom to top',
    sizes: ({ layersMm }) => layersMm,
    withSizes: (given, sizes) => ({ ...given, layersMm: [...sizes] }),
    places: (given, row) => placesOfFaceGroup(groupsFor(given), given.count, row),
    upward: () => true,
  },
  segments: ({ count }) => count,
  withSegments: (given, count) => ({ ...given, count: Math.min(120, count) }),
  pitch: ({ count }) => pitchOfCount(count),
  mirror: (given) => {
    const { figure, across, count, angleDeg, turnedFirst } = given;
    const square = figure === 'stripes' || figure === 'chequer';
    const flips =
      figure === 'chequer' ? (across * count) % 2 === 0 : figure !== 'ramp' && figure !== 'stripes';
    return {
      ...given,
      angleDeg: square || angleDeg === 0 ? angleDeg : -angleDeg,
      turnedFirst: flips ? !turnedFirst : turnedFirst,
    };
  },
  tones: (given) =>
    given.layersMm.flatMap((_, i) =>
      Array.from({ length: groupsFor(given)[i]!.each * given.count }, () => TONES[i % TONES.length]!),
    ),
  oneWood: (given) => {
    const groups = groupsFor(given);
    return groups.map((_, i) => placesOfFaceGroup(groups, given.count, i)).filter(({ length }) => length > 1);
  },
  make(given, need) {
    const sized = laminate(given, need);
    if (!sized.ok) return sized;
    const { ring, sizes, boards, heightMm } = sized.value;
    const { count } = given;
    const groups = groupsFor(given);
    const faces = [0, 1].map((first) => slicedFace(given, sizes, first));
    const faceOf = (segment: number) => faces[(segment * sizes.across) % 2]!;
    const period = sizes.across % 2 === 0 || given.figure !== 'chequer' ? 1 : 2;
    const kinds = given.layersMm.map(
      (thick, i): PieceKind => ({
        name: say`Layer ${i + 1}`,
        grain: 'along',
        heightMm: mm(heightMm),
        stock: {
          from: 'panel',
          shape: 'layer',
          lengthMm: mm(Math.max(...boards.map(({ lengthMm }) => lengthMm))),
          widthMm: ring.segment.widthMm,
          thicknessMm: thick,
          blocks: boards.length,
        },
        places: placesOfFaceGroup(groups, count, i),
      }),
    );
    return done(
      assemble({
        heightMm: need.heightMm,
        gives: ring.gives,
        cornerMm: ring.cornerMm,
        radial: false,
        repeats: count % period === 0 ? count / period : 1,
        groups: laminated.groups(given),
        kinds,
        together: togetherOf(groups, count),
        hidesGlue: !given.glueLines,
        lay: layFaces(ring, groups, heightMm, faceOf),
        figures: figuresOf(sized.value),
        warnings: [...seam(given, period), ...onHand(sized.value)],
        steps: () => laminatedSteps(sized.value),
        pictures: () => laminatedPictures(sized.value, faceOf, groups),
      }),
    );
  },
  instead(given, need) {
    const sized = sizedForFaces(given.count, 0, need);
    if (!sized.ok) return null;
    const layersMm = given.figure === 'chequer' ? alternating(given.layersMm) : given.layersMm;
    const fitted = { ...given, layersMm, upMm: mm(0) };
    const sizes = sliceSizes(fitted, faceWidth(sized.value), need.heightMm);
    const scale = (neededThickness(fitted, sizes) * 1.02) / sizes.boardMm;
    return { ...fitted, layersMm: layersMm.map((thick) => mm(Math.min(200, Math.max(0.5, thick * scale)))) };
  },
};

const figuresOf = ({ given, sizes, slices, boards }: Laminate): Figure[] => [
  { key: 'slices', value: slices.count - given.spares, unit: 'count' },
  { key: 'spare-slices', value: given.spares, unit: 'count' },
  ...(sizes.angle === 0
    ? []
    : [{ key: 'slices-from-the-ends' as const, value: slicesFromEnds(slices), unit: 'count' as const }]),
  { key: 'slice-width', value: slices.widthMm, unit: 'mm' },
  { key: 'slice-height-that-can-be-used', value: sizes.usableMm, unit: 'mm' },
  {
    key: 'offcut-above-and-below-each-slice',
    value: (sizes.usableMm - sizes.rowMm) / 2,
    unit: 'mm',
  },
  { key: 'boards', value: boards.length, unit: 'count' },
  { key: 'board-length', value: boards[0]!.lengthMm, unit: 'mm' },
  { key: 'board-thickness', value: sizes.boardMm, unit: 'mm' },
  { key: 'board-least-thickness', value: neededThickness(given, sizes), unit: 'mm' },
];

const seam = ({ count, across }: LaminatedParams, period: number): Warning[] =>
  count % period === 0
    ? []
    : [
        {
          code: 'chequer-seam',
          message: say`${count * across} slices go round, an odd number: two alike meet at the index mark. Take an even number.`,
        },
      ];
