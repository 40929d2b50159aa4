import { sayMm } from '../../measure/format.js';
import { type FacedRing, faceWidth } from '../faced/facedRing.js';
import { GLUE_RING, planeAndRip, setTheSaw } from '../segments.js';
import type { InlaidParams } from './params.js';

const side = (mm: number) => (mm > 0 ? 'right' : 'left');

/** What is done to make a ring with plugs or frames, in order. */
export function inlaidSteps(given: InlaidParams, ring: FacedRing, heightMm: number): string[] {
  const { count, plugs, edge, spacerMm } = given;
  const { topMm, bottomMm, sidesMm } = edge;
  const framed = topMm + bottomMm + sidesMm > 0;
  const width = faceWidth(ring);
  const frame = framed
    ? [
        `Make ${count} fields ${sayMm(width - 2 * sidesMm)} wide and ${sayMm(heightMm - topMm - bottomMm)} high, ${sayMm(ring.segment.widthMm)} deep; glue edges on: ${sayMm(sidesMm)} at the sides, then ${sayMm(topMm)} above and ${sayMm(bottomMm)} below.`,
        `The edges at the sides are glued on square, so that the mitre takes of them towards the inside.`,
      ]
    : [planeAndRip(ring.segment)];
  const holes = plugs.map(({ shape, acrossMm, asideMm, upMm, depthMm }, i) => {
    const where = [
      ...(asideMm === 0 ? [] : [`${sayMm(Math.abs(asideMm))} to the ${side(asideMm)}`]),
      ...(upMm === 0 ? [] : [`${sayMm(Math.abs(upMm))} ${upMm > 0 ? 'above' : 'below'} half the height`]),
    ];
    const hole = shape === 'round' ? `Drill ${sayMm(acrossMm)}` : `Cut a ${shape} hole of ${sayMm(acrossMm)}`;
    const size = given.lens ? ' (usual size: see the list for the size in each segment)' : '';
    return `${hole}${size} into the outer face of each segment, ${where.length === 0 ? 'in its middle' : `${where.join(', ')} of its middle`}, ${depthMm === undefined ? 'right through' : `${sayMm(depthMm)} deep`}; glue in plug ${i + 1}, grain along its length, and sand it flush.`;
  });
  return [
    ...frame,
    setTheSaw(ring.segment, count),
    ...[...holes].reverse(),
    ...(spacerMm > 0
      ? [`Plane ${count} spacers to ${sayMm(spacerMm)}, each ${sayMm(ring.spacer!.stock.longEdgeMm)} long.`]
      : []),
    GLUE_RING,
  ];
}
