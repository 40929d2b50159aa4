import type { Curve } from '../form/curve.js';
import type { SectionPoint } from './drawing.js';
import type { Standing } from './standing.js';
import { wallPatches } from './wall.js';

/** A point of a drawing seen from the front: x to the right of the axis, z up, mm. */
export interface FrontPoint {
  readonly x: number;
  readonly z: number;
}

/** A place as the eye sees it on the outside of the turned piece: its outline, and the one of its sides that is a joint. */
export interface OutsidePatch {
  readonly place: number;
  readonly outline: readonly FrontPoint[];
  readonly joint: readonly FrontPoint[];
}

/**
 * The places of a ring that the eye sees, `view` radians round from the index mark: on the right-hand quarter, or on the
 * whole front half. `line` is the outside of the piece as it is drawn there, bottom to top.
 */
export function outsidePatches(
  ring: Standing,
  outside: Curve,
  line: readonly SectionPoint[],
  view: number,
  seen: 'right' | 'front' = 'right',
): OutsidePatch[] {
  const [least, most] = [seen === 'right' ? 0 : -Math.PI / 2, Math.PI / 2];
  const [foot, top] = [line[0]!.z, line[line.length - 1]!.z];
  const shown = (angle: number) => Math.sin(Math.min(most, Math.max(least, angle)));
  const patches = wallPatches({ ...ring, turn: ring.turn - view }, outside, foot, top);
  return patches.flatMap(({ place, low, high }) =>
    [0, 2 * Math.PI, 4 * Math.PI].flatMap((lap) => {
      const farthest = Math.max(low.to, high.to) - lap;
      const nearest = Math.min(low.from, high.from) - lap;
      if (farthest <= least + 1e-6 || nearest >= most - 1e-6) return [];
      const side = (of: 'from' | 'to') =>
        between(line, low.z, high.z).map(({ r, z }) => {
          const share = (z - low.z) / (high.z - low.z);
          return { x: r * shown(low[of] + share * (high[of] - low[of]) - lap), z };
        });
      const joint = side('from');
      return [{ place, joint, outline: [...joint, ...side('to').reverse()] }];
    }),
  );
}

/** The points of a line between two heights, with its points at these. */
function between(line: readonly SectionPoint[], low: number, high: number): SectionPoint[] {
  const inside = line.filter(({ z }) => z > low && z < high);
  return [{ r: radiusOn(line, low), z: low }, ...inside, { r: radiusOn(line, high), z: high }];
}

/** Radius of a drawn line at a height. */
function radiusOn(line: readonly SectionPoint[], z: number): number {
  const above = line.findIndex((point) => point.z >= z);
  if (above <= 0) return line[above < 0 ? line.length - 1 : 0]!.r;
  const [a, b] = [line[above - 1]!, line[above]!];
  return a.r + ((z - a.z) / (b.z - a.z)) * (b.r - a.r);
}
