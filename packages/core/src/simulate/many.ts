import type { Errors } from '../settings/errors.js';
import { build } from './build.js';
import { Count, type Outcomes } from './counting.js';
import { look, type Outcome } from './seen.js';
import type { Method, ToBuild } from './subject.js';

/** One build, looked at. */
export const buildAndLook = (piece: ToBuild, errors: Errors, method: Method, seed: number): Outcome =>
  look(piece, method, build(piece, errors, method, seed));

/** Builds a piece so many times, with seeds from the first on; tells what came out so far after every `each`. */
export function* buildMany(
  piece: ToBuild,
  errors: Errors,
  method: Method,
  { builds, firstSeed, each }: { readonly builds: number; readonly firstSeed: number; readonly each: number },
): Generator<Outcomes, Outcomes> {
  const count = new Count(piece);
  for (let i = 0; i < builds; i++) {
    count.add(buildAndLook(piece, errors, method, firstSeed + i));
    if ((i + 1) % each === 0 && i + 1 < builds) yield count.outcomes();
  }
  return count.outcomes();
}

/** All at once. */
export function outcomesOf(
  piece: ToBuild,
  errors: Errors,
  method: Method,
  builds: number,
  firstSeed = 1,
): Outcomes {
  const count = new Count(piece);
  for (let i = 0; i < builds; i++) count.add(buildAndLook(piece, errors, method, firstSeed + i));
  return count.outcomes();
}
