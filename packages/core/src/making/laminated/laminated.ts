import { type Mm, mm } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { say } from '../../measure/said.js';
import type { PieceKind } from '../contract.js';
import { backing, backingGroup, backingKind, backingLine, backingTooDeep } from '../faced/backing.js';
import { facedRing, faceWidth, layFaces } from '../faced/facedRing.js';
import { wholeFacesAgainst } from '../faced/goes.js';
import type { Figure } from '../figures.js';
import { placesOfGroup, type SegmentGroup, type Source, togetherOf } from '../sources/contract.js';
import type { Warning } from '../warnings.js';
import { slicesFromEnds } from './board.js';
import { type Laminate, laminate, neededThickness } from './laminate.js';
import { onHand } from './onHand.js';
import { type Laminated, type LaminatedRing, laminatedSchema, rowsOf, slicesAcross } from './params.js';
import { laminatedPictures } from './pictures.js';
import { slicedFace, sliceSizes } from './slices.js';
import { laminatedSteps } from './steps.js';

const layerGroups = (given: Laminated): SegmentGroup[] =>
  given.layersMm.map((_, i) => ({ name: `Layer ${i + 1}`, each: rowsOf(given) * slicesAcross(given) }));
const groupsFor = (given: Laminated): SegmentGroup[] => [...layerGroups(given), ...backingGroup(given)];

/** Tones of the layers of a new board, bottom to top and over again. */
const TONES = ['dark', 'light', 'middle', 'light'] as const;

/** Four layers alike, as a chequer wants them. */
const alternating = (layersMm: readonly Mm[]): Mm[] => Array.from({ length: 4 }, () => layersMm[0]!);

/** Segments whose faces are made of slices of a laminated board. */
export const laminated: Source<Laminated> = {
  is: 'laminated',
  params: laminatedSchema,
  most: { count: 120, of: 'a laminated ring' },
  strict: true,
  groups: groupsFor,
  against: wholeFacesAgainst,
  repeats: (given, count) => (count % periodOf(given) === 0 ? count / periodOf(given) : 1),
  rows: (count) => ({
    called: () => 'Layers, bottom to top',
    sizes: ({ layersMm }) => layersMm,
    withSizes: (given, sizes) => ({ ...given, layersMm: [...sizes] }),
    places: (given, row) => placesOfGroup(groupsFor(given), count, row),
    upward: () => true,
  }),
  mirror(given, count) {
    const { figure, across, angleDeg, turnedFirst } = given;
    const square = figure === 'stripes' || figure === 'chequer';
    const flips =
      figure === 'chequer' ? (across * count) % 2 === 0 : figure !== 'ramp' && figure !== 'stripes';
    return {
      ...given,
      angleDeg: square || angleDeg === 0 ? angleDeg : -angleDeg,
      turnedFirst: flips ? !turnedFirst : turnedFirst,
    };
  },
  tones: (given, count) =>
    groupsFor(given).flatMap(({ each }, i) =>
      Array.from({ length: each * count }, () => TONES[i % TONES.length]!),
    ),
  oneWood(given, count) {
    const groups = groupsFor(given);
    return given.layersMm.map((_, i) => placesOfGroup(groups, count, i)).filter(({ length }) => length > 1);
  },
  saw(of, frame) {
    const ring = facedRing(frame, of.backingMm);
    const { count } = frame.framing;
    const given: LaminatedRing = { ...of, count };
    const deep = backingTooDeep(of, ring);
    if (deep) return deep;
    const sized = laminate(given, ring);
    if (!sized.ok) return sized;
    const { sizes, boards } = sized.value;
    const groups = groupsFor(given);
    const behind = backing(given, placesInOne(layerGroups(given)));
    const faces = [0, 1].map((first) => [...behind, ...slicedFace(given, sizes, first)]);
    const faceOf = (segment: number) => faces[(segment * sizes.across) % 2]!;
    const kinds = given.layersMm.map(
      (thick, i): PieceKind => ({
        name: say`Layer ${i + 1}`,
        grain: 'along',
        heightMm: ring.heightMm,
        stock: {
          from: 'panel',
          shape: 'layer',
          lengthMm: mm(Math.max(...boards.map(({ lengthMm }) => lengthMm))),
          widthMm: ring.frontMm,
          thicknessMm: thick,
          blocks: boards.length,
        },
        places: placesOfGroup(groups, count, i),
      }),
    );
    return done({
      kinds: [...kinds, ...backingKind(given, ring, groups)],
      radial: false,
      together: togetherOf(groups, count),
      hidesGlue: !given.glueLines,
      lay: layFaces(ring, groups, faceOf),
      layers: backingLine(given, frame),
      figures: figuresOf(sized.value),
      warnings: [...seam(given), ...onHand(sized.value)],
      steps: () => laminatedSteps(sized.value),
      pictures: () => laminatedPictures(sized.value, faceOf, groups),
    });
  },
  instead(given, frame) {
    const layersMm = given.figure === 'chequer' ? alternating(given.layersMm) : given.layersMm;
    const fitted = { ...given, layersMm, upMm: mm(0) };
    const sizes = sliceSizes(fitted, faceWidth(frame), frame.heightMm);
    const scale = (neededThickness(fitted, sizes) * 1.02) / sizes.boardMm;
    return { ...fitted, layersMm: layersMm.map((thick) => mm(Math.min(200, Math.max(0.5, thick * scale)))) };
  },
};

/** After how many segments slices come to themselves. */
const periodOf = ({ figure, across }: Laminated): number =>
  across % 2 === 0 || figure !== 'chequer' ? 1 : 2;

const placesInOne = (groups: readonly SegmentGroup[]): number =>
  groups.reduce((sum, { each }) => sum + each, 0);

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

const seam = (given: LaminatedRing): Warning[] =>
  given.count % periodOf(given) === 0
    ? []
    : [
        {
          code: 'chequer-seam',
          message: say`${given.count * given.across} slices go round, an odd number: two alike meet at the index mark. Take an even number.`,
        },
      ];
