import { agedColour } from '../wood/ageing.js';
import { difference, INVISIBLE, labOf } from '../wood/colour.js';
import type { Species } from '../wood/species.js';
import { AGES } from './contrast.js';

/** Clearly told apart: so many times the difference that is just seen across a room. */
const CLEARLY = 1.5;

const lightness = (wood: Species, years: number): number => labOf(agedColour(wood, years)).l;

/** Whether two woods are clearly told apart at every age, the same of them the lighter one throughout. */
export function staysApart(a: Species, b: Species): boolean {
  const first = lightness(a, 0) - lightness(b, 0);
  return AGES.every(
    (years) =>
      difference(agedColour(a, years), agedColour(b, years)) >= CLEARLY * INVISIBLE &&
      Math.sign(lightness(a, years) - lightness(b, years)) === Math.sign(first),
  );
}

/**
 * The wood of some that looks most like one and stays apart from all that touch it; null where there is none. Woods that bleed are
 * not proposed. Colours are those under the piece's finish.
 */
export function woodInstead(
  wood: Species,
  beside: readonly Species[],
  woods: readonly Species[],
): Species | null {
  const known = new Set([wood.id, ...beside.map(({ id }) => id)]);
  const fits = woods.filter(
    (other) => !known.has(other.id) && !other.bleeds && beside.every((each) => staysApart(other, each)),
  );
  const near = (other: Species) => difference(other.colour, wood.colour);
  return fits.sort((a, b) => near(a) - near(b))[0] ?? null;
}
