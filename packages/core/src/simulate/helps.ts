import { ERROR_KINDS, type ErrorKind, type Errors } from '../settings/errors.js';
import { outcomesOf } from './many.js';
import type { Method, ToBuild } from './subject.js';

/** What it would bring to halve one error: how much a middling build shows then, and the share of builds in which nothing is wrong. */
export interface Halved {
  readonly kind: ErrorKind;
  readonly shows: number;
  readonly clean: number;
}

/** Every error halved alone, what helps most first; errors that are nothing already are left out. The same seeds as ever, so that only what is halved differs. */
export function* halvings(
  piece: ToBuild,
  errors: Errors,
  method: Method,
  builds: number,
  firstSeed = 1,
): Generator<Halved, Halved[]> {
  const all: Halved[] = [];
  for (const kind of ERROR_KINDS) {
    if (errors[kind] === 0) continue;
    const { shows, clean } = outcomesOf(
      piece,
      { ...errors, [kind]: errors[kind] / 2 },
      method,
      builds,
      firstSeed,
    );
    const halved = { kind, shows: shows.middling, clean };
    all.push(halved);
    yield halved;
  }
  return all.sort((a, b) => a.shows - b.shows || b.clean - a.clean);
}
