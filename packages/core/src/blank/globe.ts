import { z } from 'zod';
import type { PieceKind } from '../making/contract.js';
import type { PicturePart } from '../making/picture.js';
import { length } from '../measure/field.js';
import { mm } from '../measure/quantity.js';
import { done, type Result, refuse } from '../measure/reason.js';
import { say, sayMm } from '../measure/said.js';
import {
  cross,
  dot,
  holdsPoint,
  lengthOf,
  meeting,
  minus,
  type Plane,
  type Point3,
  plus,
  type Solid,
  times,
  unit,
} from '../ring/space.js';
import { finder, type MadeBlank } from './contract.js';
import { globeSteps } from './globeSteps.js';
import { type Facet, splitIcosahedron } from './triangles.js';

export const globeParams = z.strictObject({
  kind: z.literal('globe'),
  /** Of the sphere through the corners. */
  diameterMm: length('Globe', 40, 1200),
  wallMm: length('Thickness of the panels', 2, 200),
  /** The whole globe, or its upper half for a bowl. */
  part: z.enum(['whole', 'half'], { error: () => 'It is a whole globe or half of one.' }),
  /** Bevels of half the angle between neighbours, or aimed at the centre. */
  bevels: z.enum(['half-angle', 'centre'], { error: () => 'Bevels are half-angle or aimed at the centre.' }),
});

export type GlobeParams = z.infer<typeof globeParams>;

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

interface Faced extends Facet {
  readonly points: readonly [Point3, Point3, Point3];
  readonly normal: Point3;
}

/** The triangles of the unit globe with their corners and outward normals. */
function unitFaces(): Faced[] {
  const { corners, facets } = splitIcosahedron();
  return facets.map((facet) => {
    const [a, b, c] = facet.corners.map((i) => corners[i]!) as [Point3, Point3, Point3];
    return { ...facet, points: [a, b, c], normal: unit(cross(minus(b, a), minus(c, a))) };
  });
}

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
export function globeFigures(): GlobeFigures {
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
}

/** Faces of the wanted part: the upper half is what lies above the level circle of ten edges. */
function wantedFaces(part: GlobeParams['part']): { all: Faced[]; wanted: Faced[] } {
  const all = unitFaces();
  const centre = ({ points: [a, b, c] }: Faced) => a.z + b.z + c.z;
  return { all, wanted: part === 'whole' ? all : all.filter((face) => centre(face) > 1e-9) };
}

/** A panel: outer triangle, inner one on a plane a thickness in, bounded by its bevels. */
function panel(
  all: readonly Faced[],
  face: Faced,
  place: number,
  radius: number,
  { wallMm, bevels }: GlobeParams,
): Solid {
  const outer = face.points.map((p) => times(p, radius));
  const inside: Plane = { normal: face.normal, at: dot(face.normal, outer[0]!) - wallMm };
  const sides = [0, 1, 2].map((i): Plane => {
    const [p, q] = [outer[i]!, outer[(i + 1) % 3]!];
    const along = unit(minus(q, p));
    // Square to the plane that halves the angle between the two faces, or to the one through the centre.
    const outward =
      bevels === 'centre'
        ? unit(cross(q, p))
        : unit(cross(along, unit(plus(face.normal, neighbour(all, face, i).normal))));
    return { normal: outward, at: dot(outward, p) };
  });
  const inner = [0, 1, 2].map((i) => meeting(inside, sides[(i + 2) % 3]!, sides[i]!));
  return {
    place,
    corners: [...outer, ...inner],
    faces: [
      [0, 1, 2],
      [5, 4, 3],
      [0, 3, 4, 1],
      [1, 4, 5, 2],
      [2, 5, 3, 0],
    ],
  };
}

