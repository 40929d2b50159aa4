import { say, sayList, sayMade, sayMm } from '../../measure/said.js';
import { type FacedRing, faceWidth } from '../faced/facedRing.js';
import type { Planing } from '../planing.js';
import { GLUE_RING, planeAndRip, SEGMENT_CAUTIONS, setTheSaw, spacersStep } from '../segments.js';
import { numbered, type Step, step } from '../step.js';
import type { InlaidParams } from './params.js';

const side = (mm: number) => (mm > 0 ? 'right' : 'left');

/** What is done to make a ring with plugs or frames, in order. */
export function inlaidSteps(
  given: InlaidParams,
  ring: FacedRing,
  heightMm: number,
  planing: Planing,
): Step[] {
  const { count, plugs, edge, spacerMm } = given;
  const framed = edge.topMm + edge.bottomMm + edge.sidesMm > 0;
  return [
    ...(framed ? frameSteps(given, ring, heightMm) : [planeAndRip(ring.segment, planing)]),
    setTheSaw(ring.segment, count),
    ...plugs.map((plug, i) => numbered(hole(plug, i, given.lens !== undefined), i + 1)).reverse(),
    ...(spacerMm > 0 ? [spacersStep(count, spacerMm, ring.spacer!.stock.longEdgeMm)] : []),
    GLUE_RING,
  ];
}

function frameSteps({ count, edge }: InlaidParams, ring: FacedRing, heightMm: number): Step[] {
  const { topMm, bottomMm, sidesMm } = edge;
  return [
    step(
      'fields',
      'saw',
      say`Make ${sayMade(count)} fields ${sayMm(faceWidth(ring) - 2 * sidesMm, 'length')} wide and ${sayMm(heightMm - topMm - bottomMm, 'width')} high, ${sayMm(ring.segment.widthMm, 'thickness')} deep.`,
      [...SEGMENT_CAUTIONS, 'thin-stock'],
    ),
    step(
      'frame',
      'clamps',
      say`Glue edges on: ${sayMm(sidesMm, 'thickness')} at the sides, then ${sayMm(topMm, 'thickness')} above and ${sayMm(bottomMm, 'thickness')} below. The edges at the sides are glued on square, so that the mitre takes of them towards the inside.`,
    ),
  ];
}

function hole(
  { shape, acrossMm, asideMm, upMm, depthMm }: InlaidParams['plugs'][number],
  i: number,
  lens: boolean,
): Step {
  const where = [
    ...(asideMm === 0 ? [] : [say`${sayMm(Math.abs(asideMm), 'place')} to the ${side(asideMm)}`]),
    ...(upMm === 0
      ? []
      : [say`${sayMm(Math.abs(upMm), 'place')} ${upMm > 0 ? 'above' : 'below'} half the height`]),
  ];
  const across = sayMm(acrossMm, 'diameter');
  const opened = shape === 'round' ? say`Drill ${across}` : say`Cut a ${shape} hole of ${across}`;
  const size = lens ? ' (usual size: see the list for the size in each segment)' : '';
  const middle = where.length === 0 ? 'in its middle' : say`${sayList(where)} of its middle`;
  const deep = depthMm === undefined ? 'right through' : say`${sayMm(depthMm, 'depth')} deep`;
  return step(
    'plug',
    'drill',
    say`${opened}${size} into the outer face of each segment, ${middle}, ${deep}; glue in plug ${i + 1}, grain along its length, and sand it flush.`,
    ['drill', 'dust'],
  );
}
