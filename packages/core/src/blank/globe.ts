import { z } from 'zod';
import type { PieceKind } from '../making/contract.js';
import { flatPattern } from '../making/globe/flat.js';
import {
  altitude,
  bevelsOf,
  type Faced,
  type GlobePart,
  globeFigures,
  panelBetween,
  sawnAlong,
  sawnFields,
  unitFaces,
} from '../making/globe/panels.js';
import { globeSteps } from '../making/globe/told.js';
import { length } from '../measure/field.js';
import { mm } from '../measure/quantity.js';
import { done, type Result, refuse } from '../measure/reason.js';
import { say, sayMm } from '../measure/said.js';
import { solidBetween } from '../ring/convex.js';
import { dot, holdsPoint } from '../ring/space.js';
import { finder, type MadeBlank } from './contract.js';

export const globeParams = z.strictObject({
  kind: z.literal('globe'),
  /** Of the sphere through the corners. */
  diameterMm: length('Globe', 40, 1200),
  wallMm: length('Thickness of the panels', 2, 200),
  /** The whole globe, or its upper half for a bowl. */
  ...sawnFields,
});

export type GlobeParams = z.infer<typeof globeParams>;

/** Faces of the wanted part: the upper half is what lies above the level circle of ten edges. */
function wantedFaces(part: GlobePart): {
  all: readonly Faced[];
  wanted: readonly Faced[];
} {
  const all = unitFaces();
  const centre = ({ points: [a, b, c] }: Faced) => a.z + b.z + c.z;
  return { all, wanted: part === 'whole' ? all : all.filter((face) => centre(face) > 1e-9) };
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
  const solids = ordered.map((face, place) =>
    solidBetween(
      panelBetween(face, sawnAlong(all, face, given), given.bevels, {
        radiusMm: radius,
        thickMm: given.wallMm,
      }),
      place,
    ),
  );
  const isosceles = ordered.filter(({ kind }) => kind === 'isosceles').length;
  const [leg, base] = [figures.leg * radius, figures.base * radius];
  const bevel = bevelsOf(figures, given.bevels);
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
      kind('Isosceles', altitude(leg, base), 0, isosceles),
      kind('Equilateral', altitude(base, base), isosceles, ordered.length - isosceles),
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
    steps: () => globeSteps({ ...given, radiusMm: radius, glued: 'triplets' }, { leg, base }, bevel),
  });
}

/** Triangles of a globe, whole or half. */
export const globePlaces = ({ part }: Pick<GlobeParams, 'part'>): number => (part === 'half' ? 40 : 80);
