import { paletteOf } from '../../store/selectors.js';
import { useApp } from '../../store/store.js';
import { WoodPatterns, woodFill } from '../../ui/WoodPatterns.js';
import type { Row } from './BoardRows.js';

/** The drawing is this large, px. */
const [WIDE, HIGH] = [64, 176];

/** The board from its end, to scale, rows as they are listed. */
export function BoardEnd({ rows, called }: { readonly rows: readonly Row[]; readonly called: string }) {
  const palette = useApp(paletteOf);
  const hatched = useApp((state) => state.session.hatched);
  const whole = rows.reduce((sum, { sizeMm }) => sum + sizeMm, 0);
  if (whole <= 0) return null;
  let sum = 0;
  const drawn = rows.map(({ at, sizeMm, wood }) => {
    const y = (sum / whole) * HIGH;
    sum += sizeMm;
    return { at, y, height: (sizeMm / whole) * HIGH, wood };
  });
  return (
    <svg width={WIDE} height={HIGH} role="img" aria-label={`The board from its end: ${called.toLowerCase()}`}>
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
