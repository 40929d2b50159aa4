import { say } from '../../measure/said.js';
import type { Frame } from '../joints/frame.js';
import { boxOutline, type StepPicture } from '../picture.js';
import { stanceOf } from '../staves/staves.js';
import { wedgeOutline } from '../wedge.js';
import { layerFaces } from './layers.js';
import { isTurned, type Layers } from './params.js';

/** The board from its end, and what is sawn off it. */
export function layeredPictures(board: Layers, borders: readonly number[], frame: Frame): StepPicture[] {
  const { count, staves } = frame.framing;
  const { called, seen } = stanceOf(staves);
  const several = frame.segments.length > 1;
  const saw = several ? 'saw-1' : 'saw';
  const glued = several && frame.framing.inHalves ? 'board-1' : 'board';
  const { widthMm: wide, longEdgeMm: long, thicknessMm: high } = frame.segments[0]!.stock;
  const layers = borders.slice(1).map((to, layer) => ({ from: borders[layer]!, to, layer }));
  if (board.laid === 'outside-in') {
    const segment: StepPicture = {
      step: saw,
      title: called,
      says: say`A ${called.toLowerCase()} ${seen}, its outer layer away from the axis.`,
      parts: layers.map(({ layer }) => ({
        outline: wedgeOutline(frame.wedge(0), layerFaces(frame.faces, borders, layer), 0),
        place: layer * count,
      })),
      lines: [],
      sizes: [],
    };
    if (staves) return [segment];
    return [
      {
        step: glued,
        title: 'Board',
        says: 'The board on edge, from its end: the inner layer lies against the fence.',
        parts: layers.map(({ from, to, layer }) => ({
          outline: boxOutline(wide - to, 0, wide - from, high),
          place: layer * count,
        })),
        lines: [],
        sizes: [
          { from: { x: 0, y: 0 }, to: { x: wide, y: 0 }, mm: wide },
          ...layers.slice(0, -1).map(({ from, to }) => ({
            from: { x: wide - to, y: high },
            to: { x: wide - from, y: high },
            mm: to - from,
          })),
        ],
      },
      segment,
    ];
  }
  const stacked = (x: number, across: number, segment: number) =>
    layers.map(({ from, to, layer }) => ({
      outline: isTurned(board, segment)
        ? boxOutline(x, high - to, x + across, high - from)
        : boxOutline(x, from, x + across, to),
      place: layer * count + segment,
    }));
  const heights = layers.map(({ from, to }) => ({
    from: { x: wide, y: from },
    to: { x: wide, y: to },
    mm: to - from,
  }));
  return [
    {
      step: glued,
      title: 'Strip',
      says: 'The strip from its end, its bottom layer below.',
      parts: stacked(0, wide, isTurned(board, 0) ? 1 : 0),
      lines: [],
      sizes: [{ from: { x: 0, y: 0 }, to: { x: wide, y: 0 }, mm: wide }, ...heights],
    },
    {
      step: saw,
      title: 'Segments',
      says: 'Two neighbours in the ring, seen from outside.',
      parts: [1, 0].flatMap((segment, i) => stacked(i * long, long, segment)),
      lines: [],
      sizes: [{ from: { x: 0, y: 0 }, to: { x: long, y: 0 }, mm: long }],
    },
  ];
}
