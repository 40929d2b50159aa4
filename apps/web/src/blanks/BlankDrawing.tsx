import type { MadeBlank, Point, Solid, Species } from '@fellside/core';
import { useMemo } from 'react';
import { outlinePath } from '../plan/outline.js';
import { seenFaces } from './project.js';

interface DrawingProps {
  readonly woods: readonly string[];
  readonly palette: ReadonlyMap<string, Species>;
  readonly onPlace: (place: number) => void;
}

const colourOf = (woods: readonly string[], palette: ReadonlyMap<string, Species>, place: number): string =>
  palette.get(woods[place]!)?.colour ?? '#999';

const boxOf = (outlines: readonly (readonly Point[])[]): string => {
  const points = outlines.flat();
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => -y)];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  const [wide, tall] = [Math.max(...xs) - left, Math.max(...ys) - top];
  const room = 0.04 * Math.max(wide, tall);
  return `${left - room} ${top - room} ${wide + 2 * room} ${tall + 2 * room}`;
};

/** The pattern laid flat; a press gives a piece the wood in hand. */
export function FlatPattern({ made, woods, palette, onPlace }: DrawingProps & { made: MadeBlank }) {
  return (
    <svg
      viewBox={boxOf(made.flat.map(({ outline }) => outline))}
      className="wood-ground h-80 w-full rounded border border-line"
      role="img"
      aria-label={`Laid flat: ${made.solids.length} pieces.`}
    >
      <g transform="scale(1 -1)">
        {made.flat.map(({ outline, place }) => (
          <path
            key={place}
            d={outlinePath(outline)}
            fill={colourOf(woods, palette, place!)}
            stroke="#1d2527"
            strokeWidth="0.8"
            vectorEffect="non-scaling-stroke"
            data-place={place}
            className="cursor-pointer"
            onPointerDown={() => onPlace(place!)}
          />
        ))}
      </g>
    </svg>
  );
}

interface WrappedProps extends DrawingProps {
  readonly solids: readonly Solid[];
  readonly turn: number;
  readonly tilt: number;
}

/** The blank put together, as it is seen from far away. */
export function WrappedView({ solids, turn, tilt, woods, palette, onPlace }: WrappedProps) {
  const faces = useMemo(() => seenFaces(solids, turn, tilt), [solids, turn, tilt]);
  const reach = Math.max(
    ...solids.flatMap(({ corners }) => corners).map(({ x, y, z }) => Math.hypot(x, y, z)),
  );
  return (
    <svg
      viewBox={`${-1.05 * reach} ${-1.05 * reach} ${2.1 * reach} ${2.1 * reach}`}
      className="wood-ground h-80 w-full rounded border border-line"
      role="img"
      aria-label="Put together, as it is seen from the front."
    >
      <g transform="scale(1 -1)">
        {faces.map(({ place, outline, depth, light }) => (
          <g
            key={`${place} ${depth} ${light}`}
            onPointerDown={() => onPlace(place)}
            className="cursor-pointer"
          >
            <path
              d={outlinePath(outline)}
              fill={colourOf(woods, palette, place)}
              stroke="#1d2527"
              strokeWidth="0.7"
              vectorEffect="non-scaling-stroke"
            />
            <path d={outlinePath(outline)} fill="#0b0f10" opacity={0.42 * (1 - light)} />
          </g>
        ))}
      </g>
    </svg>
  );
}
