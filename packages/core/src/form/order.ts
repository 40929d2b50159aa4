import type { Reason } from '../measure/reason.js';
import { say, sayMm } from '../measure/said.js';
import type { CurvePoint } from './curve.js';
import type { Inside } from './shape.js';

/** Two curve points are at least this far apart in height (mm). */
export const MIN_RISE = 0.05;

/** Points of the outside that do not rise, or do not begin on the bench: such a curve would cross itself. */
export function outsideOrder(points: readonly CurvePoint[]): Reason[] {
  const foot = points[0]!.heightMm;
  const reasons = [...rising('Curve point', 'form.points', points), ...pointed(points)];
  if (foot === 0) return reasons;
  const message = say`The lowest curve point is at height ${sayMm(foot)}; it has to be at 0, on the bench.`;
  return [{ code: 'form-foot', path: 'form.points.0.heightMm', message }, ...reasons];
}

/** A piece may end in points; between its ends, and where an end is no point, there is wood to hold it together (mm). */
export const LEAST_RADIUS = 1;

/** Points nearer to the axis than that which are no ends of the piece. */
const pointed = (points: readonly CurvePoint[]): Reason[] =>
  points.flatMap(({ radiusMm }, i): Reason[] => {
    if (radiusMm >= LEAST_RADIUS || (radiusMm === 0 && (i === 0 || i === points.length - 1))) return [];
    return [
      {
        code: 'point-thin',
        path: `form.points.${i}.radiusMm`,
        message: say`Curve point ${i + 1} has a radius of ${sayMm(radiusMm)}; it has to be at least ${sayMm(LEAST_RADIUS)}, or 0 at an end that is a point.`,
        limits: { least: LEAST_RADIUS },
      },
    ];
  });

export const insideOrder = (inside: Inside): Reason[] =>
  inside.by === 'curve' ? rising('Inside point', 'form.inside.points', inside.points) : [];

export const wallOrder = (inside: Inside): Reason[] =>
  inside.by === 'wall' ? rising('Wall thickness', 'form.inside.walls', inside.walls) : [];

function rising(name: string, path: string, points: readonly { readonly heightMm: number }[]): Reason[] {
  return points.slice(1).flatMap(({ heightMm }, i) => {
    const below = points[i]!.heightMm;
    if (heightMm - below >= MIN_RISE - 1e-9) return [];
    return {
      code: 'form-order',
      path: `${path}.${i + 1}.heightMm`,
      message: say`${name} ${i + 2} is at height ${sayMm(heightMm)}; it has to be above ${name.toLowerCase()} ${i + 1}, which is at ${sayMm(below)}.`,
      limits: { least: below + MIN_RISE },
    };
  });
}
