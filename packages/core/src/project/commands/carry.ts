import { type Between, gapIn, spacersIn } from '../../making/joints/between.js';
import { groupsOf, makingSchema, type RingMaking } from '../../making/registry.js';
import type { Ring } from '../schema.js';
import { spread } from './stack.js';

/** What parameters are called when they do not carry over. */
const CALLED: Readonly<Record<string, string>> = {
  parts: 'unequal widths',
  inOrder: 'order along the strip',
  plug: 'plug',
  lean: 'tilt',
  staves: 'staves on end',
  toCentre: 'segments to the centre',
  inHalves: 'make-up of its halves',
  item: 'place in the stash',
  woven: 'weaving',
};

/** What segments are sawn from and what is done then, by what it is. */
const CALLED_BY: Readonly<Record<string, string>> = {
  layers: 'layers',
  laminated: 'layers of the board',
  plugs: 'plugs and edges',
  letters: 'letters',
  illusion: 'illusion',
  star: 'star',
  cabin: 'log cabin',
  strips: 'strips of the board',
  sliced: 'link with the other slices',
  opened: 'leaves of a book',
};

/** Parameters of a starting point with those of the old ones that it keeps, as far as they go with it. */
export function carried(old: RingMaking, begun: RingMaking, keeps: readonly string[]): RingMaking {
  let making = begun;
  for (const key of keeps) {
    const value = (old as unknown as Record<string, unknown>)[key];
    const tried = value === undefined ? null : makingSchema.safeParse({ ...making, [key]: value });
    if (tried?.success) making = tried.data;
  }
  return making;
}

/** What of the old parameters the new ones do not have, in words. */
export const lost = (old: RingMaking, making: RingMaking): string[] => [
  ...heldBy(old).filter((held) => !heldBy(making).includes(held)),
  ...Object.entries(old).flatMap(([key, value]) => {
    const now = (making as unknown as Record<string, unknown>)[key];
    const sort = sortOf(value);
    if (now !== undefined && sort === sortOf(now)) return [];
    return (sort === undefined ? now === undefined && CALLED[key] : CALLED_BY[sort]) || [];
  }),
];

/** What lies in the joints of a ring, however it is said which. */
function heldBy(making: RingMaking): string[] {
  const { between } = making as { readonly between?: Between };
  return [...(spacersIn(between) ? ['spacers'] : []), ...(gapIn(between) ? ['gaps'] : [])];
}

/** Which of several an answer is; undefined of what is only one. */
function sortOf(answer: unknown): string | undefined {
  const { is, done } = (typeof answer === 'object' && answer !== null ? answer : {}) as Record<
    string,
    unknown
  >;
  return [is, done].find((sort) => typeof sort === 'string') as string | undefined;
}

/** Woods of a ring that find no place in it any more, in words. */
export function lostWoods(before: readonly string[], after: readonly string[]): string[] {
  const gone = [...new Set(before)].filter((key) => !after.includes(key));
  return gone.length === 0 ? [] : [`the wood${gone.length === 1 ? '' : 's'} ${gone.join(' and ')}`];
}

/** The palette key that a ring has most of. */
export function mostUsed(woods: readonly string[]): string {
  const counts = new Map<string, number>();
  for (const wood of woods) counts.set(wood, (counts.get(wood) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]![0];
}

/**
 * Woods of a ring that is made another way: each group of places keeps its colours by share of the circle, segments
 * those of the first group; what is new gets the wood that is meant for it, or one that differs from most of the
 * segments.
 */
export function carriedWoods(
  ring: Ring,
  making: RingMaking,
  palette: readonly string[] = [],
  meant: readonly string[] | null = null,
): string[] {
  const old = new Map<string, string[]>();
  let at = 0;
  for (const { name, count } of groupsOf(ring.making)) {
    old.set(name, ring.woods.slice(at, at + count));
    at += count;
  }
  const segments = [...old.values()][0]!;
  const base = mostUsed(segments);
  const other = [...ring.woods, ...palette].find((key) => key !== base) ?? base;
  let first = 0;
  return groupsOf(making).flatMap(({ name, count }, i) => {
    const own = meant?.slice(first, first + count);
    first += count;
    const before = old.get(name) ?? own ?? (i === 0 ? segments : [other]);
    return spread(before.length > 0 ? before : [other], count);
  });
}

/** A ring made another way. */
export const madeAs = (ring: Ring, making: RingMaking, palette?: readonly string[]): Ring => ({
  ...ring,
  making,
  woods: carriedWoods(ring, making, palette),
});
