import { done, refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import { type Against, type Beside, type Source, togetherOf } from '../sources/contract.js';
import { bordersIn, layerFigures, layerKinds, layLayer, linesOf, squareTo, wholeOf } from './layers.js';
import { type Layers, layerNames, layersSchema, nothingOnTop, thinnedTo } from './params.js';
import { layeredPictures } from './pictures.js';
import { layeredSteps } from './steps.js';

/** Segments from a board or a strip of two layers or more: outside to inside, or one above the other. */
export const layered: Source<Layers> = {
  is: 'layers',
  params: layersSchema,
  groups: (board) => layerNames(board).map((name) => ({ name, each: 1 })),
  against: (board, beside) => (board.laid === 'outside-in' ? outsideIn(beside) : bottomUp(board, beside)),
  repeats: (board, count) => (board.laid === 'bottom-up' && board.turned !== 'none' ? count / 2 : count),
  rows: (count) => ({
    called: ({ laid }) => (laid === 'outside-in' ? 'Layers, outside to inside' : 'Layers, bottom to top'),
    sizes: ({ layersMm }) => [...layersMm, null],
    withSizes: (board, sizes) => ({ ...board, layersMm: sizes.slice(0, -1) }),
    places: (_, row) => Array.from({ length: count }, (_, i) => row * count + i),
    upward: ({ laid }) => laid === 'bottom-up',
    left({ laid, layersMm }, { kinds }) {
      // The last layer is that of the first segment's last place; there are as many kinds of each layer as widths.
      const { stock, heightMm } = kinds.find(({ places }) => places.includes(layersMm.length * count))!;
      return laid === 'bottom-up'
        ? heightMm
        : stock.from === 'strip'
          ? stock.widthMm
          : stock.from === 'panel'
            ? stock.thicknessMm
            : null;
    },
  }),
  mirror: (board) =>
    board.laid === 'bottom-up' && board.turned !== 'none'
      ? { ...board, turned: board.turned === 'first' ? 'second' : 'first' }
      : board,
  saw(board, frame, beside) {
    const whole = wholeOf(board, frame);
    const borders = bordersIn(board, frame);
    const taken = borders.at(-2)!;
    const square = squareTo(frame);
    if (taken >= whole - SAME_LENGTH)
      return board.laid === 'bottom-up'
        ? nothingOnTop('sawnFrom.layersMm', taken, 'ring', whole)
        : refuse(
            'layer-too-thick',
            'sawnFrom.layersMm',
            say`The layers outside the innermost are ${sayMm(square * taken)} thick and the ${frame.framing.staves ? 'staves' : 'strip'} ${sayMm(square * whole)} ${frame.framing.staves ? 'thick' : 'wide'}; nothing is left for the inner layer.`,
            { most: square * whole },
          );
    const lines = linesOf(board, borders, frame);
    const plugMm = (frame.framing.plug?.diameterMm ?? 0) / 2;
    const innermost = lines.at(-1);
    if (innermost && plugMm > innermost.nearMm)
      return refuse(
        'plug-too-large',
        'plug.diameterMm',
        say`The plug is ${sayMm(2 * plugMm)} across and the innermost layer begins ${sayMm(2 * innermost.nearMm)} across; nothing holds it there. Take a smaller plug or thinner layers outside.`,
        { most: 2 * innermost.nearMm },
      );
    return done({
      kinds: layerKinds(board, borders, frame, beside.inOrder === true || beside.after?.done === 'opened'),
      radial: false,
      together: togetherOf(layered.groups(board), frame.framing.count),
      lay: (place) => layLayer(board, borders, frame, place),
      layers: lines,
      figures: layerFigures(lines),
      steps: layeredSteps(board, borders, frame, beside),
      pictures: () => layeredPictures(board, borders, frame),
    });
  },
  instead(board, frame) {
    const whole = squareTo(frame) * wholeOf(board, frame);
    const { layersMm } = board;
    const taken = layersMm.reduce((sum, layer) => sum + layer, 0);
    return taken < whole - SAME_LENGTH ? null : { ...board, layersMm: thinnedTo(layersMm, whole) };
  },
};

function outsideIn({ lean }: Beside): Against | null {
  return lean && lean.cut !== 'same-edge'
    ? {
        path: ['lean', 'cut'],
        message:
          'A board of layers from outside to inside is sawn with the same edge out; cut the leaning joints so too.',
      }
    : null;
}

function bottomUp(
  board: Extract<Layers, { laid: 'bottom-up' }>,
  { count, lean, after, inOrder, staves, inHalves }: Beside,
): Against | null {
  if (staves)
    return {
      path: ['sawnFrom', 'laid'],
      message:
        'One above the other, layers of staves would meet end grain to end grain, which hardly holds; let them lie from outside to inside, or let the segments lie flat.',
    };
  const turned = board.turned !== 'none';
  if (turned && inHalves)
    return {
      path: ['sawnFrom', 'turned'],
      message:
        'Where two halves meet, segments that stand upside down would not come in turn; let none stand upside down, or let the segments close the ring together.',
    };
  if (turned && count % 2 === 1)
    return {
      path: ['count'],
      message: `Segment count is ${count}; where every other segment stands upside down it has to be even, or two alike meet.`,
    };
  if (after)
    return {
      path: ['after'],
      message:
        'Layers one above the other go with a ring that stays whole: sawn apart, every part would have other layers. Leave it whole, or let the layers lie from outside to inside.',
    };
  if (turned && inOrder)
    return {
      path: ['inOrder'],
      message:
        'Segments of which every other one stands upside down cannot keep their order along the strip: let none stand upside down.',
    };
  if (!lean || turned === (lean.cut === 'turned-over')) return null;
  return {
    path: ['sawnFrom', 'turned'],
    message: turned
      ? 'A leaning segment that stands upside down leans the other way: let none stand upside down, or cut wedges by turning the strip over.'
      : 'Wedges that are glued alternately upside down turn their layers over too: let every other segment stand upside down, or cut another way.',
  };
}
