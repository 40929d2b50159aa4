import type { CurvePoint } from '../../form/curve.js';
import type { Form } from '../../form/shape.js';
import { mm } from '../../measure/quantity.js';
import type { Command } from './command.js';
import { fitStack } from './stack.js';
import { lip, noted, setTop, stretch } from './stretch.js';

/** The outside, or an inside that is a curve of its own. */
export type Side = 'outside' | 'inside';

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
    const heightMm = lip(points);
    stretch(draft, heightMm / lip(draft.form.points));
    draft.form.points = points.map((point) => ({ ...point }));
    setTop(draft.form, mm(heightMm));
    return noted(fitStack(draft));
  },
});
