import { radiusAt } from '../form/curve.js';
import type { Vessel } from '../form/vessel.js';
import { bandWoods } from '../ring/slant.js';
import { type Balance, balanceOf, type Weight } from '../shop/balance.js';
import { areaBetween, momentBetween } from '../surface/within.js';
import type { Species } from '../wood/species.js';
import { densitiesOf } from './densities.js';
import { hollowAt, type Lying, overHeights, partsOf } from './left.js';
import type { Prepared } from './prepare.js';
import type { Project } from './schema.js';

/** Slices in which it is measured (mm): what balances changes slowly along the height. */
const SLICE = 10;

/** How the turned piece is balanced: what is left of every place between inside and outside, by its wood's density; bands with the rings. */
export function turnedBalance(
  { turned, rings, cuts, bands }: Prepared,
  project: Pick<Project, 'palette'>,
  woods: readonly Species[],
): Balance {
  const densityOf = densitiesOf(project, woods);
  const weights: Weight[] = [];
  const weigh = (lying: Lying, vessel: Vessel, keyOf: (place: number) => string | undefined) => {
    for (const { place, heightsMm, bendsMm, outline } of partsOf(lying, vessel, cuts)) {
      const over = (of: (outer: number, inner: number, z: number) => number) =>
        overHeights(
          (z) => {
            const outer = radiusAt(vessel.outside, z);
            return of(outer, Math.min(outer, hollowAt(vessel, z)), z);
          },
          vessel,
          heightsMm,
          SLICE,
          bendsMm,
        );
      const volume = over((outer, inner, z) => areaBetween(outline(z), inner, outer));
      if (volume <= 0) continue;
      const x = over((outer, inner, z) => momentBetween(outline(z), inner, outer).x) / volume;
      const y = over((outer, inner, z) => momentBetween(outline(z), inner, outer).y) / volume;
      weights.push({ x, y, kg: (volume * densityOf(keyOf(place))) / 1e9 });
    }
  };
  for (const { made, turn, course, reaches, ring, vessel } of rings)
    if (made.ok)
      weigh(
        { made: made.value, turn, bottomMm: course.bottomMm, reaches },
        vessel,
        (place) => ring.woods[place],
      );
  for (const band of bands) {
    const woods = bandWoods(band.slant);
    weigh(band, turned, (place) => woods[place]!);
  }
  return balanceOf(weights);
}
