import { say, sayList, sayMade, sayMm, sayRad } from '../../measure/said.js';
import { gluedBehind } from '../faced/backing.js';
import { SEGMENT_CAUTIONS, setTheSaw } from '../segments.js';
import { type Step, step } from '../step.js';
import { slicesFromEnds } from './board.js';
import type { Laminate } from './laminate.js';
import { isSymmetric, type Laminated } from './params.js';

const TURNED: Record<Laminated['turn'], string> = {
  upright: 'about its upright axis, front to back, which mirrors the slope and keeps the order of the layers',
  lengthwise:
    'about its lengthwise axis, top to bottom, which mirrors the slope and turns the order of the layers round',
  face: 'half way round in its own face, which keeps the slope and turns the order of the layers round',
};

/** From the layers to the sawn segment, in order. */
export function laminatedSteps(of: Laminate): Step[] {
  const { given, ring } = of;
  if (given.figure === 'stripes')
    return [
      boardStep(of),
      ...gluedBehind(given, ring),
      setTheSaw(
        ring.segment,
        given.count,
        'swinging the gauge to the other side between cuts so that the layers stay the right way up',
        ['thin-stock'],
      ),
    ];
  return [
    boardStep(of),
    sliceStep(of),
    blockStep(of),
    trimStep(of),
    ...gluedBehind(given, ring),
    bevelStep(of),
  ];
}

function boardStep({ given: { layersMm }, ring, sizes, boards }: Laminate): Step {
  const same = isSymmetric(layersMm)
    ? 'Its layers are the same from above and below, as far as their thickness goes.'
    : 'Its layers differ from above and below: mark the top.';
  const several =
    boards.length === 1
      ? say`a board ${sayMm(boards[0]!.lengthMm, 'length')} long`
      : say`${boards.length} boards, ${sayList(boards.map(({ slices, lengthMm }) => say`${sayMm(lengthMm, 'length')} for ${slices}`))},`;
  return step(
    'board',
    'planer',
    say`Plane ${layersMm.length} layers to ${sayList(layersMm.map((t) => sayMm(t, 'thickness')))} from the bottom up, ${sayMm(ring.frontMm, 'width')} wide, and glue them into ${several} ${sayMm(sizes.boardMm)} thick. ${same}`,
    ['dust'],
  );
}

function sliceStep({ given: { spares }, sizes, slices, boards }: Laminate): Step {
  const each = slices.endsGlued ? slicesFromEnds(slices) : 0;
  const fromEnds = boards.reduce((sum, board) => sum + Math.min(each, board.slices - 1), 0);
  const glued =
    fromEnds === 0
      ? ''
      : say` Cut the two ends that are left of every board square and glue them together by their square faces, layers in line: that gives the other ${fromEnds}, with an upright glue line in the face.`;
  const ends = slices.wholeEnds
    ? 'a whole kerf at both ends is counted in'
    : 'the end cuts fall on the ends of the board';
  const slope = sizes.angle === 0 ? 'square' : say`at ${sayRad(slices.angle, 'cut-angle')} from square`;
  return step(
    'slices',
    'saw',
    say`Cut ${sayMade(slices.count - fromEnds)} slices ${sayMm(slices.widthMm, 'stop')} wide ${slope}, ${spares} of them spare; ${ends}. One slice lost near the end of a board that was cut to length stops the whole ring.${glued}`,
    [...SEGMENT_CAUTIONS, 'thin-stock'],
  );
}

function blockStep({ given, sizes }: Laminate): Step {
  const { figure, turn, trimMm } = given;
  const second =
    sizes.rows === 2
      ? `, and a second pair on top, upside down${figure === 'chevron' ? ' and with its slices exchanged' : ''}`
      : '';
  const block =
    figure === 'ramp'
      ? 'Stand the slices upright, all the same way.'
      : figure === 'chequer'
        ? say`Turn every other slice end for end and glue ${sizes.across} side by side for a segment.`
        : `Turn every other slice over ${TURNED[turn]}. Glue them in pairs on their cut faces${second}.`;
  return step(
    'blocks',
    'clamps',
    trimMm > 0
      ? say`${block} True the cut faces first: ${sayMm(trimMm / 2)} comes off either side of a slice in all.`
      : block,
  );
}

const trimStep = ({ sizes }: Laminate): Step =>
  step(
    'trim',
    'saw',
    say`Trim top and bottom so that ${sayMm(sizes.rowMm, 'width')} are left of every row, out of the ${sayMm(sizes.usableMm)} that the slices give.`,
    SEGMENT_CAUTIONS,
  );

const bevelStep = ({ given, ring: { half, faces } }: Laminate): Step =>
  step(
    'saw',
    'saw',
    say`Bevel the ends at ${sayRad(half, 'cut-angle')} so that ${sayMm(2 * faces.outerRadiusMm * Math.tan(half), 'stop')} are left outside, the same off both ends; ${sayMade(given.count)} segments.`,
    SEGMENT_CAUTIONS,
  );
