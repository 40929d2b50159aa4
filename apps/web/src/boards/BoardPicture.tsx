import type { NewBoard, Species } from '@fellside/core';
import { woodFill } from '../ui/WoodPatterns.js';

interface BoardPictureProps {
  readonly board: Pick<NewBoard, 'lengthMm' | 'widthMm' | 'defects'>;
  readonly species: Species | undefined;
  /** Of the wood patterns that are on the page. */
  readonly prefix: string;
  /** Px a mm. */
  readonly scale: number;
}

const FILLS = { crack: '#1d2527', knot: '#3d2c1e', sap: '#f3e7c4', other: '#6d7678' } as const;

/** A board from above with its defects, to scale. */
export function BoardPicture({
  board: { lengthMm, widthMm, defects },
  species,
  prefix,
  scale,
}: BoardPictureProps) {
  const [width, height] = [Math.max(2, lengthMm * scale), Math.max(2, widthMm * scale)];
  const found = defects.map(({ kind }) => kind).join(', ');
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={found ? `Board with ${found}` : 'Clear board'}
      className="block"
    >
      <rect
        width={width}
        height={height}
        fill={species ? woodFill(species, prefix) : '#999999'}
        stroke="#1d2527"
        strokeOpacity="0.6"
      />
      {defects.map(({ kind, xMm, yMm, lengthMm: long, widthMm: wide }) => (
        <rect
          key={`${kind} ${xMm} ${yMm}`}
          x={xMm * scale}
          y={height - (yMm + wide) * scale}
          width={Math.max(1.5, long * scale)}
          height={Math.max(1.5, wide * scale)}
          fill={FILLS[kind]}
          fillOpacity="0.8"
          stroke="#1d2527"
          strokeWidth="0.6"
        >
          <title>{kind}</title>
        </rect>
      ))}
    </svg>
  );
}
