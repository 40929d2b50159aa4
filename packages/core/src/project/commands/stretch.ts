import type { Form } from '../../form/shape.js';
import { type Mm, mm } from '../../measure/quantity.js';
import type { Said } from '../../measure/said.js';

/** Height of the highest point of a curve. */
export const lip = (points: readonly { readonly heightMm: number }[]): number =>
  points[points.length - 1]!.heightMm;

/** A command's outcome with a note, where there is one. */
export const noted = (note: Said | undefined) => (note ? { note } : undefined);

/** Multiplies every height of a form. */
export function stretch(form: Form, factor: number): void {
  const stretched = (heightMm: number) => mm(heightMm * factor);
  for (const point of form.points) point.heightMm = stretched(point.heightMm);
  const { inside, lid, recess } = form;
  if (inside.by === 'curve') for (const point of inside.points) point.heightMm = stretched(point.heightMm);
  else {
    for (const wall of inside.walls) wall.heightMm = stretched(wall.heightMm);
    inside.floorMm = stretched(inside.floorMm);
  }
  if (lid) lid.heightMm = stretched(lid.heightMm);
  if (recess) recess.depthMm = stretched(recess.depthMm);
}

/** Puts the top of the curves at exactly a height, without the rounding of a product. */
export function setTop({ points, inside, lid }: Form, heightMm: Mm): void {
  points[points.length - 1]!.heightMm = heightMm;
  if (inside.by === 'curve' && !lid) inside.points[inside.points.length - 1]!.heightMm = heightMm;
  if (inside.by === 'wall') inside.floorMm = mm(Math.min(inside.floorMm, heightMm));
}
