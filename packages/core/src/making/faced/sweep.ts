import type { FaceShape } from './face.js';

/** A straight line in the face: u = at + slope · z. */
export interface FaceLine {
  readonly at: number;
  readonly slope: number;
}

/** What lies behind a spot of the face, from front to back, mm behind the face. */
export interface Behind {
  readonly piece: number;
  readonly frontMm: number;
  readonly backMm: number;
}

/** A part of the face between two heights and two lines, all of it alike behind. */
export interface Trapezoid {
  readonly fromMm: number;
  readonly toMm: number;
  readonly left: FaceLine;
  readonly right: FaceLine;
  readonly behind: readonly Behind[];
}

export const lineAt = ({ at, slope }: FaceLine, z: number): number => at + slope * z;

/** Heights nearer to each other than this are one, and what is narrower is nothing (mm). */
const NOTHING = 1e-7;

interface Edge {
  readonly shape: number;
  readonly low: number;
  readonly high: number;
  readonly line: FaceLine;
}

function edgesOf(shapes: readonly FaceShape[]): Edge[] {
  return shapes.flatMap(({ loops }, shape) =>
    loops.flatMap((loop) =>
      loop.flatMap((p, i): Edge[] => {
        const q = loop[(i + 1) % loop.length]!;
        if (Math.abs(q.z - p.z) < NOTHING) return [];
        const slope = (q.u - p.u) / (q.z - p.z);
        return [
          {
            shape,
            low: Math.min(p.z, q.z),
            high: Math.max(p.z, q.z),
            line: { at: p.u - slope * p.z, slope },
          },
        ];
      }),
    ),
  );
}

/** Heights within the face at which an edge begins, ends or crosses another, in order, with bottom and top. */
function levelsOf(edges: readonly Edge[], heightMm: number): number[] {
  const levels = [0, heightMm];
  edges.forEach(({ low, high, line }, i) => {
    levels.push(low, high);
    for (let k = 0; k < i; k++) {
      const other = edges[k]!;
      const lean = line.slope - other.line.slope;
      if (Math.abs(lean) < 1e-12) continue;
      const z = (other.line.at - line.at) / lean;
      if (z > Math.max(low, other.low) && z < Math.min(high, other.high)) levels.push(z);
    }
  });
  const sorted = levels.filter((z) => z >= 0 && z <= heightMm).sort((a, b) => a - b);
  return sorted.filter((z, i) => i === 0 || z - sorted[i - 1]! > NOTHING);
}

/** What lies behind a spot that the given shapes cover; the first of them that reaches a depth has it. */
function behindOf(shapes: readonly FaceShape[], covers: readonly boolean[]): Behind[] {
  const over = shapes.filter((_, i) => covers[i]);
  const depths = [...new Set(over.flatMap(({ frontMm, backMm }) => [frontMm, backMm]))].sort((a, b) => a - b);
  const behind: Behind[] = [];
  for (let i = 1; i < depths.length; i++) {
    const [frontMm, backMm] = [depths[i - 1]!, depths[i]!];
    const owner = over.find((shape) => shape.frontMm <= frontMm && shape.backMm >= backMm);
    if (!owner) continue;
    const last = behind.at(-1);
    if (last && last.piece === owner.piece && last.backMm === frontMm)
      behind[behind.length - 1] = { ...last, backMm };
    else behind.push({ piece: owner.piece, frontMm, backMm });
  }
  return behind;
}

const sameLine = (a: FaceLine, b: FaceLine, z: number): boolean =>
  Math.abs(a.slope - b.slope) < 1e-9 && Math.abs(lineAt(a, z) - lineAt(b, z)) < NOTHING;

const sameBehind = (a: readonly Behind[], b: readonly Behind[]): boolean =>
  a.length === b.length &&
  a.every(
    (part, i) => part.piece === b[i]!.piece && part.frontMm === b[i]!.frontMm && part.backMm === b[i]!.backMm,
  );

/**
 * A face of a height divided into trapezoids, by a sweep from the bottom up: within each, the same pieces follow each other
 * from front to back. Of shapes that overlap, the one that comes first in the list goes before the others. The last
 * shape should cover the whole face. (Trapezoidal decomposition: de Berg and others, Computational Geometry, ch. 6.)
 */
export function trapezoids(shapes: readonly FaceShape[], heightMm: number): Trapezoid[] {
  const edges = edgesOf(shapes);
  const levels = levelsOf(edges, heightMm);
  const finished: Trapezoid[] = [];
  let open: Trapezoid[] = [];
  for (let i = 1; i < levels.length; i++) {
    const [fromMm, toMm] = [levels[i - 1]!, levels[i]!];
    const row = rowOf(shapes, edges, fromMm, toMm);
    const next = row.map((part) => {
      const below = open.find(
        ({ left, right, behind }) =>
          sameLine(left, part.left, fromMm) &&
          sameLine(right, part.right, fromMm) &&
          sameBehind(behind, part.behind),
      );
      if (!below) return part;
      open = open.filter((other) => other !== below);
      return { ...part, fromMm: below.fromMm };
    });
    finished.push(...open);
    open = next;
  }
  return [...finished, ...open];
}

/** The trapezoids between two heights between which no edge begins, ends or crosses another, left to right. */
function rowOf(
  shapes: readonly FaceShape[],
  edges: readonly Edge[],
  fromMm: number,
  toMm: number,
): Trapezoid[] {
  const middle = (fromMm + toMm) / 2;
  const met = edges
    .filter(({ low, high }) => low < middle && high > middle)
    .sort((a, b) => lineAt(a.line, middle) - lineAt(b.line, middle));
  const covers = shapes.map(() => false);
  const row: Trapezoid[] = [];
  met.forEach(({ shape, line }, i) => {
    covers[shape] = !covers[shape];
    const next = met[i + 1];
    if (!next || lineAt(next.line, middle) - lineAt(line, middle) < NOTHING) return;
    const behind = behindOf(shapes, covers);
    const last = row.at(-1);
    if (last && sameLine(last.right, line, middle) && sameBehind(last.behind, behind))
      row[row.length - 1] = { ...last, right: next.line };
    else if (behind.length > 0) row.push({ fromMm, toMm, left: line, right: next.line, behind });
  });
  return row;
}
