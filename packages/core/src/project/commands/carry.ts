import { groupsOf, makingSchema, type RingMaking } from '../../making/registry.js';
import type { Ring } from '../schema.js';
import { spread } from './stack.js';

/** What parameters are called when they do not carry over to another way. */
const CALLED: Readonly<Record<string, string>> = {
  parts: 'unequal widths',
  plug: 'plug',
  spacers: 'spacers',
  gap: 'gaps',
  leanDeg: 'lean',
  tiltDeg: 'tilt',
  from: 'link with the other slices',
  halves: 'make-up of its halves',
  match: 'order along the strip',
  board: 'layers',
  item: 'place in the stash',
  layersMm: 'layers of the board',
  plugs: 'plugs and edges',
  glyphs: 'letters',
  stripsMm: 'strips of the board',
  floor: 'floor',
  waferMm: 'wafers',
  seen: 'illusion',
};

/** Parameters that mean the same in every way that has them. */
const SHARED = ['parts', 'plug', 'spacers'] as const;

/** Parameters of another way with those of the old one that it has too. */
export function carried(old: RingMaking, begun: RingMaking): RingMaking {
  let making = begun;
  for (const key of SHARED) {
    const value = (old as unknown as Record<string, unknown>)[key];
    const { [key]: _, ...rest } = making as unknown as Record<string, unknown>;
    const tried = value === undefined ? null : makingSchema.safeParse({ ...rest, [key]: value });
    if (tried?.success) making = tried.data;
  }
  return making;
}

/** What of the old parameters the new way does not have, in words. */
export const lost = (old: RingMaking, making: RingMaking): string[] =>
  Object.keys(old).flatMap((key) => (key in making ? [] : (CALLED[key] ?? [])));

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
