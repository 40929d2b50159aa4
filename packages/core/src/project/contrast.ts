import { bordersOf } from '../pattern/borders.js';
import { agedColour } from '../wood/ageing.js';
import { difference, INVISIBLE } from '../wood/colour.js';
import type { Species } from '../wood/species.js';
import type { Prepared } from './prepare.js';
import { bordersIn, wallOf } from './wall.js';

/** Ages of a piece at which woods are compared, years. */
export const AGES = [0, 5, 20] as const;

/** Two woods that touch on the outside: how long their border is, mm, and how different they look (CIEDE2000) at each age. */
export interface TouchingPair {
  readonly a: Species;
  readonly b: Species;
  readonly lengthMm: number;
  readonly differences: readonly [fresh: number, five: number, twenty: number];
}

/** All pairs of different woods that touch on the outside, the weakest first; `species` by palette key. */
export function touchingPairs(prepared: Prepared, species: ReadonlyMap<string, Species>): TouchingPair[] {
  const idAt = (ring: number, place: number) =>
    species.get(prepared.rings[ring]!.ring.woods[place] ?? '')?.id ?? '';
  const byId = new Map([...species.values()].map((wood) => [wood.id, wood]));
  return bordersOf(wallOf(prepared), bordersIn(prepared), idAt)
    .flatMap(({ a, b, lengthMm }): TouchingPair[] => {
      const [first, second] = [byId.get(a), byId.get(b)];
      if (!first || !second) return [];
      const at = (years: number) => difference(agedColour(first, years), agedColour(second, years));
      return [{ a: first, b: second, lengthMm, differences: [at(0), at(5), at(20)] }];
    })
    .sort((x, y) => Math.min(...x.differences) - Math.min(...y.differences));
}

/** The share of all borders between different woods where they are lost across a room at one of the ages, 0 to 1. */
export function weakShare(pairs: readonly TouchingPair[], age: number): number {
  const all = pairs.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  const weak = pairs.reduce(
    (sum, { lengthMm, differences }) => sum + (differences[age]! < INVISIBLE ? lengthMm : 0),
    0,
  );
  return all === 0 ? 0 : weak / all;
}
