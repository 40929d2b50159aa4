import { alikeBetween, type Curve, topOf } from './curve.js';
import { type InsidePoint, insideOfWall, type Wall } from './wall.js';

/** The inside of a wall as it was last looked for. */
interface Before {
  readonly outside: Curve;
  readonly points: ReadonlyMap<number, InsidePoint>;
}

/** By the walls of a document, which stay the same while points of its outside move. */
const before = new WeakMap<Wall['stations'], Before>();

/**
 * The inside of a wall at any height. What is no nearer than the wall is thick does not come in: where the outside is what it was
 * when the inside of this wall was last looked for, the inside is too, and is not looked for again.
 */
export function insideAgain(outside: Curve, wall: Wall): (z: number) => InsidePoint {
  const last = before.get(wall.stations);
  const points = new Map<number, InsidePoint>();
  // What is not frozen may be a draft that is still being written on.
  if (Object.isFrozen(wall.stations)) before.set(wall.stations, { outside, points });
  const alike = last ? alikeBetween(last.outside, outside) : [];
  const topMm = topOf(outside);
  const asBefore = (z: number): InsidePoint | undefined => {
    const [from, to] = [Math.max(0, z - wall.most), Math.min(topMm, z + wall.most)];
    return alike.some(([low, high]) => low <= from && to <= high) ? last?.points.get(z) : undefined;
  };
  return (z) => {
    const known = points.get(z);
    if (known) return known;
    const point = asBefore(z) ?? insideOfWall(outside, wall, z);
    points.set(z, point);
    return point;
  };
}
