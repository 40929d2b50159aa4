import { mm } from '../../measure/quantity.js';
import { done, refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import { assemble } from '../assemble.js';
import type { Making } from '../contract.js';
import { closingFrame, framedFor, frameOf, mirroredFrame } from '../joints/frame.js';
import { spacerGroups } from '../joints/spacers.js';
import { thickerFrame } from '../joints/thicker.js';
import { pitchOfCount, segmentStock } from '../segments.js';
import { layerFigures, layerKind, layPiece, linesOf, wholeOf } from './layers.js';
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
  thicker: thickerFrame,
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
        figures: layerFigures(given, borders, frame),
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

const mirroredBoard = (board: LayeredBoard): LayeredBoard =>
  board.laid === 'bottom-up' && board.turned !== 'none'
    ? { ...board, turned: board.turned === 'first' ? 'second' : 'first' }
    : board;