/** A globe of flat panels: an icosahedron split once, 60 isosceles triangles and 20 equilateral ones. */
export function makeGlobe(given: GlobeParams): Result<MadeBlank> {
  const radius = given.diameterMm / 2;
  const figures = globeFigures();
  const { all, wanted } = wantedFaces(given.part);
  // The equilateral panels lie nearest to the centre.
  const nearest = radius * Math.min(...all.map(({ normal, points }) => dot(normal, points[0])));
  if (given.wallMm >= nearest * 0.8)
    return refuse(
      'panels-too-thick',
      'wallMm',
      say`The panels are ${sayMm(given.wallMm)} thick and lie ${sayMm(nearest)} from the centre; ${sayMm(nearest * 0.8)} is the most that leaves them an inner face.`,
      { most: nearest * 0.8 },
    );
  const ordered = [
    ...wanted.filter(({ kind }) => kind === 'isosceles'),
    ...wanted.filter(({ kind }) => kind === 'equilateral'),
  ];
  const solids = ordered.map((face, place) => panel(all, face, place, radius, given));
  const isosceles = ordered.filter(({ kind }) => kind === 'isosceles').length;
  const [leg, base] = [figures.leg * radius, figures.base * radius];
  const altitude = (side: number) => Math.sqrt(side * side - (base / 2) ** 2);
  const half = { leg: (Math.PI - figures.acrossLeg) / 2, base: (Math.PI - figures.acrossBase) / 2 };
  const bevel =
    given.bevels === 'centre' ? figures.centre : { leg: half.leg, base: half.base, side: half.base };
  const kind = (name: string, high: number, first: number, count: number): PieceKind => ({
    name,
    grain: 'along',
    heightMm: given.wallMm,
    stock: {
      from: 'panel',
      shape: 'block',
      lengthMm: mm(base),
      widthMm: mm(high),
      thicknessMm: given.wallMm,
    },
    places: Array.from({ length: count }, (_, i) => first + i),
  });
  return done({
    groups: [
      { name: 'Isosceles', count: isosceles },
      { name: 'Equilateral', count: ordered.length - isosceles },
    ],
    kinds: [
      kind('Isosceles', altitude(leg), 0, isosceles),
      kind('Equilateral', altitude(base), isosceles, ordered.length - isosceles),
    ],
    solids,
    beside: [],
    flat: flatPattern(ordered, leg, base),
    placeAt: finder(solids, holdsPoint),
    figures: [
      { key: 'legs-of-the-isosceles', value: leg, unit: 'mm' },
      { key: 'their-base-sides-of-the-equilateral', value: base, unit: 'mm' },
      { key: 'bevel-at-the-legs', value: bevel.leg, unit: 'rad' },
      { key: 'bevel-at-the-bases', value: bevel.base, unit: 'rad' },
      { key: 'bevel-of-the-equilateral', value: bevel.side, unit: 'rad' },
    ],
    warnings: [],
    steps: () => globeSteps(given, ordered.length, isosceles, { leg, base }, bevel),
  });
}

/** The pattern laid flat: for each of the twenty old faces its four triangles, five columns as they are wrapped. */
function flatPattern(ordered: readonly Faced[], leg: number, base: number): PicturePart[] {
  const high = Math.sqrt(leg * leg - (base / 2) ** 2);
  const pitch = { x: base * 2.15, y: base * 2.05 };
  return ordered.map((face, place) => {
    const column =
      face.split < 5 ? face.split : face.split < 15 ? Math.floor((face.split - 5) / 2) : face.split - 15;
    const row = face.split < 5 ? 0 : face.split < 15 ? 1 + ((face.split - 5) % 2) : 3;
    const down = row % 2 === 1;
    const at = { x: (column + (row > 1 ? 0.5 : 0)) * pitch.x, y: -row * pitch.y };
    const rise = base * (Math.sqrt(3) / 6);
    const corner = (k: number, reach: number) => {
      const angle = Math.PI / 2 + (k * 2 * Math.PI) / 3 + (down ? Math.PI : 0);
      return { x: at.x + reach * Math.cos(angle), y: at.y + reach * Math.sin(angle) };
    };
    const inner = [0, 1, 2].map((k) => corner(k, -2 * rise));
    if (face.kind === 'equilateral') return { outline: inner, place };
    const k = ordered
      .filter((other) => other.split === face.split && other.kind === 'isosceles')
      .indexOf(face);
    return { outline: [corner(k, rise + high), inner[(k + 1) % 3]!, inner[(k + 2) % 3]!], place };
  });
}

/** Triangles of a globe, whole or half. */
export const globePlaces = ({ part }: Pick<GlobeParams, 'part'>): number => (part === 'half' ? 40 : 80);
