import { cutRows, type Drawn, type Point3, type Species } from '@fellside/core';
import { figure, type Place } from '../ui/path.js';
import { woodFill } from '../ui/WoodPatterns.js';

/** How pieces of a cut are drawn: each with its joints, finely divided without a line, or as air. */
type Look = 'jointed' | 'divided' | 'air';

/** Everything of a cut that looks alike, as one path: a drawing of many paths filled with patterns is slow. */
export interface Alike {
  readonly look: Look;
  readonly fill: string;
  readonly d: string;
}

/** How a cut is looked at: a direction in radians from the index mark, and where it is drawn. */
export interface Seen {
  readonly palette: ReadonlyMap<string, Species>;
  readonly at: Place;
  readonly direction: number;
}

/** Blanks of rings and bands where the cut meets them, moved as their region was, what looks alike in one path. */
export function blankPaths(parts: readonly Drawn[], shift: Point3, seen: Seen): readonly Alike[] {
  const paths = new Map<string, Alike>();
  for (const part of parts)
    for (const one of blankOf(part, shift, seen)) {
      const key = `${one.look} ${one.fill}`;
      const before = paths.get(key);
      paths.set(key, before ? { ...before, d: before.d + one.d } : one);
    }
  return [...paths.values()];
}

/** What lies in one ring's blank where the cut meets it, row by row, inside out. */
function blankOf(
  { made, turn, bottomMm, woods }: Drawn,
  shift: Point3,
  { palette, at, direction }: Seen,
): Alike[] {
  const { lean, heightMm } = made;
  const rows = cutRows(made, turn, direction, shift);
  const height = (z: number) => figure(at.y(bottomMm + shift.z + z));
  const across = (radius: number, z: number) => figure(at.x(radius + lean * (z - heightMm / 2)));
  return rows.flatMap(({ fromMm, toMm, parts }) =>
    parts.map(({ place, innerRadiusMm: inner, outerRadiusMm: outer }) => ({
      look: place === null ? 'air' : rows.length === 1 ? 'jointed' : 'divided',
      fill: place === null ? 'none' : woodFill(palette.get(woods[place]!), 'bench'),
      d:
        `M${across(outer, fromMm)} ${height(fromMm)}L${across(outer, toMm)} ${height(toMm)}` +
        `L${across(inner, toMm)} ${height(toMm)}L${across(inner, fromMm)} ${height(fromMm)}Z`,
    })),
  );
}
