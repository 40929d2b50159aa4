import type { FormPoint } from '../../form/shape.js';
import { type Mm, mm } from '../../measure/quantity.js';
import type { Command } from './command.js';
import { fitStack } from './stack.js';

const widest = (points: readonly FormPoint[]): number => Math.max(...points.map((point) => point.radiusMm));
const lip = (points: readonly FormPoint[]): number => points[points.length - 1]!.heightMm;

const noted = (note: string | undefined) => (note ? { note } : undefined);

/** The form made taller or lower, its curve and floor in proportion; rings are added or taken away at the top. */
export const setFormHeight = (heightMm: Mm): Command => ({
  label: 'Height',
  apply(draft) {
    const { form } = draft;
    if (!(heightMm > 0)) return { reasons: [mustBeAboveNothing('Height', 'form.heightMm', heightMm)] };
    const factor = heightMm / lip(form.points);
    for (const point of form.points) point.heightMm = mm(point.heightMm * factor);
    form.points[form.points.length - 1]!.heightMm = heightMm;
    form.floorMm = mm(Math.min(form.floorMm * factor, heightMm));
    return noted(fitStack(draft));
  },
});

/** The form made wider or narrower, heights unchanged; the widest curve point comes to the diameter. */
export const setDiameter = (diameterMm: Mm): Command => ({
  label: 'Diameter',
  apply({ form }) {
    if (!(diameterMm > 0))
      return { reasons: [mustBeAboveNothing('Diameter', 'form.diameterMm', diameterMm)] };
    const factor = diameterMm / 2 / widest(form.points);
    for (const point of form.points) point.radiusMm = mm(point.radiusMm * factor);
    return undefined;
  },
});

const mustBeAboveNothing = (label: string, path: string, given: number) => ({
  code: 'too_small',
  path,
  message: `${label} is ${given} mm; it has to be more than 0 mm.`,
  limits: { least: 0 },
});

export const setWall = (wallMm: Mm): Command => ({
  label: 'Wall thickness',
  apply({ form }) {
    form.wallMm = wallMm;
    return undefined;
  },
});

export const setFloor = (floorMm: Mm): Command => ({
  label: 'Floor thickness',
  apply({ form }) {
    form.floorMm = floorMm;
    return undefined;
  },
});

/** One curve point changed; raising or lowering the last one changes the height of the form. */
export const setPoint = (index: number, change: Partial<FormPoint>): Command => ({
  label: `Curve point ${index + 1}`,
  apply(draft) {
    Object.assign(draft.form.points[index]!, change);
    return noted(index === draft.form.points.length - 1 ? fitStack(draft) : undefined);
  },
});

/** A new smooth point between two others. */
export const addPoint = (point: FormPoint): Command => ({
  label: 'Add curve point',
  apply({ form }) {
    const at = form.points.findIndex((other) => other.heightMm > point.heightMm);
    form.points.splice(at < 0 ? form.points.length - 1 : at, 0, point);
    return undefined;
  },
});

/** Takes a point away; the foot and the lip stay. */
export const removePoint = (index: number): Command => ({
  label: 'Remove curve point',
  apply({ form }) {
    if (index > 0 && index < form.points.length - 1) {
      form.points.splice(index, 1);
      return undefined;
    }
    const message = 'The foot and the lip of the curve stay; move them instead.';
    return { reasons: [{ code: 'end-point', path: `form.points.${index}`, message }] };
  },
});

export const setAllowance = (side: 'outsideMm' | 'insideMm', value: Mm): Command => ({
  label: side === 'outsideMm' ? 'Outside allowance' : 'Inside allowance',
  apply({ allowances }) {
    allowances[side] = value;
    return undefined;
  },
});
