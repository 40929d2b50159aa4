import type { Cavity } from '../cavity.js';
import { type Hands, handReaches, type Tool, toolReaches } from '../reach.js';

/** Rings that go on before the inside is worked at again, by their place in the section, and what would be hidden if one more went on. */
export interface ReachStage {
  readonly from: number;
  readonly to: number;
  /** Null where all that is left of the section goes on. */
  readonly because: Forced | null;
  /** A hand or fingers get at what is hollowed in this stage as far as any could. */
  readonly sanded: boolean;
}

/** What ends a stage: from the mouth at the top of the next ring, so wide, this does not get at the inside at a height; mm. */
export interface Forced {
  readonly by: 'tool' | 'hands';
  readonly next: number;
  readonly atMm: number;
  readonly mouthMm: number;
}

/** Heights of the inside that are looked at lie no farther apart (mm). */
const LOOK = 4;

/** What works at the inside: tools any of which may be used, and hands. */
export interface Inside {
  readonly tools: readonly Tool[];
  readonly hands: Hands;
}

/**
 * Where hollowing stops: a stage ends before the first ring that would hide something still to be reached. What a mouth hides, every
 * mouth above it hides too: a line has more to keep clear of, and is longer. What is hidden as soon as its own ring is on ends no
 * stage: nothing would be won. `topsMm` are the heights of the rings' upper faces, rising.
 */
export function reachStages(
  cavity: Cavity,
  topsMm: readonly number[],
  { tools, hands }: Inside,
): ReachStage[] {
  const mouthOf = (ring: number) => Math.min(topsMm[ring]!, cavity.toMm);
  const gets = {
    tool: (z: number, mouth: number) => tools.some((tool) => toolReaches(cavity, z, mouth, tool)),
    hands: (z: number, mouth: number) => handReaches(cavity, z, mouth, hands) !== 'none',
  };
  const last = topsMm.length - 1;
  const stages: ReachStage[] = [];
  for (let from = 0; from <= last; ) {
    const floor = Math.max(cavity.fromMm, from === 0 ? Number.NEGATIVE_INFINITY : mouthOf(from - 1));
    let sanded = true;
    let [to, because]: [number, Forced | null] = [last, null];
    for (const by of ['tool', 'hands'] as const)
      for (const z of looksAt(topsMm, floor, cavity.toMm)) {
        const own = Math.max(from, ringAt(topsMm, z));
        if (own > to) break;
        if (!gets[by](z, mouthOf(own))) {
          sanded &&= by !== 'hands';
          continue;
        }
        const until = lastWhere(own, to, (ring) => gets[by](z, mouthOf(ring)));
        if (until === to) continue;
        to = until;
        because = { by, next: until + 1, atMm: z, mouthMm: 2 * (cavity.at(mouthOf(until + 1)) ?? 0) };
      }
    stages.push({ from, to, because, sanded });
    from = to + 1;
  }
  return stages;
}

/** Heights that are looked at: every ring's faces within the hollow and some between. */
function looksAt(topsMm: readonly number[], fromMm: number, toMm: number): number[] {
  const edges = [fromMm, ...topsMm.filter((top) => top > fromMm && top < toMm), toMm];
  return edges.slice(1).flatMap((upper, i) => {
    const lower = edges[i]!;
    const looks = Math.max(1, Math.ceil((upper - lower) / LOOK));
    return Array.from({ length: looks }, (_, k) => lower + (k / looks) * (upper - lower));
  });
}

const ringAt = (topsMm: readonly number[], z: number): number => {
  const found = topsMm.findIndex((top) => z < top);
  return found < 0 ? topsMm.length - 1 : found;
};

/** The greatest of least … most where something holds that holds at the least and, once it fails, fails for good. */
function lastWhere(least: number, most: number, holds: (at: number) => boolean): number {
  if (holds(most)) return most;
  let [low, high] = [least, most];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (holds(middle)) low = middle;
    else high = middle;
  }
  return low;
}
