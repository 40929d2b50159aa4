import { formatAngle, sayMm } from '../../measure/format.js';
import { rad } from '../../measure/quantity.js';
import { GLUE_RING, setTheSaw } from '../segments.js';
import type { Laminate } from './laminate.js';
import { isSymmetric, type LaminatedParams } from './params.js';

const TURNED: Record<LaminatedParams['turn'], string> = {
  upright: 'about its upright axis, front to back, which mirrors the slope and keeps the order of the layers',
  lengthwise:
    'about its lengthwise axis, top to bottom, which mirrors the slope and turns the order of the layers round',
  face: 'half way round in its own face, which keeps the slope and turns the order of the layers round',
};

/** What is done to make a laminated ring, in order. */
export function laminatedSteps({ given, ring, sizes, slices, boards }: Laminate): string[] {
  const { layersMm, figure, count, spares } = given;
  const same = isSymmetric(layersMm)
    ? 'Its layers are the same from above and below, as far as their thickness goes.'
    : 'Its layers differ from above and below: mark the top.';
  const several =
    boards.length === 1
      ? `a board ${sayMm(boards[0]!.lengthMm)} long`
      : `${boards.length} boards, ${boards.map(({ slices: n, lengthMm }) => `${sayMm(lengthMm)} for ${n}`).join(', ')},`;
  const ends = slices.wholeEnds
    ? 'a whole kerf at both ends is counted in'
    : 'the end cuts fall on the ends of the board';
  const board = `Plane ${layersMm.length} layers to ${layersMm.map((t) => sayMm(t)).join(', ')} from the bottom up, ${sayMm(ring.segment.widthMm)} wide, and glue them into ${several} ${sayMm(sizes.boardMm)} thick. ${same}`;
  if (figure === 'stripes')
    return [
      board,
      `${setTheSaw(ring.segment, count, 'swinging the gauge to the other side between cuts so that the layers stay the right way up')}`,
      GLUE_RING,
    ];
  const cut = `Cut ${slices.count} slices ${sayMm(slices.widthMm)} wide ${sizes.angle === 0 ? 'square' : `at ${formatAngle(rad(slices.angle))} from square`}, ${spares} of them spare; ${ends}. One slice lost near the end of a board that was cut to length stops the whole ring.`;
  const block =
    figure === 'ramp'
      ? 'Stand the slices upright, all the same way.'
      : figure === 'chequer'
        ? `Turn every other slice end for end and glue ${sizes.across} side by side for a segment.`
        : `Turn every other slice over ${TURNED[given.turn]}. Glue them in pairs on their cut faces${sizes.rows === 2 ? `, and a second pair on top, upside down${figure === 'chevron' ? ' and with its slices exchanged' : ''}` : ''}.`;
  return [
    board,
    cut,
    given.trimMm > 0
      ? `${block} True the cut faces first: ${sayMm(given.trimMm / 2)} comes off either side of a slice in all.`
      : block,
    `Trim top and bottom so that ${sayMm(sizes.rowMm)} are left of every row, out of the ${sayMm(sizes.usableMm)} that the slices give.`,
    `Bevel the ends at ${formatAngle(rad(ring.half))} so that ${sayMm(2 * ring.faces.outerMm * Math.tan(ring.half))} are left outside, the same off both ends; ${count} segments.`,
    GLUE_RING,
  ];
}
