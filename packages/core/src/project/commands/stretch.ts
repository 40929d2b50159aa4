import type { Form } from '../../form/shape.js';
import { type Mm, mm } from '../../measure/quantity.js';
import type { Said } from '../../measure/said.js';
import type { Project } from '../schema.js';

/** Height of the highest point of a curve. */
export const lip = (points: readonly { readonly heightMm: number }[]): number =>
  points[points.length - 1]!.heightMm;

/** A command's outcome with a note, where there is one. */
export const noted = (note: Said | undefined) => (note ? { note } : undefined);

/** A point whose curve is drawn steeper, or less so: dr/dz times a factor below it and above. */
export function steepen(
  point: { slope?: { below?: number | undefined; above?: number | undefined } | undefined },
  below: number,
  above = below,
): void {
  const { slope } = point;
  if (!slope) return;
  if (slope.below !== undefined) slope.below *= below;
  if (slope.above !== undefined) slope.above *= above;
}

/** Where a height goes, and by how much the heights just below and above it are drawn apart. */
export interface HeightMap {
  at(heightMm: number): number;
  rate(heightMm: number, side: 'below' | 'above'): number;
}

/** Moves every height of a form, and of what is let into it and cut through it; thicknesses of walls stay. */
export function remap(
  { form, inlays = [], slants = [] }: Pick<Project, 'form' | 'inlays' | 'slants'>,
  map: HeightMap,
): void {
  const moved = (heightMm: number) => mm(map.at(heightMm));
  for (const each of [...inlays, ...slants]) each.heightMm = moved(each.heightMm);
  const { inside, lid, recess } = form;
  for (const point of [...form.points, ...(inside.by === 'curve' ? inside.points : [])]) {
    const { heightMm } = point;
    point.heightMm = moved(heightMm);
    steepen(point, 1 / map.rate(heightMm, 'below'), 1 / map.rate(heightMm, 'above'));
  }
  if (inside.by === 'wall') {
    for (const wall of inside.walls) wall.heightMm = moved(wall.heightMm);
    inside.floorMm = moved(inside.floorMm);
  }
  if (lid) lid.heightMm = moved(lid.heightMm);
  if (recess) recess.depthMm = moved(recess.depthMm);
}

/** Multiplies every height of a form, and of what is let into it. */
export const stretch = ({ form, inlays }: Pick<Project, 'form' | 'inlays'>, factor: number): void =>
  remap({ form, inlays }, { at: (z) => z * factor, rate: () => factor });

/** Puts the top of the curves at exactly a height, without the rounding of a product. */
export function setTop({ points, inside, lid }: Form, heightMm: Mm): void {
  points[points.length - 1]!.heightMm = heightMm;
  if (inside.by === 'curve' && !lid) inside.points[inside.points.length - 1]!.heightMm = heightMm;
  if (inside.by === 'wall') inside.floorMm = mm(Math.min(inside.floorMm, heightMm));
}
