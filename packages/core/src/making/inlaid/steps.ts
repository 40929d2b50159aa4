import { say, sayList, sayMade, sayMm } from '../../measure/said.js';
import { gluedBehind, sawnPlain } from '../faced/backing.js';
import { type FacedRing, faceWidth } from '../faced/facedRing.js';
import type { Frame } from '../joints/frame.js';
import { sawAll } from '../joints/frameSteps.js';
import type { Planing } from '../planing.js';
import { SEGMENT_CAUTIONS } from '../segments.js';
import { numbered, type Step, step } from '../step.js';
import type { InlaidRing, PlugParams } from './params.js';

const side = (mm: number) => (mm > 0 ? 'right' : 'left');

/** From the board to the sawn segment with its plugs or frames, in order. */
export function inlaidSteps(given: InlaidRing, frame: Frame, ring: FacedRing, planing: Planing): Step[] {
  const { plugs, edge } = given;
  const framed = edge.topMm + edge.bottomMm + edge.sidesMm > 0;
  return [
    ...(framed
      ? [...frameSteps(given, ring), ...gluedBehind(given, ring), ...sawAll(frame)]
      : sawnPlain(given, frame, ring, planing)),
    ...plugs.map((plug, i) => numbered(hole(plug, i, given.lens !== undefined), i + 1)).reverse(),
  ];
}

function frameSteps({ count, edge }: InlaidRing, ring: FacedRing): Step[] {
  const { topMm, bottomMm, sidesMm } = edge;
  const { heightMm } = ring;
  return [
    step(
      'fields',
      'saw',
      say`Make ${sayMade(count)} fields ${sayMm(faceWidth(ring) - 2 * sidesMm, 'length')} wide and ${sayMm(heightMm - topMm - bottomMm, 'width')} high, ${sayMm(ring.frontMm, 'thickness')} deep.`,
      [...SEGMENT_CAUTIONS, 'thin-stock'],
    ),
    step(
      'frame',
      'clamps',
      say`Glue edges on: ${sayMm(sidesMm, 'thickness')} at the sides, then ${sayMm(topMm, 'thickness')} above and ${sayMm(bottomMm, 'thickness')} below. The edges at the sides are glued on square, so that the mitre takes of them towards the inside.`,
    ),
  ];
}

function hole({ shape, acrossMm, asideMm, upMm, depthMm }: PlugParams, i: number, lens: boolean): Step {
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
