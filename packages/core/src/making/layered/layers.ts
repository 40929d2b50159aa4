import { type Mm, mm } from '../../measure/quantity.js';
import type { LaidPiece, LayerLine, PieceKind } from '../contract.js';
import type { Frame } from '../joints/frame.js';
import { segmentStock } from '../segments.js';
import type { StripStock } from '../stock.js';
import { type Faces, farthest, nearest, wedgeOutline } from '../wedge.js';
import { isTurned, type LayeredBoard, type LayeredParams } from './params.js';

/** What the layers share: the width of the strip, or the height of the ring. */
export const wholeOf = ({ laid }: LayeredBoard, { faces }: Frame, heightMm: number): number =>
  laid === 'outside-in' ? faces.outerRadiusMm - faces.innerRadiusMm : heightMm;

/** The faces between which a layer lies that goes from outside to inside. */
const facesOf = ({ faces }: Frame, borders: readonly number[], layer: number): Faces => ({
  ...faces,
  outerRadiusMm: faces.outerRadiusMm - borders[layer]!,
  innerRadiusMm:
    layer === borders.length - 2 ? faces.innerRadiusMm : faces.outerRadiusMm - borders[layer + 1]!,
});

/** One layer of all segments, as it is sawn with the others. */
export function layerKind(
  { count, board }: LayeredParams,
  name: string,
  layer: number,
  borders: readonly number[],
  frame: Frame,
  heightMm: Mm,
): PieceKind {
  const half = Math.PI / count;
  const places = Array.from({ length: count }, (_, i) => layer * count + i);
  const whole = segmentStock(frame.faces, half, heightMm);
  if (board.laid === 'outside-in') {
    const stock: StripStock = {
      ...segmentStock(facesOf(frame, borders, layer), half, heightMm),
      cutting: 'same-edge',
      boardEdgeMm: whole.longEdgeMm,
    };
    return { name, grain: 'along', heightMm, stock, places };
  }
  const thick = mm(borders[layer + 1]! - borders[layer]!);
  const outermost = layer === 0 || layer === borders.length - 2;
  const stock: StripStock = {
    ...whole,
    thicknessMm: thick,
    cutting: board.turned === 'none' ? 'same-edge' : 'turned-over',
    mostFacesSanded: outermost ? 1 : 0,
  };
  return { name, grain: 'along', heightMm: thick, stock, places };
}

/** A layer of a segment where it lies. */
export function layPiece(
  { board }: LayeredParams,
  layer: number,
  segment: number,
  place: number,
  borders: readonly number[],
  frame: Frame,
  heightMm: number,
): LaidPiece[] {
  const wedge = frame.wedge(segment);
  if (board.laid === 'outside-in') {
    const outline = wedgeOutline(wedge, facesOf(frame, borders, layer), 0);
    return [{ place, fromMm: 0, toMm: heightMm, bottom: outline, top: outline }];
  }
  const outline = wedgeOutline(wedge, frame.faces, 0);
  const [low, high] = [borders[layer]!, borders[layer + 1]!];
  const turned = isTurned(board, segment);
  return [
    {
      place,
      fromMm: turned ? heightMm - high : low,
      toMm: turned ? heightMm - low : high,
      bottom: outline,
      top: outline,
    },
  ];
}

/** Lines between layers from outside to inside, the outermost first: where each is nearest to the axis and farthest. */
export function linesOf(
  { count, board, spacers }: LayeredParams,
  borders: readonly number[],
  frame: Frame,
): LayerLine[] {
  if (board.laid === 'bottom-up') return [];
  // Segments that are pushed out carry their lines with them.
  const segments = Array.from({ length: spacers ? count : 1 }, (_, i) => frame.wedge(i));
  return borders.slice(1, -1).map((_, layer) => {
    const outline = segments.map((wedge) => wedgeOutline(wedge, facesOf(frame, borders, layer), 0).slice(2));
    return {
      name: borders.length === 3 ? 'The layer line' : `Layer line ${layer + 1} from outside`,
      nearMm: Math.min(...outline.map(([to, from]) => nearest(to!, from!))),
      farMm: Math.max(...outline.map(farthest)),
    };
  });
}

/** The outermost line, as figures. */
export function layerFigures(given: LayeredParams, borders: readonly number[], frame: Frame) {
  const [outermost] = linesOf(given, borders, frame);
  return outermost
    ? ([
        { key: 'layer-line-middle-of-a-segment', value: outermost.nearMm, unit: 'mm' },
        { key: 'layer-line-at-the-joints', value: outermost.farMm, unit: 'mm' },
      ] as const)
    : [];
}
