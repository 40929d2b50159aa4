import { ClipperD, ClipType, FillRule, type PathsD } from 'clipper2-ts';
import earcut, { flatten } from 'earcut';
import type { FacePoint } from '../making/faced/face.js';
import { type Loops, withinLoops } from './outline.js';

/** Three corners, counter-clockwise. */
export type Triangle = readonly FacePoint[];

/** The surface is followed in cells of about this size (mm), and in no more than so many one way. */
const CELL = 2.5;
const MOST_CELLS = 16;
const DECIMALS = 4;

/** Triangles that fill loops (even-odd), none much larger than a cell; counter-clockwise. */
export function triangulated(loops: Loops): Triangle[] {
  const all = loops.flat();
  const [left, right] = [Math.min(...all.map(({ u }) => u)), Math.max(...all.map(({ u }) => u))];
  const [low, high] = [Math.min(...all.map(({ z }) => z)), Math.max(...all.map(({ z }) => z))];
  const parts = (size: number) => Math.min(MOST_CELLS, Math.ceil(size / CELL));
  const [across, up] = [parts(right - left), parts(high - low)];
  const [wide, tall] = [(right - left) / across, (high - low) / up];
  const paths = asPaths(loops);
  return Array.from({ length: across * up }, (_, i) => {
    const [x, y] = [left + (i % across) * wide, low + Math.floor(i / across) * tall];
    const cell = [
      { x, y },
      { x: x + wide, y },
      { x: x + wide, y: y + tall },
      { x, y: y + tall },
    ];
    return filled(clipped(paths, cell));
  }).flat();
}

/** Triangles that fill loops, as few as do. */
export const filledPlain = (loops: Loops): Triangle[] => filled(asPaths(loops));

const asPaths = (loops: Loops): PathsD => loops.map((loop) => loop.map(({ u, z }) => ({ x: u, y: z })));

function clipped(paths: PathsD, cell: PathsD[number]): PathsD {
  const clipper = new ClipperD(DECIMALS);
  clipper.addSubjectPaths(paths);
  clipper.addClipPaths([cell]);
  const found: PathsD = [];
  clipper.execute(ClipType.Intersection, FillRule.EvenOdd, found);
  return found;
}

/** Triangles of polygons: outer loops counter-clockwise, each followed by those of the holes that lie in it. */
function filled(paths: PathsD): Triangle[] {
  const area = (path: PathsD[number]) =>
    path.reduce((twice, p, i) => {
      const q = path[(i + 1) % path.length]!;
      return twice + p.x * q.y - q.x * p.y;
    }, 0);
  const holes = paths.filter((path) => area(path) < 0);
  return paths
    .filter((path) => area(path) > 0)
    .flatMap((outer) => {
      const own = holes.filter(([at]) =>
        withinLoops([outer.map(({ x, y }) => ({ u: x, z: y }))], at!.x, at!.y),
      );
      const {
        vertices,
        holes: starts,
        dimensions,
      } = flatten([outer, ...own].map((loop) => loop.map(({ x, y }) => [x, y])));
      const index = earcut(vertices, starts, dimensions);
      return Array.from({ length: index.length / 3 }, (_, t) => {
        const corners = [0, 1, 2].map((k) => {
          const at = 2 * index[3 * t + k]!;
          return { u: vertices[at]!, z: vertices[at + 1]! };
        });
        const [p, q, r] = corners as [FacePoint, FacePoint, FacePoint];
        const turns = (q.u - p.u) * (r.z - p.z) - (r.u - p.u) * (q.z - p.z);
        return turns < 0 ? [p, r, q] : corners;
      });
    });
}
