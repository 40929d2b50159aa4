import type { Form } from '../../form/shape.js';
import { type Mm, mm } from '../../measure/quantity.js';
import type { Said } from '../../measure/said.js';

/** Height of the highest point of a curve. */
export const lip = (points: readonly { readonly heightMm: number }[]): number =>
  points[points.length - 1]!.heightMm;

/** A command's outcome with a note, where there is one. */
export const noted = (note: Said | undefined) => (note ? { note } : undefined);

/** A point whose curve is drawn steeper, or less so: dr/dz times a factor. */
export function steepen(
  point: { slope?: { below?: number | undefined; above?: number | undefined } | undefined },
  factor: number,
): void {
  const { slope } = point;
  if (!slope) return;
  if (slope.below !== undefined) slope.below *= factor;
  if (slope.above !== undefined) slope.above *= factor;
}

/** Multiplies every height of a form. */
export function stretch(form: Form, factor: number): void {
  const stretched = (heightMm: number) => mm(heightMm * factor);
  const { inside, lid, recess } = form;
  for (const point of [...form.points, ...(inside.by === 'curve' ? inside.points : [])]) {
    point.heightMm = stretched(point.heightMm);
    steepen(point, 1 / factor);
  }
  if (inside.by === 'wall') {
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
