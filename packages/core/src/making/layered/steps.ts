import { say, sayList, sayMm } from '../../measure/said.js';
import type { Frame } from '../joints/frame.js';
import { cutStaves, HOW, sawAll } from '../joints/frameSteps.js';
import { type Planing, planedThickness } from '../planing.js';
import type { Beside } from '../sources/contract.js';
import { layeredBoards } from '../staves/steps.js';
import { numbered, type Step, step } from '../step.js';
import type { StripStock } from '../stock.js';
import { squareTo } from './layers.js';
import type { Layers } from './params.js';

const inOrder = (layers: readonly number[]) =>
  sayList(
    layers.map((thick) => sayMm(thick, 'thickness')),
    ' and ',
  );

/** Gluing a board for all segments, or for those of each half where they are not as wide. */
const boardsOf = ({ framing, segments }: Frame, of: (stock: StripStock) => Step): Step[] =>
  framing.inHalves && segments.length > 1
    ? segments.map(({ stock }, i) => numbered(of(stock), i + 1))
    : [of(segments[0]!.stock)];

/** How the board or strip is glued up and segments are sawn from it. */
export const layeredSteps =
  (
    board: Layers,
    borders: readonly number[],
    frame: Frame,
    { after }: Beside,
  ): ((planing: Planing) => Step[]) =>
  (planing) => {
    const boards = (of: (stock: StripStock) => Step) => boardsOf(frame, of);
    const segment = frame.segments[0]!.stock;
    const each = after?.done === 'opened' ? 2 : 1;
    const high = planedThickness(segment.thicknessMm, planing);
    const layers = borders.slice(1).map((to, i) => to - borders[i]!);
    if (frame.framing.staves)
      return [
        layeredBoards(layers.map((thick) => thick * squareTo(frame))),
        cutStaves(frame, true),
        ...sawAll(frame),
      ];
    if (board.laid === 'outside-in')
      return [
        ...boards(({ widthMm }) =>
          step(
            'board',
            'planer',
            say`Plane strips to ${inOrder([...layers.slice(0, -1), widthMm - borders.at(-2)!])}, all ${sayMm(high, 'width')} wide, and glue them face to face in this order into a board ${sayMm(widthMm)} thick.`,
            ['dust'],
          ),
        ),
        step('on-edge', 'saw', 'Stand the board on edge at the saw, outer layer away from the fence.'),
        ...sawAll(frame, HOW['same-edge'], each),
      ];
    // What is sanded off the ring comes off its lowest and its topmost layer.
    const more = (high - segment.thicknessMm) / 2;
    const planed = layers.map((thick, i) => thick + (i === 0 || i === layers.length - 1 ? more : 0));
    const over = frame.upright ? HOW['turned-over'] : undefined;
    return [
      ...boards(({ widthMm }) =>
        step(
          'board',
          'planer',
          say`Plane strips to ${inOrder(planed)}, all ${sayMm(widthMm, 'width')} wide, and glue them one on another in this order, bottom layer first, into a strip ${sayMm(high)} high.`,
          ['dust'],
        ),
      ),
      ...sawAll(
        frame,
        board.turned !== 'none'
          ? over
          : frame.framing.lean?.cut === 'two-fences'
            ? HOW['two-fences']
            : `${HOW['same-edge']} and the same layer up`,
      ),
      ...(board.turned === 'none' || !frame.upright
        ? []
        : [
            step(
              'sort',
              'bench',
              'Lay them as they came off the saw: every other segment stands upside down, so that front and back are opposites.',
            ),
          ]),
    ];
  };
