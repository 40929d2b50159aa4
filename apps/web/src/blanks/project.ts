import type { Point, Point3, Solid } from '@fellside/core';

/** A face as the eye sees it: its outline on the page (y up), how far in front it lies, and how squarely it meets the light. */
export interface SeenFace {
  readonly place: number;
  readonly outline: readonly Point[];
  readonly depth: number;
  readonly light: number;
}

/** From where the light comes, towards the eye: over the left shoulder. */
const LIGHT = { x: -0.42, y: 0.58, z: 0.7 } as const;

/** Faces that look towards an eye far away, farthest first: turned about the upright axis, then tilted towards it (radians). */
export function seenFaces(solids: readonly Solid[], turn: number, tilt: number): SeenFace[] {
  const [ct, st] = [Math.cos(turn), Math.sin(turn)];
  const [ci, si] = [Math.cos(tilt), Math.sin(tilt)];
  /** x to the right, y up, z towards the eye. */
  const seen = ({ x, y, z }: Point3): Point3 => {
    const [right, away] = [x * ct - y * st, x * st + y * ct];
    return { x: right, y: z * ci + away * si, z: z * si - away * ci };
  };
  const faces = solids.flatMap(({ place, corners, faces }) => {
    const turned = corners.map(seen);
    return faces.flatMap((face): SeenFace[] => {
      const outline = face.map((i) => turned[i]!);
      const normal = normalOf(outline);
      if (normal.z <= 1e-6) return [];
      const depth = outline.reduce((sum, p) => sum + p.z, 0) / outline.length;
      const light = normal.x * LIGHT.x + normal.y * LIGHT.y + normal.z * LIGHT.z;
      return [{ place, outline, depth, light: Math.max(0, light) }];
    });
  });
  return faces.sort((a, b) => a.depth - b.depth);
}

function normalOf([a, b, c]: readonly Point3[]): Point3 {
  const [u, v] = [minus(b!, a!), minus(c!, a!)];
  const n = { x: u.y * v.z - u.z * v.y, y: u.z * v.x - u.x * v.z, z: u.x * v.y - u.y * v.x };
  const length = Math.hypot(n.x, n.y, n.z) || 1;
  return { x: n.x / length, y: n.y / length, z: n.z / length };
}

const minus = (p: Point3, q: Point3): Point3 => ({ x: p.x - q.x, y: p.y - q.y, z: p.z - q.z });
