import { refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import type { LayerLine } from '../contract.js';
import type { FacePoint } from '../faced/face.js';
import { behindFace, type FacedRing, faceWidth } from '../faced/facedRing.js';
import type { LetteredRing } from './params.js';

/** Why the outlines do not go into the faces; null where they do. */
export function doesNotFit(
  given: LetteredRing,
  pockets: readonly (readonly (readonly FacePoint[])[])[],
  ring: FacedRing,
) {
  const { heightMm } = ring;
  const width = faceWidth(ring) - 2 * ring.asideMm;
  for (const [i, loops] of pockets.entries()) {
    if (!given.order.includes(i)) continue;
    const name = `“${given.glyphs[i]!.name}”`;
    if (loops.length === 0)
      return refuse(
        'glyph-too-fine',
        `sawnFrom.glyphs.${i}`,
        say`${name} is ${sayMm(given.sizeMm)} high and finer than the cutter of ${sayMm(given.cutterMm)} everywhere: make it larger or take a smaller cutter.`,
        { least: given.cutterMm },
      );
    const points = loops.flat();
    const wide = 2 * Math.max(...points.map(({ u }) => Math.abs(u)));
    const [low, high] = [Math.min(...points.map(({ z }) => z)), Math.max(...points.map(({ z }) => z))];
    if (wide > width + SAME_LENGTH)
      return refuse(
        'glyph-wider-than-face',
        'sawnFrom.sizeMm',
        say`${name} is ${sayMm(wide)} wide and the face ${sayMm(width)}: make the letters smaller, or the segments fewer.`,
        { most: width },
      );
    if (high + given.upMm > heightMm / 2 + SAME_LENGTH || low + given.upMm < -heightMm / 2 - SAME_LENGTH)
      return refuse(
        'glyph-higher-than-face',
        'sawnFrom.sizeMm',
        say`${name} is ${sayMm(high - low)} high, ${sayMm(Math.abs(given.upMm))} off the middle, and the ring ${sayMm(heightMm)} high.`,
        { most: heightMm },
      );
  }
  if (given.depthMm > ring.segment.widthMm - SAME_LENGTH)
    return refuse(
      'pocket-too-deep',
      'sawnFrom.depthMm',
      say`The pockets are ${sayMm(given.depthMm)} deep and the segments ${sayMm(ring.segment.widthMm)}.`,
      { most: ring.segment.widthMm },
    );
  return null;
}

/** The bottoms of the pockets, one line for all of them. */
export function bottoms(
  { depthMm, upMm, order }: LetteredRing,
  pockets: readonly (readonly (readonly FacePoint[])[])[],
  ring: FacedRing,
  heightMm: number,
): LayerLine[] {
  const points = pockets.filter((_, i) => order.includes(i)).flat(2);
  if (points.length === 0) return [];
  const us = points.map(({ u }) => u);
  return [
    {
      name: 'The bottom of the letters',
      ...behindFace(ring, depthMm, [Math.min(...us), Math.max(...us)]),
      fromMm: Math.max(0, heightMm / 2 + upMm + Math.min(...points.map(({ z }) => z))),
      toMm: Math.min(heightMm, heightMm / 2 + upMm + Math.max(...points.map(({ z }) => z))),
    },
  ];
}
