import type { Shop } from '../../settings/shop.js';
import { type Demand, withWays } from './demand.js';
import { pricedWays } from './partLengths.js';
import type { Solver } from './program.js';
import { type Progress, solving } from './solve.js';

/** How far a demand is laid out; the answer's stocks are those of `demand`, which grows where better lengths for parts are found. */
export interface LaidSoFar extends Progress {
  readonly demand: Demand;
}

/** Lays out a demand, its boards crosscut in the ways that are tried in any case and in those that the prices of its pieces ask for. */
export function* layingOut(given: Demand, solver: Solver, shop: Shop): Generator<LaidSoFar, LaidSoFar> {
  let demand = given;
  const steps = solving(given.problem, solver, (prices) => {
    const ways = pricedWays(demand, prices, shop);
    const longer = ways.length > 0 ? withWays(demand, ways, shop) : null;
    if (longer) demand = longer;
    return longer?.problem ?? null;
  });
  for (;;) {
    const step = steps.next();
    if (step.done) return { ...step.value, demand };
    yield { ...step.value, demand };
  }
}

/** The whole answer at once. */
export function laidOut(demand: Demand, solver: Solver, shop: Shop): LaidSoFar {
  const steps = layingOut(demand, solver, shop);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
