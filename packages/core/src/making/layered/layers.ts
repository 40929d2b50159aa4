import { mm } from '../../measure/quantity.js';
import { say, sayRad } from '../../measure/said.js';
import type { LaidPiece, LayerLine, PieceKind } from '../contract.js';
import { type Frame, lineBehind } from '../joints/frame.js';
import { risingThrough } from '../joints/levels.js';
import { segmentStock } from '../segments.js';
import { inOrderOf } from '../sources/oneWood.js';
import type { StripStock } from '../stock.js';
import type { Faces } from '../wedge.js';
import { bordersOf, isTurned, type Layers, layerNames } from './params.js';

/** What the layers share: the width of the strip, of two halves of the narrower, or the height of the ring. */
export const wholeOf = ({ laid }: Layers, { segments, heightMm }: Frame): number =>
  laid === 'outside-in' ? Math.min(...segments.map(({ stock }) => stock.widthMm)) : heightMm;

/** How much less thick a layer is square to the face of its segments than level, as a share: 1 but in staves that lean. */
export const squareTo = ({ faces }: Frame): number => Math.cos(Math.atan(faces.lean));

/** Where layers begin and end, level (mm). Those of staves that lean are as thick as they are planed, square to the face. */
export const bordersIn = (board: Layers, frame: Frame): number[] =>
  bordersOf(
    board.layersMm.map((layer) => layer / squareTo(frame)),
    wholeOf(board, frame),
  );

/** The faces between which a layer lies that goes from outside to inside, in a segment with these faces. */
export const layerFaces = (faces: Faces, borders: readonly number[], layer: number): Faces => ({
  ...faces,
  outerRadiusMm: faces.outerRadiusMm - borders[layer]!,
  innerRadiusMm:
    layer === borders.length - 2 ? faces.innerRadiusMm : faces.outerRadiusMm - borders[layer + 1]!,
});

/** What sorts of segments are called where they are those of two halves. */
const HALVES = ['first half', 'second half'] as const;

/** The layers of all segments, each as it is sawn with the others of its board; `ordered` where pieces keep their order. */
export const layerKinds = (
  board: Layers,
  borders: readonly number[],
  frame: Frame,
  ordered: boolean,
): PieceKind[] =>
  layerNames(board).flatMap((name, layer) =>
    frame.segments.map(({ stock, places, heightMm }, index): PieceKind => {
      const { count } = frame.framing;
      const kind = {
        name:
          frame.segments.length === 1
            ? name
            : say`${name}, ${frame.framing.inHalves ? HALVES[index]! : sayRad(2 * stock.cutAngle)}`,
        grain: 'along' as const,
        places: places.map((segment) => layer * count + segment),
      };
      if (board.laid === 'outside-in') {
        const { longEdgeMm, shortEdgeMm, widthMm } = segmentStock(
          layerFaces(frame.facesOf(places[0]!), borders, layer),
          stock.cutAngle,
          stock.thicknessMm,
        );
        const layered: StripStock = {
          ...stock,
          longEdgeMm,
          shortEdgeMm,
          widthMm,
          cutting: 'same-edge',
          boardEdgeMm: stock.longEdgeMm,
        };
        return { ...kind, heightMm, stock: inOrderOf(layered, ordered) };
      }
      const thick = mm(borders[layer + 1]! - borders[layer]!);
      const outermost = layer === 0 || layer === borders.length - 2;
      const upright = board.turned === 'none' ? 'same-edge' : 'turned-over';
      const layered: StripStock = {
        ...stock,
        thicknessMm: thick,
        cutting: frame.upright ? upright : stock.cutting,
        mostFacesSanded: outermost ? 1 : 0,
      };
      return { ...kind, heightMm: thick, stock: inOrderOf(layered, ordered) };
    }),
  );

/** A layer of a segment where it lies. */
export function layLayer(
  board: Layers,
  borders: readonly number[],
  frame: Frame,
  place: number,
): LaidPiece[] {
  const { framing, facesOf, outline, upright, levels, heightMm } = frame;
  const [layer, segment] = [Math.floor(place / framing.count), place % framing.count];
  if (board.laid === 'outside-in')
    return laid(0, heightMm, (z) => outline(segment, z, layerFaces(facesOf(segment), borders, layer)));
  const [low, high] = [borders[layer]!, borders[layer + 1]!];
  return isTurned(board, segment)
    ? laid(heightMm - high, heightMm - low, (z) => outline(segment, z))
    : laid(low, high, (z) => outline(segment, z));

  function laid(fromMm: number, toMm: number, at: (z: number) => LaidPiece['bottom']): LaidPiece[] {
    if (!upright) return risingThrough(place, [fromMm, toMm], levels, at);
    const around = at(fromMm);
    return [{ place, fromMm, toMm, bottom: around, top: around }];
  }
}

/** Lines between layers from outside to inside, the outermost first. */
export const linesOf = ({ laid }: Layers, borders: readonly number[], frame: Frame): LayerLine[] =>
  laid === 'bottom-up'
    ? []
    : borders.slice(1, -1).map((depthMm, i) => ({
        name: borders.length === 3 ? 'The layer line' : `Layer line ${i + 1} from outside`,
        ...lineBehind(frame, depthMm),
      }));

/** The outermost line, as figures. */
export function layerFigures([outermost]: readonly LayerLine[]) {
  return outermost
    ? ([
        { key: 'layer-line-middle-of-a-segment', value: outermost.nearMm, unit: 'mm' },
        { key: 'layer-line-at-the-joints', value: outermost.farMm, unit: 'mm' },
      ] as const)
    : [];
}
