import type { Point3, Solid } from '../ring/space.js';
import type { BentPath, Cell, Station } from './bentPath.js';
import type { MadeBlank } from './contract.js';

/** A bent tube: its section, and the curve that it follows; mm. */
interface Tube extends BentPath {
  readonly outerRadiusMm: number;
  readonly innerRadiusMm: number;
  readonly segments: number;
}

/** Thickness of a wedge at a distance from the middle of the curve: 2·R·tan(φ/2), φ its share of the sweep. */
export const wedgeThickness = (fromMiddle: number, angle: number): number =>
  2 * fromMiddle * Math.tan(angle / 2);

/**
 * A piece as it lies in a second link: stood upright, its middle aside; along the first one's length, which lies along y where it has
 * straights, else along x.
 */
export const secondLink = (solid: Solid, aside: number, long: boolean): Solid => ({
  ...solid,
  corners: solid.corners.map(({ x, y, z }) =>
    long ? { x: z, y: y + aside, z: -x } : { x: x + aside, y: -z, z: y },
  ),
});

/** One segment of one ring: its section, mitred ends to its neighbours, between the ring's two faces. */
export function cellPiece(
  { outerRadiusMm, innerRadiusMm, segments }: Tube,
  place: number,
  segment: number,
  { from, to }: Cell,
): Solid {
  const half = Math.PI / segments;
  const middle = (2 * segment + 1) * half;
  const hole = innerRadiusMm * Math.cos(half);
  const section = [
    [outerRadiusMm, -1],
    [outerRadiusMm, 1],
    [hole, 1],
    [hole, -1],
  ].map(([from, side]) => {
    const [x, y] = [from!, side! * from! * Math.tan(half)];
    return {
      out: x * Math.cos(middle) - y * Math.sin(middle),
      up: x * Math.sin(middle) + y * Math.cos(middle),
    };
  });
  const at = (station: Station) =>
    section.map(
      ({ out, up }): Point3 => ({
        x: station.x + out * Math.cos(station.out),
        y: station.y + out * Math.sin(station.out),
        z: up,
      }),
    );
  return {
    place,
    corners: [...at(from), ...at(to)],
    faces: [
      [0, 1, 2, 3],
      [7, 6, 5, 4],
      [0, 4, 5, 1],
      [1, 5, 6, 2],
      [2, 6, 7, 3],
      [3, 7, 4, 0],
    ],
  };
}

/** The tube slit open and laid flat: a row for each segment, its cells as wide as the ring is there. */
export function flatCells(
  { outerRadiusMm, segments, curveMm, straight }: Tube,
  cells: readonly Cell[],
  angle: number,
): MadeBlank['flat'] {
  const high = 2 * outerRadiusMm * Math.tan(Math.PI / segments);
  const widest = wedgeThickness(curveMm + outerRadiusMm, angle);
  let left = 0;
  return cells.flatMap((cell, i) => {
    const pitch = cell.straight ? straight!.lengthMm / straight!.rings : widest;
    const from = left;
    left += pitch;
    return Array.from({ length: segments }, (_, segment) => {
      const out = outerRadiusMm * Math.cos(((2 * segment + 1) * Math.PI) / segments);
      const width = cell.straight ? pitch : wedgeThickness(curveMm + out, angle);
      const x = from + (pitch - width) / 2;
      return {
        place: i * segments + segment,
        outline: [
          { x, y: segment * high },
          { x: x + width, y: segment * high },
          { x: x + width, y: (segment + 1) * high },
          { x, y: (segment + 1) * high },
        ],
      };
    });
  });
}
