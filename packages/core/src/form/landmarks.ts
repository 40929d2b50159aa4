import type { Curve } from './curve.js';

/** A height where people look at a form, with its radius there (mm). */
export interface Landmark {
  readonly name: 'foot' | 'waist' | 'widest' | 'neck' | 'lip';
  readonly radiusMm: number;
  readonly heightMm: number;
}

/** A narrowing counts as waist or neck where the form is at least this share narrower than on both sides. */
const NARROWER = 0.02;

/**
 * Foot, waist (narrowest place below the widest), widest, neck (narrowest place above it) and lip; a waist or neck only
 * where the form narrows and widens again. Extremes of the curve lie at its points, which are all looked at.
 */
export function landmarksOf({ pieces }: Curve): Landmark[] {
  const points = [
    { radiusMm: pieces[0]!.r0, heightMm: pieces[0]!.z0 },
    ...pieces.map(({ r1, z1 }) => ({ radiusMm: r1, heightMm: z1 })),
  ];
  const last = points.length - 1;
  const widest = points.reduce((best, p, i) => (p.radiusMm > points[best]!.radiusMm + 1e-9 ? i : best), 0);
  const narrowest = (from: number, to: number): number | null => {
    let best: number | null = null;
    for (let i = from + 1; i < to; i++)
      if (best === null || points[i]!.radiusMm < points[best]!.radiusMm) best = i;
    if (best === null) return null;
    const most = (1 - NARROWER) * Math.min(points[from]!.radiusMm, points[to]!.radiusMm);
    return points[best]!.radiusMm < most ? best : null;
  };
  const named: [Landmark['name'], number | null][] = [
    ['foot', 0],
    ['waist', narrowest(0, widest)],
    ['widest', widest],
    ['neck', narrowest(widest, last)],
    ['lip', last],
  ];
  return named.flatMap(([name, i]) => (i === null ? [] : [{ name, ...points[i]! }]));
}
