import type { FrontPoint, SectionPoint } from '@fellside/core';

/** From mm of the section to px of a pane: radius to one side of the axis, height upwards. */
export interface Place {
  x(radius: number): number;
  y(height: number): number;
}

/** To a fiftieth of a pixel; much quicker than formatting to decimals. */
export const figure = (value: number): number => Math.round(value * 50) / 50;

/** An SVG path through points of the section; `share` scales the radius, as foreshortening does. */
export function linePath(points: readonly SectionPoint[], at: Place, share = 1): string {
  return points
    .map(({ r, z }, i) => `${i === 0 ? 'M' : 'L'}${figure(at.x(r * share))} ${figure(at.y(z))}`)
    .join('');
}

/** The strip between two foreshortenings of the same line, as a closed path. */
export function stripPath(points: readonly SectionPoint[], at: Place, near: number, far: number): string {
  const back = [...points].reverse();
  return `${linePath(points, at, near)}${linePath(back, at, far).replace('M', 'L')}Z`;
}

/** A path through points seen from the front; closed where it is an outline. */
export const frontPath = (points: readonly FrontPoint[], at: Place, end: 'Z' | '' = ''): string =>
  `${points.map(({ x, z }, i) => `${i === 0 ? 'M' : 'L'}${figure(at.x(x))} ${figure(at.y(z))}`).join('')}${end}`;
