import { plain, type Said, say, sayList, sayMm } from '../measure/said.js';
import type { Check, Subject } from './check.js';
import { type LayerMargin, layerMargins, leftSaid } from './layerMargins.js';
import { alike, ownersOf, ringsSaid } from './said.js';

/** A layer left thinner than this is soon sanded through (mm). */
const LEAST_LAYER = 1;

/** Lines between layers that turning breaks through at some height, or nearly: with the margin on either side. */
export const layerChecks = ({ rings, vessel }: Subject): Check[] =>
  alike(rings, (ring) => layerMargins(ring, vessel).filter(isTooNear).map(tooNear), plain).map(
    ({ of, rings }) => ({
      code: 'layer-line',
      owners: ownersOf(rings),
      message: say`${ringsSaid(rings)}: ${of}.`,
      remedies: [],
    }),
  );

const isTooNear = ({ outsideLeftMm, insideLeftMm }: LayerMargin): boolean =>
  Math.min(outsideLeftMm, insideLeftMm) < LEAST_LAYER;

function tooNear({
  name,
  nearMm,
  farMm,
  outsideMm,
  insideMm,
  outsideLeftMm,
  insideLeftMm,
}: LayerMargin): Said {
  const margin = (side: 'outside' | 'inside', left: number, at: Said) =>
    left < 0 ? say`${leftSaid(side, left)} (the ${at})` : leftSaid(side, left);
  return say`${name} between two woods is too near the wall: ${sayList(
    [
      margin(
        'outside',
        outsideLeftMm,
        say`outside is ${sayMm(outsideMm)} there and the line reaches ${sayMm(farMm)}`,
      ),
      margin(
        'inside',
        insideLeftMm,
        say`bore is ${sayMm(insideMm)} there and the line comes in to ${sayMm(nearMm)}`,
      ),
    ],
    '; ',
  )}`;
}
