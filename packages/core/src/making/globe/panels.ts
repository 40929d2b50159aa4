import { z } from 'zod';
import { once } from '../../measure/memo.js';
import {
  cross,
  dot,
  lengthOf,
  meeting,
  minus,
  type Plane,
  type Point3,
  plus,
  times,
  unit,
} from '../../ring/space.js';
import { type Facet, splitIcosahedron } from './facets.js';

/** How a globe is sawn. */
export const sawnFields = {
  /** A whole globe, or what lies on one side of its level circle of ten edges, for a bowl. */
  part: z.enum(['whole', 'half'], { error: () => 'It is a whole globe or half of one.' }),
  /** Bevels of half the angle between neighbours, or aimed at the centre. */
  bevels: z.enum(['half-angle', 'centre'], { error: () => 'Bevels are half-angle or aimed at the centre.' }),
};
export type GlobePart = z.infer<typeof sawnFields.part>;
export type Bevels = z.infer<typeof sawnFields.bevels>;

/** How the panels of a globe are sawn. */
export interface Sawn {
  readonly part: GlobePart;
  readonly bevels: Bevels;
}

/** Chord factors: edge over radius of the sphere. */
export interface GlobeFigures {
  readonly leg: number;
  readonly base: number;
  /** Angles between neighbours, radians: across a leg, across a base. */
  readonly acrossLeg: number;
  readonly acrossBase: number;
  /** Bevels from square when aimed at the centre: at a leg, at an isosceles' base, at an equilateral's side. */
  readonly centre: { readonly leg: number; readonly base: number; readonly side: number };
}

/** A triangle with its corners on the unit sphere and its outward normal. */
export interface Faced extends Facet {
  readonly points: readonly [Point3, Point3, Point3];
  readonly normal: Point3;
}

/** The triangles of the unit globe, one corner of the old icosahedron straight up; the same ones every time. */
export const unitFaces = once((): readonly Faced[] => {
  const { corners, facets } = splitIcosahedron();
  return facets.map((facet) => {
    const [a, b, c] = facet.corners.map((i) => corners[i]!) as [Point3, Point3, Point3];
    return { ...facet, points: [a, b, c], normal: unit(cross(minus(b, a), minus(c, a))) };
  });
});

const sharesEdge = (face: Facet, a: number, b: number): boolean =>
  face.corners.includes(a) && face.corners.includes(b);

/** The neighbour of a face across the edge from its corner `i` to the next. */
function neighbour(all: readonly Faced[], face: Faced, i: number): Faced {
  const [a, b] = [face.corners[i]!, face.corners[(i + 1) % 3]!];
  return all.find((other) => other !== face && sharesEdge(other, a, b))!;
}

/** Angle of the plane through an edge and the centre from square to the face. */
const aimed = (face: Faced, i: number): number => {
  const [p, q] = [face.points[i]!, face.points[(i + 1) % 3]!];
  return Math.asin(Math.abs(dot(face.normal, unit(cross(p, q)))));
};

const between = (a: Faced, b: Faced): number => Math.PI - Math.acos(Math.min(1, dot(a.normal, b.normal)));

/** Chord factors, angles between neighbours and bevels of the 80-triangle globe, from its corners. */
export const globeFigures = once((): GlobeFigures => {
  const all = unitFaces();
  const isosceles = all.find(({ kind }) => kind === 'isosceles')!;
  const equilateral = all.find(({ kind }) => kind === 'equilateral')!;
  const [a, b, c] = isosceles.points;
  return {
    leg: lengthOf(minus(a, b)),
    base: lengthOf(minus(b, c)),
    acrossLeg: between(isosceles, neighbour(all, isosceles, 0)),
    acrossBase: between(isosceles, neighbour(all, isosceles, 1)),
    centre: { leg: aimed(isosceles, 0), base: aimed(isosceles, 1), side: aimed(equilateral, 0) },
  };
});

/** The blade's tilt from square at each sort of edge, radians. */
export function bevelsOf(
  { acrossLeg, acrossBase, centre }: GlobeFigures,
  bevels: Bevels,
): GlobeFigures['centre'] {
  const half = { leg: (Math.PI - acrossLeg) / 2, base: (Math.PI - acrossBase) / 2 };
  return bevels === 'centre' ? centre : { leg: half.leg, base: half.base, side: half.base };
}

/** How high an isosceles and an equilateral stand on a base, by their sides. */
export const altitude = (side: number, base: number): number => Math.sqrt(side * side - (base / 2) ** 2);

/** Whether an edge lies in the level circle. */
const isLevel = (p: Point3, q: Point3): boolean => Math.abs(p.z) + Math.abs(q.z) < 1e-9;

/**
 * The planes along which a panel of the unit globe is sawn, one through each of its edges; normals point out of it. Those of the rim
 * of half a globe are level.
 */
export const sawnAlong = (all: readonly Faced[], face: Faced, { part, bevels }: Sawn): Plane[] =>
  [0, 1, 2].map((i) => {
    const [p, q] = [face.points[i]!, face.points[(i + 1) % 3]!];
    const aims = bevels === 'centre' || (part === 'half' && isLevel(p, q));
    const along = unit(minus(q, p));
    // Square to the plane that halves the angle between the two faces, or to the one through the centre.
    const normal = aims
      ? unit(cross(q, p))
      : unit(cross(along, unit(plus(face.normal, neighbour(all, face, i).normal))));
    return { normal, at: dot(normal, p) };
  });

/**
 * Where the tips of an equilateral are nipped off inside: with half-angle bevels two of them would run into each other where six
 * panels meet. The plane holds the two legs that meet there; with bevels that aim at the centre it takes nothing.
 */
export const nippedAlong = ({ kind, points }: Faced): Plane[] => {
  if (kind === 'isosceles') return [];
  const middle = times(points.reduce(plus), 1 / 3);
  return points.map((tip) => ({ normal: unit(minus(times(tip, dot(middle, tip)), middle)), at: 0 }));
};

/**
 * The planes between which a panel of a globe lies, about the globe's centre: outer and inner face, its sides as they are sawn `along`
 * on the unit globe, and, with half-angle bevels, what nips the inner tips of equilaterals. All but the inner face grow with the globe.
 */
export function panelBetween(
  face: Faced,
  along: readonly Plane[],
  bevels: Bevels,
  { radiusMm, thickMm }: { readonly radiusMm: number; readonly thickMm: number },
): Plane[] {
  const flat = dot(face.normal, face.points[0]) * radiusMm;
  return [
    { normal: face.normal, at: flat },
    { normal: times(face.normal, -1), at: thickMm - flat },
    ...along.map(({ normal, at }) => ({ normal, at: at * radiusMm })),
    ...(bevels === 'half-angle' ? nippedAlong(face) : []),
  ];
}

/** Where the inner face of a panel has its corners when it is so thick: on the unit globe, with its outer face whole. */
export function innerCorners(face: Faced, sides: readonly Plane[], thick: number): Point3[] {
  const inside: Plane = { normal: face.normal, at: dot(face.normal, face.points[0]) - thick };
  return [0, 1, 2].map((i) => meeting(inside, sides[(i + 2) % 3]!, sides[i]!));
}
