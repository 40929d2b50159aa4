import type { Point } from '../ring/plane.js';
import {
  after,
  along,
  bringing,
  cross,
  dot,
  lengthOf,
  type Move,
  minus,
  moved,
  NO_MOVE,
  type Quad,
  toward,
} from './quad.js';

/** How far along a joint the next unit's outer corner lies from this one's, as drawn: outer corners of unequal segments differ. */
export const stepsAlong = (drawn: readonly Quad[]): number[] =>
  drawn.map(({ outerTo, innerTo }, i) => {
    const next = drawn[(i + 1) % drawn.length]!;
    return dot(toward(outerTo, innerTo), minus(next.outerFrom, outerTo));
  });

/** The move that lays a unit against the one before it, faces touching all along, as far in or out as it is drawn. */
export function against(before: Quad, next: Quad, step: number): Move {
  const face = toward(before.outerTo, before.innerTo);
  const own = toward(next.outerFrom, next.innerFrom);
  return bringing(next.outerFrom, own, along(before.outerTo, face, step), face);
}

/** Where a joint is closed along its face, from outside to inside: as far as both faces reach. */
export function jointOf(
  before: Quad,
  step: number,
  next: Quad,
): { readonly outer: Point; readonly inner: Point; readonly longMm: number } {
  const face = toward(before.outerTo, before.innerTo);
  const [own, its] = [
    lengthOf(minus(before.innerTo, before.outerTo)),
    lengthOf(minus(next.innerFrom, next.outerFrom)),
  ];
  const [from, to] = [Math.max(0, step), Math.min(own, step + its)];
  return {
    outer: along(before.outerTo, face, from),
    inner: along(before.outerTo, face, to),
    longMm: Math.max(0, to - from),
  };
}

/** Moves that lay units one against the other, faces touching, from the first, which stays; one more than units: where the first would come again. */
export function tight(cut: readonly Quad[], steps: readonly number[]): Move[] {
  const moves: Move[] = [NO_MOVE];
  for (let i = 0; i < cut.length; i++) {
    const next = cut[(i + 1) % cut.length]!;
    moves.push(after(against(cut[i]!, next, steps[i]!), moves[i]!));
  }
  return moves;
}

/** How wide the last joint stands open, mm, with all others tight: outside and inside; less than 0 where the pieces would overlap. */
export function lastGap(
  cut: readonly Quad[],
  steps: readonly number[],
): { readonly outsideMm: number; readonly insideMm: number } {
  const moves = tight(cut, steps);
  const last = cut.length - 1;
  const { outer, inner } = jointOf(cut[last]!, steps[last]!, cut[0]!);
  const [came, first] = [moves[last]!, cut[0]!];
  const face = toward(first.outerFrom, first.innerFrom);
  // The first unit's face lies where it was drawn; seen from it, what is left of the turn lies clockwise.
  const open = (p: Point) => cross(face, minus(moved(came, p), first.outerFrom));
  return { outsideMm: open(outer), insideMm: open(inner) };
}
