import type { SectionPoint } from '@fellside/core';
import { type Place, stripPath } from './path.js';

/** Bands of the visible half, as shares of the radius, darker towards the silhouette as light falls off. */
const BANDS = [0.4, 0.48, 0.55, 0.62, 0.68, 0.74, 0.79, 0.83, 0.87, 0.9, 0.93, 0.955, 0.975, 0.99];
const STRENGTH = 0.032;

/** Makes a flat drawing of a turned outside look round, at every height as wide as the piece is there. */
export function Shade({ line, at }: { line: readonly SectionPoint[]; at: Place }) {
  return (
    <g fill="#000" fillOpacity={STRENGTH} pointerEvents="none">
      {BANDS.map((share) => (
        <path key={share} d={stripPath(line, at, share, 1)} />
      ))}
    </g>
  );
}
