import earcut from 'earcut';
import type { HalfSpace } from '../ring/slant.js';
import { cross, dot, lengthOf, minus, type Point3, plus, times, unit } from '../ring/space.js';

/** Triangles of a closed surface by their corners, counter-clockwise from outside. */
export type Triangle = readonly [Point3, Point3, Point3];

/** Points nearer to each other than this are one, mm. */
const SAME = 1e-4;

/**
 * What of a closed surface lies within half-spaces, closed again where it was cut: triangles are cut one by one
 * (Sutherland and Hodgman, CACM 17, 1974), and the loops that they leave in the plane are filled (earcut).
 */
export function clipped(surface: readonly Triangle[], sides: readonly HalfSpace[]): Clipped {
  const facets = sides.reduce<readonly Facet[]>(
    clipOne,
    surface.map((triangle) => ({ triangle, cut: false })),
  );
  const of = (wanted: boolean) => facets.flatMap(({ triangle, cut }) => (cut === wanted ? [triangle] : []));
  return { surface: of(false), faces: of(true) };
}

/** What is left of a surface, and the faces along which it was cut. */
export interface Clipped {
  readonly surface: readonly Triangle[];
  readonly faces: readonly Triangle[];
}

interface Facet {
  readonly triangle: Triangle;
  /** Whether it lies in a cut. */
  readonly cut: boolean;
}

function clipOne(facets: readonly Facet[], { normal, most }: HalfSpace): readonly Facet[] {
  const kept: Facet[] = [];
  const edges: (readonly [Point3, Point3])[] = [];
  for (const facet of facets) {
    const { triangle, cut } = facet;
    const over = triangle.map((p) => {
      const far = dot(normal, p) - most;
      return Math.abs(far) < SAME ? 0 : far;
    });
    const lies = over.every((far) => far === 0);
    const [a, b, c] = triangle;
    if (lies ? dot(cross(minus(b, a), minus(c, a)), normal) < 0 : over.every((far) => far >= 0)) continue;
    const outline = triangle.flatMap((p, i) => {
      const k = (i + 1) % 3;
      const [a, b] = [over[i]!, over[k]!];
      const share = a / (a - b);
      const crossing = plus(p, times(minus(triangle[k]!, p), share));
      return [...(a <= 0 ? [{ p, on: a === 0 }] : []), ...(a * b < 0 ? [{ p: crossing, on: true }] : [])];
    });
    if (over.every((far) => far <= 0)) kept.push(facet);
    else
      for (let i = 2; i < outline.length; i++)
        kept.push({ triangle: [outline[0]!.p, outline[i - 1]!.p, outline[i]!.p], cut });
    outline.forEach(({ p, on }, i) => {
      const next = outline[(i + 1) % outline.length]!;
      if (on && next.on) edges.push([next.p, p]);
    });
  }
  return [...kept, ...filled(edges, unit(normal)).map((triangle) => ({ triangle, cut: true }))];
}

/** Triangles that fill the loops which edges make in a plane, seen from the side that its normal points to. */
function filled(edges: readonly (readonly [Point3, Point3])[], normal: Point3): Triangle[] {
  const side = unit(cross(normal, Math.abs(normal.z) < 0.9 ? { x: 0, y: 0, z: 1 } : { x: 1, y: 0, z: 0 }));
  const up = cross(normal, side);
  const loops = loopsOf(edges).map((points) => {
    const flat = points.map((p) => [dot(side, p), dot(up, p)] as const);
    const area = flat.reduce((sum, [x, y], i) => {
      const [u, v] = flat[(i + 1) % flat.length]!;
      return sum + x * v - u * y;
    }, 0);
    return { points, flat, area };
  });
  const outer = loops.filter(({ area }) => area > 0);
  return outer.flatMap((loop) => {
    const holes = loops.filter(({ area, flat }) => area < 0 && holds(loop.flat, flat[0]!));
    const points = [loop, ...holes].flatMap((each) => each.points);
    const flat = [loop, ...holes].flatMap((each) => each.flat).flat();
    let start = loop.points.length;
    const starts = holes.map((hole) => {
      const here = start;
      start += hole.points.length;
      return here;
    });
    const corners = earcut(flat, starts);
    return Array.from({ length: corners.length / 3 }, (_, t): Triangle => {
      const [a, b, c] = [0, 1, 2].map((k) => points[corners[3 * t + k]!]!) as [Point3, Point3, Point3];
      return dot(cross(minus(b, a), minus(c, a)), normal) >= 0 ? [a, b, c] : [a, c, b];
    });
  });
}

/** Numbers for points: those nearer to each other than `SAME` have the same one. */
function numbering(): (p: Point3) => number {
  const known: Point3[] = [];
  const cells = new Map<string, number[]>();
  const near = [-1, 0, 1];
  return (p) => {
    const cell = [p.x, p.y, p.z].map((of) => Math.floor(of / SAME)) as [number, number, number];
    const name = (dx: number, dy: number, dz: number) => `${cell[0] + dx} ${cell[1] + dy} ${cell[2] + dz}`;
    for (const dx of near)
      for (const dy of near)
        for (const dz of near)
          for (const i of cells.get(name(dx, dy, dz)) ?? [])
            if (lengthOf(minus(known[i]!, p)) < SAME) return i;
    const here = name(0, 0, 0);
    cells.set(here, [...(cells.get(here) ?? []), known.length]);
    return known.push(p) - 1;
  };
}

/** Directed edges put end to end; those that run both ways are none, and what does not close is left out. */
function loopsOf(edges: readonly (readonly [Point3, Point3])[]): Point3[][] {
  const numberOf = numbering();
  const from = new Map<number, { readonly p: Point3; readonly to: number }[]>();
  for (const [p, q] of edges) {
    const [begins, ends] = [numberOf(p), numberOf(q)];
    if (begins === ends) continue;
    const back = from.get(ends) ?? [];
    const opposite = back.findIndex(({ to }) => to === begins);
    if (opposite >= 0) back.splice(opposite, 1);
    else from.set(begins, [...(from.get(begins) ?? []), { p, to: ends }]);
  }
  const loops: Point3[][] = [];
  for (const [start, begun] of from)
    while (begun.length > 0) {
      const loop: Point3[] = [];
      let at = start;
      do {
        const edge = from.get(at)?.pop();
        if (!edge) break;
        loop.push(edge.p);
        at = edge.to;
      } while (at !== start);
      if (at === start && loop.length > 2) loops.push(loop);
    }
  return loops;
}

/** Whether a point lies within a loop of the plane: a ray from it crosses the loop an odd number of times. */
function holds(loop: readonly (readonly [number, number])[], [px, py]: readonly [number, number]): boolean {
  return loop.reduce((inside, [x, y], i) => {
    const [u, v] = loop[(i + 1) % loop.length]!;
    return y > py !== v > py && px < x + ((py - y) / (v - y)) * (u - x) ? !inside : inside;
  }, false);
}
