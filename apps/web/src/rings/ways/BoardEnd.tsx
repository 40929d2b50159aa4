import type { Mm } from '@fellside/core';
import { paletteOf } from '../../store/selectors.js';
import { useApp } from '../../store/store.js';
import { WoodPatterns, woodFill } from '../../ui/WoodPatterns.js';

/** A row of the board: how thick, what it is called, its wood where all its places have one. */
export interface Row {
  /** Its number, from 0. */
  readonly at: number;
  readonly sizeMm: Mm;
  /** Whether it has what is left, and is not set. */
  readonly left: boolean;
  readonly wood: string | null;
}

/** The drawing is so wide, and as high as the list beside it, px. */
const WIDE = 56;
const ROW = 37;
const HIGHEST = 176;

/** The board from its end, to scale, rows as they are listed. */
export function BoardEnd({ rows, called }: { readonly rows: readonly Row[]; readonly called: string }) {
  const palette = useApp(paletteOf);
  const hatched = useApp((state) => state.session.hatched);
  const high = Math.min(HIGHEST, ROW * rows.length);
  const whole = rows.reduce((sum, { sizeMm }) => sum + sizeMm, 0);
  if (whole <= 0) return null;
  let sum = 0;
  const drawn = rows.map(({ at, sizeMm, wood }) => {
    const y = (sum / whole) * high;
    sum += sizeMm;
    return { at, y, height: (sizeMm / whole) * high, wood };
  });
  return (
    <svg
      className="mt-4"
      width={WIDE}
      height={high}
      role="img"
      aria-label={`The board from its end: ${called.toLowerCase()}`}
    >
      <WoodPatterns woods={palette.values()} hatched={hatched} prefix="board-end" />
      {drawn.map(({ at, y, height, wood }) => (
        <rect
          key={at}
          x={0.5}
          y={y}
          width={WIDE - 1}
          height={height}
          fill={woodFill(wood === null ? undefined : palette.get(wood), 'board-end')}
          stroke="var(--color-ink)"
          strokeWidth="0.5"
        />
      ))}
    </svg>
  );
}
