import { say, sayList, sayMm } from '../../measure/said.js';
import type { Frame } from '../joints/frame.js';
import { type Planing, planedThickness } from '../planing.js';
import { setTheSaw } from '../segments.js';
import { type Step, step } from '../step.js';
import type { StripStock } from '../stock.js';
import type { LayeredParams } from './params.js';

const inOrder = (layers: readonly number[]) =>
  sayList(
    layers.map((thick) => sayMm(thick, 'thickness')),
    ' and ',
  );

/** How the board or strip is glued up and segments are sawn from it. */
export const layeredSteps =
  (
    { count, board }: LayeredParams,
    segment: StripStock,
    borders: readonly number[],
    { joining }: Frame,
  ): ((planing: Planing) => Step[]) =>
  (planing) => {
    const high = planedThickness(segment.thicknessMm, planing);
    const layers = borders.slice(1).map((to, i) => to - borders[i]!);
    if (board.laid === 'outside-in')
      return [
        step(
          'board',
          'planer',
          say`Plane strips to ${inOrder(layers)}, all ${sayMm(high, 'width')} wide, and glue them face to face in this order into a board ${sayMm(segment.widthMm)} thick.`,
          ['dust'],
        ),
        step('on-edge', 'saw', 'Stand the board on edge at the saw, outer layer away from the fence.'),
        setTheSaw(segment, count, 'the same edge out every time'),
        ...joining,
      ];
    // What is sanded off the ring comes off its lowest and its topmost layer.
    const more = (high - segment.thicknessMm) / 2;
    const planed = layers.map((thick, i) => thick + (i === 0 || i === layers.length - 1 ? more : 0));
    return [
      step(
        'board',
        'planer',
        say`Plane strips to ${inOrder(planed)}, all ${sayMm(segment.widthMm, 'width')} wide, and glue them one on another in this order, bottom layer first, into a strip ${sayMm(high)} high.`,
        ['dust'],
      ),
      board.turned === 'none'
        ? setTheSaw(segment, count, 'the same edge out every time and the same layer up')
        : setTheSaw(segment, count, 'turning the strip over between cuts'),
      ...(board.turned === 'none'
        ? []
        : [
            step(
              'sort',
              'bench',
              'Lay them as they came off the saw: every other segment stands upside down, so that front and back are opposites.',
            ),
          ]),
      ...joining,
    ];
  };
