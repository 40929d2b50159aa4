import { type Mm, mm } from '../../measure/quantity.js';
import { done, refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import { assemble } from '../assemble.js';
import type { LaidPiece, LayerLine, Making, PieceKind } from '../contract.js';
import { closingFrame, type Frame, framedFor, frameOf, mirroredFrame } from '../joints/frame.js';
import { spacerGroups } from '../joints/spacers.js';
import { pitchOfCount, segmentStock } from '../segments.js';
import type { StripStock } from '../stock.js';
import { type Faces, farthest, nearest, wedgeOutline } from '../wedge.js';
import {
  bordersOf,
  isTurned,
  type LayeredBoard,
  type LayeredParams,
  layeredParams,
  layerNames,
} from './params.js';
import { layeredPictures } from './pictures.js';
import { layeredSteps } from './steps.js';

/** Segments from a board or a strip of two layers or more: outside to inside, or one above the other. */
export const layered: Making<LayeredParams> = {
  way: 'layered',
  name: 'Segments of layers',
  says: 'segments from a board of layers: one wood outside and another inside, or one above the other',
  params: layeredParams,
  solid: false,
  bond: 'as-it-was',
  begin: ({ segments }) => ({
    way: 'layered',
    count: segments,
    board: { laid: 'outside-in', layersMm: [mm(8)] },
  }),
  groups: (given) => [
    ...layerNames(given.board).map((name) => ({ name, count: given.count })),
    ...spacerGroups(given.count, given.spacers),
  ],
  rows: {
    called: ({ board }) =>
      board.laid === 'outside-in' ? 'Layers, outside to inside' : 'Layers, bottom to top',
    sizes: ({ board }) => [...board.layersMm, null],
    withSizes: (given, sizes) => ({ ...given, board: { ...given.board, layersMm: sizes.slice(0, -1) } }),
    places: ({ count }, row) => Array.from({ length: count }, (_, i) => row * count + i),
    upward: ({ board }) => board.laid === 'bottom-up',
    left({ board }, { kinds }) {
      const { stock, heightMm } = kinds[board.layersMm.length]!;
      return board.laid === 'bottom-up' ? heightMm : stock.from === 'strip' ? stock.widthMm : null;
    },
  },
  segments: ({ count }) => count,
  withSegments: (given, count) => framedFor({ ...given, count }, count),
  pitch: ({ count }) => pitchOfCount(count),
  mirror: (given) => ({ ...mirroredFrame(given), board: mirroredBoard(given.board) }),
  make(given, need) {
    const { count, board } = given;
    const { heightMm } = need;
    const sized = frameOf(given, need, isTurned(board, 0) !== isTurned(board, 1) ? 2 : 1);
    if (!sized.ok) return sized;
    const frame = sized.value;
    const whole = wholeOf(board, frame, heightMm);
    const borders = bordersOf(board, whole);
    const taken = borders.at(-2)!;
    if (taken >= whole - SAME_LENGTH)
      return refuse(
        'layer-too-thick',
        'board.layersMm',
        board.laid === 'outside-in'
          ? say`The layers outside the innermost are ${sayMm(taken)} thick and the strip ${sayMm(whole)} wide; nothing is left for the inner layer.`
          : say`The layers under the topmost are ${sayMm(taken)} thick and the ring ${sayMm(whole)} high; nothing is left for the top layer.`,
        { most: whole },
      );
    const layers = borders.length - 1;
    const segment = segmentStock(frame.faces, Math.PI / count, heightMm);
    return done(
      assemble({
        heightMm,
        gives: frame.gives,
        cornerMm: frame.cornerMm,
        repeats: frame.repeats,
        groups: layered.groups(given),
        kinds: [
          ...layerNames(board).map((name, k) => layerKind(given, name, k, borders, frame, heightMm)),
          // The spacers of the frame come after all layers.
          ...frame.kinds.slice(1).map((kind) => ({
            ...kind,
            places: kind.places.map((place) => place + (layers - 1) * count),
          })),
        ],
        warnings: frame.warnings,
        lay: (place) =>
          place < layers * count
            ? layPiece(given, Math.floor(place / count), place % count, place, borders, frame, heightMm)
            : { ...frame.lay(place - (layers - 1) * count), place },
        radial: board.laid === 'bottom-up' && frame.radial,
        layers: linesOf(given, borders, frame),
        figures: figuresOf(given, borders, frame),
        steps: layeredSteps(given, segment, borders, frame),
        pictures: () => layeredPictures(given, segment, borders, frame),
      }),
    );
  },
  instead(given, need) {
    const closing = closingFrame(given);
    if (closing) return closing;
    const sized = frameOf(given, need);
    if (!sized.ok) return null;
    const whole = wholeOf(given.board, sized.value, need.heightMm);
    const taken = given.board.layersMm.reduce((sum, layer) => sum + layer, 0);
    if (taken < whole - SAME_LENGTH) return null;
    const { layersMm } = given.board;
    const share = (whole * layersMm.length) / (layersMm.length + 1) / taken;
    return { ...given, board: { ...given.board, layersMm: layersMm.map((layer) => mm(layer * share)) } };
  },
};

/** What the layers share: the width of the strip, or the height of the ring. */
const wholeOf = ({ laid }: LayeredBoard, { faces }: Frame, heightMm: number): number =>
  laid === 'outside-in' ? faces.outerRadiusMm - faces.innerRadiusMm : heightMm;

const mirroredBoard = (board: LayeredBoard): LayeredBoard =>
  board.laid === 'bottom-up' && board.turned !== 'none'
    ? { ...board, turned: board.turned === 'first' ? 'second' : 'first' }
    : board;

/** The faces between which a layer lies that goes from outside to inside. */
const facesOf = ({ faces }: Frame, borders: readonly number[], layer: number): Faces => ({
  ...faces,
  outerRadiusMm: faces.outerRadiusMm - borders[layer]!,
  innerRadiusMm:
    layer === borders.length - 2 ? faces.innerRadiusMm : faces.outerRadiusMm - borders[layer + 1]!,
});

/** One layer of all segments, as it is sawn with the others. */
function layerKind(
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
function layPiece(
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
function linesOf(
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

function figuresOf(given: LayeredParams, borders: readonly number[], frame: Frame) {
  const [outermost] = linesOf(given, borders, frame);
  return outermost
    ? ([
        { key: 'layer-line-middle-of-a-segment', value: outermost.nearMm, unit: 'mm' },
        { key: 'layer-line-at-the-joints', value: outermost.farMm, unit: 'mm' },
      ] as const)
    : [];
}
