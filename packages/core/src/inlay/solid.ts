import type { Vessel } from '../form/vessel.js';
import { inPiece, onSurface } from './frame.js';
import { dense, type Loops } from './outline.js';
import type { InlayLies } from './placed.js';
import type { Inlay } from './schema.js';
import { filledPlain, triangulated } from './triangles.js';

/** An insert stands out of the wall by this much, so that it and not the wall is seen (mm). */
const PROUD = 0.06;

export type Xyz = readonly [number, number, number];

/** A closed surface with the inlay's middle at direction 0: three vertices a triangle, each with its normal. */
export interface Solid {
  readonly place: number;
  readonly at: Xyz[];
  readonly normals: Xyz[];
  readonly index: number[];
  readonly skin: number;
  readonly caps: number;
  /** Where it is shut up in the blank. */
  readonly shut: Xyz;
}

/** A closed surface: the wall within the loops, the level floor behind it, and the sides between. */
export function solidOf(
  { depthMm }: Inlay,
  { frame }: InlayLies,
  vessel: Vessel,
  loops: Loops,
  place: number,
): Solid {
  const solid: Solid = {
    place,
    at: [],
    normals: [],
    index: [],
    skin: 0,
    caps: 0,
    shut: point(frame, 0, 0, -depthMm),
  };
  const out = outOf(frame.out);
  const top = (u: number, v: number): Xyz =>
    point(frame, u, v, (onSurface(vessel, frame, u, v)?.s ?? 0) + PROUD);
  const floor = (u: number, v: number): Xyz => point(frame, u, v, -depthMm);
  const cells = triangulated(loops);
  const add = (corners: readonly (readonly [Xyz, Xyz])[]) => {
    for (const [at, normal] of corners) {
      solid.index.push(solid.at.length);
      solid.at.push(at);
      solid.normals.push(normal);
    }
  };
  for (const triangle of cells)
    add(triangle.map(({ u, z }) => [top(u, z), normalAt(top(u, z), out)] as const));
  const skin = solid.index.length / 3;
  const inwards: Xyz = [-out[0], -out[1], -out[2]];
  for (const triangle of filledPlain(loops))
    add([...triangle].reverse().map(({ u, z }) => [floor(u, z), inwards] as const));
  const caps = solid.index.length / 3 - skin;
  for (const loop of loops.map(dense))
    loop.forEach((p, i) => {
      const q = loop[(i + 1) % loop.length]!;
      const long = Math.sqrt((q.u - p.u) ** 2 + (q.z - p.z) ** 2) || 1;
      // Square to the edge within the touching plane: outside the loop as it runs counter-clockwise.
      const side = direction(frame.up, (q.z - p.z) / long, -(q.u - p.u) / long);
      const [a, b, c, d] = [floor(p.u, p.z), floor(q.u, q.z), top(q.u, q.z), top(p.u, p.z)];
      add([a, b, c, a, c, d].map((at) => [at, side] as const));
    });
  return { ...solid, skin, caps };
}

function point(frame: InlayLies['frame'], u: number, v: number, s: number): Xyz {
  const { angle, radiusMm, heightMm } = inPiece(frame, u, v, s);
  return [radiusMm * Math.cos(angle), radiusMm * Math.sin(angle), heightMm];
}

const outOf = ({ r, z }: { readonly r: number; readonly z: number }): Xyz => [r, 0, z];
const direction = (up: { readonly r: number; readonly z: number }, u: number, v: number): Xyz => [
  v * up.r,
  u,
  v * up.z,
];

/** Square to the surface at a point near it: round the axis, leaning as it does at the middle. */
function normalAt([x, y]: Xyz, out: Xyz): Xyz {
  const long = Math.sqrt(x * x + y * y) || 1;
  return [(out[0] * x) / long, (out[0] * y) / long, out[2]];
}
