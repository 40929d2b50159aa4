import { refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import type { LayerLine } from '../contract.js';
import { behindFace, type FacedRing, faceWidth } from '../faced/facedRing.js';
import { plugsIn } from './lens.js';
import type { InlaidRing } from './params.js';

/** Why plugs or edges do not go into the face; null where they do. */
export function doesNotFit(given: InlaidRing, ring: FacedRing) {
  const { edge, count } = given;
  const { heightMm } = ring;
  const width = faceWidth(ring) - 2 * ring.asideMm;
  if (edge.topMm + edge.bottomMm >= heightMm - SAME_LENGTH || 2 * edge.sidesMm >= width - SAME_LENGTH)
    return refuse(
      'edge-too-wide',
      'sawnFrom.edge',
      say`The edges take ${sayMm(edge.topMm + edge.bottomMm)} of the height of ${sayMm(heightMm)} and ${sayMm(2 * edge.sidesMm)} of the face of ${sayMm(width)}; nothing is left of the field.`,
      { most: Math.min(heightMm, width) },
    );
  for (let segment = 0; segment < (given.lens ? count : 1); segment++)
    for (const [i, plug] of plugsIn(given, segment).entries()) {
      const half = plug.acrossMm / 2;
      const named = say`Plug ${i + 1} of ${sayMm(plug.acrossMm)}`;
      if (Math.abs(plug.asideMm) + half > width / 2 + SAME_LENGTH)
        return refuse(
          'plug-wider-than-face',
          `sawnFrom.plugs.${i}`,
          say`${named} reaches ${sayMm(Math.abs(plug.asideMm) + half)} from the middle; the face of ${sayMm(width)} ends at ${sayMm(width / 2)}.`,
          { most: width },
        );
      if (Math.abs(plug.upMm) + half > heightMm / 2 + SAME_LENGTH)
        return refuse(
          'plug-higher-than-face',
          `sawnFrom.plugs.${i}`,
          say`${named} reaches ${sayMm(Math.abs(plug.upMm) + half)} from half the height; the ring of ${sayMm(heightMm)} ends at ${sayMm(heightMm / 2)}.`,
          { most: heightMm },
        );
      if (plug.depthMm !== undefined && plug.depthMm > ring.segment.widthMm - SAME_LENGTH)
        return refuse(
          'plug-too-deep',
          `sawnFrom.plugs.${i}.depthMm`,
          say`Plug ${i + 1} is let in ${sayMm(plug.depthMm)}, and the segment is ${sayMm(ring.segment.widthMm)} deep. Let it go through, or less deep.`,
          { most: ring.segment.widthMm },
        );
    }
  return null;
}

/** The bottoms of holes: where each lies nearest to the axis and farthest, and at which heights. */
export function bottoms(given: InlaidRing, ring: FacedRing, heightMm: number): LayerLine[] {
  const segments = given.lens ? given.count : 1;
  return given.plugs.flatMap(({ depthMm }, i): LayerLine[] => {
    if (depthMm === undefined) return [];
    const largest = Math.max(
      ...Array.from({ length: segments }, (_, segment) => plugsIn(given, segment)[i]!.acrossMm),
    );
    const { asideMm, upMm } = given.plugs[i]!;
    const half = largest / 2;
    return [
      {
        name: say`The bottom of plug ${i + 1}`,
        ...behindFace(ring, depthMm, [asideMm - half, asideMm + half]),
        fromMm: Math.max(0, heightMm / 2 + upMm - half),
        toMm: Math.min(heightMm, heightMm / 2 + upMm + half),
      },
    ];
  });
}
