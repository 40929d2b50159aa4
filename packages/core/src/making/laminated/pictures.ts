import { say, sayMm } from '../../measure/said.js';
import type { FaceShape } from '../faced/face.js';
import { segmentAndRing } from '../faced/pictures.js';
import { boxOutline, type PicturePart, type StepPicture } from '../picture.js';
import { placeOfPiece, type SegmentGroup } from '../sources/contract.js';
import { slicePitch } from './board.js';
import type { Laminate } from './laminate.js';

/** Slices that a picture of the board shows at most. */
const SHOWN = 6;

/** Board, slices, block, segment and ring as pictures. */
export function laminatedPictures(
  of: Laminate,
  faceOf: (segment: number) => readonly FaceShape[],
  groups: readonly SegmentGroup[],
): StepPicture[] {
  const { given, ring, sizes } = of;
  const placeOf = (segment: number, piece: number) => placeOfPiece(groups, given.count, segment, piece);
  const layers = given.layersMm.map((_, i) => placeOf(0, i * groups[0]!.each));
  const rest = segmentAndRing(ring, faceOf, placeOf);
  const board = boardPicture(of, layers);
  return sizes.angle === 0 && given.figure === 'stripes'
    ? [board, ...rest]
    : [board, slicePicture(of, layers), ...rest];
}

function boardPicture({ given, sizes, slices, boards }: Laminate, layers: readonly number[]): StepPicture {
  const tan = Math.tan(sizes.angle);
  const shown = Math.min(SHOWN, boards[0]!.slices);
  const pitch = slicePitch(slices);
  const start =
    slices.endWasteMm + (slices.wholeEnds ? slices.kerfMm / Math.cos(sizes.angle) : 0) + sizes.boardMm * tan;
  const all = shown === boards[0]!.slices;
  const length = all ? boards[0]!.lengthMm : start + shown * pitch + pitch / 2;
  const cut = (x: number) => ({
    from: { x, y: 0 },
    to: { x: x - sizes.boardMm * tan, y: sizes.boardMm },
    is: 'cut' as const,
  });
  return {
    step: 'board',
    title: 'Board',
    says: say`The board from its side, ${all ? 'whole' : `its first ${shown} slices of ${boards[0]!.slices}`}, with the cuts; it is ${sayMm(boards[0]!.lengthMm)} long.`,
    parts: layerParts(given.layersMm, layers, length),
    lines:
      given.figure === 'stripes'
        ? []
        : Array.from({ length: shown + 1 }, (_, i) =>
            cut(start + i * pitch - (i > 0 ? slices.kerfMm / Math.cos(sizes.angle) : 0)),
          ),
    sizes: [
      all
        ? { from: { x: 0, y: 0 }, to: { x: length, y: 0 }, mm: length }
        : { from: { x: start, y: 0 }, to: { x: start + pitch, y: 0 }, mm: pitch },
      { from: { x: length, y: 0 }, to: { x: length, y: sizes.boardMm }, mm: sizes.boardMm },
    ],
  };
}

function layerParts(layersMm: readonly number[], places: readonly number[], length: number): PicturePart[] {
  let low = 0;
  return layersMm.map((thick, i) => {
    const outline = boxOutline(0, low, length, low + thick);
    low += thick;
    return { outline, place: places[i]! };
  });
}

/** A slice stood upright, with what is trimmed off it. */
function slicePicture({ given, sizes, slices }: Laminate, layers: readonly number[]): StepPicture {
  const { angle, startMm, rowMm, boardMm } = sizes;
  const [tan, cos] = [Math.tan(angle), Math.cos(angle)];
  const width = slices.widthMm;
  const from = -given.trimMm / 2;
  let below = 0;
  const parts = given.layersMm.map((thick, i): PicturePart => {
    const [low, high] = [startMm + below / cos, startMm + (below + thick) / cos];
    below += thick;
    const at = (x: number, line: number) => ({ x, y: line + x * tan });
    return {
      outline: [at(from, low), at(from + width, low), at(from + width, high), at(from, high)],
      place: layers[i]!,
    };
  });
  const trim = (y: number) => ({
    from: { x: from - width * 0.2, y },
    to: { x: from + width * 1.2, y },
    is: 'trim' as const,
  });
  return {
    step: 'slices',
    title: 'Slice',
    says: say`One of ${slices.count} slices stood upright; what lies outside the lines is trimmed off.`,
    parts,
    lines: [trim(0), trim(rowMm)],
    sizes: [
      { from: { x: from, y: startMm }, to: { x: from + width, y: startMm }, mm: width },
      { from: { x: from + width, y: 0 }, to: { x: from + width, y: rowMm }, mm: rowMm },
      { from: { x: from, y: startMm }, to: { x: from, y: startMm + boardMm / cos }, mm: boardMm / cos },
    ],
  };
}
