import { dot, lengthOf } from '../../ring/space.js';
import { type Bevels, type Faced, innerCorners, sawnAlong, unitFaces } from './panels.js';

/** A panel of either kind, as it is asked for the wall that it leaves. */
const eachKind = (all: readonly Faced[]): readonly Faced[] =>
  (['isosceles', 'equilateral'] as const).map((kind) => all.find((face) => face.kind === kind)!);

/** How far a face lies from the centre of the unit globe. */
export const away = ({ normal, points }: Faced): number => dot(normal, points[0]);

/** Panels whose shell holds a wall between two spheres. */
export interface GlobeSize {
  /** Of the sphere through the corners, mm. */
  readonly radiusMm: number;
  readonly thickMm: number;
  /** Spheres between which the shell is wood wherever one looks, mm: the outer touches the equilaterals, the inner has the corners of the hollow on it. */
  readonly outerMm: number;
  readonly innerMm: number;
  /** Distance of the nearest flats from the centre, outside: of the equilaterals. */
  readonly flatsMm: { readonly isosceles: number; readonly equilateral: number };
}

/** Halvings of the range in which the thickness is looked for: to the last digit. */
const HALVINGS = 60;

/**
 * The least globe round a sphere, of the thinnest panels whose hollow keeps within another (radii in mm). The hollow reaches out
 * farthest in its corners: there the wall is thinnest, and there the thickness is taken.
 */
export function globeAround(outerMm: number, innerMm: number, bevels: Bevels): GlobeSize {
  const all = unitFaces();
  const kinds = eachKind(all).map((face) => ({
    face,
    sides: sawnAlong(all, face, { part: 'whole', bevels }),
  }));
  const [isosceles, equilateral] = kinds.map(({ face }) => away(face)) as [number, number];
  const radiusMm = outerMm / Math.min(isosceles, equilateral);
  const reach = (thick: number) =>
    Math.max(...kinds.flatMap(({ face, sides }) => innerCorners(face, sides, thick).map(lengthOf)));
  let [least, most] = [0, Math.min(isosceles, equilateral)];
  for (let i = 0; i < HALVINGS; i++) {
    const thick = (least + most) / 2;
    if (reach(thick) * radiusMm > innerMm) least = thick;
    else most = thick;
  }
  return {
    radiusMm,
    thickMm: most * radiusMm,
    outerMm,
    innerMm: reach(most) * radiusMm,
    flatsMm: { isosceles: isosceles * radiusMm, equilateral: equilateral * radiusMm },
  };
}
