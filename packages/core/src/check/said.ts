import { type Said, say, sayList } from '../measure/said.js';
import { type Owner, ringOwner } from '../ring/owner.js';

/** A ring as checks speak of it. */
interface Told {
  readonly index: number;
  readonly id: string;
}

/** Numbers from the bottom as people say them: `2 to 5`, `1, 3 and 7 to 9`. */
export function numbersSaid(indexes: readonly number[]): Said {
  const sorted = [...new Set(indexes)].sort((a, b) => a - b);
  const runs: [number, number][] = [];
  for (const index of sorted) {
    const run = runs.at(-1);
    if (run && index === run[1] + 1) run[1] = index;
    else runs.push([index, index]);
  }
  const said = runs.flatMap(([from, to]) =>
    to - from > 1
      ? [say`${from + 1} to ${to + 1}`]
      : Array.from({ length: to - from + 1 }, (_, i) => say`${from + i + 1}`),
  );
  return said.length > 1 ? say`${sayList(said.slice(0, -1))} and ${said.at(-1)!}` : (said[0] ?? '');
}

/** `Ring 4`, `Rings 2 to 5`. */
export const ringsSaid = (rings: readonly Told[]): Said =>
  say`${rings.length === 1 ? 'Ring' : 'Rings'} ${numbersSaid(rings.map(({ index }) => index))}`;

export const ownersOf = (rings: readonly Told[]): Owner[] => rings.map(({ id }) => ringOwner(id));

/** Rings of which the same is to be said, together, in the order of their lowest. */
export function alike<R extends Told, T>(
  rings: readonly R[],
  say: (ring: R) => readonly T[],
  key: (of: T) => string,
): { readonly of: T; readonly rings: readonly R[] }[] {
  const groups = new Map<string, { of: T; rings: R[] }>();
  for (const ring of rings)
    for (const of of say(ring)) {
      const known = groups.get(key(of));
      if (!known) groups.set(key(of), { of, rings: [ring] });
      else if (known.rings.at(-1) !== ring) known.rings.push(ring);
    }
  return [...groups.values()];
}
