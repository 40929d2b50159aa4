import { z } from 'zod';
import { length } from '../measure/field.js';
import { mm } from '../measure/quantity.js';
import { forZod, say, sayMm } from '../measure/said.js';
import type { Point } from '../ring/plane.js';
import { polar } from '../ring/plane.js';
import type { PieceKind, PlaceGroup } from './contract.js';
import { type Step, step } from './step.js';
import { nearest } from './wedge.js';

/** A turned plug in the middle, where points never meet well: its diameter, and the drill that the hole is begun with. */
export const plugSchema = z
  .strictObject({
    diameterMm: length('Plug', 2, 500),
    drillMm: length('Drill', 1, 500),
  })
  .refine(({ diameterMm, drillMm }) => drillMm <= diameterMm, {
    path: ['drillMm'],
    error: ({ input }) => {
      const { diameterMm, drillMm } = input as { diameterMm: number; drillMm: number };
      return forZod(
        say`The drill is ${sayMm(drillMm)} and the plug ${sayMm(diameterMm)}; the drill cannot be larger than the plug.`,
      );
    },
  });

export type Plug = z.infer<typeof plugSchema>;

export const plugGroup = (plug: Plug | undefined): PlaceGroup[] => (plug ? [{ name: 'Plug', count: 1 }] : []);

/** The plug as a piece, at a place; its blank is a square block. */
export function plugKind(plug: Plug | undefined, heightMm: number, place: number): PieceKind[] {
  if (!plug) return [];
  const across = mm(plug.diameterMm);
  return [
    {
      name: 'Plug',
      grain: 'upright',
      heightMm: mm(heightMm),
      stock: {
        from: 'panel',
        shape: 'plug',
        lengthMm: across,
        widthMm: across,
        thicknessMm: mm(heightMm),
      },
      places: [place],
    },
  ];
}

export const plugSteps = (plug: Plug | undefined): Step[] =>
  plug
    ? [
        step(
          'drill',
          'drill',
          plug.drillMm < plug.diameterMm
            ? say`Drill ${sayMm(plug.drillMm, 'diameter')} through the middle and bore the hole out to ${sayMm(plug.diameterMm)}.`
            : say`Drill ${sayMm(plug.drillMm, 'diameter')} through the middle.`,
          ['drill'],
        ),
        step('plug', 'lathe', say`Turn a plug of ${sayMm(plug.diameterMm, 'diameter')} and glue it in.`, [
          'lathe',
        ]),
      ]
    : [];

/** A circle is drawn with corners this far apart (radians) on it. */
const ARC = (2 * Math.PI) / 180;

/** The circle of the plug, as an outline. */
export const circle = (radius: number): Point[] =>
  Array.from({ length: 180 }, (_, i) => polar(radius, i * ARC));

/** Corners on the rim of a drilled hole: the same for bottom and top, so that they answer each other. */
const rimCorners = (half: number): number => Math.max(2, Math.ceil((2 * half) / ARC) + 1);

/**
 * A wedge's outline (outer corners, then inner ones) with a hole of a radius drilled about the axis: what lies within
 * it is gone, and an arc takes its place. `half` is half the wedge's angle. Unchanged where the hole misses it.
 */
export function drilled(outline: readonly Point[], radius: number, half: number): Point[] {
  const [from, to] = [outline[0]!, outline[1]!];
  const [innerTo, innerFrom] = [outline[2]!, outline[3] ?? outline[2]!];
  if (nearest(innerTo, innerFrom) >= radius) return [...outline];
  const [a, b] = [onCircle(to, innerTo, radius), onCircle(from, innerFrom, radius)];
  const [first, last] = [Math.atan2(a.y, a.x), Math.atan2(b.y, b.x)];
  const back = (((first - last) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);
  const corners = rimCorners(half);
  const rim = Array.from({ length: corners }, (_, i) => polar(radius, first - (back * i) / (corners - 1)));
  return [from, to, ...rim];
}

/** Where the line from a point outside a circle to one inside enters it. */
function onCircle(outside: Point, inside: Point, radius: number): Point {
  const [dx, dy] = [inside.x - outside.x, inside.y - outside.y];
  const a = dx * dx + dy * dy;
  const b = outside.x * dx + outside.y * dy;
  const c = outside.x * outside.x + outside.y * outside.y - radius * radius;
  const t = (-b - Math.sqrt(Math.max(0, b * b - a * c))) / a;
  return { x: outside.x + t * dx, y: outside.y + t * dy };
}
