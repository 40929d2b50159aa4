import { type Point, polar } from '../ring/plane.js';
import type { Frame } from './frame.js';
import { along, bringing, cross, crossing, dot, minus, movedQuad, type Quad, toward } from './quad.js';
import type { Closed } from './spreading.js';
import { tight } from './tight.js';

/**
 * A ring glued as two halves that are tight in themselves: the ends of each are sanded on a flat plate until both are flat all
 * over, and the halves glued along that line, middle on middle. `halfway` is how many units the first half has.
 */
export function trued(
  drawn: readonly Quad[],
  cut: readonly Quad[],
  steps: readonly number[],
  halfway: number,
): Closed {
  const half = (from: number, to: number): Quad[] => {
    const own = cut.slice(from, to);
    const moves = tight(own, [...steps.slice(from, to - 1), 0]);
    return sanded(own.map((quad, i) => movedQuad(moves[i]!, quad)));
  };
  const first = drawn[0]!;
  const line = toward(first.innerFrom, first.outerFrom);
  const other = { x: -line.x, y: -line.y };
  // On the line that parts the halves as they are drawn, the middle between their ends on the axis.
  return {
    quads: [...laidOn(half(0, halfway), line), ...laidOn(half(halfway, cut.length), other)],
    openMm: cut.map(() => 0),
  };
}

/** Where a ring of this many units can be parted into two halves along one line through the axis; null where it cannot. */
export function halfwayOf(drawn: readonly Quad[]): number | null {
  const first = drawn[0]!;
  const line = toward(first.innerFrom, first.outerFrom);
  if (Math.abs(cross(line, first.outerFrom)) > ON_LINE) return null;
  const found = drawn.findIndex(
    ({ outerFrom, innerFrom }, i) =>
      i > 0 &&
      Math.abs(cross(line, outerFrom)) < ON_LINE &&
      Math.abs(cross(line, innerFrom)) < ON_LINE &&
      dot(line, outerFrom) < 0,
  );
  return found < 0 ? null : found;
}

/** Whether a ring can be glued as two halves. */
export const halvesPossible = (frame: Frame | null): boolean =>
  frame !== null && halfwayOf(frame.units.map(({ quad }) => quad)) !== null;

/** Nearer than this a corner lies on the line (mm). */
const ON_LINE = 1e-3;

/** Half a ring with both ends sanded to one line. */
function sanded(half: readonly Quad[]): Quad[] {
  const [first, last] = [half[0]!, half.at(-1)!];
  const ends = [
    [first.outerFrom, first.innerFrom],
    [last.outerTo, last.innerTo],
  ] as const;
  const plate = plateUnder(ends[0], ends[1]);
  const deep = Math.max(...ends.flat().map((p) => above(plate, p)));
  const line = { p: along(plate.p, plate.up, deep), way: plate.way };
  const ended = (from: Point, to: Point) => crossing(line.p, line.way, from, toward(from, to));
  const start = {
    ...first,
    outerFrom: ended(first.outerTo, first.outerFrom),
    innerFrom: ended(first.innerTo, first.innerFrom),
  };
  if (half.length === 1)
    return [
      {
        ...start,
        outerTo: ended(first.outerFrom, first.outerTo),
        innerTo: ended(first.innerFrom, first.innerTo),
      },
    ];
  const end = {
    ...last,
    outerTo: ended(last.outerFrom, last.outerTo),
    innerTo: ended(last.innerFrom, last.innerTo),
  };
  return [start, ...half.slice(1, -1), end];
}

interface Plate {
  readonly p: Point;
  readonly way: Point;
  readonly up: Point;
}

const above = ({ p, up }: Plate, q: Point): number => dot(up, minus(q, p));

/** The plate that a half stands on: through a corner of each end, with the other two not below it. */
function plateUnder(start: readonly [Point, Point], end: readonly [Point, Point]): Plate {
  const plates = start.flatMap((p) =>
    end.map((q): Plate => {
      const way = toward(p, q);
      return { p, way, up: { x: way.y, y: -way.x } };
    }),
  );
  const lowest = (plate: Plate) => Math.min(...[...start, ...end].map((q) => above(plate, q)));
  return plates.reduce((best, plate) => (lowest(plate) > lowest(best) ? plate : best));
}

/** A sanded half laid with its line on that through the axis, its start to the side that `line` points to. */
function laidOn(half: readonly Quad[], line: Point): Quad[] {
  const [from, to] = [half[0]!.outerFrom, half.at(-1)!.outerTo];
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  const move = bringing(middle, toward(middle, from), polar(0, 0), line);
  return half.map((quad) => movedQuad(move, quad));
}
