import { type Point3, plus, times, unit } from '../../ring/space.js';

/** A triangle of the sphere, by numbers of its corners; `split` says which of the 20 it comes from. */
export interface Facet {
  readonly corners: readonly [number, number, number];
  readonly kind: 'isosceles' | 'equilateral';
  readonly split: number;
}

/** Corners of an icosahedron on the unit sphere, one straight up, one straight down, rings of five between. */
function icosahedron(): Point3[] {
  const high = 1 / Math.sqrt(5);
  const wide = 2 / Math.sqrt(5);
  const ring = (z: number, first: number) =>
    Array.from({ length: 5 }, (_, i) => {
      const angle = ((2 * i + first) * Math.PI) / 5;
      return { x: wide * Math.cos(angle), y: wide * Math.sin(angle), z };
    });
  return [{ x: 0, y: 0, z: 1 }, ...ring(high, 0), ...ring(-high, 1), { x: 0, y: 0, z: -1 }];
}

/** Its twenty faces, counter-clockwise from outside: five round the top, ten between, five round the bottom. */
function faces(): [number, number, number][] {
  const upper = (i: number) => 1 + (i % 5);
  const lower = (i: number) => 6 + (i % 5);
  const five = Array.from({ length: 5 }, (_, i) => i);
  return [
    ...five.map((i): [number, number, number] => [0, upper(i), upper(i + 1)]),
    ...five.flatMap((i): [number, number, number][] => [
      [upper(i), lower(i), upper(i + 1)],
      [upper(i + 1), lower(i), lower(i + 1)],
    ]),
    ...five.map((i): [number, number, number] => [11, lower(i + 1), lower(i)]),
  ];
}

/**
 * The icosahedron split once on the unit sphere: every edge halved, its middle lifted onto the sphere, so that each face
 * becomes an equilateral triangle with three isosceles ones round it. 42 corners, 80 triangles.
 */
export function splitIcosahedron(): {
  readonly corners: readonly Point3[];
  readonly facets: readonly Facet[];
} {
  const corners = icosahedron();
  const middles = new Map<string, number>();
  const middle = (a: number, b: number): number => {
    const key = a < b ? `${a} ${b}` : `${b} ${a}`;
    const known = middles.get(key);
    if (known !== undefined) return known;
    corners.push(unit(times(plus(corners[a]!, corners[b]!), 0.5)));
    middles.set(key, corners.length - 1);
    return corners.length - 1;
  };
  const facets = faces().flatMap(([a, b, c], split): Facet[] => {
    const [ab, bc, ca] = [middle(a, b), middle(b, c), middle(c, a)];
    return [
      { corners: [a, ab, ca], kind: 'isosceles', split },
      { corners: [b, bc, ab], kind: 'isosceles', split },
      { corners: [c, ca, bc], kind: 'isosceles', split },
      { corners: [ab, bc, ca], kind: 'equilateral', split },
    ];
  });
  return { corners, facets };
}
