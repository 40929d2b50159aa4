import type { CurvePoint } from '../../form/curve.js';
import { LEAST_RIM } from '../../form/recess.js';
import type { Form, FormPoint, Lid, Recess } from '../../form/shape.js';
import { type Mm, mm } from '../../measure/quantity.js';
import type { Project, Underlay } from '../schema.js';
import type { Command } from './command.js';
import { fitStack } from './stack.js';

/** The outside, or an inside that is a curve of its own. */
export type Side = 'outside' | 'inside';

const widest = (points: readonly FormPoint[]): number => Math.max(...points.map((point) => point.radiusMm));
const lip = (points: readonly FormPoint[]): number => points[points.length - 1]!.heightMm;

const noted = (note: string | undefined) => (note ? { note } : undefined);

/** Multiplies every height of a form. */
function stretch(form: Form, factor: number): void {
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

/** The form made taller or lower, everything in it in proportion; rings are added or taken away at the top. */
export const setFormHeight = (heightMm: Mm): Command => ({
  label: 'Height',
  apply(draft) {
    const { form } = draft;
    if (!(heightMm > 0)) return { reasons: [mustBeAboveNothing('Height', 'form.heightMm', heightMm)] };
    stretch(form, heightMm / lip(form.points));
    setTop(form, heightMm);
    return noted(fitStack(draft));
  },
});

/** Puts the top of the curves at exactly a height, without the rounding of a product. */
function setTop({ points, inside, lid }: Form, heightMm: Mm): void {
  points[points.length - 1]!.heightMm = heightMm;
  if (inside.by === 'curve' && !lid) inside.points[inside.points.length - 1]!.heightMm = heightMm;
  if (inside.by === 'wall') inside.floorMm = mm(Math.min(inside.floorMm, heightMm));
}

/** The form made wider or narrower, heights unchanged; the widest curve point comes to the diameter. */
export const setDiameter = (diameterMm: Mm): Command => ({
  label: 'Diameter',
  apply({ form }) {
    if (!(diameterMm > 0))
      return { reasons: [mustBeAboveNothing('Diameter', 'form.diameterMm', diameterMm)] };
    const factor = diameterMm / 2 / widest(form.points);
    const all = form.inside.by === 'curve' ? [...form.points, ...form.inside.points] : form.points;
    for (const point of all) point.radiusMm = mm(point.radiusMm * factor);
    if (form.recess) form.recess.radiusMm = mm(form.recess.radiusMm * factor);
    return undefined;
  },
});

const mustBeAboveNothing = (label: string, path: string, given: number) => ({
  code: 'too_small',
  path,
  message: `${label} is ${given} mm; it has to be more than 0 mm.`,
  limits: { least: 0 },
});

/** The points of a side; none where the inside follows a wall. */
const pointsOf = ({ points, inside }: Form, side: Side): CurvePoint[] =>
  side === 'outside' ? points : inside.by === 'curve' ? inside.points : [];

const nameOf = (side: Side) => (side === 'outside' ? 'Curve point' : 'Inside point');

/** One curve point changed; raising or lowering the top one changes the height of the form, inside and all. */
export const setPoint = (index: number, change: Partial<CurvePoint>, side: Side = 'outside'): Command => ({
  label: `${nameOf(side)} ${index + 1}`,
  apply(draft) {
    const points = pointsOf(draft.form, side);
    Object.assign(points[index]!, change);
    if (change.heightMm === undefined || index < points.length - 1) return undefined;
    if (side === 'outside') setTop(draft.form, change.heightMm);
    else if (!draft.form.lid) draft.form.points[draft.form.points.length - 1]!.heightMm = change.heightMm;
    return noted(fitStack(draft));
  },
});

/** A new point between two others. */
export const addPoint = (point: CurvePoint, side: Side = 'outside'): Command => ({
  label: `Add ${nameOf(side).toLowerCase()}`,
  apply({ form }) {
    const points = pointsOf(form, side);
    const at = points.findIndex((other) => other.heightMm > point.heightMm);
    points.splice(at < 0 ? points.length - 1 : Math.max(1, at), 0, point);
    return undefined;
  },
});

/** Takes a point away; the lowest and the highest stay. */
export const removePoint = (index: number, side: Side = 'outside'): Command => ({
  label: `Remove ${nameOf(side).toLowerCase()}`,
  apply({ form }) {
    const points = pointsOf(form, side);
    if (index > 0 && index < points.length - 1) {
      points.splice(index, 1);
      return undefined;
    }
    const message = 'The lowest and the highest point of a curve stay; move them instead.';
    return { reasons: [{ code: 'end-point', path: `form.points.${index}`, message }] };
  },
});

/** Another outside, from the bench to its top; the rest of the form comes to its height. */
export const setProfile = (points: readonly CurvePoint[]): Command => ({
  label: 'Outside from a file',
  apply(draft) {
    const heightMm = lip(points as FormPoint[]);
    stretch(draft.form, heightMm / lip(draft.form.points));
    draft.form.points = points.map((point) => ({ ...point }));
    setTop(draft.form, mm(heightMm));
    return noted(fitStack(draft));
  },
});

export const setRecess = (recess: Recess | null): Command => ({
  label: 'Foot recess',
  apply({ form }) {
    form.recess = recess && { ...recess };
    return undefined;
  },
});

/** A foot recess of usual size: two thirds of the foot, as deep as a third of the floor allows, 3 mm at most. */
export function usualRecess({ points, inside }: Form): Recess {
  const floor = inside.by === 'wall' ? inside.floorMm : inside.points[0]!.heightMm;
  const depth = Math.max(0.5, Math.min(3, (floor - LEAST_RIM) / 3));
  return { radiusMm: mm((points[0]!.radiusMm * 2) / 3), depthMm: mm(depth) };
}

export const setLid = (lid: Lid | null): Command => ({
  label: 'Lid',
  apply({ form }) {
    form.lid = lid && { ...lid };
    const { inside, points } = form;
    if (inside.by === 'curve')
      inside.points[inside.points.length - 1]!.heightMm = mm(lip(points) - (lid?.roofMm ?? 0));
    return undefined;
  },
});

/** A lid of usual size: parted at three quarters of the height, a tenth of it solid at the top. */
export function usualLid({ points, inside }: Form): Lid {
  const top = lip(points);
  const floor = inside.by === 'wall' ? inside.floorMm : inside.points[0]!.heightMm;
  return { heightMm: mm(floor + (top - floor) * 0.7), roofMm: mm(Math.max(1, (top - floor) * 0.1)) };
}

export const setAllowance = (side: 'outsideMm' | 'insideMm', value: Mm): Command => ({
  label: side === 'outsideMm' ? 'Outside allowance' : 'Inside allowance',
  apply({ allowances }) {
    allowances[side] = value;
    return undefined;
  },
});

export const setUnderlay = (underlay: Underlay | null): Command => ({
  label: 'Picture underneath',
  apply(draft: Project) {
    draft.underlay = underlay && { ...underlay };
    return undefined;
  },
});
